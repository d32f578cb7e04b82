import { endOfDay } from "@tonodrome/core";
import { LONGEST_SHARE_DAYS } from "@tonodrome/core/api";
import { QueryTypes } from "sequelize";
import type { Database } from "../db/connect";
import type { AthleteRow, DayRow, EventTypeRow, PlanRow, ShareRow, StartRow } from "../db/models/rows";
import { Refusal } from "../errors/refusal";
import { standsSql } from "./rights";
import { hashOf } from "./session/token";

/** A shared link's row with all it may show. */
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

/** What a link shows. @throws Refusal `not_found` for a forged one, `link_over` for one that is over */
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

/** What it hangs on when a link ends. */
export type Lasting = Pick<ShareRow, "expiresAt"> & Pick<StartRow, "startsAt" | "zone">;

const DAY = 86_400_000;

/** When a link of a start ends at the latest. */
export function latestEnd(startsAt: Date): Date {
  return new Date(startsAt.getTime() + LONGEST_SHARE_DAYS * DAY);
}

/** When a link ends: with the start's day at its venue, or when it was said, and never long after the start. */
export function endOf({ expiresAt, startsAt, zone }: Lasting): Date {
  const end = expiresAt ?? new Date(endOfDay(startsAt.toISOString(), zone));
  const latest = latestEnd(startsAt);
  return end < latest ? end : latest;
}
