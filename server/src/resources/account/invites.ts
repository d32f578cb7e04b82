import { randomUUID } from "node:crypto";
import {
  clubParamsSchema,
  doneSchema,
  idParamsSchema,
  invitationSchema,
  inviteInputSchema,
  inviteListSchema,
  joinSchema,
  MOST,
  membershipSchema,
  meSchema,
  newInviteSchema,
  tokenParamsSchema,
} from "@tonodrome/core/api";
import type { FastifyRequest } from "fastify";
import { literal, Op, QueryTypes, type Transaction } from "sequelize";
import { askerOf, sessionOf } from "../../access/access";
import { makeAccount } from "../../access/account";
import { audit } from "../../access/audit";
import { meOf } from "../../access/memberships";
import { lockClub } from "../../access/ownership";
import { checkStrength } from "../../access/password/passwordStrength";
import { checkQuota } from "../../access/quota";
import { standsSql } from "../../access/rights";
import { knowDevice } from "../../access/session/knownDevice";
import { beginSession } from "../../access/session/session";
import { hashOf, newToken } from "../../access/session/token";
import type { InviteRow } from "../../db/models/rows";
import { notFound, Refusal } from "../../errors/refusal";
import { write } from "../../write/write";
import { checkAthlete } from "../club/athletes";
import type { Resource } from "../context";

/** How long an invitation can be used. */
const LIFE = "14 days";

const manage = { access: "manage" } as const;
/** Visitors of the demo bring nobody in. */
const invite = { access: "manage", notInDemo: true } as const;

/** One that can be used, by the clock that all servers share. */
const OPEN = `i.used_at IS NULL AND i.withdrawn_at IS NULL AND i.expires_at > now() AND ${standsSql("invites", "i")}`;

type Listed = Pick<InviteRow, "id" | "role" | "athleteId" | "expiresAt"> & { madeBy: string | null };
type Found = InviteRow & { isExpired: boolean; stands: boolean };

const LIST = `
  SELECT i.id, i.role, i.athlete_id AS "athleteId", i.expires_at AS "expiresAt", u.name AS "madeBy"
  FROM invites i LEFT JOIN users u ON u.id = i.made_by`;

