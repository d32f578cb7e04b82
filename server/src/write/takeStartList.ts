import { randomUUID } from "node:crypto";
import { emptyPlan, noProfile, usualSetting } from "@tonodrome/core";
import { MOST, type StartListInput } from "@tonodrome/core/api";
import {
  type KnownStart,
  type ListedStart,
  listOrders,
  nameKey,
  type RowNews,
} from "@tonodrome/core/start-list";
import { Op, type Transaction } from "sequelize";
import { checkQuota } from "../access/quota";
import { listedTime } from "../answers/listedTime";
import type { Database } from "../db/connect";
import type { StartRow } from "../db/models/rows";
import { Refusal } from "../errors/refusal";
import type { Change } from "../live/changes";
import type { Asked, Threads } from "../threads/threads";
import { noteMoves } from "./noteMoves";
import { setMembers } from "./orderMembers";
import { startTimes } from "./startTimes";
import { updateRows } from "./updateRows";

type Comparing = Database & { threads: Threads };

/** Starts so long before and after what a list has are looked at: a day of the venue is no longer anywhere. */
const AROUND = 48 * 3_600_000;

type Rows = StartListInput["rows"];

/**
 * Compares a start list with what the club has, in a thread of its own.
 * @param transaction that in which it is to be taken, which locks what is compared; null only to look
 */
export async function compareWithClub(
  { models, sequelize, threads }: Comparing,
  clubId: string,
  { rows, addAthletes }: StartListInput,
  transaction: Transaction | null,
  how: Asked,
): Promise<RowNews[]> {
  const within = transaction ? { transaction } : {};
  // Two lists are taken one after the other.
  if (transaction)
    await sequelize.query("SELECT pg_advisory_xact_lock(hashtextextended($1, 7))", {
      bind: [`start-list ${clubId}`],
      transaction,
    });
  const times = rows.map((row) => Date.parse(row.startsAt));
  const near = {
    [Op.between]: [new Date(Math.min(...times) - AROUND), new Date(Math.max(...times) + AROUND)],
  };
  const athletes = await models.Athlete.findAll({
    where: { clubId },
    attributes: ["id", "name"],
    raw: true,
    ...within,
  });
  const events = await models.EventType.findAll({
    where: { clubId, archived: false },
    attributes: ["id", "name"],
    raw: true,
    ...within,
  });
  // Orders are locked before starts.
  if (transaction)
    await models.Order.findAll({
      where: { clubId },
      attributes: ["id"],
      order: ["id"],
      lock: true,
      ...within,
    });
  const starts: KnownStart[] = [];
  // A page at a time, so that others are answered in between.
  for (let last: string | null = null; ; ) {
    const page: StartRow[] = await models.Start.findAll({
      // By the list's time or the start's own: one that was moved far is still the one that the list means.
      where: {
        ...{ clubId, [Op.or]: [{ startsAt: near }, { listedAt: near }] },
        ...(last ? { id: { [Op.gt]: last } } : {}),
      },
      attributes: { exclude: ["setting"] },
      order: ["id"],
      limit: PAGE,
      raw: true,
      ...within,
      // What is taken is what is compared: nobody changes a start between the two.
      ...(transaction ? { lock: true } : {}),
    });
    starts.push(...page.map(knownStart));
    if (page.length < PAGE) break;
    last = page.at(-1)?.id ?? null;
  }
  return threads.do("compareList", [rows, { athletes, events, starts }, addAthletes], how);
}

/** Starts read at a time. */
const PAGE = 1_000;

const knownStart = (start: StartRow): KnownStart => ({
  id: start.id,
  athleteId: start.athleteId,
  title: start.title,
  venue: start.venue,
  zone: start.zone,
  startsAt: start.startsAt.toISOString(),
  readyAt: start.readyAt.toISOString(),
  listedAt: listedTime(start),
  eventId: start.eventId,
  number: start.orderNumber,
});

/**
 * Takes a list as it was compared, within one transaction: all of it or nothing.
 * @returns how many starts were made and changed, and what is to be told of the runs under way for them
 * @throws Refusal `invalid_input` with the first fault, `full`
 */
