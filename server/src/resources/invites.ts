import { randomUUID } from "node:crypto";
import {
  clubParamsSchema,
  doneSchema,
  idParamsSchema,
  invitationSchema,
  inviteInputSchema,
  inviteListSchema,
  joinSchema,
  membershipSchema,
  meSchema,
  newInviteSchema,
  tokenParamsSchema,
} from "@tonodrome/core/api";
import type { FastifyRequest } from "fastify";
import { Op, type Transaction } from "sequelize";
import { placeOf, sessionOf } from "../access/access";
import { makeAccount } from "../access/account";
import { audit } from "../access/audit";
import { meOf } from "../access/memberships";
import { lockClub } from "../access/ownership";
import { beginSession } from "../access/session";
import { hashOf, newToken } from "../access/token";
import type { InviteRow } from "../db/models/rows";
import { notFound, Refusal } from "../errors";
import { checkAthlete } from "./athletes";
import type { Resource } from "./context";

/** How long an invitation can be used, milliseconds. */
const LIFE = 7 * 86_400_000;

const manage = { access: "manage" } as const;

/** Invitations into a club: made and withdrawn by its owners, used once by whoever holds the link. */
export const invites: Resource = (context) => (app, _options, done) => {
  const { sequelize, models, changes, limits } = context;
  const open = { usedAt: null, withdrawnAt: null };

  app.get(
    "/clubs/:clubId/invites",
    { config: manage, schema: { params: clubParamsSchema, response: { 200: inviteListSchema } } },
    async (request) => {
      const { clubId } = placeOf(request);
      const rows = await models.Invite.findAll({
        where: { clubId, ...open, expiresAt: { [Op.gt]: new Date() } },
        order: ["expiresAt", "id"],
      });
      return { invites: rows.map(toInvite) };
    },
  );

  app.post(
    "/clubs/:clubId/invites",
    {
      config: manage,
      schema: { params: clubParamsSchema, body: inviteInputSchema, response: { 201: newInviteSchema } },
    },
    async (request, reply) => {
      const { clubId } = placeOf(request);
      const { role, athleteId } = request.body;
      const { token, tokenHash } = newToken();
      const expiresAt = new Date(Date.now() + LIFE);
      const row = await sequelize.transaction(async (transaction) => {
        await checkAthlete(context, athleteId, clubId, transaction);
        const made = await models.Invite.create(
          { id: randomUUID(), clubId, role, athleteId, tokenHash, expiresAt },
          { transaction },
        );
        await audit(context, transaction, request, "invite.make", { clubId, id: made.id, detail: { role } });
        return made;
      });
      changes.publish({ clubId, topic: "club" });
      return reply.code(201).send({ ...toInvite(row), token });
    },
  );

  app.delete(
    "/clubs/:clubId/invites/:id",
    { config: manage, schema: { params: idParamsSchema, response: { 200: doneSchema } } },
    async (request) => {
      const { clubId } = placeOf(request);
      const { id } = request.params;
      await sequelize.transaction(async (transaction) => {
        const where = { clubId, id, ...open };
        const [count] = await models.Invite.update({ withdrawnAt: new Date() }, { where, transaction });
        if (count === 0) throw notFound("invitation");
        await audit(context, transaction, request, "invite.withdraw", { clubId, id });
      });
      changes.publish({ clubId, topic: "club" });
      return { done: true as const };
    },
  );

  /** An invitation by its secret. @throws Refusal `not_found` for a forged one, `link_over` for one that is over */
  async function find(token: string, transaction?: Transaction): Promise<InviteRow> {
    const where = { tokenHash: hashOf(token) };
    const row = await models.Invite.findOne({ where, transaction, lock: transaction?.LOCK.UPDATE ?? false });
    if (!row)
      throw new Refusal(
        "not_found",
        "There is no such invitation. Is the whole link there? Ask for it again.",
      );
    const over = row.withdrawnAt
      ? "was withdrawn"
      : row.usedAt
        ? "has been used already"
        : row.expiresAt <= new Date()
          ? "has expired"
          : null;
    if (over)
      throw new Refusal("link_over", `This invitation ${over}. Ask an owner of the club for a new one.`);
    return row;
  }

  /** Takes somebody into the club. Who belongs to it already stays what they are, and the invitation stays open. */
  async function join(
    token: string,
    userId: string,
    request: FastifyRequest,
    transaction: Transaction,
  ): Promise<string> {
    const { id, clubId, role, athleteId } = await find(token, transaction);
    await lockClub(context, clubId, transaction);
    if (await models.Member.findOne({ where: { clubId, userId }, transaction })) return clubId;
    const used = { usedAt: new Date(), usedBy: userId };
    await models.Invite.update(used, { where: { clubId, id }, transaction });
    await models.Member.create({ clubId, userId, role, athleteId }, { transaction });
    await audit(context, transaction, request, "member.join", {
      clubId,
      id: userId,
      userId,
      detail: { role },
    });
    return clubId;
  }

  app.get(
    "/invites/:token",
    {
      config: { access: "anybody" },
      schema: { params: tokenParamsSchema, response: { 200: invitationSchema } },
    },
    async (request) => {
      const { clubId, role, expiresAt } = await find(request.params.token);
      const club = await models.Club.findByPk(clubId);
      if (!club) throw notFound("club");
      return { clubName: club.name, role, expiresAt: expiresAt.toISOString() };
    },
  );

  app.post(
    "/invites/:token/accept",
    {
      config: { access: "signed-in" },
      schema: { params: tokenParamsSchema, response: { 200: membershipSchema } },
    },
    async (request) => {
      const { userId } = sessionOf(request);
      const { token } = request.params;
      const clubId = await sequelize.transaction((transaction) => join(token, userId, request, transaction));
      changes.publish({ clubId, topic: "club" });
      const club = (await meOf(context, userId)).clubs.find((c) => c.id === clubId);
      if (!club) throw notFound("club");
      return club;
    },
  );

  app.post(
    "/invites/:token/sign-up",
    {
      config: { access: "anybody" },
      schema: { params: tokenParamsSchema, body: joinSchema, response: { 201: meSchema } },
    },
    async (request, reply) => {
      await limits.makeAccount(request.ip);
      const { token } = request.params;
      // Before the slow part, so that a dead link costs no hash.
      await find(token);
      const { me, clubId } = await sequelize.transaction(async (transaction) => {
        const userId = await makeAccount(context, request.body, transaction);
        const joined = await join(token, userId, request, transaction);
        await beginSession(context, userId, request, reply, transaction);
        return { me: await meOf(context, userId, transaction), clubId: joined };
      });
      changes.publish({ clubId, topic: "club" });
      return reply.code(201).send(me);
    },
  );
  done();
};

function toInvite({ id, role, athleteId, expiresAt }: InviteRow) {
  return { id, role, athleteId, expiresAt: expiresAt.toISOString() };
}
