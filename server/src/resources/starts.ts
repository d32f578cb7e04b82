import { randomUUID } from "node:crypto";
import { emptyPlan } from "@tonodrome/core";
import {
  idParamsSchema,
  type Start,
  type StartInput,
  startInputSchema,
  startListQuerySchema,
  startListSchema,
  startSchema,
  startWriteSchema,
} from "@tonodrome/core/api";
import { Op, type Transaction } from "sequelize";
import type { AthleteRow, PlanRow, StartRow } from "../db/models";
import { notFound, Refusal, versionConflict } from "../errors";
import type { Resource } from "./context";
import { toPlan } from "./plans";

/** Most starts one answer holds; Today never needs more. */
const MOST = 100;

export const starts: Resource =
  ({ sequelize, models, clubOf }) =>
  (app, _options, done) => {
    const include = ["athlete", "plan"];

    async function read(id: string, clubId: string, transaction?: Transaction): Promise<Start> {
      const row = await models.Start.findOne({ where: { id, clubId }, include, transaction });
      if (!row) throw notFound("start");
      return toStart(row as unknown as Joined);
    }

    async function athleteOf(input: StartInput, clubId: string): Promise<void> {
      const athlete = await models.Athlete.findOne({ where: { id: input.athleteId, clubId } });
      if (athlete) return;
      throw new Refusal("invalid_input", "This athlete is not in the club. Choose another.", {
        path: "athleteId",
      });
    }

    app.get(
      "/starts",
      { schema: { querystring: startListQuerySchema, response: { 200: startListSchema } } },
      async (request) => {
        const { from } = request.query;
        const rows = await models.Start.findAll({
          where: { clubId: await clubOf(), ...(from ? { startsAt: { [Op.gte]: new Date(from) } } : {}) },
          include,
          order: ["startsAt", "id"],
          limit: MOST,
        });
        return { starts: rows.map((row) => toStart(row as unknown as Joined)) };
      },
    );

    app.get(
      "/starts/:id",
      { schema: { params: idParamsSchema, response: { 200: startSchema } } },
      async (request) => read(request.params.id, await clubOf()),
    );

    app.post(
      "/starts",
      { schema: { body: startInputSchema, response: { 201: startSchema } } },
      async (request, reply) => {
        const clubId = await clubOf();
        await athleteOf(request.body, clubId);
        const start = await sequelize.transaction(async (transaction) => {
          const id = randomUUID();
          await models.Start.create({ id, clubId, version: 1, ...columns(request.body) }, { transaction });
          await models.Plan.create(
            { id: randomUUID(), clubId, startId: id, version: 1, body: emptyPlan() },
            { transaction },
          );
          return read(id, clubId, transaction);
        });
        return reply.code(201).send(start);
      },
    );

    app.put(
      "/starts/:id",
      { schema: { params: idParamsSchema, body: startWriteSchema, response: { 200: startSchema } } },
      async (request) => {
        const clubId = await clubOf();
        const { version, ...input } = request.body;
        await athleteOf(input, clubId);
        const { id } = request.params;
        const [count] = await models.Start.update(
          { ...columns(input), version: version + 1 },
          { where: { id, clubId, version } },
        );
        const current = await read(id, clubId);
        // Nothing changed, and yet it reads as asked: this edit came through before, and its answer was lost.
        const repeated = current.version === version + 1 && saysTheSame(current, input);
        if (count === 0 && !repeated) throw versionConflict("start", current);
        return current;
      },
    );

    app.delete("/starts/:id", { schema: { params: idParamsSchema } }, async (request, reply) => {
      const count = await models.Start.destroy({ where: { id: request.params.id, clubId: await clubOf() } });
      if (count === 0) throw notFound("start");
      return reply.code(204).send();
    });
    done();
  };

type Joined = StartRow & { athlete: AthleteRow; plan: PlanRow };

function toStart(row: Joined): Start {
  const { id, version, athlete, title, venue, zone, startsAt, readyAt, plan } = row;
  return {
    id,
    version,
    athlete: { id: athlete.id, name: athlete.name },
    title,
    venue,
    zone,
    startsAt: startsAt.toISOString(),
    readyAt: readyAt.toISOString(),
    plan: toPlan(plan),
  };
}

function columns(input: StartInput) {
  return { ...input, startsAt: new Date(input.startsAt), readyAt: new Date(input.readyAt) };
}

function saysTheSame(start: Start, input: StartInput): boolean {
  const sameTime = (a: string, b: string) => Date.parse(a) === Date.parse(b);
  return (
    start.athlete.id === input.athleteId &&
    start.title === input.title &&
    start.venue === input.venue &&
    start.zone === input.zone &&
    sameTime(start.startsAt, input.startsAt) &&
    sameTime(start.readyAt, input.readyAt)
  );
}
