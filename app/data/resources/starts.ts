import { type QueryClient, skipToken, useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import {
  MOST,
  type Start,
  type StartInput,
  type StartMove,
  type StartRow,
  type StartWrite,
} from "@tonodrome/core/api";
import { useMembership } from "~/data/account/account";
import type { AnswerName, AnswerOf } from "~/data/client/answers";
import { ApiFailure } from "~/data/client/api";
import { timeNow } from "~/data/client/clock";
import { earlyBody } from "~/data/client/early";
import { useSendOnce } from "~/data/client/useSendOnce";
import { type ClubAsk, useClubAsk } from "~/data/queries/clubAsk";
import { putGlance } from "~/data/queries/glances";
import { LOOK_BACK, startsPath, wholePath } from "~/early/asks";

/** Today opens with them. */
const AT_SIGHT = { atSight: true };

/** Puts a start's newest reading wherever it is shown. */
export function putStart(client: QueryClient, start: Start): void {
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
    const path = wholePath(stale.slice(i, i + MOST.startsTogether));
    const { starts, glances } = await ask("wholeStarts", "GET", path, undefined, AT_SIGHT);
    for (const { id, ...found } of glances) putGlance(client, id, found);
    for (const start of starts) client.setQueryData(["start", start.id], start);
  }
  return rows.flatMap((row) => known(row.id) ?? []);
}

/** The starts as they were asked for before the application was there; undefined where they were not, or not all of them. */
function earlyStarts(client: QueryClient, clubId: string): Start[] | undefined {
  const bodyAt = <Name extends AnswerName>(path: string) =>
    earlyBody(`/clubs/${clubId}${path}`) as AnswerOf<Name> | undefined;
  const rows = bodyAt<"startList">(startsPath(Date.now()))?.starts ?? [];
  const whole = bodyAt<"wholeStarts">(wholePath(rows.map((row) => row.id)));
  if (!whole || whole.starts.length < rows.length) return undefined;
  for (const { id, ...found } of whole.glances) putGlance(client, id, found);
  for (const start of whole.starts) client.setQueryData(["start", start.id], start);
  return whole.starts;
}

/** Starts from three hours ago on, soonest first. */
export function useStarts() {
  const client = useQueryClient();
  const ask = useClubAsk();
  const { id } = useMembership();
  return useQuery({
    queryKey: ["starts"],
    initialData: () => earlyStarts(client, id),
    queryFn: async () => {
      const { starts } = await ask("startList", "GET", startsPath(Date.now()), undefined, AT_SIGHT);
      return wholeStarts(client, ask, starts);
    },
    refetchInterval: 15_000,
  });
}

/** One start. */
export function useStart(id: string, options: { every?: number } = {}) {
  const client = useQueryClient();
  const ask = useClubAsk();
  return useQuery({
    queryKey: ["start", id],
    queryFn: () => ask("start", "GET", `/starts/${id}`, undefined, AT_SIGHT),
    enabled: id !== "",
    initialData: () => client.getQueryData<Start[]>(["starts"])?.find((s) => s.id === id),
    initialDataUpdatedAt: () => client.getQueryState(["starts"])?.dataUpdatedAt,
    refetchInterval: options.every ?? 15_000,
  });
}

/** Makes a start with an empty plan. */
export function useCreateStart() {
  const once = useSendOnce<StartInput>();
  const client = useQueryClient();
  const ask = useClubAsk();
  return useMutation({
    mutationFn: (input: StartInput) => ask("start", "POST", "/starts", once.withId(input)),
    onSuccess: (start) => {
      once.made();
      putStart(client, start);
    },
  });
}

/** The write that changes some of a start and leaves the rest as it was read. */
export function startWrite(start: Start, changes: Partial<StartInput>): StartWrite {
  const { id: _, plan: __, facts: ___, stamp: ____, order: _____, athlete, ...write } = start;
  return { ...write, athleteId: athlete.id, ...changes };
}

/** Writes to one start: what the server makes of it is shown everywhere. */
function useStartWrite<Input extends { start: Start }>(send: (ask: ClubAsk, input: Input) => Promise<Start>) {
  const client = useQueryClient();
  const ask = useClubAsk();
  return useMutation({
    mutationFn: (input: Input) => send(ask, input),
    onSuccess: (start) => putStart(client, start),
    onError: (error) => {
      // Someone else was quicker: show what they made of it.
      if (error instanceof ApiFailure && error.code === "version_conflict") client.invalidateQueries();
    },
  });
}

/** Changes some of a start, as long as it is the version that was read. */
export const useSaveStart = () =>
  useStartWrite((ask, { start, changes }: { start: Start; changes: Partial<StartInput> }) =>
    ask("start", "PUT", `/starts/${start.id}`, startWrite(start, changes)),
  );

/**
 * Moves a start, as whoever may run it may: the athlete is still ready when they were, as far as that goes, or when it is
 * said.
 */
export const useMoveStart = () =>
  useStartWrite((ask, { start, ...to }: { start: Start } & Omit<StartMove, "version">) =>
    ask("start", "POST", `/starts/${start.id}/move`, { version: start.version, ...to }),
  );

/** The start that was deleted last; of this club alone, as everything is that its cache holds. */
const DELETED = ["deleted-start"];

/** So long it is offered to take a deletion back, milliseconds. The server can for longer. */
const OFFERED = 60_000;

/** Deletes a start with its warm-up and its links. */
export function useDeleteStart() {
  const client = useQueryClient();
  const ask = useClubAsk();
  return useMutation({
    mutationFn: ({ id }: Start) => ask("done", "DELETE", `/starts/${id}`),
    onSuccess: (_, start) => {
      client.setQueryData<Start[]>(["starts"], (starts) => starts?.filter((s) => s.id !== start.id));
      client.removeQueries({ queryKey: ["start", start.id] });
      client.setQueryData<Start | null>(DELETED, start, { updatedAt: timeNow() });
    },
  });
}

/** Takes back that a start was deleted. */
export function useRestoreStart() {
  const client = useQueryClient();
  const ask = useClubAsk();
  return useMutation({
    mutationFn: ({ id }: Start) => ask("start", "POST", `/starts/${id}/restore`),
    onSuccess: (start) => {
      putStart(client, start);
      client.setQueryData<Start | null>(DELETED, null);
    },
  });
}

/** The start that was deleted here within the last minute; null for none. */
export function useDeletedStart(now: number): Start | null {
  const { data, dataUpdatedAt } = useQuery<Start | null>({ queryKey: DELETED, queryFn: skipToken });
  return data && now - dataUpdatedAt < OFFERED ? data : null;
}

/** An athlete's latest starts before an instant, newest first. */
export function useStartsBefore(athleteId: string, before: string) {
  const client = useQueryClient();
  const ask = useClubAsk();
  return useQuery({
    queryKey: ["before", athleteId, before],
    queryFn: async () => {
      const path = `/starts?athleteId=${athleteId}&before=${before}`;
      return wholeStarts(client, ask, (await ask("startList", "GET", path, undefined, AT_SIGHT)).starts);
    },
  });
}
