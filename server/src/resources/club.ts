import {
  clubDeletionSchema,
  clubInputSchema,
  clubParamsSchema,
  clubSchema,
  doneSchema,
} from "@tonodrome/core/api";
import { placeOf, sessionOf } from "../access/access";
import { audit } from "../access/audit";
import { checkHasOwner, lockClub } from "../access/ownership";
import { notFound, Refusal } from "../errors";
import type { Resource } from "./context";

const params = clubParamsSchema;

/** The club itself: its name, leaving it, and its end. */
export const club: Resource = (context) => (app, _options, done) => {
  const { sequelize, models, changes } = context;

  app.get(
    "/clubs/:clubId",
    { config: { access: "see" }, schema: { params, response: { 200: clubSchema } } },
    async (request) => {
      const row = await models.Club.findByPk(placeOf(request).clubId);
      if (!row) throw notFound("club");
      return { id: row.id, name: row.name };
    },
  );

  app.put(
    "/clubs/:clubId",
    {
      config: { access: "manage" },
      schema: { params, body: clubInputSchema, response: { 200: clubSchema } },
    },
    async (request) => {
      const { clubId } = placeOf(request);
      const { name } = request.body;
      await sequelize.transaction(async (transaction) => {
        await lockClub(context, clubId, transaction);
        await models.Club.update({ name }, { where: { id: clubId }, transaction });
        await audit(context, transaction, request, "club.rename", { clubId });
      });
      changes.publish({ clubId, topic: "club" });
      return { id: clubId, name };
    },
  );

  app.delete(
    "/clubs/:clubId",
    {
      config: { access: "manage" },
      schema: { params, body: clubDeletionSchema, response: { 200: doneSchema } },
    },
    async (request) => {
      const { clubId } = placeOf(request);
      await sequelize.transaction(async (transaction) => {
        await lockClub(context, clubId, transaction);
        const row = await models.Club.findByPk(clubId, { transaction });
        if (row?.name !== request.body.name.trim()) {
          throw new Refusal("invalid_input", "This is not the club's name. Nothing was deleted.", {
            path: "name",
          });
        }
        await models.Club.destroy({ where: { id: clubId }, transaction });
      });
      changes.publish({ clubId, topic: "club" });
      return { done: true as const };
    },
  );

  app.post(
    "/clubs/:clubId/leave",
    { config: { access: "see" }, schema: { params, response: { 200: doneSchema } } },
    async (request) => {
      const { clubId } = placeOf(request);
      const { userId } = sessionOf(request);
      await sequelize.transaction(async (transaction) => {
        await lockClub(context, clubId, transaction);
        await models.Member.destroy({ where: { clubId, userId }, transaction });
        await checkHasOwner(context, clubId, transaction);
        await audit(context, transaction, request, "member.remove", { clubId, id: userId });
      });
      changes.publish({ clubId, topic: "club" });
      return { done: true as const };
    },
  );
  done();
};
