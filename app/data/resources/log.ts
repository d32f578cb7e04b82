import { useInfiniteQuery, useQuery } from "@tanstack/react-query";
import { useClubAsk } from "~/data/queries/useClubAsk";

/** The log, a page at a time, newest first. */
export function useRuns() {
  const ask = useClubAsk();
  return useInfiniteQuery({
    queryKey: ["runs"],
    queryFn: ({ pageParam }) =>
      ask("runList", "GET", pageParam ? `/runs?before=${encodeURIComponent(pageParam)}` : "/runs"),
    initialPageParam: "",
    getNextPageParam: (page) => page.next,
  });
}

/** One run, with its presses. */
export function useRun(id: string, enabled = true) {
  const ask = useClubAsk();
  return useQuery({ queryKey: ["run", id], queryFn: () => ask("run", "GET", `/runs/${id}`), enabled });
}

/** What an athlete's last warm-ups were made of, the latest first; undefined while that is not read. */
export function useEarlierRuns(athleteId: string, enabled: boolean) {
  const ask = useClubAsk();
  return useQuery({
    queryKey: ["runs", "earlier", athleteId],
    queryFn: async () => (await ask("earlierRuns", "GET", `/athletes/${athleteId}/earlier-runs`)).runs,
    enabled,
  }).data;
}
