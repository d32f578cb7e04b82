import { type RunEvent, type RunSummary, runSummary } from "@tonodrome/core";
import {
  clubParamsSchema,
  idParamsSchema,
  MOST,
  newPressesQuerySchema,
  newPressesSchema,
  type Run,
  type RunEventsInput,
  rolesThat,
  runEventsAnswerSchema,
  runEventsInputSchema,
  runInputSchema,
  runListQuerySchema,
  runListSchema,
  runSchema,
} from "@tonodrome/core/api";
import { literal, Op, QueryTypes, type Transaction, type WhereOptions } from "sequelize";
import { type Asker, askerOf, sessionOf } from "../../access/access";
import { audit } from "../../access/audit";
import { checkQuota } from "../../access/quota";
import type { Along } from "../../access/session/session";
import type { AthleteRow, RunEventRow, RunRow } from "../../db/models/rows";
import { notFound, Refusal } from "../../errors/refusal";
import { noteMoves } from "../../write/noteMoves";
import { write } from "../../write/write";
import type { Resource } from "../context";

const PAGE = 30;

/**
 * What is pressed is summed up for the log this long after it, milliseconds, and a little later for each press there is
 * to sum up: a run is pressed in bursts, and a long log must not be read again and again.
 */
const SETTLES = 3_000;
const SETTLES_EACH = 2;

/**
 * Records presses, each once however often it is sent, and only into a run of this club that has room for them: all of it
 * in the statement that also finds out who asks, because in a hall every press waits for this. The run's row is locked,
 * so that its count of presses is right whoever presses at the same moment.
 */
const record = (pressAhead: number): Along => ({
  name: "record presses",
  steps: `
    run AS (
      SELECT r.club_id, r.id, r.presses, r.press_bytes FROM runs r, asker
      WHERE r.club_id = $2 AND r.id = $3 AND asker.role IN ('${rolesThat("run").join("', '")}') FOR UPDATE OF r),
    fresh AS (
      SELECT (e ->> 'id')::uuid AS id, e FROM run, jsonb_array_elements($4::jsonb) e
      WHERE NOT EXISTS (SELECT 1 FROM run_events k
        WHERE k.club_id = run.club_id AND k.run_id = run.id AND k.id = (e ->> 'id')::uuid)),
    room AS (
      SELECT run.* FROM run WHERE run.presses + (SELECT count(DISTINCT id) FROM fresh) <= ${MOST.presses}
        AND run.press_bytes + (SELECT coalesce(sum(octet_length(e::text)), 0) FROM fresh) <= ${MOST.pressBytes}),
    added AS (
      INSERT INTO run_events (club_id, run_id, id, event)
      SELECT room.club_id, room.id, fresh.id, fresh.e FROM room, fresh
      ON CONFLICT DO NOTHING RETURNING octet_length(event::text) AS bytes),
    counted AS (
      UPDATE runs r SET presses = r.presses + (SELECT count(*) FROM added),
        press_bytes = r.press_bytes + (SELECT coalesce(sum(bytes), 0) FROM added)
      FROM room WHERE r.club_id = room.club_id AND r.id = room.id AND EXISTS (SELECT 1 FROM added))`,
  // How many presses there were before, which tells how long it takes to sum them up.
  sql: "SELECT CASE WHEN EXISTS (SELECT 1 FROM room) THEN run.presses::text ELSE 'full' END FROM run",
  values: (body) => {
    const { events } = body as RunEventsInput;
    checkTimes(events, pressAhead);
    return [JSON.stringify(events)];
  },
});

/** Nothing is pressed in the future. @throws Refusal `invalid_input` at the first press that is */
function checkTimes(events: RunEventsInput["events"], pressAhead: number): void {
  const latest = Date.now() + pressAhead;
  const index = events.findIndex((e) => Date.parse(e.at) > latest);
  if (index < 0) return;
  throw new Refusal("invalid_input", "This was pressed later than it is now: the device's clock is wrong.", {
    path: `events.${index}.at`,
  });
}

/** A run without the others of a group: an athlete's own tells of nobody else. */
function withoutGroup({ plan: { group: _, ...plan }, events, ...run }: Run): Run {
  return { ...run, plan, events: events.filter(isOwn) };
}

/** Whether a press tells of nobody else in a group. */
const isOwn = ({ kind }: RunEvent) => kind !== "there" && kind !== "mark";

