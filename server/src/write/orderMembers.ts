import { movedStart, type OrderInput } from "@tonodrome/core/api";
import { expectedAt } from "@tonodrome/core/order";
import { Op, type Transaction } from "sequelize";
import type { Database } from "../db/connect";
import type { OrderRow } from "../db/models/rows";
import { Refusal } from "../errors/refusal";
import { listedTime, startTimes } from "./startTimes";

/**
 * Puts starts into an order, and takes out those that are not named. What changes is a new version of the start.
 * @throws Refusal `invalid_input` at a start that is not the club's, or a number that is not on the list
 */
export async function setMembers(
  { models }: Database,
  { id, clubId, slots }: Pick<OrderRow, "id" | "clubId" | "slots">,
  members: OrderInput["starts"],
  transaction: Transaction,
): Promise<void> {
  const numbers = new Map(members.map((m) => [m.startId, m.number]));
  const listed = new Set(slots.map((s) => s.number));
  for (const [i, { number }] of members.entries())
    if (!listed.has(number))
      throw new Refusal("invalid_input", "This number is not in the running order.", {
        path: `starts.${i}.number`,
      });
  const rows = await models.Start.findAll({
    where: { clubId, [Op.or]: [{ orderId: id }, { id: [...numbers.keys()] }] },
    transaction,
    lock: true,
  });
  const there = new Set(rows.map((row) => row.id));
  const missing = members.findIndex((m) => !there.has(m.startId));
  if (missing >= 0)
    throw new Refusal("invalid_input", "This start is not in the club any more.", {
      path: `starts.${missing}.startId`,
    });
  for (const row of rows) {
    const number = numbers.get(row.id) ?? null;
    const orderId = number === null ? null : id;
    if (row.orderId === orderId && row.orderNumber === number) continue;
    await row.update({ orderId, orderNumber: number, version: row.version + 1 }, { transaction });
  }
}

/** Moves the starts of an order to when they are to be expected; those that have been on, or are, stay. */
export async function moveMembers(
  { models }: Database,
  order: OrderRow,
  transaction: Transaction,
): Promise<void> {
  const rows = await models.Start.findAll({
    where: { clubId: order.clubId, orderId: order.id },
    transaction,
    lock: true,
  });
  for (const row of rows) {
    const expected = expectedAt(order, row.orderNumber ?? 0);
    if (expected === null || expected * 1000 === row.startsAt.getTime()) continue;
    const moved = movedStart({ readyAt: row.readyAt.toISOString() }, expected * 1000);
    const times = startTimes({ ...moved, listedAt: listedTime(row) });
    await row.update({ ...times, version: row.version + 1 }, { transaction });
  }
}
