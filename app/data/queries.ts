import { QueryClient, useInfiniteQuery, useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import {
  type Athlete,
  type AthleteInput,
  type AthleteWrite,
  athleteListSchema,
  athleteSchema,
  type DrillInput,
  type DrillWrite,
  doneSchema,
  drillListSchema,
  drillSchema,
  type Plan,
  type PlanWrite,
  planSchema,
  runListSchema,
  runSchema,
  type Start,
  type StartInput,
  type StartWrite,
  startListSchema,
  startSchema,
  type Topic,
} from "@tonodrome/core/api";
import { useCallback } from "react";
import type { z } from "zod";
import { refreshMe, useMembership } from "./account";
import { ApiFailure, ask } from "./api";
import { useChanges } from "./live";

/** The one cache of what the server said. A refusal is final; only an unreachable server is asked again. */
export function makeQueryClient(): QueryClient {
  return new QueryClient({
    defaultOptions: {
      queries: {
        staleTime: 5_000,
        retry: (count, error) => count < 2 && error instanceof ApiFailure && error.code === "unreachable",
        networkMode: "always",
      },
      mutations: { networkMode: "always" },
    },
  });
}

const LOOK_BACK = 3 * 3_600_000;

/** Asks the server about the club one acts in. Every such question is scoped to it by its address. */
export function useClubAsk() {
  const { id } = useMembership();
  return useCallback(
    <S extends z.ZodType>(
      schema: S,
      method: "GET" | "POST" | "PUT" | "DELETE",
      path: string,
      body?: unknown,
      patience?: number,
    ) => ask(schema, method, `/clubs/${id}${path}`, body, patience),
    [id],
  );
}

/** What is read again when the server tells that something changed. */
const KEYS: Record<Topic, string[]> = {
  club: ["members", "invites", "shares", "audit"],
  // A start has with it what the fit has to know of its athlete and its event.
  athletes: ["athletes", "starts", "start"],
  drills: ["drills", "starters"],
  events: ["events", "starts", "start"],
  templates: ["templates"],
  starts: ["starts", "start", "edits", "before"],
  runs: ["runs", "run"],
};

/** Reads again whatever others change in the club, as they change it. */
export function useLiveClub(): void {
  const client = useQueryClient();
  const { id } = useMembership();
  useChanges(
    `/clubs/${id}/changes`,
    (topic) => {
      for (const key of KEYS[topic]) void client.invalidateQueries({ queryKey: [key] });
      if (topic === "club") void refreshMe();
    },
    () => {
      void client.invalidateQueries();
      void refreshMe();
    },
  );
}

/** Starts from three hours ago on, soonest first. */
export function useStarts() {
  const ask = useClubAsk();
  return useQuery({
    queryKey: ["starts"],
    queryFn: async () => {
      const from = new Date(Date.now() - LOOK_BACK).toISOString();
      return (await ask(startListSchema, "GET", `/starts?from=${from}`)).starts;
    },
    refetchInterval: 15_000,
  });
}

export function useStart(id: string, options: { every?: number } = {}) {
  const client = useQueryClient();
  const ask = useClubAsk();
  return useQuery({
    queryKey: ["start", id],
    queryFn: () => ask(startSchema, "GET", `/starts/${id}`),
    enabled: id !== "",
    initialData: () => client.getQueryData<Start[]>(["starts"])?.find((s) => s.id === id),
    initialDataUpdatedAt: () => client.getQueryState(["starts"])?.dataUpdatedAt,
    refetchInterval: options.every ?? 15_000,
  });
}

/** Puts a start's newest reading wherever it is shown. */
function useKeepStart() {
  const client = useQueryClient();
  return (start: Start) => {
    client.setQueryData(["start", start.id], start);
    client.setQueryData<Start[]>(["starts"], (starts) => {
      const others = starts?.filter((s) => s.id !== start.id) ?? [];
      return [...others, start].sort((a, b) => Date.parse(a.startsAt) - Date.parse(b.startsAt));
    });
  };
}

export function useCreateStart() {
  const keep = useKeepStart();
  const ask = useClubAsk();
  return useMutation({
    mutationFn: (input: StartInput) => ask(startSchema, "POST", "/starts", input),
    onSuccess: keep,
  });
}

/** The write that changes some of a start and leaves the rest as it was read. */
export function startWrite(start: Start, changes: Partial<StartInput>): StartWrite {
  const { id: _, plan: __, facts: ___, athlete, ...write } = start;
  return { ...write, athleteId: athlete.id, ...changes };
}

export function useSaveStart() {
  const keep = useKeepStart();
  const client = useQueryClient();
  const ask = useClubAsk();
  return useMutation({
    mutationFn: ({ start, changes }: { start: Start; changes: Partial<StartInput> }) =>
      ask(startSchema, "PUT", `/starts/${start.id}`, startWrite(start, changes)),
    onSuccess: keep,
    onError: (error) => {
      // Someone else was quicker: show what they made of it.
      if (error instanceof ApiFailure && error.code === "version_conflict") client.invalidateQueries();
    },
  });
}

export function useSavePlan(startId: string) {
  const client = useQueryClient();
  const keep = useKeepStart();
  const ask = useClubAsk();
  const keepPlan = (plan: Plan) => {
    const start = client.getQueryData<Start>(["start", startId]);
    if (start) keep({ ...start, plan });
  };
  return useMutation({
    mutationFn: ({ planId, write }: { planId: string; write: PlanWrite }) =>
      ask(planSchema, "PUT", `/plans/${planId}`, write),
    onSuccess: keepPlan,
    onError: (error) => {
      // Someone else was quicker: from now on theirs is what the server has.
      if (error instanceof ApiFailure && error.code === "version_conflict")
        keepPlan(planSchema.parse(error.current));
    },
  });
}

export function useAthletes() {
  const ask = useClubAsk();
  return useQuery({
    queryKey: ["athletes"],
    queryFn: async () => (await ask(athleteListSchema, "GET", "/athletes")).athletes,
  });
}

export function useCreateAthlete() {
  const client = useQueryClient();
  const ask = useClubAsk();
  return useMutation({
    mutationFn: (input: AthleteInput) => ask(athleteSchema, "POST", "/athletes", input),
    onSuccess: () => client.invalidateQueries({ queryKey: ["athletes"] }),
  });
}

export function useDrills(enabled = true) {
  const ask = useClubAsk();
  return useQuery({
    queryKey: ["drills"],
    queryFn: async () => (await ask(drillListSchema, "GET", "/drills")).drills,
    enabled,
  });
}

export function useCreateDrill() {
  const client = useQueryClient();
  const ask = useClubAsk();
  return useMutation({
    mutationFn: (input: DrillInput) => ask(drillSchema, "POST", "/drills", input),
    onSuccess: () => client.invalidateQueries({ queryKey: ["drills"] }),
  });
}

/** Writes an athlete over, as long as it is the version that was read. */
export function useSaveAthlete() {
  const client = useQueryClient();
  const ask = useClubAsk();
  return useMutation({
    mutationFn: ({ id, write }: { id: string; write: AthleteWrite }) =>
      ask(athleteSchema, "PUT", `/athletes/${id}`, write),
    // Refused or not: what the server has now is what the next edit is made against.
    onSettled: () => {
      for (const key of ["athletes", "starts", "start"]) void client.invalidateQueries({ queryKey: [key] });
    },
  });
}

/** An athlete's latest starts before an instant, newest first. */
export function useStartsBefore(athleteId: string, before: string) {
  const ask = useClubAsk();
  return useQuery({
    queryKey: ["before", athleteId, before],
    queryFn: async () =>
      (await ask(startListSchema, "GET", `/starts?athleteId=${athleteId}&before=${before}`)).starts,
  });
}

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

/** Writes a drill of the shelf over, as long as it is the version that was read. */
export function useSaveDrill() {
  const client = useQueryClient();
  const ask = useClubAsk();
  return useMutation({
    mutationFn: ({ id, write }: { id: string; write: DrillWrite }) =>
      ask(drillSchema, "PUT", `/drills/${id}`, write),
    // Refused or not: what the server has now is what the next edit is made against.
    onSettled: () => void client.invalidateQueries({ queryKey: ["drills"] }),
  });
}

/** The log, a page at a time, newest first. */
export function useRuns() {
  const ask = useClubAsk();
  return useInfiniteQuery({
    queryKey: ["runs"],
    queryFn: ({ pageParam }) => ask(runListSchema, "GET", pageParam ? `/runs?before=${pageParam}` : "/runs"),
    initialPageParam: "",
    getNextPageParam: (page) => page.next,
  });
}

export function useRun(id: string, enabled = true) {
  const ask = useClubAsk();
  return useQuery({ queryKey: ["run", id], queryFn: () => ask(runSchema, "GET", `/runs/${id}`), enabled });
}
