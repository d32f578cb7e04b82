import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import type { ClubFiguresAnswer } from "@tonodrome/core/api";
import { bodyOf } from "~/data/client/api";
import { useClubAsk } from "~/data/queries/useClubAsk";

const KEY = ["club-figures"];
const NONE: ClubFiguresAnswer["figures"] = [];

/** Figures of checks that the club has of its own, with the version they were read as. */
export function useClubFigures() {
  const ask = useClubAsk();
  return useQuery({ queryKey: KEY, queryFn: () => ask("figures", "GET", "/figures") });
}

/** The figures alone: none while they are not read. */
export const useFigures = (): ClubFiguresAnswer["figures"] => useClubFigures().data?.figures ?? NONE;

/** Writes them over, as long as they are the version that was read. */
export function useSaveFigures() {
  const ask = useClubAsk();
  const client = useQueryClient();
  return useMutation({
    mutationFn: async (write: ClubFiguresAnswer) =>
      ask("figures", "PUT", "/figures", await bodyOf("figures", write)),
    onSuccess: (answer) => client.setQueryData(KEY, answer),
    onError: () => void client.invalidateQueries({ queryKey: KEY }),
  });
}
