import { randomUUID } from "node:crypto";
import { copyPlan, emptyPlan, type PlanBody } from "@tonodrome/core";
import {
  clubParamsSchema,
  doneSchema,
  idParamsSchema,
  MOST,
  movedStart,
  type Start,
  type StartInput,
  startDeletionSchema,
  startInputSchema,
  startListQuerySchema,
  startListSchema,
  startMoveSchema,
  startSchema,
  startWriteSchema,
  wholeStartsQuerySchema,
  wholeStartsSchema,
} from "@tonodrome/core/api";
import type { FastifyReply, FastifyRequest } from "fastify";
import { Op, type Transaction } from "sequelize";
import { type Asker, askerOf } from "../../access/access";
import { audit } from "../../access/audit";
import { checkQuota } from "../../access/quota";
import { glancesOf } from "../../answers/glances";
import { type Joined, joined, ownOf, startReader, toRow } from "../../answers/start";
import { notFound, Refusal, versionConflict } from "../../errors/refusal";
import type { Change } from "../../live/changes";
import { type Moved, noteMoves } from "../../write/noteMoves";
import { startTimes } from "../../write/startTimes";
import { write } from "../../write/write";
import { writeVersioned } from "../../write/writeVersioned";
import { checkAthlete, checkGroup } from "../club/athletes";
import { checkEvents } from "../club/events";
import type { Resource } from "../context";
import { changedFields, saysTheSame } from "./startChange";

/** A change of a start. */
interface Rewrite {
  /** The version it was made against. */
  against: number;
  /** Whether what stands already reads so. */
  isSame: (before: Start) => boolean;
  /** The press that moves it, where it has an id. */
  press?: Pick<Moved, "id" | "simulated">;
  /** What is written. @throws Refusal where it names what is not there */
  wanted: (before: Start, clubId: string, transaction: Transaction) => object | Promise<object>;
}

