import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import type { Day } from "@tonodrome/core/api";
import { bodyOf } from "~/data/client/api";
import { useClubAsk } from "~/data/queries/useClubAsk";

/** What days begin with. */
export type DaysOf = "events" | "athletes";

/** The day of a start as the server has it. */
export function useStartDay(startId: string) {
  const ask = useClubAsk();
  return useQuery({
    queryKey: ["day", startId],
    queryFn: () => ask("day", "GET", `/starts/${startId}/day`),
    refetchInterval: 15_000,
  });
}

/** Lists with lines open, of the starts that are next. */
export function useOpenLists() {
  const ask = useClubAsk();
  return useQuery({
    queryKey: ["open-lists"],
    queryFn: () => ask("openLists", "GET", "/open-lists", undefined, { atSight: true }),
    refetchInterval: 60_000,
  });
}

/** What days of an event, or of an athlete, begin with. @param id null where there is no such thing, or one may not know */
export function useUsualDayOf(of: DaysOf, id: string | null) {
  const ask = useClubAsk();
  return useQuery({
    queryKey: ["usual-day", of, id],
    queryFn: () => ask("day", "GET", `/${of}/${id}/day`),
    enabled: id !== null,
  });
}

/** Keeps a day as what days of an event, or of an athlete, begin with, against the version that was read. */
export function useKeepUsualDay(of: DaysOf, id: string) {
  const ask = useClubAsk();
  const client = useQueryClient();
  const queryKey = ["usual-day", of, id];
  return useMutation({
    mutationFn: async (day: Day) => ask("day", "PUT", `/${of}/${id}/day`, await bodyOf("day", day)),
    onSuccess: (day) => client.setQueryData(queryKey, day),
    onError: () => void client.invalidateQueries({ queryKey }),
  });
}
