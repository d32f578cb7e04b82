import { randomUUID } from "node:crypto";
import {
  doneSchema,
  doorSchema,
  meSchema,
  passwordResetSchema,
  signInSchema,
  signUpSchema,
} from "@tonodrome/core/api";
import type { FastifyReply, FastifyRequest } from "fastify";
import { makeAccount } from "../../access/account";
import { audit } from "../../access/audit";
import { meOf } from "../../access/memberships";
import { isPassword } from "../../access/password/password";
import { resetPassword } from "../../access/password/passwordReset";
import { checkStrength } from "../../access/password/passwordStrength";
import { isKnownDevice, knowDevice } from "../../access/session/knownDevice";
import { beginSession, endSession, findSession } from "../../access/session/session";
import { layDemo } from "../../demo/layDemo";
import { notFound, Refusal } from "../../errors/refusal";
import { write } from "../../write/write";
import type { Resource } from "../context";

const config = { access: "anybody" } as const;

/** Signing up, in and out: what is done before one is somebody. */
export const auth: Resource = (context) => (app, _options, done) => {
  const { models, rateLimits, demos, signUp } = context;

  /**
   * Whose address and password go together.
   * @returns the person's id; null when they do not
   * @throws Refusal `too_many`
   */
  async function personOf(email: string, password: string, request: FastifyRequest): Promise<string | null> {
    const user = await models.User.findOne({ where: { email, demo: false } });
    const one = { email, ip: request.ip, isKnownDevice: isKnownDevice(request, user?.id) };
    await rateLimits.tryPassword(one);
    if (!(await isPassword(password, user?.passwordHash)) || !user) return null;
    await rateLimits.passwordWasRight(one);
    return user.id;
  }

  app.get("/auth", { config, schema: { response: { 200: doorSchema } } }, async () => {
    // The door is asked before anything else, so it also says whether the database is there.
    await context.sequelize.query("SELECT 1");
    return { demo: demos > 0, signUp };
  });

  app.post(
    "/auth/sign-up",
    { config, schema: { body: signUpSchema, response: { 201: meSchema } } },
    async (request, reply) => {
      const { clubName, ...person } = request.body;
      if (!signUp) {
        throw new Refusal(
          "forbidden",
          "New clubs are not made here by everybody. Ask whoever runs this server.",
        );
      }
      await rateLimits.makeAccount(request.ip);
      const { email, password, name } = person;
      checkStrength(password, [email, name, clubName], "password");
      // Whoever has an account and knows its password is signed in: the answer of a first try may have been lost.
      if ((await models.User.count({ where: { email, demo: false } })) > 0) {
        const userId = await personOf(email, password, request);
        if (userId) return signIn(userId, request, reply, 201);
      }
      return write(
        context,
        reply,
        async (transaction) => {
          const userId = await makeAccount(context, person, transaction);
          const clubId = randomUUID();
          await models.Club.create({ id: clubId, name: clubName, demo: false }, { transaction });
          await models.Member.create({ clubId, userId, role: "owner", athleteId: null }, { transaction });
          await audit(context, transaction, request, "club.make", { clubId, userId });
          await beginSession(context, userId, request, reply, transaction);
          knowDevice(request, reply, userId);
          return meOf(context, userId, transaction);
        },
        { status: 201 },
      );
    },
  );

  function signIn(userId: string, request: FastifyRequest, reply: FastifyReply, status = 200) {
    return write(
      context,
      reply,
      async (transaction) => {
        await beginSession(context, userId, request, reply, transaction);
        knowDevice(request, reply, userId);
        return meOf(context, userId, transaction);
      },
      { status },
    );
  }

  app.post(
    "/auth/sign-in",
    { config, schema: { body: signInSchema, response: { 200: meSchema } } },
    async (request, reply) => {
      const userId = await personOf(request.body.email, request.body.password, request);
      if (!userId) {
        throw new Refusal("wrong_password", "Wrong e-mail or password.", {
          path: "password",
        });
      }
      return signIn(userId, request, reply);
    },
  );

  app.post(
    "/auth/reset",
    { config, schema: { body: passwordResetSchema, response: { 200: meSchema } } },
    async (request, reply) => {
      const { token, password } = request.body;
      return write(context, reply, async (transaction) => {
        const userId = await resetPassword(context, token, password, transaction);
        await beginSession(context, userId, request, reply, transaction);
        knowDevice(request, reply, userId);
        return meOf(context, userId, transaction);
      });
    },
  );

  app.post("/auth/demo", { config, schema: { response: { 200: meSchema } } }, async (request, reply) => {
    if (demos === 0) throw notFound("demo here");
    // Who is in a demo already goes on in it.
    const session = await findSession(context, request, null);
    if (session?.isDemo) {
      const me = await meOf(context, session.userId);
      if (me.clubs.length > 0) return me;
    }
    await rateLimits.openDemo(request.ip);
    return write(context, reply, async (transaction) => {
      const userId = await layDemo(context, new Date(), demos, transaction);
      await beginSession(context, userId, request, reply, transaction);
      return meOf(context, userId, transaction);
    });
  });

  app.post(
    "/auth/sign-out",
    { config, schema: { response: { 200: doneSchema } } },
    async (request, reply) => {
      await endSession(context, request, reply);
      return { done: true as const };
    },
  );
  done();
};
