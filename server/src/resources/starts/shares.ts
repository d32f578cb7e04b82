import { randomUUID } from "node:crypto";
import {
  clubParamsSchema,
  clubShareListSchema,
  doneSchema,
  idParamsSchema,
  LONGEST_SHARE_DAYS,
  MOST,
  newShareSchema,
  type Share,
  shareInputSchema,
  shareListSchema,
} from "@tonodrome/core/api";
import { QueryTypes, type Transaction } from "sequelize";
import { askerOf } from "../../access/access";
import { audit } from "../../access/audit";
import { checkCount } from "../../access/quota";
import { newToken } from "../../access/session/token";
import { endOf, type Lasting, latestEnd, openLinks } from "../../access/sharedLink";
import type { ShareRow } from "../../db/models/rows";
import { notFound, Refusal } from "../../errors/refusal";
import { write } from "../../write/write";
import type { Resource } from "../context";

const build = { access: "build" } as const;

/** Links that show one start's warm-up, read-only, to whoever holds them. */
export const shares: Resource = (context) => (app, _options, done) => {
  const { sequelize, models, changes } = context;

  app.get(
    "/clubs/:clubId/starts/:id/shares",
    { config: build, schema: { params: idParamsSchema, response: { 200: shareListSchema } } },
    async (request) => {
      const { clubId } = askerOf(request);
      const { id } = request.params;
      if ((await models.Start.count({ where: { clubId, id } })) === 0) throw notFound("start");
      return { shares: (await openLinks(context, clubId, id)).slice(0, MOST.sharesOfStart).map(toShare) };
    },
  );

  app.get(
    "/clubs/:clubId/shares",
    {
      config: { access: "manage" },
      schema: { params: clubParamsSchema, response: { 200: clubShareListSchema } },
    },
    async (request) => {
      const links = await openLinks(context, askerOf(request).clubId);
      return {
        shares: links.slice(0, MOST.shares).map((link) => {
          const { startId, title, athleteName, madeBy } = link;
          return { ...toShare(link), startId, title, athleteName, madeBy };
        }),
      };
    },
  );

  app.post(
    "/clubs/:clubId/starts/:id/shares",
    {
      config: build,
      schema: { params: idParamsSchema, body: shareInputSchema, response: { 201: newShareSchema } },
    },
    async (request, reply) => {
      const { clubId, userId } = askerOf(request);
      const { id = randomUUID(), until } = request.body;
      const startId = request.params.id;
      const expiresAt = until === "day" ? null : new Date(until);
      const { token, tokenHash } = newToken();
      const make = async (transaction: Transaction) => {
        const start = await models.Start.findOne({ where: { clubId, id: startId }, transaction });
        if (!start) throw notFound("start");
        const { startsAt, zone } = start;
        const day = await models.Day.findOne({
          where: { clubId, startId },
          attributes: ["steps"],
          transaction,
        });
        const lasting = { startsAt, zone, steps: day?.steps ?? null };
        const end = endOf({ ...lasting, expiresAt });
        const [{ now } = { now: new Date() }] = await sequelize.query<{ now: Date }>("SELECT now() AS now", {
          type: QueryTypes.SELECT,
          transaction,
        });
        const wrong =
          expiresAt && expiresAt > latestEnd(startsAt)
            ? `A link lasts at most ${LONGEST_SHARE_DAYS} days after its start. Give an earlier time.`
            : end > now
              ? null
              : expiresAt
                ? "This time has passed. Give a later one."
                : "The day of this start is over. Give a time to share it until.";
        if (wrong) throw new Refusal("invalid_input", wrong, { path: "until" });
        const before = await models.Share.findOne({ where: { clubId, id, madeBy: userId }, transaction });
        if (before) {
          // Asked for again because the answer was lost: the secret that nobody has is replaced by another.
          await before.update({ tokenHash }, { transaction });
          return { ...toShare({ ...before.get(), ...lasting }), token };
        }
        const open = (of: string | null) => async () =>
          (await openLinks(context, clubId, of, transaction)).length;
        await checkCount(context, "shares", clubId, open(null), transaction);
        await checkCount(context, "sharesOfStart", startId, open(startId), transaction);
        const row = await models.Share.create(
          { id, clubId, startId, tokenHash, expiresAt, madeBy: userId },
          { transaction },
        );
        await audit(context, transaction, request, "share.make", { clubId, id: startId });
        return { ...toShare({ ...row.get(), ...lasting }), token };
      };
      return write(context, reply, make, {
        status: 201,
        after: () => changes.publish({ clubId, topic: "club" }),
      });
    },
  );

  app.delete(
    "/clubs/:clubId/shares/:id",
    { config: build, schema: { params: idParamsSchema, response: { 200: doneSchema } } },
    async (request, reply) => {
      const { clubId } = askerOf(request);
      const withdraw = async (transaction: Transaction) => {
        const row = await models.Share.findOne({
          where: { clubId, id: request.params.id, withdrawnAt: null },
          transaction,
        });
        if (!row) throw notFound("link");
        await row.update({ withdrawnAt: new Date() }, { transaction });
        await audit(context, transaction, request, "share.withdraw", { clubId, id: row.startId });
        return { done: true as const };
      };
      return write(context, reply, withdraw, { after: () => changes.publish({ clubId, topic: "club" }) });
    },
  );

  done();
};

function toShare({ id, createdAt, ...lasting }: Pick<ShareRow, "id" | "createdAt"> & Lasting): Share {
  return { id, createdAt: createdAt.toISOString(), expiresAt: endOf(lasting).toISOString() };
}
