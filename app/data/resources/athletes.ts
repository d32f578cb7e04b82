import { useMutation, useQueryClient } from "@tanstack/react-query";
import type { Athlete, AthleteInput, AthleteWrite } from "@tonodrome/core/api";
import { useClubAsk } from "~/data/queries/useClubAsk";
import { useClubList, useMake, useRewrite } from "~/data/resources/resource";

/** The club's athletes. */
export const useAthletes = () => useClubList("athleteList", "/athletes", "athletes", { atSight: true });

/** Adds an athlete. */
export const useCreateAthlete = () =>
  useMake<AthleteInput, "athlete">("athlete", "athleteInput", "/athletes", "athletes");

/** Writes an athlete over. A start has with it what the fit has to know of its athlete. */
export const useSaveAthlete = () =>
  useRewrite<AthleteWrite, "athlete">("athlete", "/athletes", "athletes", "starts", "start");

/** Takes an athlete's name away, everywhere and for good. */
export function useAnonymiseAthlete() {
  const client = useQueryClient();
  const ask = useClubAsk();
  return useMutation({
    mutationFn: ({ id }: Athlete) => ask("athlete", "POST", `/athletes/${id}/anonymise`),
    onSuccess: () => client.invalidateQueries(),
  });
}

/** Deletes an athlete with every start, warm-up and run. */
export function useDeleteAthlete() {
  const client = useQueryClient();
  const ask = useClubAsk();
  return useMutation({
    mutationFn: ({ id }: Athlete) => ask("done", "DELETE", `/athletes/${id}`),
    onSuccess: () => client.invalidateQueries(),
  });
}