export async function takeStartList(
  database: Database,
  clubId: string,
  rows: Rows,
  news: readonly RowNews[],
  transaction: Transaction,
): Promise<{ made: number; changed: number; told: Change[] }> {
  const { models } = database;
  const at = new Map(rows.map((row, i) => [row.line, i]));
  for (const row of news)
    if (row.state === "fault")
      throw new Refusal("invalid_input", row.message, { path: `rows.${at.get(row.line) ?? 0}` });
  const athletes = await makeAthletes(database, clubId, news, transaction);
  const fresh: { id: string; line: number; start: ListedStart }[] = [];
  for (const row of news) {
    const id = randomUUID();
    if (row.state === "new") fresh.push({ id, line: row.line, start: row.start });
    if (row.state === "new-athlete") {
      const athleteId = athletes.get(nameKey(row.athlete)) as string;
      fresh.push({ id, line: row.line, start: { athleteId, ...row.start } });
    }
  }
  if (fresh.length > 0)
    await checkQuota(database, models.Start, "starts", clubId, { clubId }, transaction, fresh.length);
  await models.Start.bulkCreate(
    fresh.map(({ id, start }) => ({ id, clubId, version: 1, ...columns(start), setting: usualSetting() })),
    { transaction },
  );
  await models.Plan.bulkCreate(
    fresh.map(({ id }) => ({ id: randomUUID(), clubId, startId: id, version: 1, body: emptyPlan() })),
    { transaction },
  );
  const changed = news.flatMap((row) => (row.state === "changed" ? [row] : []));
  // They are as they were compared: they have been locked since.
  const written = changed.map(({ id, start }) => ({ id, ...columns(start) }));
  await updateRows(database, models.Start, clubId, written, transaction);
  const moves = changed.flatMap((row) =>
    row.changed.includes("time") ? [{ startId: row.id, startsAt: row.start.startsAt }] : [],
  );
  const told = await noteMoves(database, clubId, moves, transaction);
  const starts = new Map(fresh.map(({ line, id }) => [line, id]));
  for (const row of news) if (row.state === "changed" || row.state === "same") starts.set(row.line, row.id);
  await putOrders(database, clubId, rows, starts, transaction);
  return { made: fresh.length, changed: changed.length, told };
}

const columns = ({ number: _, startsAt, readyAt, listedAt, ...start }: ListedStart) => ({
  ...start,
  ...startTimes({ startsAt, readyAt, listedAt }),
});

/** Makes those who come into the club with a list. @returns their ids by their names' keys */
async function makeAthletes(
  database: Database,
  clubId: string,
  news: readonly RowNews[],
  transaction: Transaction,
): Promise<Map<string, string>> {
  const names = new Map<string, string>();
  for (const row of news) if (row.state === "new-athlete") names.set(nameKey(row.athlete), row.athlete);
  const ids = new Map([...names.keys()].map((key) => [key, randomUUID()]));
  if (names.size === 0) return ids;
  const { models } = database;
  await checkQuota(database, models.Athlete, "athletes", clubId, { clubId }, transaction, names.size);
  await models.Athlete.bulkCreate(
    [...names].map(([key, name]) => ({
      id: ids.get(key) as string,
      clubId,
      version: 1,
      name,
      profile: noProfile(),
    })),
    { transaction },
  );
  return ids;
}

/** Makes a running order of each event, place and day whose rows have numbers, or brings it up to the list. */
async function putOrders(
  database: Database,
  clubId: string,
  rows: Rows,
  starts: ReadonlyMap<number, string>,
  transaction: Transaction,
): Promise<void> {
  const { models } = database;
  if (rows.every(({ number }) => number === null)) return;
  const known = await models.Order.findAll({ where: { clubId }, order: ["id"], transaction, lock: true });
  const versions = new Map(known.map(({ id, version }) => [id, version]));
  for (const order of listOrders(rows, starts, known)) {
    const { title, venue, zone, slots, members } = order;
    if (slots.length > MOST.slots)
      throw new Refusal("invalid_input", `A running order has at most ${MOST.slots} numbers.`, {
        path: "rows",
      });
    const id = order.id ?? randomUUID();
    if (order.id) {
      const version = (versions.get(id) ?? 0) + 1;
      await models.Order.update({ slots, version }, { where: { clubId, id }, transaction });
    } else {
      await checkQuota(database, models.Order, "orders", clubId, { clubId }, transaction);
      const row = { id, clubId, version: 1, title, venue, zone, slots, calls: [] };
      await models.Order.create(row, { transaction });
    }
    await setMembers(database, { id, clubId, slots }, members, transaction);
  }
}
