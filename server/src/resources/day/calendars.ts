import { randomUUID } from "node:crypto";
import {
  type CalendarAddress,
  calendarInputSchema,
  calendarListSchema,
  clubParamsSchema,
  doneSchema,
  idParamsSchema,
  MOST,
  newCalendarSchema,
  tokenParamsSchema,
} from "@tonodrome/core/api";
import { type CalendarDay, daysCalendar } from "@tonodrome/core/calendar";
import { QueryTypes, type Transaction } from "sequelize";
import { askerOf } from "../../access/access";
import { audit } from "../../access/audit";
import { checkQuota } from "../../access/quota";
import { standsSql } from "../../access/rights";
import { hashOf, newToken } from "../../access/session/token";
import { calendarIdOf } from "../../answers/calendarId";
import { usualSteps, writtenDays } from "../../answers/daySteps";
import { warmUpSecondsOf } from "../../answers/glances";
import { wholeStarts } from "../../answers/start";
import { notFound, Refusal } from "../../errors/refusal";
import { write } from "../../write/write";
import { checkAthlete } from "../club/athletes";
import type { Resource } from "../context";

const build = { access: "build" } as const;

/** Starts that were so long ago stay in a calendar, milliseconds: what was yesterday is not gone at midnight. Custom. */
const LOOK_BACK_MS = 7 * 86_400_000;

/** How often a calendar that obeys asks again, as it is told (RFC 7986, 5.7). Custom. */
const REFRESH_MINUTES = 15;

type Listed = Omit<CalendarAddress, "athlete" | "createdAt"> & {
  athleteId: string | null;
  athleteName: string | null;
  createdAt: Date;
};

const LIST = `
  SELECT k.id, k.athlete_id AS "athleteId", a.name AS "athleteName", k.created_at AS "createdAt", u.name AS "madeBy"
  FROM calendars k
  LEFT JOIN athletes a ON a.club_id = k.club_id AND a.id = k.athlete_id
  LEFT JOIN users u ON u.id = k.made_by
  WHERE k.club_id = $1 AND k.withdrawn_at IS NULL AND ${standsSql("calendars", "k")}
    AND ($2::uuid IS NULL OR k.id = $2)
  ORDER BY k.created_at, k.id LIMIT ${MOST.calendars}`;

const FIND = `
  SELECT k.club_id AS "clubId", k.athlete_id AS "athleteId", c.name AS "clubName", a.name AS "athleteName"
  FROM calendars k
  JOIN clubs c ON c.id = k.club_id
  LEFT JOIN athletes a ON a.club_id = k.club_id AND a.id = k.athlete_id
  WHERE k.token_hash = $1 AND k.withdrawn_at IS NULL AND ${standsSql("calendars", "k")}`;