/** Invitations into a club: made and withdrawn by its owners, used once by whoever holds the link. */
export const invites: Resource = (context) => (app, _options, done) => {
  const { sequelize, models, changes, rateLimits } = context;
  const tellClub = (clubId: string) => changes.publish({ clubId, topic: "club" });

  app.get(
    "/clubs/:clubId/invites",
    { config: manage, schema: { params: clubParamsSchema, response: { 200: inviteListSchema } } },
    async (request) => {
      const rows = await sequelize.query<Listed>(
        `${LIST} WHERE i.club_id = $1 AND ${OPEN} ORDER BY i.expires_at, i.id LIMIT ${MOST.invites}`,
        { bind: [askerOf(request).clubId], type: QueryTypes.SELECT },
      );
      return { invites: rows.map(toInvite) };
    },
  );

  app.post(
    "/clubs/:clubId/invites",
    {
      config: invite,
      schema: { params: clubParamsSchema, body: inviteInputSchema, response: { 201: newInviteSchema } },
    },
    async (request, reply) => {
      const { clubId, userId } = askerOf(request);
      const { id = randomUUID(), role, athleteId } = request.body;
      const { token, tokenHash } = newToken();
      const make = async (transaction: Transaction) => {
        await checkAthlete(context, athleteId, clubId, transaction);
        const before = await models.Invite.findOne({ where: { clubId, id, madeBy: userId }, transaction });
        if (before) {
          // Asked for again because the answer was lost: the secret that nobody has is replaced by another.
          await before.update({ tokenHash }, { transaction });
        } else {
          const open = { clubId, usedAt: null, withdrawnAt: null, expiresAt: { [Op.gt]: literal("now()") } };
          await checkQuota(context, models.Invite, "invites", clubId, open, transaction);
          const expiresAt = literal(`now() + interval '${LIFE}'`) as unknown as Date;
          await models.Invite.create(
            { id, clubId, role, athleteId, tokenHash, expiresAt, madeBy: userId },
            { transaction },
          );
          await audit(context, transaction, request, "invite.make", { clubId, id, detail: { role } });
        }
        const [row] = await sequelize.query<Listed>(`${LIST} WHERE i.club_id = $1 AND i.id = $2`, {
          bind: [clubId, id],
          type: QueryTypes.SELECT,
          transaction,
        });
        if (!row) throw notFound("invitation");
        return { ...toInvite(row), token };
      };
      return write(context, reply, make, { status: 201, after: () => tellClub(clubId) });
    },
  );

  app.delete(
    "/clubs/:clubId/invites/:id",
    { config: manage, schema: { params: idParamsSchema, response: { 200: doneSchema } } },
    async (request, reply) => {
      const { clubId } = askerOf(request);
      const { id } = request.params;
      const withdraw = async (transaction: Transaction) => {
        const where = { clubId, id, usedAt: null, withdrawnAt: null };
        const [count] = await models.Invite.update({ withdrawnAt: new Date() }, { where, transaction });
        if (count === 0) throw notFound("invitation");
        await audit(context, transaction, request, "invite.withdraw", { clubId, id });
        return { done: true as const };
      };
      return write(context, reply, withdraw, { after: () => tellClub(clubId) });
    },
  );

  /** An invitation by its secret. @throws Refusal `not_found` for a forged one, `link_over` for one that is over */
  async function find(token: string, transaction?: Transaction): Promise<Found> {
    const [row] = await sequelize.query<Found>(
      `SELECT i.id, i.club_id AS "clubId", i.role, i.athlete_id AS "athleteId", i.expires_at AS "expiresAt",
         i.used_at AS "usedAt", i.withdrawn_at AS "withdrawnAt", i.expires_at <= now() AS "isExpired",
         ${standsSql("invites", "i")} AS stands
       FROM invites i WHERE i.token_hash = $1 ${transaction ? "FOR UPDATE" : ""}`,
      {
        bind: [hashOf(token)],
        type: QueryTypes.SELECT,
        ...(transaction ? { transaction } : {}),
      },
    );
    if (!row)
      throw new Refusal(
        "not_found",
        "There is no such invitation. Is the whole link there? Ask for it again.",
      );
    const over = row.withdrawnAt
      ? "was withdrawn"
      : row.usedAt
        ? "has been used already"
        : row.isExpired
          ? "has expired"
          : row.stands
            ? null
            : "was made by somebody who is no owner any more";
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
    await checkQuota(context, models.Member, "members", clubId, { clubId }, transaction);
    await checkQuota(context, models.Member, "clubs", userId, { userId }, transaction);
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
      config: { access: "signed-in", notInDemo: true },
      schema: { params: tokenParamsSchema, response: { 200: membershipSchema } },
    },
    async (request, reply) => {
      const { userId } = sessionOf(request);
      const { token } = request.params;
      const accept = async (transaction: Transaction) => {
        const clubId = await join(token, userId, request, transaction);
        const club = (await meOf(context, userId, transaction)).clubs.find((c) => c.id === clubId);
        if (!club) throw notFound("club");
        return club;
      };
      return write(context, reply, accept, { after: ({ id }) => tellClub(id) });
    },
  );

  app.post(
    "/invites/:token/sign-up",
    {
      config: { access: "anybody" },
      schema: { params: tokenParamsSchema, body: joinSchema, response: { 201: meSchema } },
    },
    async (request, reply) => {
      await rateLimits.join(request.ip);
      const { token } = request.params;
      const { email, name, password } = request.body;
      // Before the slow part, so that a dead link costs no hash.
      const { clubId } = await find(token);
      checkStrength(password, [email, name], "password");
      const signUp = async (transaction: Transaction) => {
        const userId = await makeAccount(context, request.body, transaction);
        await join(token, userId, request, transaction);
        await beginSession(context, userId, request, reply, transaction);
        knowDevice(request, reply, userId);
        return meOf(context, userId, transaction);
      };
      return write(context, reply, signUp, { status: 201, after: () => tellClub(clubId) });
    },
  );
  done();
};

function toInvite({ id, role, athleteId, expiresAt, madeBy }: Listed) {
  return { id, role, athleteId, expiresAt: expiresAt.toISOString(), madeBy };
}
