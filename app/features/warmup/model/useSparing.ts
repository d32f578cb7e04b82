import type { PlanBody } from "@tonodrome/core";
import { obstacleTo, protectedOn, type Replacement, replacements } from "@tonodrome/core";
import type { Athlete, ShelfDrill, Start } from "@tonodrome/core/api";
import { useMemo } from "react";
import { circumstancesOf, dayOf } from "~/data/resources/circumstances";

/** For each drill that loads a part to be spared, what to do instead. */
export function useSparing(
  start: Start,
  body: PlanBody,
  athlete: Athlete | undefined,
  drills: readonly ShelfDrill[] | undefined,
): Replacement<ShelfDrill>[] {
  return useMemo(() => {
    if (!athlete || !drills) return [];
    const areas = protectedOn(athlete.profile.protectedAreas, dayOf(start));
    const day = circumstancesOf(start, athlete);
    const usable = drills.filter((d) => !d.archived && obstacleTo(d, day) === null);
    return replacements(body.items, usable, areas);
  }, [start, body, athlete, drills]);
}
