import { type Circumstances, protectedOn, wallClock, youngestOf } from "@tonodrome/core";
import type { Athlete, Start } from "@tonodrome/core/api";

/** The day of a start as its venue's calendar says it, yyyy-mm-dd. */
export const dayOf = ({ startsAt, zone }: Pick<Start, "startsAt" | "zone">): string =>
  wallClock(startsAt, zone).date;

/** What there is at a start and who it is for, as choosing drills asks it. */
export function circumstancesOf(start: Start, athlete: Athlete | undefined): Circumstances {
  const { people, spaces, equipment } = start.setting;
  const profile = athlete?.profile;
  return {
    people,
    spaces,
    equipment,
    own: profile?.equipment ?? [],
    age: profile?.ageBand ? youngestOf(profile.ageBand) : null,
    spared: profile ? protectedOn(profile.protectedAreas, dayOf(start)) : [],
  };
}
