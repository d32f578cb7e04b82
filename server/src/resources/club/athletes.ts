import { randomUUID } from "node:crypto";
import { isDeepStrictEqual } from "node:util";
import { noProfile } from "@tonodrome/core";
import {
  athleteInputSchema,
  athleteListSchema,
  athleteSchema,
  athleteWriteSchema,
  clubParamsSchema,
  doneSchema,
  idParamsSchema,
} from "@tonodrome/core/api";
import type { Transaction } from "sequelize";
import { askerOf } from "../../access/access";
import { anonymise } from "../../access/anonymise";
import { audit } from "../../access/audit";
import { leaveGroups } from "../../access/leaveGroups";
import { checkQuota } from "../../access/quota";
import { toAthlete } from "../../answers/athlete";
import type { Database } from "../../db/connect";
import { notFound, Refusal } from "../../errors/refusal";
import type { Change } from "../../live/changes";
import { write } from "../../write/write";
import { writeVersioned } from "../../write/writeVersioned";
import type { Resource } from "../context";
import { checkEvents } from "./events";

/** The club's athletes, and the two ways to take one's person out of it. */
export const athletes: Resource = (context) => (app, _options, done) => {
  const { models, changes } = context;
  const after = (clubId: string, ...topics: Change["topic"][]) => ({
    after: () => {
      for (const topic of topics) changes.publish({ clubId, topic });
    },
  });

  app.get(
    "/clubs/:clubId/athletes",
    { config: { access: "see" }, schema: { params: clubParamsSchema, response: { 200: athleteListSchema } } },
    async (request) => {
      const { clubId, onlyAthlete } = askerOf(request);
      const where = { clubId, ...(onlyAthlete ? { id: onlyAthlete } : {}) };
      const rows = await models.Athlete.findAll({ where, order: ["name", "id"] });
      return { athletes: rows.map(toAthlete) };
    },
  );

  app.post(
    "/clubs/:clubId/athletes",
    {
      config: { access: "build" },
      schema: { params: clubParamsSchema, body: athleteInputSchema, response: { 201: athleteSchema } },
    },
    async (request, reply) => {
      const { clubId } = askerOf(request);
      const { id = randomUUID(), name, profile = noProfile() } = request.body;
      const make = async (transaction: Transaction) => {
        const before = await models.Athlete.findOne({ where: { clubId, id }, transaction });
        if (before) return toAthlete(before);
        await checkQuota(context, models.Athlete, "athletes", clubId, { clubId }, transaction);
        await checkEvents(context, profile.eventIds, clubId, "profile.eventIds", transaction);
        const made = await models.Athlete.create({ id, clubId, version: 1, name, profile }, { transaction });
        await audit(context, transaction, request, "athlete.make", { clubId, id });
        return toAthlete(made);
      };
      return write(context, reply, make, { status: 201, ...after(clubId, "athletes") });
    },
  );

  app.put(
    "/clubs/:clubId/athletes/:id",
    {
      config: { access: "build" },
      schema: { params: idParamsSchema, body: athleteWriteSchema, response: { 200: athleteSchema } },
    },
    async (request, reply) => {
      const { clubId } = askerOf(request);
      const { id } = request.params;
      const { version, ...wanted } = request.body;
      const change = (transaction: Transaction) =>
        writeVersioned(transaction, {
          what: "athlete",
          against: version,
          find: (locked) => models.Athlete.findOne({ where: { id, clubId }, ...locked }),
          answer: toAthlete,
          isSame: ({ name, profile }) => isDeepStrictEqual({ name, profile }, wanted),
          change: async (row, next) => {
            await checkEvents(context, wanted.profile.eventIds, clubId, "profile.eventIds", transaction);
            await row.update({ ...wanted, version: next }, { transaction });
            const detail = { version: next };
            await audit(context, transaction, request, "athlete.change", { clubId, id, detail });
            return toAthlete(row);
          },
        });
      return write(context, reply, change, after(clubId, "athletes", "starts"));
    },
  );

  app.post(
    "/clubs/:clubId/athletes/:id/anonymise",
    { config: { access: "manage" }, schema: { params: idParamsSchema, response: { 200: athleteSchema } } },
    async (request, reply) => {
      const { clubId } = askerOf(request);
      const { id } = request.params;
      const takeAway = async (transaction: Transaction) => {
        const athlete = await anonymise(context, clubId, id, transaction);
        await audit(context, transaction, request, "athlete.anonymise", { clubId, id });
        return toAthlete(athlete);
      };
      return write(
        context,
        reply,
        takeAway,
        after(clubId, "athletes", "starts", "runs", "templates", "drills", "club"),
      );
    },
  );

  app.delete(
    "/clubs/:clubId/athletes/:id",
    { config: { access: "manage" }, schema: { params: idParamsSchema, response: { 200: doneSchema } } },
    async (request, reply) => {
      const { clubId } = askerOf(request);
      const { id } = request.params;
      const remove = async (transaction: Transaction) => {
        const count = await models.Athlete.destroy({ where: { clubId, id }, transaction });
        if (count === 0) throw notFound("athlete");
        await leaveGroups(context, clubId, id, transaction);
        await audit(context, transaction, request, "athlete.delete", { clubId, id });
        return { done: true as const };
      };
      return write(context, reply, remove, after(clubId, "athletes", "starts", "runs", "club"));
    },
  );
  done();
};

/** @throws Refusal `invalid_input` at `athleteId` when a named athlete is not in the club */
export async function checkAthlete(
  { models }: Database,
  athleteId: string | null,
  clubId: string,
  transaction: Transaction,
): Promise<void> {
  if (athleteId === null) return;
  if (await models.Athlete.findOne({ where: { id: athleteId, clubId }, transaction })) return;
  throw new Refusal("invalid_input", "This athlete is not in the club. Choose another.", {
    path: "athleteId",
  });
}

/** @throws Refusal `invalid_input` where one of a group is not in the club */
export async function checkGroup(
  { models }: Database,
  group: readonly string[] | undefined,
  clubId: string,
  transaction: Transaction,
): Promise<void> {
  if (!group || group.length === 0) return;
  const known = await models.Athlete.count({ where: { id: [...group], clubId }, transaction });
  if (known === group.length) return;
  throw new Refusal("invalid_input", "Somebody in this group is not in the club. Take them out of it.", {
    path: "setting.group",
  });
}
