import {
  clubParamsSchema,
  doneSchema,
  type Member,
  memberListSchema,
  memberParamsSchema,
  memberSchema,
  memberWriteSchema,
} from "@tonodrome/core/api";
import type { Transaction } from "sequelize";
import { askerOf } from "../../access/access";
import { audit } from "../../access/audit";
import { checkHasOwner, lockClub } from "../../access/ownership";
import { endRights } from "../../access/rights";
import type { MemberRow, UserRow } from "../../db/models/rows";
import { notFound, Refusal } from "../../errors/refusal";
import { write } from "../../write/write";
import type { Resource } from "../context";
import { checkAthlete } from "./athletes";

const config = { access: "manage" } as const;

/** Who belongs to the club, and as what. */
export const members: Resource = (context) => (app, _options, done) => {
  const { models, changes } = context;
  const after = (clubId: string) => ({ after: () => changes.publish({ clubId, topic: "club" }) });

  app.get(
    "/clubs/:clubId/members",
    { config, schema: { params: clubParamsSchema, response: { 200: memberListSchema } } },
    async (request) => {
      const { clubId } = askerOf(request);
      const rows = await models.Member.findAll({
        where: { clubId },
        include: ["user"],
        order: ["joinedAt", "userId"],
      });
      return { members: rows.map((row) => toMember(row as unknown as Joined)) };
    },
  );

  app.put(
    "/clubs/:clubId/members/:userId",
    {
      config,
      schema: { params: memberParamsSchema, body: memberWriteSchema, response: { 200: memberSchema } },
    },
    async (request, reply) => {
      const { clubId } = askerOf(request);
      const { userId } = request.params;
      const { role, athleteId, was } = request.body;
      const change = async (transaction: Transaction) => {
        await lockClub(context, clubId, transaction);
        await checkAthlete(context, athleteId, clubId, transaction);
        const row = await models.Member.findOne({
          where: { clubId, userId },
          include: ["user"],
          transaction,
        });
        if (!row) throw notFound("member");
        const { role: now } = row;
        const current = toMember(row as unknown as Joined);
        if (now !== was && now !== role) {
          throw new Refusal(
            "version_conflict",
            `Someone else made them ${now} in the meantime. Nothing was changed.`,
            { path: "was", current },
          );
        }
        await models.Member.update({ role, athleteId }, { where: { clubId, userId }, transaction });
        await checkHasOwner(context, clubId, transaction);
        await endRights(context, clubId, userId, transaction);
        await audit(context, transaction, request, "member.change", {
          clubId,
          id: userId,
          detail: { from: now, to: role },
        });
        return { ...current, role, athleteId };
      };
      return write(context, reply, change, after(clubId));
    },
  );

  app.delete(
    "/clubs/:clubId/members/:userId",
    { config, schema: { params: memberParamsSchema, response: { 200: doneSchema } } },
    async (request, reply) => {
      const { clubId } = askerOf(request);
      const { userId } = request.params;
      const remove = async (transaction: Transaction) => {
        await lockClub(context, clubId, transaction);
        const count = await models.Member.destroy({ where: { clubId, userId }, transaction });
        if (count === 0) throw notFound("member");
        await checkHasOwner(context, clubId, transaction);
        await endRights(context, clubId, userId, transaction);
        await audit(context, transaction, request, "member.remove", { clubId, id: userId });
        return { done: true as const };
      };
      return write(context, reply, remove, after(clubId));
    },
  );
  done();
};

type Joined = MemberRow & { user: UserRow };

function toMember({ userId, role, athleteId, joinedAt, user }: Joined): Member {
  return { userId, name: user.name, email: user.email, role, athleteId, joinedAt: joinedAt.toISOString() };
}
