import type { Coverage, Fit } from "@tonodrome/core";
import type { Athlete, ClubEvent, ShelfDrill, Start } from "@tonodrome/core/api";
import { useMay } from "~/data/account/useAccount";
import { useDrills } from "~/data/resources/drills";
import { useEvents } from "~/data/resources/events";
import { useGroupAthlete } from "~/data/resources/groupAthlete";
import { useCoverage } from "./useCoverage";

/** What the club knows of the athlete and the event; nothing before it is read, and for whom it is not. */
export interface ClubKnowledge {
  athlete: Athlete | undefined;
  event: ClubEvent | null;
  drills: readonly ShelfDrill[];
  coverage: Coverage | null;
}

const NO_DRILLS: readonly ShelfDrill[] = [];

/** Looks up what the club knows, and what that means for a plan as it fits. */
export function useClubKnowledge(start: Start, fit: Fit): ClubKnowledge {
  const events = useEvents();
  const shelf = useDrills(useMay("read"));
  const athlete = useGroupAthlete(start);
  const event = events.data?.find((e) => e.id === start.eventId) ?? null;
  return {
    athlete,
    event,
    drills: shelf.data ?? NO_DRILLS,
    coverage: useCoverage(fit, event),
  };
}
