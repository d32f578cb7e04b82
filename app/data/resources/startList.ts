import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import type { StartListInput, StartListNews } from "@tonodrome/core/api";
import { useClubAsk } from "~/data/queries/useClubAsk";

/** What is compared: a list's rows, and whether those who are not in the club come into it. */
export type ListToCompare = Omit<StartListInput, "agreed">;

/** Two thousand rows take the server a moment, milliseconds. */
const PATIENT = { patience: 30_000 };

/**
 * What would become of each row of a list.
 * @param mark tells one list from another
 */
export function useComparedList(list: ListToCompare | null, mark: string) {
  const ask = useClubAsk();
  return useQuery({
    queryKey: ["start-list", mark],
    queryFn: () => ask("startListNews", "POST", "/start-list", { ...list, agreed: null }, PATIENT),
    enabled: list !== null,
    // It is of now: another look at it is another question.
    staleTime: 0,
    gcTime: 0,
  });
}

/** Takes a list as it was compared. */
export function useTakeList() {
  const ask = useClubAsk();
  const client = useQueryClient();
  return useMutation({
    mutationFn: ({ list, news }: { list: ListToCompare; news: StartListNews }) =>
      ask("startListNews", "POST", "/start-list", { ...list, agreed: news.mark }, PATIENT),
    onSuccess: () => client.invalidateQueries(),
    // What has changed since is to be seen.
    onError: () => client.invalidateQueries({ queryKey: ["start-list"] }),
  });
}