/** Private addresses to which a calendar subscribes: the days of an athlete's starts, or of all. */
export const calendars: Resource = (context) => (app, _options, done) => {
  const { sequelize, models, changes } = context;
  const after = (clubId: string) => ({ after: () => changes.publish({ clubId, topic: "club" }) });

  async function listed(clubId: string, id: string | null, transaction?: Transaction) {
    const rows = await sequelize.query<Listed>(LIST, {
      bind: [clubId, id],
      type: QueryTypes.SELECT,
      ...(transaction ? { transaction } : {}),
    });
    return rows.map(({ athleteId, athleteName, createdAt, ...rest }) => ({
      ...rest,
      createdAt: createdAt.toISOString(),
      athlete: athleteId ? { id: athleteId, name: athleteName ?? "" } : null,
    }));
  }

  app.get(
    "/clubs/:clubId/calendars",
    { config: build, schema: { params: clubParamsSchema, response: { 200: calendarListSchema } } },
    async (request) => ({ calendars: await listed(askerOf(request).clubId, null) }),
  );

  app.post(
    "/clubs/:clubId/calendars",
    {
      config: build,
      schema: { params: clubParamsSchema, body: calendarInputSchema, response: { 201: newCalendarSchema } },
    },
    async (request, reply) => {
      const { clubId, userId } = askerOf(request);
      const { id = randomUUID(), athleteId } = request.body;
      const { token, tokenHash } = newToken();
      const make = async (transaction: Transaction) => {
        await checkAthlete(context, athleteId, clubId, transaction);
        const own = { clubId, id, madeBy: userId };
        const before = await models.Calendar.findOne({ where: own, transaction });
        // Asked for again because the answer was lost: the secret that nobody has is replaced by another.
        if (before) await before.update({ tokenHash }, { transaction });
        else {
          const open = { clubId, withdrawnAt: null };
          await checkQuota(context, models.Calendar, "calendars", clubId, open, transaction);
          await models.Calendar.create({ ...own, athleteId, tokenHash }, { transaction });
          await audit(context, transaction, request, "calendar.make", { clubId });
        }
        const [made] = await listed(clubId, id, transaction);
        if (!made) throw notFound("calendar");
        return { ...made, token };
      };
      return write(context, reply, make, { status: 201, ...after(clubId) });
    },
  );

  app.delete(
    "/clubs/:clubId/calendars/:id",
    { config: build, schema: { params: idParamsSchema, response: { 200: doneSchema } } },
    async (request, reply) => {
      const { clubId } = askerOf(request);
      const { id } = request.params;
      const withdraw = async (transaction: Transaction) => {
        const row = await models.Calendar.findOne({ where: { clubId, id, withdrawnAt: null }, transaction });
        if (!row) throw notFound("calendar");
        await row.update({ withdrawnAt: new Date() }, { transaction });
        await audit(context, transaction, request, "calendar.withdraw", { clubId });
        return { done: true as const };
      };
      return write(context, reply, withdraw, after(clubId));
    },
  );

  app.get(
    "/calendars/:token",
    { config: { access: "anybody" }, schema: { params: tokenParamsSchema } },
    async (request, reply) => {
      const token = request.params.token.replace(/\.ics$/, "");
      const [found] = await sequelize.query<{
        clubId: string;
        athleteId: string | null;
        clubName: string;
        athleteName: string | null;
      }>(FIND, { bind: [hashOf(token)], type: QueryTypes.SELECT });
      if (!found) throw new Refusal("link_over", "There is no such calendar, or it was withdrawn.");
      const { clubId, athleteId, clubName, athleteName } = found;
      const now = Date.now();
      const days = await daysOf(clubId, athleteId, now);
      const text = daysCalendar(days, {
        name: athleteName ?? clubName,
        madeAt: new Date(now).toISOString(),
        refreshMinutes: REFRESH_MINUTES,
      });
      return reply.type("text/calendar; charset=utf-8").send(text);
    },
  );

  /** The days of the starts from a week ago on, the soonest first. */
  async function daysOf(clubId: string, athleteId: string | null, now: number): Promise<CalendarDay[]> {
    const starts = await wholeStarts(context, clubId, {
      athleteId,
      from: new Date(now - LOOK_BACK_MS),
      most: MOST.calendarStarts,
    });
    const written = await writtenDays(
      context,
      clubId,
      starts.map((s) => s.id),
    );
    const rest = starts
      .filter((s) => !written.get(s.id)?.steps)
      .map((s) => ({
        id: s.id,
        athleteId: s.athlete.id,
        eventId: s.eventId,
        zone: s.zone,
        startsAt: new Date(s.startsAt),
        readyAt: new Date(s.readyAt),
      }));
    const usual = await usualSteps(context, clubId, rest);
    const seconds = await Promise.all(starts.map((start) => warmUpSecondsOf(context.threads, start)));
    return starts.map((start, i) => ({
      startsAt: start.startsAt,
      zone: start.zone,
      warmUpSeconds: seconds[i] ?? 0,
      steps: written.get(start.id)?.steps ?? usual.get(start.id) ?? [],
      id: calendarIdOf(start.id),
      title: `${start.athlete.name}, ${start.title}${start.setting.ifThrough ? " (if through)" : ""}`,
      venue: start.venue,
      sequence: start.version + start.plan.version + (written.get(start.id)?.version ?? 1),
    }));
  }
  done();
};
