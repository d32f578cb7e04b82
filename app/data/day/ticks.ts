import { useQuery } from "@tanstack/react-query";
import { mergeTicks, type Tick, tickSchema } from "@tonodrome/core/lists";
import { useEffect } from "react";
import { v4 as uuid } from "uuid";
import { z } from "zod";
import { createStore, useStore } from "zustand";
import { useMembership } from "~/data/account/account";
import { ApiFailure, ask } from "~/data/client/api";
import { timeNow } from "~/data/client/clock";
import { forget, keep, keptKeys, readKept } from "~/data/device/storage";
import { TICKS as PREFIX } from "~/early/keptKeys";

/*
 * Lists are ticked off beside a bag, with or without a network: a press counts on this device at once, is kept on it, and is
 * sent until the server has it.
 */

const DEVICE = "device";

/** How long after no answer it is tried again, milliseconds. */
const RETRY = 8_000;
/** Refusals that asking again does not change. */
const FINAL = new Set<string>(["not_found", "invalid_input", "forbidden", "full", "link_over"]);
/** Ticks in one request, as the server takes them. */
const TOGETHER = 200;

/** What this device has ticked and the server has not, by start. */
const store = createStore<{
  unsent: ReadonlyMap<string, readonly Tick[]>;
  failures: ReadonlyMap<string, Failure>;
  /** What the server said last when ticks were sent: in sight until it is read anew. */
  answered: ReadonlyMap<string, readonly Tick[]>;
}>(() => ({ unsent: new Map(), failures: new Map(), answered: new Map() }));

/** Why ticks are not on the server. */
interface Failure {
  sentence: string;
  /** Refused: asking again changes nothing. The ticks stay here, in sight with the reason. */
  isFinal: boolean;
}

function noteFailure(key: string, failure: Failure | null): void {
  store.setState(({ failures }) => {
    const next = new Map(failures);
    if (failure) next.set(key, failure);
    else next.delete(key);
    return { failures: next };
  });
}

const keptSchema = z.array(tickSchema);
const NONE: readonly Tick[] = [];

function unsentOf(key: string): readonly Tick[] {
  return store.getState().unsent.get(key) ?? readKept(key, (kept) => keptSchema.safeParse(kept).data) ?? NONE;
}

function putUnsent(key: string, ticks: readonly Tick[]): void {
  store.setState(({ unsent }) => ({ unsent: new Map(unsent).set(key, ticks) }));
  if (ticks.length > 0) keep(key, ticks);
  else forget(key);
}

/** This device's name among those that tick; made once. */
function deviceId(): string {
  const known = readKept(DEVICE, (kept) => z.uuid().safeParse(kept).data);
  const id = known ?? uuid();
  if (!known) keep(DEVICE, id);
  return id;
}

/** Sends what a device has of one start's lists. @param path where they are sent: what they are kept under says it */
async function send(path: string): Promise<void> {
  const key = PREFIX + path;
  const sent = unsentOf(key).slice(0, TOGETHER);
  if (sent.length === 0) return;
  try {
    const { ticks } = await ask("ticks", "POST", path, { ticks: sent });
    store.setState(({ answered }) => ({ answered: new Map(answered).set(key, ticks) }));
    // What was pressed meanwhile is next.
    const left = unsentOf(key).filter((t) => !sent.includes(t));
    putUnsent(key, left);
    noteFailure(key, null);
    if (left.length > 0) void send(path);
  } catch (error) {
    const isFinal = error instanceof ApiFailure && FINAL.has(error.code);
    noteFailure(key, { sentence: (error as Error).message, isFinal });
  }
}

/** Sends whatever this device has ticked and the server has not, also of lists that nobody has open. */
export function sendTicks(): void {
  for (const key of keptKeys(PREFIX))
    if (!store.getState().failures.get(key)?.isFinal) void send(key.slice(PREFIX.length));
}

/** How many lists have ticks that only this device knows. */
export const unsentLists = (): number => keptKeys(PREFIX).length;

/** What is ticked off in the lists of a start, and the press that does it. */
export interface Ticks {
  ticks: readonly Tick[];
  /** Why this device's ticks are not on the server, in a sentence; null when they are, or on their way. */
  failure: string | null;
  press: (line: Pick<Tick, "step" | "line">, isOn: boolean) => void;
}

/** Of a start of the club. */
export function useTicks(startId: string): Ticks {
  const { id: clubId } = useMembership();
  return useTicksAt({
    path: `/clubs/${clubId}/starts/${startId}/ticks`,
    queryKey: ["day", startId, "ticks"],
  });
}

/** Of the start that a link shows, without an account. */
export const useSharedTicks = (token: string): Ticks =>
  useTicksAt({
    path: `/shared/${token}/ticks`,
    queryKey: ["shared", token, "ticks"],
  });

interface TicksAt {
  /** Where they are asked for and sent. */
  path: string;
  queryKey: string[];
}

function useTicksAt({ path, queryKey }: TicksAt): Ticks {
  const key = PREFIX + path;
  const { data } = useQuery({
    queryKey,
    queryFn: () => ask("ticks", "GET", path),
    refetchInterval: 15_000,
  });
  const own = useStore(store, ({ unsent }) => unsent.get(key)) ?? unsentOf(key);
  const answered = useStore(store, (s) => s.answered.get(key)) ?? NONE;
  const all = mergeTicks(data?.ticks ?? [], answered, own);
  const failure = useStore(store, (s) => s.failures.get(key)) ?? null;

  const waits = own.length > 0 && !failure?.isFinal;
  useEffect(() => {
    if (!waits) return;
    const timer = setInterval(() => void send(path), RETRY);
    return () => clearInterval(timer);
  }, [waits, path]);

  return {
    ticks: all,
    failure: own.length > 0 ? (failure?.sentence ?? null) : null,
    press: ({ step, line }, isOn) => {
      const known = mergeTicks(all, unsentOf(key)).find((t) => t.step === step && t.line === line);
      // A clock that runs behind another's does not make a press count for nothing.
      const at = Math.max(timeNow(), known ? Date.parse(known.at) + 1 : 0);
      const tick = { step, line, isOn, at: new Date(at).toISOString(), by: deviceId() };
      putUnsent(key, mergeTicks(unsentOf(key), [tick]));
      void send(path);
    },
  };
}
