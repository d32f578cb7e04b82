import { type RunEvent, runSummary } from "@tonodrome/core";
import { type ClubRecord, MOST, MOST_AHEAD } from "@tonodrome/core/api";
import { mergeTicks } from "@tonodrome/core/lists";
import { Op, QueryTypes, type Transaction } from "sequelize";
import { full, type Kept } from "../access/quota";
import type { Database } from "../db/connect";
import { notFound, Refusal } from "../errors/refusal";
import { checkFigures } from "../validation/checkFigures";
import type { ClubReading, Placed } from "./readClubFile";

/** Rows written with one statement, and about how many characters of them. */
const ROWS_AT_A_TIME = 200;
const CHARACTERS = 1_000_000;

/** Who imports, and whether they still may when all is read: a long file outlasts a demotion. */
export interface Importer {
  userId: string;
  roles: readonly string[];
  /** Whether the club takes the file's name. */
  takesName: boolean;
}

/**
 * Fills an empty club with an exported one, ids and all, in one transaction: all of it or nothing. One import of a club
 * goes on at a time.
 * @throws Refusal `not_empty` when anything is in the club already, `too_many` when it is being filled, `invalid_input`
 * at the line that names what is not in the file
 */
export async function importClub(
  database: Database,
  clubId: string,
  importer: Importer,
  reading: ClubReading,
): Promise<void> {
  const { sequelize, models } = database;
  await sequelize.transaction(async (transaction) => {
    await takeTurn(database, clubId, transaction);
    await checkEmpty(database, clubId, transaction);
    const writer = makeWriter(database, clubId, transaction);
    for await (const placed of reading.records) await writer.take(placed);
    await writer.finish();
    const [member] = await sequelize.query<{ role: string }>(
      "SELECT role FROM members WHERE club_id = $1 AND user_id = $2",
      { bind: [clubId, importer.userId], type: QueryTypes.SELECT, transaction },
    );
    if (!member || !importer.roles.includes(member.role)) throw notFound("club");
    if (importer.takesName)
      await models.Club.update({ name: reading.name }, { where: { id: clubId }, transaction });
    await models.AuditEntry.create(
      {
        clubId,
        action: "club.import",
        userId: importer.userId,
        subjectId: null,
        detail: null,
        at: new Date(),
      },
      { transaction },
    );
  });
}

async function takeTurn({ sequelize }: Database, clubId: string, transaction: Transaction): Promise<void> {
  const [turn] = await sequelize.query<{ taken: boolean }>(
    "SELECT pg_try_advisory_xact_lock(hashtextextended($1, 6)) AS taken",
    { bind: [clubId], type: QueryTypes.SELECT, transaction },
  );
  if (turn?.taken) return;
  throw new Refusal("too_many", "A file is being imported into this club already. Wait for it.", {}, 30);
}

async function checkEmpty({ models }: Database, clubId: string, transaction: Transaction): Promise<void> {
  await checkNoFigures(models, clubId, transaction);
  // What was deleted and could be taken back is gone with the import, or its ids would be in the way.
  await models.Start.destroy({
    where: { clubId, deletedAt: { [Op.ne]: null } },
    force: true,
    transaction,
  });
  for (const model of [
    models.Athlete,
    models.Drill,
    models.EventType,
    models.Template,
    models.Start,
    models.Run,
  ]) {
    if ((await (model as typeof models.Athlete).count({ where: { clubId }, transaction })) > 0) {
      throw new Refusal(
        "not_empty",
        "There is something in this club already. Import into a new, empty club.",
      );
    }
  }
  // Nobody comes to an order but by a start, and there is none.
  await models.Order.destroy({ where: { clubId }, transaction });
}

/** A club that never changed its figures has none, and one that put them back has an empty list: neither is anything. */
async function checkNoFigures(
  models: Database["models"],
  clubId: string,
  transaction: Transaction,
): Promise<void> {
  const own = await models.ClubFigures.findByPk(clubId, { transaction });
  if (own && own.figures.length > 0)
    throw new Refusal(
      "not_empty",
      "This club has figures of its own. Put them back to what is usual, or import into a new club.",
    );
  await own?.destroy({ transaction });
}

