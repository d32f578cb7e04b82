import { runSummary } from "@tonodrome/core";
import {
  clubParamsSchema,
  idParamsSchema,
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
import { literal, Op, type WhereOptions } from "sequelize";
import { type Place, placeOf, sessionOf } from "../access/access";
import { audit } from "../access/audit";
import type { Along } from "../access/session";
import type { AthleteRow, RunEventRow, RunRow } from "../db/models/rows";
import { notFound } from "../errors";
import type { Resource } from "./context";

const PAGE = 30;

/**
 * Records presses, each once however often it is sent, and only into a run of this club: all of it in the statement that
 * also finds out who asks, because in a hall every press waits for this.
 */
const RECORD: Along = {
  name: "record presses",
  steps: `
    run AS (
      SELECT r.club_id, r.id FROM runs r, asker
      WHERE r.club_id = $2 AND r.id = $3 AND asker.role IN ('${rolesThat("run").join("', '")}')),
    added AS (
      INSERT INTO run_events (club_id, run_id, id, event)
      SELECT run.club_id, run.id, (e ->> 'id')::uuid, e FROM run, jsonb_array_elements($4::jsonb) e
      ON CONFLICT DO NOTHING)`,
  sql: "SELECT run.id::text FROM run",
  values: (body) => [JSON.stringify((body as RunEventsInput).events)],
};

/** Runs and their presses. */
export const runs: Resource = (context) => (app, _options, done) => {
  const { sequelize, models, changes } = context;

  async function read(id: string, { clubId, onlyAthlete }: Place): Promise<Run | null> {
    const row = await models.Run.findOne({
      where: { id, clubId, ...(onlyAthlete ? { athleteId: onlyAthlete } : {}) },
      include: [eventsIn(clubId)],
    });
    return row && toRun(row as unknown as Joined);
  }

  app.get(
    "/clubs/:clubId/runs",
    {
      config: { access: "see" },
      schema: { params: clubParamsSchema, querystring: runListQuerySchema, response: { 200: runListSchema } },
    },
    async (request) => {
      const { clubId, onlyAthlete } = placeOf(request);
      const { before } = request.query;
      const rows = await models.Run.findAll({
        where: {
          clubId,
          ...(onlyAthlete ? { athleteId: onlyAthlete } : {}),
          ...(before ? { createdAt: { [Op.lt]: new Date(before) } } : {}),
        },
        // A row of the log says nothing of heart rates, nor of what the plan was fitted from.
        attributes: { exclude: ["plan"], include: [[literal(`"Run"."plan" - 'source'`), "plan"]] },
        include: [eventsIn(clubId, { event: { kind: { [Op.ne]: "pulse" } } })],
        order: [["createdAt", "DESC"]],
        limit: PAGE + 1,
      });
      const page = rows.slice(0, PAGE);
      return {
        runs: page.map((row) => {
          const { plan, events, ...about } = toRun(row as unknown as Joined);
          return { ...about, ...runSummary(plan, events) };
        }),
        next: rows.length > PAGE ? (page.at(-1)?.createdAt.toISOString() ?? null) : null,
      };
    },
  );

  app.get(
    "/clubs/:clubId/runs/:id",
    { config: { access: "see" }, schema: { params: idParamsSchema, response: { 200: runSchema } } },
    async (request) => {
      const run = await read(request.params.id, placeOf(request));
      if (!run) throw notFound("run");
      return run;
    },
  );

  app.post(
    "/clubs/:clubId/runs",
    {
      config: { access: "run" },
      schema: { params: clubParamsSchema, body: runInputSchema, response: { 201: runSchema } },
    },
    async (request, reply) => {
      const place = placeOf(request);
      const { clubId } = place;
      const { id, startId, plan } = request.body;
      await sequelize.transaction(async (transaction) => {
        const start = await models.Start.findOne({
          where: { id: startId, clubId },
          include: [{ association: "athlete", where: { clubId } }],
          transaction,
        });
        if (!start) throw notFound("start");
        const { title, venue, zone, startsAt, athleteId } = start;
        const { athlete } = start as unknown as { athlete: AthleteRow };
        const about = { startId, athleteId, athleteName: athlete.name, title, venue, zone, startsAt };
        // Sent twice is made once; the first one stands.
        const before = await models.Run.count({ where: { id, clubId }, transaction });
        await models.Run.bulkCreate([{ id, clubId, ...about, plan }], {
          ignoreDuplicates: true,
          transaction,
        });
        if (before === 0) await audit(context, transaction, request, "run.make", { clubId, id });
      });
      const run = await read(id, place);
      if (!run) throw notFound("run");
      changes.publish({ clubId, topic: "runs", id });
      return reply.code(201).send(run);
    },
  );

  app.post(
    "/clubs/:clubId/runs/:id/events",
    {
      config: { access: "run", along: RECORD },
      schema: {
        params: idParamsSchema,
        body: runEventsInputSchema,
        response: { 200: runEventsAnswerSchema },
      },
    },
    async (request) => {
      const { clubId } = placeOf(request);
      const { id } = request.params;
      const { events } = request.body;
      if (sessionOf(request).along === null) throw notFound("run");
      changes.publish({ clubId, topic: "runs", id });
      return { recorded: [...new Set(events.map((e) => e.id))] };
    },
  );
  done();
};

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
    events: events.map((e) => e.event).sort((a, b) => Date.parse(a.at) - Date.parse(b.at)),
  };
}
