import { movedStart, type OrderInput } from "@tonodrome/core/api";
import { expectedAt } from "@tonodrome/core/order";
import { Op, type Transaction } from "sequelize";
import { listedTime } from "../answers/listedTime";
import type { Database } from "../db/connect";
import type { OrderRow } from "../db/models/rows";
import { Refusal } from "../errors/refusal";
import type { Change } from "../live/changes";
import { noteMoves } from "./noteMoves";
import { startTimes } from "./startTimes";
import { updateRows } from "./updateRows";

/*
 * Whatever locks running orders and starts locks the orders first, then the starts, then the runs, each by id: two that do it
 * at once wait for each other, and never both.
 */

/**
 * Puts starts into an order, and takes out those that are not named. What changes is a new version of the start.
 * @throws Refusal `invalid_input` at a start that is not the club's, or a number that is not on the list
 */
export async function setMembers(
  database: Database,
  { id, clubId, slots }: Pick<OrderRow, "id" | "clubId" | "slots">,
  members: OrderInput["starts"],
  transaction: Transaction,
): Promise<void> {
  const { models } = database;
  const numbers = new Map(members.map((m) => [m.startId, m.number]));
  const listed = new Set(slots.map((s) => s.number));
  for (const [i, { number }] of members.entries())
    if (!listed.has(number))
      throw new Refusal("invalid_input", "This number is not in the running order.", {
        path: `starts.${i}.number`,
      });
  const rows = await models.Start.findAll({
    where: { clubId, [Op.or]: [{ orderId: id }, { id: [...numbers.keys()] }] },
    attributes: { exclude: ["setting"] },
    order: ["id"],
    transaction,
    lock: true,
  });
  const there = new Set(rows.map((row) => row.id));
  const missing = members.findIndex((m) => !there.has(m.startId));
  if (missing >= 0)
    throw new Refusal("invalid_input", "This start is not in the club any more.", {
      path: `starts.${missing}.startId`,
    });
  const changed = rows.flatMap((row) => {
    const orderNumber = numbers.get(row.id) ?? null;
    const orderId = orderNumber === null ? null : id;
    const isSame = row.orderId === orderId && row.orderNumber === orderNumber;
    return isSame ? [] : [{ id: row.id, orderId, orderNumber }];
  });
  await updateRows(database, models.Start, clubId, changed, transaction);
}

/**
 * Moves the starts of an order to when they are to be expected; those that have been on, or are, stay.
 * @returns what is to be told of the runs under way for them, once it is committed
 */
export async function moveMembers(
  database: Database,
  order: OrderRow,
  transaction: Transaction,
): Promise<Change[]> {
  const { models } = database;
  const { clubId } = order;
  const rows = await models.Start.findAll({
    where: { clubId, orderId: order.id },
    attributes: { exclude: ["setting"] },
    order: ["id"],
    transaction,
    lock: true,
  });
  const changed = rows.flatMap((row) => {
    const expected = expectedAt(order, row.orderNumber ?? 0);
    if (expected === null || expected * 1000 === row.startsAt.getTime()) return [];
    const moved = movedStart({ readyAt: row.readyAt.toISOString() }, expected * 1000);
    return [{ id: row.id, ...startTimes({ ...moved, listedAt: listedTime(row) }) }];
  });
  await updateRows(database, models.Start, clubId, changed, transaction);
  const moves = changed.map(({ id, startsAt }) => ({ startId: id, startsAt: startsAt.toISOString() }));
  return noteMoves(database, clubId, moves, transaction);
}
