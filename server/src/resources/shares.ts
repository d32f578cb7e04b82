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
import { placeOf } from "../access/access";
import { audit } from "../access/audit";
import { checkRoom } from "../access/quota";
import { standsSql } from "../access/rights";
import { newToken } from "../access/session/token";
import { endOf, type Lasting, latestEnd } from "../access/sharedLink";
import type { ShareRow, StartRow } from "../db/models/rows";
import { notFound, Refusal } from "../errors/refusal";
import { write } from "../write/write";
import type { Resource } from "./context";

const build = { access: "build" } as const;

/** A link of a start, open as far as nobody withdrew it and its maker still may. When it ends is reckoned here. */
type Listed = Pick<ShareRow, "id" | "startId" | "createdAt" | "expiresAt"> &
  Pick<StartRow, "startsAt" | "zone" | "title"> & { athleteName: string; madeBy: string | null; now: Date };

const LIST = `
  SELECT h.id, h.start_id AS "startId", h.created_at AS "createdAt", h.expires_at AS "expiresAt",
    s.starts_at AS "startsAt", s.zone, s.title, a.name AS "athleteName", u.name AS "madeBy", now() AS now
  FROM shares h
  JOIN starts s ON s.club_id = h.club_id AND s.id = h.start_id AND s.deleted_at IS NULL
  JOIN athletes a ON a.club_id = s.club_id AND a.id = s.athlete_id
  LEFT JOIN users u ON u.id = h.made_by
  WHERE h.club_id = $1 AND h.withdrawn_at IS NULL AND ${standsSql("shares", "h")}
    AND ($2::uuid IS NULL OR h.start_id = $2)
  ORDER BY h.created_at, h.id`;

/** Links that show one start's warm-up, read-only, to whoever holds them. */
export const shares: Resource = (context) => (app, _options, done) => {
  const { sequelize, models, changes } = context;

  app.get(
    "/clubs/:clubId/starts/:id/shares",
    { config: build, schema: { params: idParamsSchema, response: { 200: shareListSchema } } },
    async (request) => {
      const { clubId } = placeOf(request);
      const { id } = request.params;
      if ((await models.Start.count({ where: { clubId, id } })) === 0) throw notFound("start");
      return { shares: (await openLinks(clubId, id)).slice(0, MOST.sharesOfStart).map(toShare) };
    },
  );

  app.get(
    "/clubs/:clubId/shares",
    {
      config: { access: "manage" },
      schema: { params: clubParamsSchema, response: { 200: clubShareListSchema } },
    },
    async (request) => {
      const links = await openLinks(placeOf(request).clubId);
      return {
        shares: links.slice(0, MOST.shares).map((link) => {
          const { startId, title, athleteName, madeBy } = link;
          return { ...toShare(link), startId, title, athleteName, madeBy };
        }),
      };
    },
  );

  async function openLinks(clubId: string, startId: string | null = null, transaction?: Transaction) {
    const rows = await sequelize.query<Listed>(LIST, {
      bind: [clubId, startId],
      type: QueryTypes.SELECT,
      ...(transaction ? { transaction } : {}),
    });
    return rows.filter((row) => endOf(row) > row.now);
  }

  app.post(
    "/clubs/:clubId/starts/:id/shares",
    {
      config: build,
      schema: { params: idParamsSchema, body: shareInputSchema, response: { 201: newShareSchema } },
    },
    async (request, reply) => {
      const { clubId, userId } = placeOf(request);
      const { id = randomUUID(), until } = request.body;
      const startId = request.params.id;
      const expiresAt = until === "day" ? null : new Date(until);
      const { token, tokenHash } = newToken();
      const make = async (transaction: Transaction) => {
        const start = await models.Start.findOne({ where: { clubId, id: startId }, transaction });
        if (!start) throw notFound("start");
        const { startsAt, zone } = start;
        const end = endOf({ expiresAt, startsAt, zone });
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
          return { ...toShare({ ...before.get(), startsAt, zone }), token };
        }
        const open = { clubId, withdrawnAt: null };
        await checkRoom(context, models.Share, "shares", clubId, open, transaction);
        await checkRoom(context, models.Share, "sharesOfStart", startId, { ...open, startId }, transaction);
        const row = await models.Share.create(
          { id, clubId, startId, tokenHash, expiresAt, madeBy: userId },
          { transaction },
        );
        await audit(context, transaction, request, "share.make", { clubId, id: startId });
        return { ...toShare({ ...row.get(), startsAt, zone }), token };
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
      const { clubId } = placeOf(request);
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
