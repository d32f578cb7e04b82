import { randomBytes, randomUUID } from "node:crypto";
import { isDeepStrictEqual } from "node:util";
import { noProfile } from "@tonodrome/core";
import {
  type Athlete,
  athleteInputSchema,
  athleteListSchema,
  athleteSchema,
  athleteWriteSchema,
  clubParamsSchema,
  doneSchema,
  idParamsSchema,
} from "@tonodrome/core/api";
import type { Transaction } from "sequelize";
import { placeOf } from "../access/access";
import { audit } from "../access/audit";
import type { Database } from "../db/connect";
import type { AthleteRow } from "../db/models/rows";
import { notFound, Refusal, versionConflict } from "../errors";
import type { Change } from "../live/changes";
import type { Resource } from "./context";
import { checkEvents } from "./events";

/** The club's athletes, and the two ways to take one's person out of it. */
export const athletes: Resource = (context) => (app, _options, done) => {
  const { sequelize, models, changes } = context;
  const publish = (clubId: string, ...topics: Change["topic"][]) => {
    for (const topic of topics) changes.publish({ clubId, topic });
  };

  app.get(
    "/clubs/:clubId/athletes",
    { config: { access: "see" }, schema: { params: clubParamsSchema, response: { 200: athleteListSchema } } },
    async (request) => {
      const { clubId, onlyAthlete } = placeOf(request);
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
      const { clubId } = placeOf(request);
      const { name, profile = noProfile() } = request.body;
      const athlete = { id: randomUUID(), version: 1, name, profile };
      await sequelize.transaction(async (transaction) => {
        await checkEvents(context, profile.eventIds, clubId, "profile.eventIds", transaction);
        await models.Athlete.create({ ...athlete, clubId }, { transaction });
        await audit(context, transaction, request, "athlete.make", { clubId, id: athlete.id });
      });
      publish(clubId, "athletes");
      return reply.code(201).send(athlete);
    },
  );

  app.put(
    "/clubs/:clubId/athletes/:id",
    {
      config: { access: "build" },
      schema: { params: idParamsSchema, body: athleteWriteSchema, response: { 200: athleteSchema } },
    },
    async (request) => {
      const { clubId } = placeOf(request);
      const { id } = request.params;
      const { version, ...wanted } = request.body;
      const { row, isRefused } = await sequelize.transaction(async (transaction) => {
        const found = await models.Athlete.findOne({
          where: { id, clubId },
          transaction,
          lock: transaction.LOCK.UPDATE,
        });
        if (!found) throw notFound("athlete");
        const { name, profile } = found;
        // The same edit again: its answer was lost on the way, so it counts as saved.
        if (found.version === version + 1 && isDeepStrictEqual({ name, profile }, wanted))
          return { row: found, isRefused: false };
        if (found.version !== version) return { row: found, isRefused: true };
        await checkEvents(context, wanted.profile.eventIds, clubId, "profile.eventIds", transaction);
        await found.update({ ...wanted, version: version + 1 }, { transaction });
        await audit(context, transaction, request, "athlete.change", {
          clubId,
          id,
          detail: { version: version + 1 },
        });
        return { row: found, isRefused: false };
      });
      if (isRefused) throw versionConflict("athlete", toAthlete(row));
      publish(clubId, "athletes", "starts");
      return toAthlete(row);
    },
  );

  app.post(
    "/clubs/:clubId/athletes/:id/anonymise",
    { config: { access: "manage" }, schema: { params: idParamsSchema, response: { 200: athleteSchema } } },
    async (request) => {
      const { clubId } = placeOf(request);
      const { id } = request.params;
      const name = `Athlete ${randomBytes(3).toString("hex")}`;
      const after = await sequelize.transaction(async (transaction) => {
        const athlete = await models.Athlete.findOne({
          where: { clubId, id },
          transaction,
          lock: transaction.LOCK.UPDATE,
        });
        if (!athlete) throw notFound("athlete");
        const replacements = { clubId, id, old: athlete.name, name };
        const own = "WHERE club_id = :clubId AND athlete_id = :id";
        for (const statement of [
          // What is said of health and in free words goes with the name.
          `UPDATE athletes SET name = :name, version = version + 1,
            profile = profile || '{"notes": "", "protectedAreas": []}' WHERE club_id = :clubId AND id = :id`,
          `UPDATE starts SET title = left(replace(title, :old, :name), 120), version = version + 1 ${own}`,
          `UPDATE runs SET athlete_name = :name, title = left(replace(title, :old, :name), 120) ${own}`,
          // Nobody is to be known as this athlete any more: not by an account, an invitation or a link.
          `UPDATE members SET athlete_id = NULL ${own}`,
          `UPDATE invites SET withdrawn_at = now() ${own} AND withdrawn_at IS NULL`,
          `UPDATE shares SET withdrawn_at = now() WHERE club_id = :clubId AND withdrawn_at IS NULL
            AND start_id IN (SELECT id FROM starts ${own})`,
        ]) {
          await sequelize.query(statement, { replacements, transaction });
        }
        await audit(context, transaction, request, "athlete.anonymise", { clubId, id });
        return athlete.reload({ transaction });
      });
      publish(clubId, "athletes", "starts", "runs", "club");
      return toAthlete(after);
    },
  );

  app.delete(
    "/clubs/:clubId/athletes/:id",
    { config: { access: "manage" }, schema: { params: idParamsSchema, response: { 200: doneSchema } } },
    async (request) => {
      const { clubId } = placeOf(request);
      const { id } = request.params;
      await sequelize.transaction(async (transaction) => {
        const count = await models.Athlete.destroy({ where: { clubId, id }, transaction });
        if (count === 0) throw notFound("athlete");
        await audit(context, transaction, request, "athlete.delete", { clubId, id });
      });
      publish(clubId, "athletes", "starts", "runs", "club");
      return { done: true as const };
    },
  );
  done();
};

/** The answer for an athlete's row. */
export function toAthlete({ id, version, name, profile }: AthleteRow): Athlete {
  return { id, version, name, profile };
}

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
