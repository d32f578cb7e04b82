import { topUpShelf } from "@tonodrome/core";
import type { ShelfDrill } from "@tonodrome/core/api";
import { useMemo } from "react";
import { useMay } from "~/data/account/useAccount";
import { circumstancesOf } from "~/data/resources/circumstances";
import { useDrills } from "~/data/resources/drills";
import { useEvents } from "~/data/resources/events";
import { useGroupAthlete } from "~/data/resources/groupAthlete";
import { useStarts } from "~/data/resources/starts";
import type { KeptRun } from "~/data/runs/keptRun";

const NONE: readonly ShelfDrill[] = [];

/**
 * Drills of the shelf that a top-up may be made of: those of the sport that can be used on the day, by this athlete and whoever warms up with them. None while it is not
 * known what is protected and what is there: then the plan's own have to do.
 */
export function useTopUpShelf({ startId }: Pick<KeptRun["run"], "startId">): readonly ShelfDrill[] {
  const drills = useDrills(useMay("read")).data;
  const start = useStarts().data?.find((s) => s.id === startId);
  const athlete = useGroupAthlete(start);
  const events = useEvents().data;
  return useMemo(() => {
    if (!drills || !start || !athlete) return NONE;
    const event = events?.find((e) => e.id === start.eventId) ?? null;
    return topUpShelf(
      drills.filter((d) => !d.archived),
      circumstancesOf(start, athlete),
      event,
    );
  }, [drills, start, athlete, events]);
}
