import { randomUUID } from "node:crypto";
import {
  clubInputSchema,
  doneSchema,
  membershipSchema,
  meSchema,
  passwordChangeSchema,
} from "@tonodrome/core/api";
import { sessionOf } from "../access/access";
import { audit } from "../access/audit";
import { meOf } from "../access/memberships";
import { hashPassword, isPassword } from "../access/password";
import { beginSession, endSession, endSessions } from "../access/session";
import { Refusal } from "../errors";
import type { Resource } from "./context";

const config = { access: "signed-in" } as const;

/** Whoever is signed in: who they are, their password, their clubs. */
export const me: Resource = (context) => (app, _options, done) => {
  const { sequelize, models, limits } = context;

  app.get("/me", { config, schema: { response: { 200: meSchema } } }, (request) =>
    meOf(context, sessionOf(request).userId),
  );

  app.post(
    "/me/password",
    { config, schema: { body: passwordChangeSchema, response: { 200: doneSchema } } },
    async (request, reply) => {
      const { current, next } = request.body;
      const user = await models.User.findByPk(sessionOf(request).userId);
      if (!user?.passwordHash)
        throw new Refusal("forbidden", "The demo's people have no password to change.");
      await limits.tryPassword(user.email, request.ip);
      if (!(await isPassword(current, user.passwordHash))) {
        throw new Refusal("wrong_password", "This is not your present password. It was not changed.", {
          path: "current",
        });
      }
      await limits.passwordWasRight(user.email);
      const passwordHash = await hashPassword(next);
      // Whoever knew the old one is signed out; this session goes on under a new cookie.
      await sequelize.transaction(async (transaction) => {
        await user.update({ passwordHash }, { transaction });
        await endSessions(context, user.id, transaction);
        await beginSession(context, user.id, request, reply, transaction);
      });
      return { done: true as const };
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
    { config, schema: { body: clubInputSchema, response: { 201: membershipSchema } } },
    async (request, reply) => {
      const { userId } = sessionOf(request);
      const club = { id: randomUUID(), name: request.body.name, demo: false };
      await sequelize.transaction(async (transaction) => {
        await models.Club.create(club, { transaction });
        await models.Member.create(
          { clubId: club.id, userId, role: "owner", athleteId: null },
          { transaction },
        );
        await audit(context, transaction, request, "club.make", { clubId: club.id });
      });
      return reply.code(201).send({ ...club, role: "owner" as const, athleteId: null });
    },
  );
  done();
};
