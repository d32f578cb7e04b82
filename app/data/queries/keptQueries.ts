import { type DehydratedState, dehydrate, hydrate, type QueryClient } from "@tanstack/react-query";
import { clear, createStore, del, get, set, type UseStore } from "idb-keyval";
import { KEPT } from "./keys";

/*
 * What was read of the club's day is kept on this device, so that Today, the warm-ups and the shelf are there without a
 * network. Athletes' profiles are not: they hold what is sensitive, and a run does not need them.
 */

/** Answers older than this are not shown as if they were today's, milliseconds. */
const LONGEST = 36 * 3_600_000;

/** Changes come in bursts; they are kept once they have settled, milliseconds. */
const SETTLES = 500;

let store: UseStore | null = null;
const storeOf = (): UseStore => {
  store ??= createStore("tonodrome", "queries");
  return store;
};

interface Kept {
  at: number;
  state: DehydratedState;
}

/** Keys name the person and the club: nothing read in one is ever shown in another. */
export interface KeptFor {
  personId: string;
  clubId: string;
}

const keyOf = ({ personId, clubId }: KeptFor) => `${personId} ${clubId}`;

/** Puts what was kept into a client, where it has nothing newer. A device that cannot keep anything has nothing. */
export async function restoreQueries(client: QueryClient, whose: KeptFor): Promise<void> {
  const kept = await get<Kept>(keyOf(whose), storeOf()).catch(() => undefined);
  if (!kept) return;
  if (Date.now() - kept.at > LONGEST) await del(keyOf(whose), storeOf()).catch(() => undefined);
  else hydrate(client, longAgo(kept.state));
}

/** What was kept is shown until the server has answered, and never instead of asking it. */
function longAgo({ queries, ...state }: DehydratedState): DehydratedState {
  return { ...state, queries: queries.map((q) => ({ ...q, state: { ...q.state, dataUpdatedAt: 1 } })) };
}

/**
 * Keeps what a client reads from now on.
 * @returns what ends it
 */
export function keepQueries(client: QueryClient, whose: KeptFor): () => void {
  let timer: ReturnType<typeof setTimeout> | undefined;
  const write = () => {
    const state = dehydrate(client, {
      shouldDehydrateQuery: (q) => q.state.status === "success" && KEPT.has(String(q.queryKey[0])),
      shouldDehydrateMutation: () => false,
    });
    if (state.queries.length > 0)
      void set(keyOf(whose), { at: Date.now(), state } satisfies Kept, storeOf()).catch(() => undefined);
  };
  const end = client.getQueryCache().subscribe(({ type }) => {
    if (type !== "updated") return;
    clearTimeout(timer);
    timer = setTimeout(write, SETTLES);
  });
  return () => {
    clearTimeout(timer);
    end();
  };
}

/** Forgets everything that was kept, of everybody: somebody signed out. */
export async function forgetQueries(): Promise<void> {
  await clear(storeOf()).catch(() => undefined);
}
