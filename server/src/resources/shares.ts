import { randomUUID } from "node:crypto";
import { contextOf, endOfDay } from "@tonodrome/core";
import {
  doneSchema,
  idParamsSchema,
  newShareSchema,
  type Share,
  type Shared,
  sharedSchema,
  shareInputSchema,
  shareListSchema,
  tokenParamsSchema,
} from "@tonodrome/core/api";
import { QueryTypes } from "sequelize";
import { placeOf } from "../access/access";
import { audit } from "../access/audit";
import { hashOf, newToken } from "../access/token";
import type { AthleteRow, EventTypeRow, PlanRow, RunEventRow, ShareRow, StartRow } from "../db/models/rows";
import { notFound, Refusal } from "../errors";
import { streamChanges } from "../live/eventStream";
import type { Resource } from "./context";
import { factsOf } from "./starts";

/** Presses that a link does not show. */
const OWN: ReadonlySet<string> = new Set(["rating", "pulse", "clock"]);

const build = { access: "build" } as const;
const anybody = { access: "anybody" } as const;

/** A shared link's row with all it may show. */
type Found = Pick<ShareRow, "id" | "clubId" | "startId" | "expiresAt" | "withdrawnAt"> &
  Pick<StartRow, "title" | "venue" | "zone" | "startsAt" | "readyAt" | "setting"> &
  Pick<PlanRow, "body"> & {
    clubName: string;
    athleteName: string;
    event: EventTypeRow["body"] | null;
    profile: AthleteRow["profile"];
  };

const FIND = `
  SELECT h.id, h.club_id AS "clubId", h.start_id AS "startId", h.expires_at AS "expiresAt",
    h.withdrawn_at AS "withdrawnAt", s.title, s.venue, s.zone, s.starts_at AS "startsAt", s.ready_at AS "readyAt",
    s.setting, p.body, c.name AS "clubName", a.name AS "athleteName", a.profile, e.body AS event
  FROM shares h
  JOIN clubs c ON c.id = h.club_id
  JOIN starts s ON s.club_id = h.club_id AND s.id = h.start_id
  JOIN plans p ON p.club_id = s.club_id AND p.start_id = s.id
  JOIN athletes a ON a.club_id = s.club_id AND a.id = s.athlete_id
  LEFT JOIN event_types e ON e.club_id = s.club_id AND e.id = s.event_id
  WHERE h.token_hash = $1`;

/** Links that show one start's warm-up, read-only, to whoever holds them. */
export const shares: Resource = (context) => (app, _options, done) => {
  const { sequelize, models, changes } = context;

  app.get(
    "/clubs/:clubId/starts/:id/shares",
    { config: build, schema: { params: idParamsSchema, response: { 200: shareListSchema } } },
    async (request) => {
      const { clubId } = placeOf(request);
      const start = await models.Start.findOne({ where: { clubId, id: request.params.id } });
      if (!start) throw notFound("start");
      const rows = await models.Share.findAll({
        where: { clubId, startId: start.id, withdrawnAt: null },
        order: ["createdAt", "id"],
      });
      const open = rows.map((row) => toShare(row, start)).filter((s) => Date.parse(s.expiresAt) > Date.now());
      return { shares: open };
    },
  );

  app.post(
    "/clubs/:clubId/starts/:id/shares",
    {
      config: build,
      schema: { params: idParamsSchema, body: shareInputSchema, response: { 201: newShareSchema } },
    },
    async (request, reply) => {
      const { clubId } = placeOf(request);
      const { until } = request.body;
      const expiresAt = until === "day" ? null : new Date(until);
      if (expiresAt && expiresAt.getTime() <= Date.now()) {
        throw new Refusal("invalid_input", "This time has passed. Give a later one.", { path: "until" });
      }
      const { token, tokenHash } = newToken();
      const share = await sequelize.transaction(async (transaction) => {
        const start = await models.Start.findOne({ where: { clubId, id: request.params.id }, transaction });
        if (!start) throw notFound("start");
        if (expiresAt === null && dayIsOver(start)) {
          throw new Refusal(
            "invalid_input",
            "The day of this start is over. Give a time to share it until.",
            {
              path: "until",
            },
          );
        }
        const row = await models.Share.create(
          { id: randomUUID(), clubId, startId: start.id, tokenHash, expiresAt },
          { transaction },
        );
        await audit(context, transaction, request, "share.make", { clubId, id: start.id });
        return toShare(row, start);
      });
      return reply.code(201).send({ ...share, token });
    },
  );

  app.delete(
    "/clubs/:clubId/shares/:id",
    { config: build, schema: { params: idParamsSchema, response: { 200: doneSchema } } },
    async (request) => {
      const { clubId } = placeOf(request);
      await sequelize.transaction(async (transaction) => {
        const row = await models.Share.findOne({
          where: { clubId, id: request.params.id, withdrawnAt: null },
          transaction,
        });
        if (!row) throw notFound("link");
        await row.update({ withdrawnAt: new Date() }, { transaction });
        await audit(context, transaction, request, "share.withdraw", { clubId, id: row.startId });
      });
      changes.publish({ clubId, topic: "club" });
      return { done: true as const };
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
    const until = found.expiresAt ?? dayEnd(found);
    const over = found.withdrawnAt ? "was withdrawn" : until.getTime() <= Date.now() ? "has expired" : null;
    if (over) throw new Refusal("link_over", `This link ${over}. Ask the coach for a new one.`);
    return { ...found, until };
  }

  /** The run under way for a start, without what is the coach's own: answers, heart rates, what it was fitted from. */
  async function runUnderWay({ clubId, startId }: Found): Promise<Shared["run"]> {
    const run = await models.Run.findOne({
      where: { clubId, startId },
      include: [{ association: "events", separate: true, where: { clubId } }],
      order: [["createdAt", "DESC"]],
    });
    if (!run) return null;
    const all = (run as unknown as { events: RunEventRow[] }).events.map((e) => e.event);
    if (all.some((e) => e.kind === "end")) return null;
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
        context: contextOf({ startsAt: startsAt.toISOString(), setting, facts }),
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
      return streamChanges(request, reply, changes, {
        clubId,
        concerns: ({ topic, id }) =>
          topic === "events" ||
          topic === "athletes" ||
          topic === "runs" ||
          (topic === "starts" && (id === startId || id === undefined)),
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

/** The instant at which the day of a start ends at its venue. */
function dayEnd({ startsAt, zone }: Pick<StartRow, "startsAt" | "zone">): Date {
  return new Date(endOfDay(startsAt.toISOString(), zone));
}

function dayIsOver(start: StartRow): boolean {
  return dayEnd(start).getTime() <= Date.now();
}

function toShare({ id, createdAt, expiresAt }: ShareRow, start: StartRow): Share {
  return {
    id,
    createdAt: createdAt.toISOString(),
    expiresAt: (expiresAt ?? dayEnd(start)).toISOString(),
  };
}