type Row = Record<string, unknown>;
type RunRecord = Extract<ClubRecord, { record: "run" }>;

const TABLES = [
  "ClubFigures",
  "Athlete",
  "Drill",
  "EventType",
  "Template",
  "Order",
  "Start",
  "Plan",
  "PlanEdit",
  "Day",
  "Tick",
  "Run",
  "RunEvent",
] as const;
type Table = (typeof TABLES)[number];

/** Writes records as they come, some together, and sees to it that what they name came before. */
function makeWriter({ models }: Database, clubId: string, transaction: Transaction) {
  const ids = {
    athletes: new Set<string>(),
    drills: new Set<string>(),
    events: new Set<string>(),
    templates: new Set<string>(),
    orders: new Set<string>(),
    starts: new Set<string>(),
    runs: new Set<string>(),
    plans: new Set<string>(),
  };
  /** What is not written yet, in an order in which nothing names what comes later. */
  const waiting = new Map<Table, Row[]>(TABLES.map((table) => [table, []]));
  let characters = 0;
  /** What has a day already. */
  const days = new Set<string>();
  /** Starts whose ticks have come. */
  const ticked = new Set<string>();
  let hasFigures = false;
  /** Edits of the plan whose start came last. */
  let edits = { planId: "", saved: 0, refused: 0 };
  /** The run that came last, whose presses may be still to come. */
  let run: { row: RunRecord; size: number; presses: Map<string, RunEvent>; bytes: number } | null = null;

  const fault = (place: string, field: string, message: string) =>
    new Refusal("invalid_input", message, { path: `${place}.${field}` });

  function isNew(kind: keyof typeof ids, id: string, place: string): void {
    if (ids[kind].has(id)) throw fault(place, "id", "This id is in the file twice.");
    ids[kind].add(id);
    const most = kind === "plans" ? MOST.starts : MOST[kind];
    if (ids[kind].size > most) throw full(kind as Kept);
  }

  function isKnown(kind: keyof typeof ids, id: string | null, place: string, field: string, what: string) {
    if (id !== null && !ids[kind].has(id))
      throw fault(place, field, `This ${what} is not in the file, or comes later.`);
  }

  async function put(table: Table, row: Row, size: number): Promise<void> {
    const rows = waiting.get(table) ?? [];
    rows.push({ clubId, ...row });
    characters += size;
    if (rows.length >= ROWS_AT_A_TIME || characters > CHARACTERS) await flush();
  }

  async function flush(): Promise<void> {
    for (const [table, rows] of waiting) {
      if (rows.length === 0) continue;
      await (models[table] as typeof models.Run).bulkCreate(rows.splice(0) as never[], { transaction });
    }
    characters = 0;
  }

  /** Writes the run that came last, all of whose presses are known now, with what the log shows of it. */
  async function putRun(): Promise<void> {
    if (!run) return;
    const { row, size, presses, bytes } = run;
    run = null;
    const { record: _, startsAt, createdAt, ...rest } = row;
    const summary = runSummary(row.plan, [...presses.values()]);
    const count = { presses: presses.size, pressBytes: bytes, summary, summed: presses.size };
    await put(
      "Run",
      { ...rest, startsAt: new Date(startsAt), createdAt: new Date(createdAt), ...count },
      size,
    );
    for (const [id, event] of presses)
      await put("RunEvent", { runId: row.id, id, event }, bytes / presses.size);
  }

  async function take({ record, place, size }: Placed): Promise<void> {
    switch (record.record) {
      case "figures": {
        const { record: _, ...figures } = record;
        if (hasFigures) throw fault(place, "record", "The club's figures are in the file twice.");
        hasFigures = true;
        checkFigures(figures.figures, `${place}.figures`);
        return put("ClubFigures", figures, size);
      }
      case "athlete": {
        const { record: _, ...athlete } = record;
        isNew("athletes", athlete.id, place);
        return put("Athlete", athlete, size);
      }
      case "drill": {
        const { record: _, changedAt, ...drill } = record;
        isNew("drills", drill.id, place);
        return put("Drill", { ...drill, changedAt: new Date(changedAt) }, size);
      }
      case "event": {
        const { record: _, id, version, archived, name, ...body } = record;
        isNew("events", id, place);
        return put("EventType", { id, version, archived, name, body }, size);
      }
      case "template": {
        const { record: _, createdAt, ...template } = record;
        isNew("templates", template.id, place);
        return put("Template", { ...template, createdAt: new Date(createdAt) }, size);
      }
      case "order": {
        const { record: _, ...order } = record;
        isNew("orders", order.id, place);
        return put("Order", order, size);
      }
      case "start": {
        const { record: _, plan, listedAt, startsAt, readyAt, order, ...start } = record;
        isNew("starts", start.id, place);
        isNew("plans", plan.id, place);
        isKnown("athletes", start.athleteId, place, "athleteId", "athlete");
        isKnown("events", start.eventId, place, "eventId", "event");
        isKnown("orders", order?.id ?? null, place, "order.id", "running order");
        edits = { planId: plan.id, saved: 0, refused: 0 };
        const times = {
          startsAt: new Date(startsAt),
          readyAt: new Date(readyAt),
          listedAt: listedAt ? new Date(listedAt) : null,
        };
        const standing = { orderId: order?.id ?? null, orderNumber: order?.number ?? null };
        await put("Start", { ...start, ...times, ...standing }, size);
        return put("Plan", { ...plan, startId: start.id }, 0);
      }
      case "edit": {
        const { record: _, planId, version, outcome, at, body } = record;
        if (planId !== edits.planId)
          throw fault(place, "planId", "An edit follows the start whose warm-up it is of.");
        edits[outcome]++;
        if (edits[outcome] > MOST.edits)
          throw fault(place, "planId", `At most ${MOST.edits} edits of one warm-up.`);
        return put("PlanEdit", { planId, version, outcome, at: new Date(at), body }, size);
      }
      case "ticks": {
        isKnown("starts", record.startId, place, "startId", "start");
        if (ticked.has(record.startId)) throw fault(place, "startId", "Its ticks are in the file twice.");
        ticked.add(record.startId);
        const ticks = mergeTicks(record.ticks);
        for (const { at, ...tick } of ticks)
          await put("Tick", { startId: record.startId, ...tick, at: new Date(at) }, size / ticks.length);
        return;
      }
      case "day": {
        const { record: _, ...day } = record;
        isKnown("starts", day.startId, place, "startId", "start");
        isKnown("events", day.eventId, place, "eventId", "event");
        isKnown("athletes", day.athleteId, place, "athleteId", "athlete");
        const of = day.startId ?? day.eventId ?? day.athleteId ?? "";
        if (days.has(of)) throw fault(place, "record", "The day of this is in the file twice.");
        if (days.has(day.id)) throw fault(place, "id", "This id is in the file twice.");
        days.add(of).add(day.id);
        return put("Day", day, size);
      }
      case "run": {
        await putRun();
        isNew("runs", record.id, place);
        isKnown("athletes", record.athleteId, place, "athleteId", "athlete");
        isKnown("starts", record.startId, place, "startId", "start");
        run = { row: record, size, presses: new Map(), bytes: 0 };
        return;
      }
      case "presses": {
        if (record.runId !== run?.row.id)
          throw fault(place, "runId", "Presses follow the run that they are of.");
        for (const [i, event] of record.events.entries()) {
          if (run.presses.has(event.id))
            throw fault(place, `events.${i}.id`, "A press is in the file twice.");
          if (Date.parse(event.at) > Date.now() + MOST_AHEAD)
            throw fault(place, `events.${i}.at`, "This was pressed later than it is now.");
          run.presses.set(event.id, event);
        }
        run.bytes += size;
        if (run.presses.size > MOST.presses || run.bytes > MOST.pressBytes)
          throw fault(place, "events", `At most ${MOST.presses} presses of one run.`);
        return;
      }
      case "end":
        return;
    }
  }

  async function finish(): Promise<void> {
    await putRun();
    await flush();
  }

  return { take, finish };
}
