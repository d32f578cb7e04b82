import {
  clubDeletionSchema,
  clubInputSchema,
  clubParamsSchema,
  clubSchema,
  doneSchema,
} from "@tonodrome/core/api";
import { askerOf, sessionOf } from "../../access/access";
import { audit } from "../../access/audit";
import { checkHasOwner, lockClub } from "../../access/ownership";
import { endRights } from "../../access/rights";
import { notFound, Refusal } from "../../errors/refusal";
import { write } from "../../write/write";
import type { Resource } from "../context";

const params = clubParamsSchema;

/** The club itself: its name, leaving it, and its end. */
export const club: Resource = (context) => (app, _options, done) => {
  const { models, changes } = context;
  const after = (clubId: string) => ({ after: () => changes.publish({ clubId, topic: "club" }) });

  app.get(
    "/clubs/:clubId",
    { config: { access: "see" }, schema: { params, response: { 200: clubSchema } } },
    async (request) => {
      const row = await models.Club.findByPk(askerOf(request).clubId);
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
    async (request, reply) => {
      const { clubId } = askerOf(request);
      const { name } = request.body;
      return write(
        context,
        reply,
        async (transaction) => {
          await lockClub(context, clubId, transaction);
          await models.Club.update({ name }, { where: { id: clubId }, transaction });
          await audit(context, transaction, request, "club.rename", { clubId });
          return { id: clubId, name };
        },
        after(clubId),
      );
    },
  );

  app.delete(
    "/clubs/:clubId",
    {
      config: { access: "manage" },
      schema: { params, body: clubDeletionSchema, response: { 200: doneSchema } },
    },
    async (request, reply) => {
      const { clubId } = askerOf(request);
      return write(
        context,
        reply,
        async (transaction) => {
          await lockClub(context, clubId, transaction);
          const row = await models.Club.findByPk(clubId, { transaction });
          if (row?.name !== request.body.name.trim()) {
            throw new Refusal("invalid_input", "This is not the club's name. Nothing was deleted.", {
              path: "name",
            });
          }
          await models.Club.destroy({ where: { id: clubId }, transaction });
          return { done: true as const };
        },
        after(clubId),
      );
    },
  );

  app.post(
    "/clubs/:clubId/leave",
    { config: { access: "see" }, schema: { params, response: { 200: doneSchema } } },
    async (request, reply) => {
      const { clubId } = askerOf(request);
      const { userId } = sessionOf(request);
      return write(
        context,
        reply,
        async (transaction) => {
          await lockClub(context, clubId, transaction);
          await models.Member.destroy({ where: { clubId, userId }, transaction });
          await checkHasOwner(context, clubId, transaction);
          await endRights(context, clubId, userId, transaction);
          await audit(context, transaction, request, "member.remove", { clubId, id: userId });
          return { done: true as const };
        },
        after(clubId),
      );
    },
  );
  done();
};
