import type { Start } from "@tonodrome/core/api";
import { type CoolDownStep, coolDownFor, type Went } from "@tonodrome/core/cool-down";
import { useMemo } from "react";
import { v4 as uuid } from "uuid";
import { useMay } from "~/data/account/useAccount";
import { useDrills } from "~/data/resources/drills";
import { useEvents } from "~/data/resources/events";

/** The cool-down that is usual after a start's event, with the club's own drills for it. */
export function useUsualCoolDown(
  start: Pick<Start, "eventId" | "setting"> | undefined,
  went: Went,
): CoolDownStep[] {
  const mayRead = useMay("read");
  const drills = useDrills(mayRead).data;
  const events = useEvents(mayRead).data;
  const effort = events?.find((e) => e.id === start?.eventId)?.effort ?? null;
  const conditions = start?.setting ?? null;
  return useMemo(
    () =>
      coolDownFor({
        ...{ effort, went, conditions, makeId: uuid },
        drills: (drills ?? []).filter((d) => !d.archived),
      }),
    [effort, went, conditions, drills],
  );
}
