import { createHash, randomUUID } from "node:crypto";
import { conditionsOf, contextOf, endOfDay, isRunOver } from "@tonodrome/core";
import {
  clubParamsSchema,
  clubShareListSchema,
  doneSchema,
  idParamsSchema,
  LONGEST_SHARE_DAYS,
  MOST,
  newShareSchema,
  type Share,
  type Shared,
  sharedSchema,
  shareInputSchema,
  shareListSchema,
  tokenParamsSchema,
} from "@tonodrome/core/api";
import { QueryTypes, type Transaction } from "sequelize";
import { placeOf } from "../access/access";
import { audit } from "../access/audit";
import { checkRoom } from "../access/quota";
import { standsSql } from "../access/rights";
import { hashOf, newToken } from "../access/session/token";
import { usualSteps } from "../answers/daySteps";
import type {
  AthleteRow,
  DayRow,
  EventTypeRow,
  PlanRow,
  RunEventRow,
  ShareRow,
  StartRow,
} from "../db/models/rows";
import { notFound, Refusal } from "../errors/refusal";
import { streamEvents } from "../live/eventStream";
import { write } from "../write/write";
import type { Resource } from "./context";
import { factsOf } from "./starts";

/** Presses that a link does not show. */
const OWN: ReadonlySet<string> = new Set(["rating", "pulse", "clock", "take"]);

const build = { access: "build" } as const;
const anybody = { access: "anybody" } as const;

/** A shared link's row with all it may show. */
type Found = Pick<ShareRow, "id" | "clubId" | "startId" | "expiresAt" | "withdrawnAt"> & {
  stands: boolean;
  /** The time by the clock that all servers share. */
  now: Date;
  athleteId: string;
  /** The day's own steps, and a number that goes up when the start, its warm-up or its day reads differently. */
  steps: DayRow["steps"];
  dayVersion: number;
} & Pick<StartRow, "eventId" | "title" | "venue" | "zone" | "startsAt" | "readyAt" | "setting"> &
  Pick<PlanRow, "body"> & {
    clubName: string;
    athleteName: string;
    event: EventTypeRow["body"] | null;
    profile: AthleteRow["profile"];
  };

