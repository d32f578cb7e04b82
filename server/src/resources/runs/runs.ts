import { type RunEvent, runSummary } from "@tonodrome/core";
import {
  clubParamsSchema,
  idParamsSchema,
  MOST,
  newPressesQuerySchema,
  newPressesSchema,
  runEventsAnswerSchema,
  runEventsInputSchema,
  runInputSchema,
  runListQuerySchema,
  runListSchema,
  runSchema,
} from "@tonodrome/core/api";
import { Op, QueryTypes, type Transaction, type WhereOptions } from "sequelize";
import { type Asker, askerOf, sessionOf } from "../../access/access";
import { audit } from "../../access/audit";
import { checkQuota } from "../../access/quota";
import { isOfOneself, readRun } from "../../answers/run";
import type { AthleteRow, RunRow } from "../../db/models/rows";
import { notFound, Refusal } from "../../errors/refusal";
import { noteMoves } from "../../write/noteMoves";
import { write } from "../../write/write";
import type { Resource } from "../context";
import { recordPresses } from "./recordPresses";
import { makeSumming } from "./summing";

const PAGE = 30;

/** Runs and their presses. */
export const runs: Resource = (context) => (app, _options, done) => {
  const { sequelize, models, changes } = context;
  const read = (id: string, asker: Asker, transaction?: Transaction) =>
    readRun(models, id, asker, transaction);
  const summing = makeSumming({ models, changes });
  app.addHook("onClose", async () => summing.end());

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
        const sum = row.summed === row.presses && row.summary ? row.summary : await summing.sumUp(clubId, id);
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
        events: onlyAthlete ? events.filter(isOfOneself) : events,
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
      config: { access: "run", along: recordPresses(context.pressAhead) },
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
      summing.sumUpSoon(clubId, id, isOver ? null : Number(along));
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
