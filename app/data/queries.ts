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
  MOST,
  type Plan,
  type PlanWrite,
  planSchema,
  runListSchema,
  runSchema,
  type Start,
  type StartInput,
  type StartRow,
  type StartWrite,
  startListSchema,
  startSchema,
  type Topic,
  wholeStartsSchema,
} from "@tonodrome/core/api";
import { useCallback } from "react";
import type { z } from "zod";
import { refreshMe, useMembership } from "./account";
import { ApiFailure, ask } from "./api";
import { useChanges } from "./live";
import { useSendOnce } from "./useSendOnce";

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
  const ask = useClubAsk();
  const { id } = useMembership();
  useChanges(
    `/clubs/${id}/changes`,
    (change) => {
      const { topic } = change;
      if (topic === "starts" && change.id) void rereadStart(client, ask, change.id);
      // Each press tells of its run; of the log it is told when that reads differently.
      else if (topic === "runs" && change.id) void client.invalidateQueries({ queryKey: ["run", change.id] });
      else for (const key of KEYS[topic]) void client.invalidateQueries({ queryKey: [key] });
      if (topic === "club") void refreshMe();
    },
    () => {
      void client.invalidateQueries();
      void refreshMe();
    },
  );
}

type ClubAsk = ReturnType<typeof useClubAsk>;

/** One start changed: it alone is read again, and stands anew wherever it is shown. */
async function rereadStart(client: QueryClient, ask: ClubAsk, id: string): Promise<void> {
  for (const key of ["edits", "before"]) void client.invalidateQueries({ queryKey: [key] });
  try {
    putStart(client, await ask(startSchema, "GET", `/starts/${id}`));
  } catch {
    // Deleted, or not reached just now: whoever shows it asks for itself.
    for (const queryKey of [["starts"], ["start", id]]) void client.invalidateQueries({ queryKey });
  }
}

/** Puts a start's newest reading wherever it is shown. */
function putStart(client: QueryClient, start: Start): void {
  client.setQueryData(["start", start.id], start);
  client.setQueryData<Start[]>(["starts"], (starts) => {
    if (!starts) return undefined;
    const others = starts.filter((s) => s.id !== start.id);
    const isListed = Date.parse(start.startsAt) >= Date.now() - LOOK_BACK;
    return [...others, ...(isListed ? [start] : [])].sort(
      (a, b) => Date.parse(a.startsAt) - Date.parse(b.startsAt),
    );
  });
}

/**
 * The starts of a list, whole. The list itself is light: of what it takes to fit a start only what changed since it was
 * last read, as its stamp tells, is read again.
 */
async function wholeStarts(client: QueryClient, ask: ClubAsk, rows: readonly StartRow[]): Promise<Start[]> {
  const known = (id: string) => client.getQueryData<Start>(["start", id]);
  const stale = rows.filter((row) => known(row.id)?.stamp !== row.stamp).map((row) => row.id);
  for (let i = 0; i < stale.length; i += MOST.startsTogether) {
    const ids = stale.slice(i, i + MOST.startsTogether).join(",");
    for (const start of (await ask(wholeStartsSchema, "GET", `/starts/whole?ids=${ids}`)).starts)
      client.setQueryData(["start", start.id], start);
  }
  return rows.flatMap((row) => known(row.id) ?? []);
}

/** Starts from three hours ago on, soonest first. */
export function useStarts() {
  const client = useQueryClient();
  const ask = useClubAsk();
  return useQuery({
    queryKey: ["starts"],
    queryFn: async () => {
      const from = new Date(Date.now() - LOOK_BACK).toISOString();
      return wholeStarts(client, ask, (await ask(startListSchema, "GET", `/starts?from=${from}`)).starts);
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

function useKeepStart() {
  const client = useQueryClient();
  return (start: Start) => putStart(client, start);
}

export function useCreateStart() {
  const once = useSendOnce<StartInput>();
  const keep = useKeepStart();
  const ask = useClubAsk();
  return useMutation({
    mutationFn: (input: StartInput) => ask(startSchema, "POST", "/starts", once.withId(input)),
    onSuccess: (start) => {
      once.made();
      keep(start);
    },
  });
}

/** The write that changes some of a start and leaves the rest as it was read. */
export function startWrite(start: Start, changes: Partial<StartInput>): StartWrite {
  const { id: _, plan: __, facts: ___, stamp: ____, athlete, ...write } = start;
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
  const once = useSendOnce<AthleteInput>();
  const client = useQueryClient();
  const ask = useClubAsk();
  return useMutation({
    mutationFn: (input: AthleteInput) => ask(athleteSchema, "POST", "/athletes", once.withId(input)),
    onSuccess: () => {
      once.made();
      return client.invalidateQueries({ queryKey: ["athletes"] });
    },
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
  const once = useSendOnce<DrillInput>();
  const client = useQueryClient();
  const ask = useClubAsk();
  return useMutation({
    mutationFn: (input: DrillInput) => ask(drillSchema, "POST", "/drills", once.withId(input)),
    onSuccess: () => {
      once.made();
      return client.invalidateQueries({ queryKey: ["drills"] });
    },
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
  const client = useQueryClient();
  const ask = useClubAsk();
  return useQuery({
    queryKey: ["before", athleteId, before],
    queryFn: async () => {
      const path = `/starts?athleteId=${athleteId}&before=${before}`;
      return wholeStarts(client, ask, (await ask(startListSchema, "GET", path)).starts);
    },
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
    queryFn: ({ pageParam }) =>
      ask(runListSchema, "GET", pageParam ? `/runs?before=${encodeURIComponent(pageParam)}` : "/runs"),
    initialPageParam: "",
    getNextPageParam: (page) => page.next,
  });
}

export function useRun(id: string, enabled = true) {
  const ask = useClubAsk();
  return useQuery({ queryKey: ["run", id], queryFn: () => ask(runSchema, "GET", `/runs/${id}`), enabled });
}