/** Starts with their plans. */
export const starts: Resource = (context) => (app, _options, done) => {
  const { sequelize, models, changes } = context;
  const { findWhole, read } = startReader(models);
  const params = idParamsSchema;
  const after = (clubId: string, id: string) => ({
    after: () => changes.publish({ clubId, topic: "starts", id }),
  });

  /** The plan of another start, with ids of its own. @throws Refusal `invalid_input` where there is no such start */
  async function copyOfPlan(asker: Asker, id: string, transaction: Transaction): Promise<PlanBody> {
    const [start] = await findWhole(asker, { id }, transaction);
    if (!start)
      throw new Refusal("invalid_input", "The start whose warm-up is to be copied is not there any more.", {
        path: "planOf",
      });
    return copyPlan(start.plan.body, randomUUID);
  }

  /** Gives a start the day of another one, where that has one. */
  async function copyDay(clubId: string, from: string, startId: string, transaction: Transaction) {
    const day = await models.Day.findOne({ where: { clubId, startId: from }, transaction });
    if (!day?.steps) return;
    await models.Day.create(
      { id: randomUUID(), clubId, startId, version: 1, steps: day.steps },
      { transaction },
    );
  }

  /** Writes some of a start as its next version, and keeps in the trail what reads differently. */
  function rewrite(
    request: FastifyRequest,
    reply: FastifyReply,
    id: string,
    { against, isSame, wanted, press }: Rewrite,
  ) {
    const asker = askerOf(request);
    const { clubId } = asker;
    let runs: Change[] = [];
    const change = (transaction: Transaction) =>
      writeVersioned(transaction, {
        what: "start",
        against,
        find: (locked) => models.Start.findOne({ where: { id, clubId }, ...locked }),
        answer: (): Promise<Start> => read(id, asker, transaction),
        isSame: (_, before) => isSame(before),
        change: async (row, next, before) => {
          const written = await wanted(before, clubId, transaction);
          await row.update({ ...written, version: next }, { transaction });
          const now = await read(id, asker, transaction);
          const changed = changedFields(before, now);
          if (changed.includes("startsAt")) {
            const moved = { startId: id, startsAt: now.startsAt, ...press };
            runs = await noteMoves(context, clubId, [moved], transaction);
          }
          const detail = { version: next, changed };
          await audit(context, transaction, request, "start.change", { clubId, id, detail });
          return now;
        },
      });
    return write(context, reply, change, {
      after: () => {
        changes.publish({ clubId, topic: "starts", id });
        for (const run of runs) changes.publish(run);
      },
    });
  }

  /** Of deleted starts beyond the most that can be had back the oldest are gone for good. */
  async function forgetDeleted(clubId: string, transaction: Transaction): Promise<void> {
    await sequelize.query(
      `DELETE FROM starts WHERE club_id = $1 AND id IN (
        SELECT id FROM starts WHERE club_id = $1 AND deleted_at IS NOT NULL ORDER BY deleted_at DESC, id OFFSET $2)`,
      { bind: [clubId, MOST.deletedStarts], transaction },
    );
  }

  app.get(
    "/clubs/:clubId/starts",
    {
      config: { access: "see" },
      schema: {
        params: clubParamsSchema,
        querystring: startListQuerySchema,
        response: { 200: startListSchema },
      },
    },
    async (request) => {
      const asker = askerOf(request);
      const { from, before, athleteId } = request.query;
      const startsAt = {
        ...(from ? { [Op.gte]: new Date(from) } : {}),
        ...(before ? { [Op.lt]: new Date(before) } : {}),
      };
      const rows = await models.Start.findAll({
        where: {
          // An athlete who asks for another's starts still gets none but their own.
          [Op.and]: [ownOf(asker), athleteId ? { athleteId } : {}, from || before ? { startsAt } : {}],
        },
        // What is large is read apart, when it changed.
        attributes: { exclude: ["setting"] },
        include: joined(asker, true),
        order: before ? [["startsAt", "DESC"], "id"] : ["startsAt", "id"],
        limit: before ? MOST.listedBefore : MOST.listedStarts,
      });
      return { starts: rows.map((row) => toRow(row as unknown as Joined)) };
    },
  );

  app.get(
    "/clubs/:clubId/starts/whole",
    {
      config: { access: "see" },
      schema: {
        params: clubParamsSchema,
        querystring: wholeStartsQuerySchema,
        response: { 200: wholeStartsSchema },
      },
    },
    async (request) => {
      const id = [...new Set(request.query.ids.split(","))];
      const whole = await findWhole(askerOf(request), { id });
      return { starts: whole, glances: await glancesOf(context.threads, whole, Date.now()) };
    },
  );

  app.get(
    "/clubs/:clubId/starts/:id",
    { config: { access: "see" }, schema: { params, response: { 200: startSchema } } },
    (request) => read(request.params.id, askerOf(request)),
  );

  app.post(
    "/clubs/:clubId/starts",
    {
      config: { access: "build" },
      schema: { params: clubParamsSchema, body: startInputSchema, response: { 201: startSchema } },
    },
    async (request, reply) => {
      const asker = askerOf(request);
      const { clubId } = asker;
      const { id = randomUUID(), planOf, ...input } = request.body;
      const make = async (transaction: Transaction) => {
        if ((await models.Start.count({ where: { id, clubId }, transaction })) > 0)
          return read(id, asker, transaction);
        await checkQuota(context, models.Start, "starts", clubId, { clubId }, transaction);
        await checkAthlete(context, input.athleteId, clubId, transaction);
        await checkGroup(context, input.setting.group, clubId, transaction);
        await checkEvents(context, eventsOf(input), clubId, "eventId", transaction);
        const body = planOf ? await copyOfPlan(asker, planOf, transaction) : emptyPlan();
        await models.Start.create({ id, clubId, version: 1, ...columns(input) }, { transaction });
        await models.Plan.create(
          { id: randomUUID(), clubId, startId: id, version: 1, body },
          { transaction },
        );
        if (planOf) await copyDay(clubId, planOf, id, transaction);
        await audit(context, transaction, request, "start.make", { clubId, id });
        return read(id, asker, transaction);
      };
      return write(context, reply, make, { status: 201, ...after(clubId, id) });
    },
  );

  app.put(
    "/clubs/:clubId/starts/:id",
    {
      config: { access: "build" },
      schema: { params, body: startWriteSchema, response: { 200: startSchema } },
    },
    (request, reply) => {
      const { version, ...input } = request.body;
      return rewrite(request, reply, request.params.id, {
        against: version,
        isSame: (before) => saysTheSame(before, input),
        wanted: async (before, clubId, transaction) => {
          await checkAthlete(context, input.athleteId, clubId, transaction);
          await checkGroup(context, input.setting.group, clubId, transaction);
          await checkEvents(context, eventsOf(input), clubId, "eventId", transaction);
          return columns({ listedAt: before.listedAt, ...input });
        },
      });
    },
  );

  app.post(
    "/clubs/:clubId/starts/:id/move",
    {
      // Whoever may run it learns first that it moved.
      config: { access: "run" },
      schema: { params, body: startMoveSchema, response: { 200: startSchema } },
    },
    (request, reply) => {
      const { version, startsAt, readyAt, id, simulated } = request.body;
      return rewrite(request, reply, request.params.id, {
        against: version,
        press: { id, simulated },
        isSame: (before) => Date.parse(before.startsAt) === Date.parse(startsAt),
        wanted: (before) =>
          startTimes({
            ...before,
            ...movedStart({ readyAt: readyAt ?? before.readyAt }, Date.parse(startsAt)),
          }),
      });
    },
  );

  app.post(
    "/clubs/:clubId/starts/:id/restore",
    { config: { access: "build" }, schema: { params, response: { 200: startSchema } } },
    async (request, reply) => {
      const asker = askerOf(request);
      const { clubId } = asker;
      const { id } = request.params;
      const restore = async (transaction: Transaction) => {
        const row = await models.Start.findOne({
          where: { id, clubId },
          paranoid: false,
          transaction,
          lock: true,
        });
        if (!row) throw notFound("start");
        // Asked for again because the answer was lost, it is there once.
        if (row.deletedAt === null) return read(id, asker, transaction);
        await checkQuota(context, models.Start, "starts", clubId, { clubId }, transaction);
        await row.restore({ transaction });
        await row.update({ version: row.version + 1 }, { transaction });
        await audit(context, transaction, request, "start.restore", { clubId, id });
        return read(id, asker, transaction);
      };
      return write(context, reply, restore, after(clubId, id));
    },
  );

  app.delete(
    "/clubs/:clubId/starts/:id",
    {
      config: { access: "build" },
      schema: { params, querystring: startDeletionSchema, response: { 200: doneSchema } },
    },
    async (request, reply) => {
      const asker = askerOf(request);
      const { clubId } = asker;
      const { id } = request.params;
      const { version } = request.query;
      const remove = async (transaction: Transaction) => {
        const row = await models.Start.findOne({ where: { id, clubId }, transaction, lock: true });
        if (!row) throw notFound("start");
        if (version !== undefined && row.version !== version)
          return versionConflict("start", await read(id, asker, transaction));
        await row.destroy({ transaction });
        await forgetDeleted(clubId, transaction);
        await audit(context, transaction, request, "start.delete", { clubId, id });
        return { done: true as const };
      };
      return write(context, reply, remove, after(clubId, id));
    },
  );
  done();
};

type Wanted = Omit<StartInput, "id">;

const columns = (input: Wanted) => ({ ...input, ...startTimes(input) });

const eventsOf = ({ eventId }: Pick<StartInput, "eventId">) => (eventId ? [eventId] : []);
