import { DAY_MS, endOfDay, MINUTE_MS } from "@tonodrome/core";
import { LONGEST_SHARE_DAYS } from "@tonodrome/core/api";
import { QueryTypes, type Transaction } from "sequelize";
import type { Database } from "../db/connect";
import type { AthleteRow, DayRow, EventTypeRow, PlanRow, ShareRow, StartRow } from "../db/models/rows";
import { Refusal } from "../errors/refusal";
import { standsSql } from "./rights";
import { hashOf } from "./session/token";

/** A shared link's row with everything that it may show. */
export type SharedLink = Pick<ShareRow, "id" | "clubId" | "startId" | "expiresAt" | "withdrawnAt"> & {
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

/** Returns what a link shows. @throws Refusal `not_found` for a forged one, `link_over` for one that is over */
export async function findLink(
  { sequelize }: Pick<Database, "sequelize">,
  token: string,
): Promise<SharedLink & { until: Date }> {
  const [found] = await sequelize.query<SharedLink>(FIND, { bind: [hashOf(token)], type: QueryTypes.SELECT });
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

/** What the end of a link depends on: the steps are null for the usual day. */
export type Lasting = Pick<ShareRow, "expiresAt"> &
  Pick<StartRow, "startsAt" | "zone"> &
  Pick<DayRow, "steps">;

/** How long after its start the last step of the usual day is over, minutes: cooling down, eating. Custom. */
const USUAL_AFTER = 180;

/** Returns when a link of a start ends at the latest. */
export function latestEnd(startsAt: Date): Date {
  return new Date(startsAt.getTime() + LONGEST_SHARE_DAYS * DAY_MS);
}

/**
 * When a link ends: with the start's day at its venue, but not before the day's last step is over, which a start near midnight
 * has after it; or when it was said; and never long after the start.
 */
export function endOf({ expiresAt, startsAt, zone, steps }: Lasting): Date {
  const lastStep = startsAt.getTime() + minutesAfter(steps) * MINUTE_MS;
  const day = Math.max(lastStep, Date.parse(endOfDay(startsAt.toISOString(), zone)));
  return new Date(Math.min(expiresAt?.getTime() ?? day, latestEnd(startsAt).getTime()));
}

/** Minutes after a start in which its day's last step is over, whatever goes badly: every step after it, one after the other. */
function minutesAfter(steps: DayRow["steps"]): number {
  if (!steps) return USUAL_AFTER;
  const start = steps.findIndex((step) => step.kind === "start");
  return steps.slice(start + 1).reduce((sum, step) => {
    const gaps = step.rules.map((rule) => (rule.kind === "before" ? rule.leastMinutes : 0));
    return sum + (step.minutes.bad ?? step.minutes.usual) + Math.max(0, ...gaps);
  }, 0);
}

/** A link of a start that still works. */
export type OpenLink = Pick<ShareRow, "id" | "startId" | "createdAt"> &
  Lasting &
  Pick<StartRow, "title"> & { athleteName: string; madeBy: string | null; now: Date };

const OPEN = `
  SELECT h.id, h.start_id AS "startId", h.created_at AS "createdAt", h.expires_at AS "expiresAt",
    s.starts_at AS "startsAt", s.zone, s.title, a.name AS "athleteName", u.name AS "madeBy", d.steps, now() AS now
  FROM shares h
  JOIN starts s ON s.club_id = h.club_id AND s.id = h.start_id AND s.deleted_at IS NULL
  JOIN athletes a ON a.club_id = s.club_id AND a.id = s.athlete_id
  LEFT JOIN users u ON u.id = h.made_by
  LEFT JOIN days d ON d.club_id = s.club_id AND d.start_id = s.id
  WHERE h.club_id = $1 AND h.withdrawn_at IS NULL AND ${standsSql("shares", "h")}
    AND ($2::uuid IS NULL OR h.start_id = $2)
  ORDER BY h.created_at, h.id`;

/**
 * The links of a club that work: not withdrawn, made by somebody who still may, and not over. Whoever lists or counts open
 * links asks this.
 * @param startId only of this start
 */
export async function openLinks(
  { sequelize }: Pick<Database, "sequelize">,
  clubId: string,
  startId: string | null = null,
  transaction?: Transaction,
): Promise<OpenLink[]> {
  const rows = await sequelize.query<OpenLink>(OPEN, {
    bind: [clubId, startId],
    type: QueryTypes.SELECT,
    ...(transaction ? { transaction } : {}),
  });
  return rows.filter((row) => endOf(row) > row.now);
}
