import { groupProfile } from "@tonodrome/core";
import type { Athlete, Start } from "@tonodrome/core/api";
import { useMemo } from "react";
import { useAthletes } from "./athletes";

/**
 * Whom a start's warm-up is for: the athlete, with what holds for all of the group where there is one. Nobody while that
 * has not been read, and for whom it is not.
 */
export function useGroupAthlete(start: Pick<Start, "athlete" | "setting"> | undefined): Athlete | undefined {
  const all = useAthletes().data;
  const id = start?.athlete.id;
  const group = start?.setting.group;
  return useMemo(() => {
    const own = all?.find((a) => a.id === id);
    const others = all?.filter((a) => a.id !== id && group?.includes(a.id)) ?? [];
    if (!own || others.length === 0) return own;
    const profile = groupProfile(
      own.profile,
      others.map((a) => a.profile),
    );
    return { ...own, profile };
  }, [all, id, group]);
}
