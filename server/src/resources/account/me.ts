import { randomUUID } from "node:crypto";
import {
  accountDeletionSchema,
  doneSchema,
  membershipSchema,
  meSchema,
  newClubSchema,
  passwordChangeSchema,
} from "@tonodrome/core/api";
import type { FastifyRequest } from "fastify";
import { sessionOf } from "../../access/access";
import { deleteAccount } from "../../access/account";
import { audit } from "../../access/audit";
import { meOf } from "../../access/memberships";
import { hashPassword, isPassword } from "../../access/password/password";
import { checkStrength } from "../../access/password/passwordStrength";
import { checkQuota } from "../../access/quota";
import { isKnownDevice, knowDevice } from "../../access/session/knownDevice";
import { beginSession, endSession, endSessions } from "../../access/session/session";
import type { UserRow } from "../../db/models/rows";
import { notFound, Refusal } from "../../errors/refusal";
import { write } from "../../write/write";
import type { Resource } from "../context";

const config = { access: "signed-in" } as const;
const account = { access: "signed-in", notInDemo: true } as const;

/** Whoever is signed in: who they are, their password, their clubs. */
export const me: Resource = (context) => (app, _options, done) => {
  const { models, rateLimits, changes } = context;

  /** Whoever is signed in, having given their password. @throws Refusal `wrong_password`, `too_many` */
  async function proven(request: FastifyRequest, password: string, path: string, kept: string) {
    const user = await models.User.findByPk(sessionOf(request).userId);
    const one = {
      email: user?.email ?? "",
      ip: request.ip,
      isKnownDevice: isKnownDevice(request, user?.id),
    };
    await rateLimits.tryPassword(one);
    if (!user || !(await isPassword(password, user.passwordHash))) {
      throw new Refusal("wrong_password", `This is not your present password. ${kept}`, { path });
    }
    await rateLimits.passwordWasRight(one);
    return user as typeof user & UserRow;
  }

  app.get("/me", { config, schema: { response: { 200: meSchema } } }, (request) =>
    meOf(context, sessionOf(request).userId),
  );

  app.post(
    "/me/password",
    { config: account, schema: { body: passwordChangeSchema, response: { 200: doneSchema } } },
    async (request, reply) => {
      const { current, next } = request.body;
      const user = await proven(request, current, "current", "It was not changed.");
      checkStrength(next, [user.email, user.name], "next");
      const passwordHash = await hashPassword(next);
      // Whoever knew the old one is signed out; this session goes on under a new cookie.
      return write(context, reply, async (transaction) => {
        await user.update({ passwordHash }, { transaction });
        await endSessions(context, user.id, transaction);
        await beginSession(context, user.id, request, reply, transaction);
        knowDevice(request, reply, user.id);
        return { done: true as const };
      });
    },
  );

  app.post(
    "/me/delete",
    { config: account, schema: { body: accountDeletionSchema, response: { 200: doneSchema } } },
    async (request, reply) => {
      const user = await proven(request, request.body.password, "password", "Nothing was deleted.");
      const left: string[] = [];
      return write(
        context,
        reply,
        async (transaction) => {
          left.push(...(await deleteAccount(context, user.id, transaction)));
          return { done: true as const };
        },
        {
          after: () => {
            for (const clubId of left) changes.publish({ clubId, topic: "club" });
          },
        },
      );
    },
  );

  app.post(
    "/me/sign-out-everywhere",
    { config, schema: { response: { 200: doneSchema } } },
    async (request, reply) => {
      await endSessions(context, sessionOf(request).userId);
      await endSession(context, request, reply);
      return { done: true as const };
    },
  );

  app.post(
    "/clubs",
    { config: account, schema: { body: newClubSchema, response: { 201: membershipSchema } } },
    async (request, reply) => {
      const { userId } = sessionOf(request);
      const { id = randomUUID(), name } = request.body;
      return write(
        context,
        reply,
        async (transaction) => {
          const club = { id, name, demo: false };
          const before = await models.Club.findByPk(id, { transaction });
          if (before) {
            const role = await models.Member.findOne({ where: { clubId: id, userId }, transaction });
            if (!role) throw notFound("club");
            return { id, name: before.name, demo: before.demo, role: role.role, athleteId: role.athleteId };
          }
          await checkQuota(context, models.Member, "clubs", userId, { userId }, transaction);
          await models.Club.create(club, { transaction });
          await models.Member.create({ clubId: id, userId, role: "owner", athleteId: null }, { transaction });
          await audit(context, transaction, request, "club.make", { clubId: id });
          return { ...club, role: "owner" as const, athleteId: null };
        },
        { status: 201 },
      );
    },
  );
  done();
};
