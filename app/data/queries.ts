import { QueryClient, useInfiniteQuery, useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import {
  type AthleteInput,
  athleteListSchema,
  athleteSchema,
  clubSchema,
  type DrillInput,
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
} from "@tonodrome/core/api";
import { ApiFailure, ask } from "./api";

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

export const useClub = () =>
  useQuery({ queryKey: ["club"], queryFn: () => ask(clubSchema, "GET", "/club"), staleTime: Infinity });

/** Starts from three hours ago on, soonest first. */
export function useStarts() {
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
  return useMutation({
    mutationFn: (input: StartInput) => ask(startSchema, "POST", "/starts", input),
    onSuccess: keep,
  });
}

/** The write that changes some of a start and leaves the rest as it was read. */
export function startWrite(start: Start, changes: Partial<StartInput>): StartWrite {
  const { version, title, venue, zone, startsAt, readyAt, athlete } = start;
  return { version, title, venue, zone, startsAt, readyAt, athleteId: athlete.id, ...changes };
}

export function useSaveStart() {
  const keep = useKeepStart();
  const client = useQueryClient();
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

export const useAthletes = () =>
  useQuery({
    queryKey: ["athletes"],
    queryFn: async () => (await ask(athleteListSchema, "GET", "/athletes")).athletes,
  });

export function useCreateAthlete() {
  const client = useQueryClient();
  return useMutation({
    mutationFn: (input: AthleteInput) => ask(athleteSchema, "POST", "/athletes", input),
    onSuccess: () => client.invalidateQueries({ queryKey: ["athletes"] }),
  });
}

export const useDrills = () =>
  useQuery({
    queryKey: ["drills"],
    queryFn: async () => (await ask(drillListSchema, "GET", "/drills")).drills,
  });

export function useCreateDrill() {
  const client = useQueryClient();
  return useMutation({
    mutationFn: (input: DrillInput) => ask(drillSchema, "POST", "/drills", input),
    onSuccess: () => client.invalidateQueries({ queryKey: ["drills"] }),
  });
}

/** The log, a page at a time, newest first. */
export const useRuns = () =>
  useInfiniteQuery({
    queryKey: ["runs"],
    queryFn: ({ pageParam }) => ask(runListSchema, "GET", pageParam ? `/runs?before=${pageParam}` : "/runs"),
    initialPageParam: "",
    getNextPageParam: (page) => page.next,
  });

export const useRun = (id: string, enabled = true) =>
  useQuery({ queryKey: ["run", id], queryFn: () => ask(runSchema, "GET", `/runs/${id}`), enabled });
