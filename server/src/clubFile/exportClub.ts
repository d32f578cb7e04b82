import { CLUB_FILE_VERSION, type ClubHead, type ClubRecord, MOST } from "@tonodrome/core/api";
import { mergeTicks } from "@tonodrome/core/lists";
import { type Model, type ModelStatic, Op, QueryTypes, Transaction } from "sequelize";
import { toAthlete } from "../answers/athlete";
import { toDrill } from "../answers/drill";
import { toEvent } from "../answers/event";
import { toTemplate } from "../answers/template";
import { toTick } from "../answers/tick";
import type { Database } from "../db/connect";
import type {
  AthleteRow,
  DayRow,
  DrillRow,
  EventTypeRow,
  OrderRow,
  PlanEditRow,
  PlanRow,
  RunRow,
  StartRow,
  TemplateRow,
} from "../db/models/rows";

/** Rows read at a time: what is held of a club at any moment. */
const ROWS_AT_A_TIME = 50;

/** Longest pause of whoever reads the file, seconds: then it is given up, and the database with it. */
const LONGEST_PAUSE = 60;

/**
 * The whole club as it is at one moment, line by line, read as it is written out: of however large a club little is held
 * at any time. What is in it is in the order of ids, and the same club always gives the same text, so that two exports
 * can be compared byte for byte.
 * @param withEdits whether the earlier versions of warm-ups are in it
 */
export async function* exportClub(
  { sequelize, models }: Database,
  clubId: string,
  withEdits: boolean,
): AsyncGenerator<string> {
  const isolationLevel = Transaction.ISOLATION_LEVELS.REPEATABLE_READ;
  const transaction = await sequelize.transaction({ isolationLevel, readOnly: true } as object);
  let records = 0;
  const line = (record: ClubRecord | ClubHead) => `${JSON.stringify(record)}\n`;
  const write = (record: ClubRecord) => {
    records++;
    return line(record);
  };

  /** The rows of a table of the club, by id. */
  async function* rowsOf<Row extends { id: string }>(table: ModelStatic<Model>, more: object = {}) {
    let last: string | null = null;
    for (;;) {
      const rows: Row[] = (
        await table.findAll({
          where: { clubId, ...more, ...(last ? { id: { [Op.gt]: last } } : {}) },
          order: ["id"],
          limit: ROWS_AT_A_TIME,
          transaction,
        })
      ).map((row) => row.get() as Row);
      yield* rows;
      if (rows.length < ROWS_AT_A_TIME) return;
      last = rows.at(-1)?.id ?? null;
    }
  }

  try {
    await sequelize.query(`SET LOCAL idle_in_transaction_session_timeout = '${LONGEST_PAUSE}s'`, {
      transaction,
    });
    const club = await models.Club.findByPk(clubId, { transaction });
    yield line({ format: "tonodrome-club", version: CLUB_FILE_VERSION, name: club?.name ?? "" });
    const figures = await models.ClubFigures.findByPk(clubId, { transaction });
    if (figures) yield write({ record: "figures", version: figures.version, figures: figures.figures });
    for await (const row of rowsOf<AthleteRow>(models.Athlete))
      yield write({ record: "athlete", ...toAthlete(row) });
    for await (const row of rowsOf<DrillRow>(models.Drill)) yield write({ record: "drill", ...toDrill(row) });
    for await (const row of rowsOf<EventTypeRow>(models.EventType))
      yield write({ record: "event", ...toEvent(row) });
    for await (const row of rowsOf<TemplateRow>(models.Template))
      yield write({ record: "template", ...toTemplate(row) });
    for await (const { clubId: _, ...order } of rowsOf<OrderRow>(models.Order))
      yield write({ record: "order", ...order });
    const standing = new Set<string>();
    for await (const start of rowsOf<StartRow>(models.Start)) {
      standing.add(start.id);
      const plan = await models.Plan.findOne({ where: { clubId, startId: start.id }, transaction });
      if (!plan) continue;
      yield write(startRecord(start, plan.get()));
      const ticks = await models.Tick.findAll({ where: { clubId, startId: start.id }, transaction });
      if (ticks.length > 0)
        yield write({ record: "ticks", startId: start.id, ticks: mergeTicks(ticks.map(toTick)) });
      if (!withEdits) continue;
      for await (const edit of rowsOf<PlanEditRow>(models.PlanEdit, { planId: plan.id })) {
        const { version, outcome, at, body } = edit;
        yield write({ record: "edit", planId: plan.id, version, outcome, at: at.toISOString(), body });
      }
    }
    for await (const { clubId: _, ...day } of rowsOf<DayRow>(models.Day))
      if (day.startId === null || standing.has(day.startId)) yield write({ record: "day", ...day });
    for await (const run of rowsOf<RunRow>(models.Run)) {
      // Of a start that was deleted the file knows nothing.
      const startId = run.startId && standing.has(run.startId) ? run.startId : null;
      yield write(runRecord({ ...run, startId }));
      yield* pressesOf(run.id);
    }
    yield line({ record: "end", records });
    await transaction.commit();
  } catch (error) {
    await transaction.rollback().catch(() => undefined);
    throw error;
  } finally {
    // Whoever read it went away in the middle.
    if (!(transaction as unknown as { finished?: string }).finished)
      await transaction.rollback().catch(() => undefined);
  }

  async function* pressesOf(runId: string) {
    let last = "00000000-0000-0000-0000-000000000000";
    for (;;) {
      const rows = await sequelize.query<{ id: string; event: never }>(
        `SELECT id, event FROM run_events WHERE club_id = $1 AND run_id = $2 AND id > $3
          ORDER BY id LIMIT ${MOST.pressesTogether}`,
        { bind: [clubId, runId, last], type: QueryTypes.SELECT, transaction },
      );
      if (rows.length > 0) yield write({ record: "presses", runId, events: rows.map((r) => r.event) });
      if (rows.length < MOST.pressesTogether) return;
      last = rows.at(-1)?.id ?? last;
    }
  }
}

function startRecord(start: StartRow, plan: PlanRow): ClubRecord {
  const { id, version, athleteId, title, venue, zone, startsAt, readyAt, listedAt, eventId, setting } = start;
  const { orderId, orderNumber } = start;
  return {
    record: "start",
    id,
    version,
    athleteId,
    title,
    venue,
    zone,
    startsAt: startsAt.toISOString(),
    readyAt: readyAt.toISOString(),
    ...(listedAt ? { listedAt: listedAt.toISOString() } : {}),
    eventId,
    ...(orderId && orderNumber ? { order: { id: orderId, number: orderNumber } } : {}),
    setting,
    plan: { id: plan.id, version: plan.version, body: plan.body },
  };
}

function runRecord(run: RunRow): ClubRecord {
  const { id, startId, athleteId, athleteName, title, venue, zone, startsAt, createdAt, plan } = run;
  return {
    record: "run",
    id,
    startId,
    athleteId,
    athleteName,
    title,
    venue,
    zone,
    startsAt: startsAt.toISOString(),
    createdAt: createdAt.toISOString(),
    plan,
  };
}
