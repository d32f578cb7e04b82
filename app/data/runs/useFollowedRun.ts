import { useQuery } from "@tanstack/react-query";
import { useClubAsk } from "~/data/queries/useClubAsk";
import { readRun } from "./follow";

/** How often it is asked whether others have pressed, milliseconds: that is told at once, unless it was missed. */
const EVERY = 5_000;

/** Reads a run that is on the server, and goes on reading what comes to it. */
export function useFollowedRun(id: string, enabled: boolean) {
  const ask = useClubAsk();
  return useQuery({
    queryKey: ["run-news", id],
    queryFn: () => readRun(ask, id).then(() => true),
    enabled,
    refetchInterval: EVERY,
  });
}
