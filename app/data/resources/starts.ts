import { skipToken, useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import type { Start, StartInput } from "@tonodrome/core/api";
import { useCallback } from "react";
import { useStore } from "zustand";
import { useMembership } from "~/data/account/useAccount";
import { ApiFailure, bodyOf } from "~/data/client/api";
import { timeNow } from "~/data/client/clock";
import { useSendOnce } from "~/data/client/useSendOnce";
import { useClubAsk } from "~/data/queries/useClubAsk";
import { moves, notMoved, withMove } from "~/data/starts/moves";
import { earlyStarts, putStart, startQuery, startsQuery, wholeStarts } from "~/data/starts/startCache";
import { startBody } from "~/data/starts/startEdits";

/** Starts from three hours ago on, soonest first, each where it stands by what was moved here. */
export function useStarts() {
  const client = useQueryClient();
  const ask = useClubAsk();
  const { id } = useMembership();
  const moved = useStore(moves.store, ({ items }) => items);
  // biome-ignore lint/correctness/useExhaustiveDependencies: another one whenever something is moved here
  const select = useCallback(
    (starts: Start[]) => starts.map(withMove).sort((a, b) => Date.parse(a.startsAt) - Date.parse(b.startsAt)),
    [moved],
  );
  return useQuery({
    ...startsQuery(client, ask),
    initialData: () => earlyStarts(client, id),
    select,
  });
}

/** One start, where it stands by what was moved here. */
export function useStart(id: string, options: { every?: number } = {}) {
  const client = useQueryClient();
  const ask = useClubAsk();
  const move = useStore(moves.store, ({ items }) => items.get(id));
  // biome-ignore lint/correctness/useExhaustiveDependencies: another one whenever it is moved here
  const select = useCallback((start: Start) => withMove(start), [move]);
  return useQuery({ ...startQuery(client, ask, id, options.every), select });
}

/** Why the last move of a start does not count; null where it does. */
export const useNotMoved = (id: string): string | null => useStore(notMoved, (all) => all.get(id) ?? null);

/** How a move of a start that was made here stands with the server: null where it is there. */
export function useMoving(id: string): { failure: string | null } | null {
  const isMoving = useStore(moves.store, () => moves.get(id) !== null);
  const failure = useStore(moves.store, ({ failures }) => failures.get(id)?.sentence ?? null);
  return isMoving ? { failure } : null;
}

/** Makes a start with an empty plan. */
export function useCreateStart() {
  const once = useSendOnce<StartInput>();
  const client = useQueryClient();
  const ask = useClubAsk();
  return useMutation({
    mutationFn: async (input: StartInput) =>
      ask("start", "POST", "/starts", await bodyOf("startInput", once.withId(input))),
    onSuccess: (start) => {
      once.made();
      putStart(client, start);
    },
  });
}

/** Changes some of a start, as long as it is the version that was read. */
export function useSaveStart() {
  const client = useQueryClient();
  const ask = useClubAsk();
  return useMutation({
    mutationFn: async ({ start, changes }: { start: Start; changes: Partial<StartInput> }) =>
      ask("start", "PUT", `/starts/${start.id}`, await startBody(start, changes)),
    onSuccess: (start) => putStart(client, start),
    onError: (error) => {
      // Someone else was quicker: show what they made of it.
      if (error instanceof ApiFailure && error.code === "version_conflict") client.invalidateQueries();
    },
  });
}

/** The start that was deleted last; of this club alone, as everything is that its cache holds. */
const DELETED = ["deleted-start"];

/** So long it is offered to take a deletion back, milliseconds. The server can for longer. */
const OFFERED = 60_000;

/** Deletes a start with its warm-up and its links. */
export function useDeleteStart() {
  const client = useQueryClient();
  const ask = useClubAsk();
  return useMutation({
    mutationFn: ({ id, version }: Start) => ask("done", "DELETE", `/starts/${id}?version=${version}`),
    onError: () => void client.invalidateQueries({ queryKey: ["starts"] }),
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
      return wholeStarts(
        client,
        ask,
        (await ask("startList", "GET", path, undefined, { atSight: true })).starts,
      );
    },
  });
}
