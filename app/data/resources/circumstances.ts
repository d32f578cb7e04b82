import { type Circumstances, circumstancesOn, wallClock } from "@tonodrome/core";
import type { Athlete, Start } from "@tonodrome/core/api";

/** The day of a start as its venue's calendar says it, yyyy-mm-dd. */
export const dayOf = ({ startsAt, zone }: Pick<Start, "startsAt" | "zone">): string =>
  wallClock(startsAt, zone).date;

/** What there is at a start and who it is for, as choosing drills asks it. */
export function circumstancesOf(start: Start, athlete: Athlete | undefined): Circumstances {
  return circumstancesOn(start.setting, athlete?.profile ?? null, dayOf(start));
}