/** Runs and their presses. */
export const runs: Resource = (context) => (app, _options, done) => {
  const { sequelize, models, changes } = context;

  async function read(id: string, { clubId, onlyAthlete }: Asker, transaction?: Transaction) {
    const row = await models.Run.findOne({
      where: { id, clubId, ...(onlyAthlete ? { athleteId: onlyAthlete } : {}) },
      include: [eventsIn(clubId)],
      transaction,
    });
    if (!row) return null;
    const run = toRun(row as unknown as Joined);
    return onlyAthlete ? withoutGroup(run) : run;
  }

  /** Sums a run up from its presses and stores that, unless somebody pressed in the meantime: then it is done again. */
  async function sumUp(clubId: string, id: string): Promise<RunSummary | null> {
    const row = await models.Run.findOne({
      where: { clubId, id },
      attributes: { exclude: ["plan"], include: [[literal(`"Run"."plan" - 'source'`), "plan"]] },
      // A row of the log says nothing of heart rates.
      include: [eventsIn(clubId, { event: { kind: { [Op.ne]: "pulse" } } })],
    });
    if (!row) return null;
    const { plan, events, presses } = row as unknown as Joined;
    const summary = runSummary(
      plan,
      events.map((e) => e.event),
    );
    await models.Run.update({ summary, summed: presses }, { where: { clubId, id, presses } });
    return summary;
  }

  const settling = new Map<string, NodeJS.Timeout>();
  app.addHook("onClose", async () => {
    for (const timer of settling.values()) clearTimeout(timer);
  });
  /** Sums a run up soon. Should that not come about, the log does it when it is asked. */
  function sumUpSoon(clubId: string, id: string, delay: number): void {
    const key = `${clubId} ${id}`;
    const waiting = settling.get(key);
    if (waiting && delay > 0) return;
    clearTimeout(waiting);
    const sum = () => {
      settling.delete(key);
      sumUp(clubId, id).then(
        () => changes.publish({ clubId, topic: "runs" }),
        () => undefined,
      );
    };
    settling.set(key, setTimeout(sum, delay).unref());
  }

  app.get(
    "/clubs/:clubId/runs",
    {
      config: { access: "see" },
      schema: { params: clubParamsSchema, querystring: runListQuerySchema, response: { 200: runListSchema } },
    },
    async (request) => {
      const { clubId, onlyAthlete } = askerOf(request);
      const { before } = request.query;
      const rows = await models.Run.findAll({
        where: {
          clubId,
          ...(onlyAthlete ? { athleteId: onlyAthlete } : {}),
          ...(before ? beforeThat(before) : {}),
        },
        attributes: { exclude: ["plan"] },
        order: [
          ["createdAt", "DESC"],
          ["id", "DESC"],
        ],
        limit: PAGE + 1,
      });
      const page = rows.slice(0, PAGE);
      const listed = [];
      for (const { id, startId, athleteName, title, venue, zone, startsAt, ...row } of page.map((r) =>
        r.get(),
      )) {
        // Not yet summed up since it was last pressed, or imported by an earlier release.
        const sum = row.summed === row.presses && row.summary ? row.summary : await sumUp(clubId, id);
        if (!sum) continue;
        const about = { id, startId, athleteName, title, venue, zone, startsAt: startsAt.toISOString() };
        listed.push({ ...about, ...sum });
      }
      const last = page.at(-1);
      return {
        runs: listed,
        next: rows.length > PAGE && last ? `${last.createdAt.toISOString()}~${last.id}` : null,
      };
    },
  );

  app.get(
    "/clubs/:clubId/runs/:id",
    { config: { access: "see" }, schema: { params: idParamsSchema, response: { 200: runSchema } } },
    async (request) => {
      const run = await read(request.params.id, askerOf(request));
      if (!run) throw notFound("run");
      return run;
    },
  );

  app.get(
    "/clubs/:clubId/runs/:id/events",
    {
      config: { access: "see" },
      schema: {
        params: idParamsSchema,
        querystring: newPressesQuerySchema,
        response: { 200: newPressesSchema },
      },
    },
    async (request) => {
      const { clubId, onlyAthlete } = askerOf(request);
      const { id } = request.params;
      const { after } = request.query;
      const own = onlyAthlete ? { athleteId: onlyAthlete } : {};
      if ((await models.Run.count({ where: { id, clubId, ...own } })) === 0) throw notFound("run");
      const rows = await sequelize.query<{ event: RunEvent; seq: string }>(
        `SELECT event, seq FROM run_events WHERE club_id = $1 AND run_id = $2 AND seq > $3
          ORDER BY seq LIMIT ${MOST.pressesTogether}`,
        { bind: [clubId, id, after], type: QueryTypes.SELECT },
      );
      const events = rows.map(({ event }) => event);
      return {
        events: onlyAthlete ? events.filter(isOwn) : events,
        last: Number(rows.at(-1)?.seq ?? after),
        more: rows.length === MOST.pressesTogether,
      };
    },
  );

  app.post(
    "/clubs/:clubId/runs",
    {
      config: { access: "run" },
      schema: { params: clubParamsSchema, body: runInputSchema, response: { 201: runSchema } },
    },
    async (request, reply) => {
      const asker = askerOf(request);
      const { clubId } = asker;
      const { id, startId, plan } = request.body;
      const make = async (transaction: Transaction) => {
        // Nobody moves it meanwhile: the move would not know of the run, nor the run of the move.
        const start = await models.Start.findOne({
          where: { id: startId, clubId },
          include: [{ association: "athlete", where: { clubId } }],
          lock: { level: transaction.LOCK.SHARE, of: models.Start },
          transaction,
        });
        if (!start) throw notFound("start");
        // Sent twice is made once; the first one stands.
        const before = await read(id, asker, transaction);
        if (before) return before;
        await checkQuota(context, models.Run, "runs", clubId, { clubId }, transaction);
        await checkQuota(context, models.Run, "runsOfStart", startId, { clubId, startId }, transaction);
        const { title, venue, zone, startsAt, athleteId } = start;
        const { athlete } = start as unknown as { athlete: AthleteRow };
        const about = { startId, athleteId, athleteName: athlete.name, title, venue, zone, startsAt };
        const summary = runSummary(plan, []);
        const [made] = await sequelize.query<{ id: string }>(
          `INSERT INTO runs (id, club_id, start_id, athlete_id, athlete_name, title, venue, zone, starts_at, plan, summary, summed,
              created_at)
            VALUES ($1, $2, $3, $4, $5, $6, $7, $8, $9, $10, $11, 0, date_trunc('milliseconds', now())) ON CONFLICT DO NOTHING RETURNING id`,
          {
            bind: [
              id,
              clubId,
              about.startId,
              about.athleteId,
              about.athleteName,
              about.title,
              about.venue,
              about.zone,
              about.startsAt,
              JSON.stringify(plan),
              JSON.stringify(summary),
            ],
            type: QueryTypes.SELECT,
            transaction,
          },
        );
        if (made) {
          await audit(context, transaction, request, "run.make", { clubId, id });
          // Begun by what a phone without a network knew: the start has moved since.
          if (Date.parse(plan.startsAt) !== startsAt.getTime())
            await noteMoves(
              context,
              clubId,
              [{ startId, startsAt: startsAt.toISOString() }],
              transaction,
              id,
            );
        }
        const run = await read(id, asker, transaction);
        if (!run) throw notFound("run");
        return run;
      };
      return write(context, reply, make, {
        status: 201,
        after: () => changes.publish({ clubId, topic: "runs" }),
      });
    },
  );

  app.post(
    "/clubs/:clubId/runs/:id/events",
    {
      config: { access: "run", along: record(context.pressAhead) },
      schema: {
        params: idParamsSchema,
        body: runEventsInputSchema,
        response: { 200: runEventsAnswerSchema },
      },
    },
    async (request) => {
      const { clubId } = askerOf(request);
      const { id } = request.params;
      const { events } = request.body;
      const { along } = sessionOf(request);
      if (along === null) throw notFound("run");
      if (along === "full") {
        throw new Refusal(
          "full",
          `This run has as many presses as one may have (${MOST.presses}). These were not recorded.`,
        );
      }
      // Whoever follows the run reads it again; the log does when it has been summed up.
      changes.publish({ clubId, topic: "runs", id, presses: events.map((e) => e.id) });
      if (events.some((e) => e.kind === "take")) changes.publish({ clubId, topic: "runs" });
      const isOver = events.some((e) => e.kind === "end");
      sumUpSoon(clubId, id, isOver ? 0 : SETTLES + SETTLES_EACH * Number(along));
      return { recorded: [...new Set(events.map((e) => e.id))] };
    },
  );
  done();
};

/** Runs after a place in the list, which is newest first. */
function beforeThat(cursor: string): WhereOptions<RunRow> {
  const [at = "", id = ""] = cursor.split("~");
  return {
    [Op.or]: [{ createdAt: { [Op.lt]: new Date(at) } }, { createdAt: new Date(at), id: { [Op.lt]: id } }],
  } as unknown as WhereOptions<RunRow>;
}

/** A run's events, of its own club: ids are unique within a club only. */
function eventsIn(clubId: string, only: WhereOptions = {}) {
  return { association: "events", separate: true, where: { clubId, ...only } };
}

type Joined = RunRow & { events: RunEventRow[] };

function toRun(row: Joined): Run {
  const { id, startId, athleteName, title, venue, zone, startsAt, plan, events } = row;
  return {
    id,
    startId,
    athleteName,
    title,
    venue,
    zone,
    startsAt: startsAt.toISOString(),
    plan,
    events: events
      .map(({ event }) => ({ event, at: Date.parse(event.at) }))
      .sort((a, b) => a.at - b.at)
      .map(({ event }) => event),
  };
}
