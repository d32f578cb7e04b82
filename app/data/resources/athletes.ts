import { useMutation, useQueryClient } from "@tanstack/react-query";
import {
  type Athlete,
  type AthleteInput,
  type AthleteWrite,
  athleteListSchema,
  athleteSchema,
  doneSchema,
} from "@tonodrome/core/api";
import { useClubAsk } from "~/data/queries/clubAsk";
import { useClubList, useMake, useRewrite } from "~/data/queries/resource";

/** The club's athletes. */
export const useAthletes = () => useClubList(athleteListSchema, "/athletes", "athletes");

/** Adds an athlete. */
export const useCreateAthlete = () =>
  useMake<AthleteInput, typeof athleteSchema>(athleteSchema, "/athletes", "athletes");

/** Writes an athlete over. A start has with it what the fit has to know of its athlete. */
export const useSaveAthlete = () =>
  useRewrite<AthleteWrite, typeof athleteSchema>(athleteSchema, "/athletes", "athletes", "starts", "start");

/** Takes an athlete's name away, everywhere and for good. */
export function useAnonymiseAthlete() {
  const client = useQueryClient();
  const ask = useClubAsk();
  return useMutation({
    mutationFn: ({ id }: Athlete) => ask(athleteSchema, "POST", `/athletes/${id}/anonymise`),
    onSuccess: () => client.invalidateQueries(),
  });
}

/** Deletes an athlete with every start, warm-up and run. */
export function useDeleteAthlete() {
  const client = useQueryClient();
  const ask = useClubAsk();
  return useMutation({
    mutationFn: ({ id }: Athlete) => ask(doneSchema, "DELETE", `/athletes/${id}`),
    onSuccess: () => client.invalidateQueries(),
  });
}
