import { useQuery } from "@tanstack/react-query";
import type { OpenRun } from "@tonodrome/core/api";
import { useClubAsk } from "~/data/queries/useClubAsk";

/** How often they are asked for again, milliseconds: a change is told at once, unless that was missed. */
const EVERY = 15_000;

/** Runs of the club that go on on any device, as the server knows them. */
export function useClubRuns(): readonly OpenRun[] {
  const ask = useClubAsk();
  const { data } = useQuery({
    queryKey: ["open-runs"],
    queryFn: () => ask("openRunList", "GET", "/open-runs", undefined, { atSight: true }),
    refetchInterval: EVERY,
  });
  return data?.runs ?? NONE;
}

const NONE: readonly OpenRun[] = [];

/** The warm-up of a start that goes on somewhere; null when none does, as far as the server knows. */
export function useRunElsewhere(startId: string): OpenRun | null {
  return useClubRuns().find((r) => r.startId === startId && r.kind === "warm-up") ?? null;
}
