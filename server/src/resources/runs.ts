import { runSummary } from "@tonodrome/core";
import {
  idParamsSchema,
  type Run,
  runEventsAnswerSchema,
  runEventsInputSchema,
  runInputSchema,
  runListQuerySchema,
  runListSchema,
  runSchema,
} from "@tonodrome/core/api";
import { Op } from "sequelize";
import type { AthleteRow, RunEventRow, RunRow } from "../db/models";
import { notFound } from "../errors";
import type { Resource } from "./context";

const PAGE = 30;

export const runs: Resource =
  ({ models, clubOf }) =>
  (app, _options, done) => {
    async function read(id: string, clubId: string): Promise<Run | null> {
      const row = await models.Run.findOne({ where: { id, clubId }, include: ["events"] });
      return row && toRun(row as unknown as Joined);
    }

    app.get(
      "/runs",
      { schema: { querystring: runListQuerySchema, response: { 200: runListSchema } } },
      async (request) => {
        const { before } = request.query;
        const rows = await models.Run.findAll({
          where: {
            clubId: await clubOf(),
            ...(before ? { createdAt: { [Op.lt]: new Date(before) } } : {}),
          },
          include: [{ association: "events", separate: true }],
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
      "/runs/:id",
      { schema: { params: idParamsSchema, response: { 200: runSchema } } },
      async (request) => {
        const run = await read(request.params.id, await clubOf());
        if (!run) throw notFound("run");
        return run;
      },
    );

    app.post(
      "/runs",
      { schema: { body: runInputSchema, response: { 201: runSchema } } },
      async (request, reply) => {
        const clubId = await clubOf();
        const { id, startId, plan } = request.body;
        const start = await models.Start.findOne({ where: { id: startId, clubId }, include: ["athlete"] });
        if (!start) throw notFound("start");
        const { title, venue, zone, startsAt } = start;
        const { athlete } = start as unknown as { athlete: AthleteRow };
        // Sent twice is made once; the first one stands.
        await models.Run.bulkCreate(
          [{ id, clubId, startId, athleteName: athlete.name, title, venue, zone, startsAt, plan }],
          { ignoreDuplicates: true },
        );
        const run = await read(id, clubId);
        if (!run) throw notFound("run");
        return reply.code(201).send(run);
      },
    );

    app.post(
      "/runs/:id/events",
      {
        schema: {
          params: idParamsSchema,
          body: runEventsInputSchema,
          response: { 200: runEventsAnswerSchema },
        },
      },
      async (request) => {
        const clubId = await clubOf();
        const run = await models.Run.findOne({
          where: { id: request.params.id, clubId },
          attributes: ["id"],
        });
        if (!run) throw notFound("run");
        const { events } = request.body;
        await models.RunEvent.bulkCreate(
          events.map((event) => ({ id: event.id, clubId, runId: run.id, event })),
          { ignoreDuplicates: true },
        );
        return { recorded: [...new Set(events.map((e) => e.id))] };
      },
    );
    done();
  };

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
