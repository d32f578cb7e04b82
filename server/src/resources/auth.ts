import { randomUUID } from "node:crypto";
import { doneSchema, doorSchema, meSchema, signInSchema, signUpSchema } from "@tonodrome/core/api";
import { makeAccount } from "../access/account";
import { audit } from "../access/audit";
import { meOf } from "../access/memberships";
import { isPassword } from "../access/password";
import { beginSession, endSession } from "../access/session";
import { notFound, Refusal } from "../errors";
import type { Resource } from "./context";

const config = { access: "anybody" } as const;

/** Signing up, in and out: what is done before one is somebody. */
export const auth: Resource = (context) => (app, _options, done) => {
  const { sequelize, models, limits } = context;

  /** The demo's owner, as whom everybody acts who opens it. */
  const demoOwner = async () => {
    const club = await models.Club.findOne({ where: { demo: true }, order: ["id"] });
    return club && models.Member.findOne({ where: { clubId: club.id, role: "owner" }, order: ["joinedAt"] });
  };

  app.get("/auth", { config, schema: { response: { 200: doorSchema } } }, async () => ({
    demo: (await demoOwner()) !== null,
  }));

  app.post(
    "/auth/sign-up",
    { config, schema: { body: signUpSchema, response: { 201: meSchema } } },
    async (request, reply) => {
      const { clubName, ...person } = request.body;
      await limits.makeAccount(request.ip);
      const me = await sequelize.transaction(async (transaction) => {
        const userId = await makeAccount(context, person, transaction);
        const clubId = randomUUID();
        await models.Club.create({ id: clubId, name: clubName, demo: false }, { transaction });
        await models.Member.create({ clubId, userId, role: "owner", athleteId: null }, { transaction });
        await audit(context, transaction, request, "club.make", { clubId, userId });
        await beginSession(context, userId, request, reply, transaction);
        return meOf(context, userId, transaction);
      });
      return reply.code(201).send(me);
    },
  );

  app.post(
    "/auth/sign-in",
    { config, schema: { body: signInSchema, response: { 200: meSchema } } },
    async (request, reply) => {
      const { email, password } = request.body;
      await limits.tryPassword(email, request.ip);
      const user = await models.User.findOne({ where: { email } });
      if (!(await isPassword(password, user?.passwordHash)) || !user) {
        throw new Refusal("wrong_password", "This address and password do not go together.", {
          path: "password",
        });
      }
      await limits.passwordWasRight(email);
      await beginSession(context, user.id, request, reply);
      return meOf(context, user.id);
    },
  );

  app.post("/auth/demo", { config, schema: { response: { 200: meSchema } } }, async (request, reply) => {
    const owner = await demoOwner();
    if (!owner) throw notFound("demo club here");
    await beginSession(context, owner.userId, request, reply);
    return meOf(context, owner.userId);
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