const FIND = `
  SELECT h.id, h.club_id AS "clubId", h.start_id AS "startId", h.expires_at AS "expiresAt",
    h.withdrawn_at AS "withdrawnAt", ${standsSql("shares", "h")} AS stands, now() AS now,
    s.athlete_id AS "athleteId", s.event_id AS "eventId", d.steps,
    s.version + p.version + coalesce(d.version, 1) AS "dayVersion", s.title, s.venue, s.zone, s.starts_at AS "startsAt", s.ready_at AS "readyAt",
    s.setting, p.body, c.name AS "clubName", a.name AS "athleteName", a.profile, e.body AS event
  FROM shares h
  JOIN clubs c ON c.id = h.club_id
  JOIN starts s ON s.club_id = h.club_id AND s.id = h.start_id AND s.deleted_at IS NULL
  JOIN plans p ON p.club_id = s.club_id AND p.start_id = s.id
  JOIN athletes a ON a.club_id = s.club_id AND a.id = s.athlete_id
  LEFT JOIN event_types e ON e.club_id = s.club_id AND e.id = s.event_id
  LEFT JOIN days d ON d.club_id = s.club_id AND d.start_id = s.id
  WHERE h.token_hash = $1`;

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

  /** What a link shows. @throws Refusal `not_found` for a forged one, `link_over` for one that is over */
  async function find(token: string): Promise<Found & { until: Date }> {
    const [found] = await sequelize.query<Found>(FIND, { bind: [hashOf(token)], type: QueryTypes.SELECT });
    if (!found) {
      throw new Refusal(
        "not_found",
        "There is no such link, or its warm-up was deleted. Is the whole link there?",
      );
    }
    const until = endOf(found);
    const over = found.withdrawnAt
      ? "was withdrawn"
      : !found.stands
        ? "was made by somebody who may share it no more"
        : until <= found.now
          ? "has expired"
          : null;
    if (over) throw new Refusal("link_over", `This link ${over}. Ask the coach for a new one.`);
    return { ...found, until };
  }

  /** The day of a start, as whoever begins it finds it. */
  async function dayShown(found: Found): Promise<Shared["day"]> {
    const { clubId, startId: id, dayVersion: version } = found;
    const steps = found.steps ?? (await usualSteps(context, clubId, [{ ...found, id }])).get(id) ?? [];
    return { id: calendarIdOf(id), version, steps: [...steps] };
  }

  /** The run under way for a start, without what is the coach's own: answers, heart rates, what it was fitted from. */
  async function runUnderWay({ clubId, startId, athleteId, startsAt, now }: Found): Promise<Shared["run"]> {
    const run = await models.Run.findOne({
      // A start may have been given to another athlete since: whose run it is, is who is shown.
      where: { clubId, startId, athleteId },
      include: [{ association: "events", separate: true, where: { clubId } }],
      order: [["createdAt", "DESC"]],
    });
    if (!run) return null;
    const all = (run as unknown as { events: RunEventRow[] }).events.map((e) => e.event);
    if (isRunOver(startsAt.toISOString(), all, now.getTime())) return null;
    const { source: _, ...plan } = run.plan;
    return { plan, events: all.filter((e) => !OWN.has(e.kind)) };
  }

  app.get(
    "/shared/:token",
    { config: anybody, schema: { params: tokenParamsSchema, response: { 200: sharedSchema } } },
    async (request) => {
      const found = await find(request.params.token);
      const { clubName, athleteName, title, venue, zone, startsAt, readyAt, setting, body, until } = found;
      const facts = factsOf(found.event && { body: found.event }, found.profile);
      return {
        clubName,
        athleteName,
        title,
        venue,
        zone,
        startsAt: startsAt.toISOString(),
        readyAt: readyAt.toISOString(),
        plan: body,
        conditions: conditionsOf(setting),
        context: contextOf({ startsAt: startsAt.toISOString(), setting, facts }),
        day: await dayShown(found),
        run: await runUnderWay(found),
        expiresAt: until.toISOString(),
      };
    },
  );

  app.get(
    "/shared/:token/changes",
    { config: anybody, compress: false, schema: { params: tokenParamsSchema, hide: true } },
    async (request, reply) => {
      const { token } = request.params;
      const { clubId, startId } = await find(token);
      return streamEvents(request, reply, changes, {
        clubId,
        // A hint to read again, and no ids: who holds a link knows of its one start only.
        tell: ({ topic, id }) =>
          topic === "events" ||
          topic === "athletes" ||
          topic === "runs" ||
          (topic === "starts" && (id === startId || id === undefined))
            ? { topic }
            : null,
        mayStill: () =>
          find(token).then(
            () => true,
            (error) => !(error instanceof Refusal),
          ),
      });
    },
  );
  done();
};

/** By what a calendar knows a start's day again: always the same, and nothing by which the start itself is found. */
function calendarIdOf(startId: string): string {
  const hex = createHash("sha256").update(`calendar ${startId}`).digest("hex");
  // As a UUID of version 8, the one for ids of one's own making.
  return [
    hex.slice(0, 8),
    hex.slice(8, 12),
    `8${hex.slice(13, 16)}`,
    `8${hex.slice(17, 20)}`,
    hex.slice(20, 32),
  ].join("-");
}

type Lasting = Pick<ShareRow, "expiresAt"> & Pick<StartRow, "startsAt" | "zone">;

const DAY = 86_400_000;

/** When a link of a start ends at the latest. */
function latestEnd(startsAt: Date): Date {
  return new Date(startsAt.getTime() + LONGEST_SHARE_DAYS * DAY);
}

/** When a link ends: with the start's day at its venue, or when it was said, and never long after the start. */
function endOf({ expiresAt, startsAt, zone }: Lasting): Date {
  const end = expiresAt ?? new Date(endOfDay(startsAt.toISOString(), zone));
  const latest = latestEnd(startsAt);
  return end < latest ? end : latest;
}

function toShare({ id, createdAt, ...lasting }: Pick<ShareRow, "id" | "createdAt"> & Lasting): Share {
  return { id, createdAt: createdAt.toISOString(), expiresAt: endOf(lasting).toISOString() };
}
