import { createAsyncStoragePersister } from "@tanstack/query-async-storage-persister";
import type { DehydratedState, QueryClient } from "@tanstack/query-core";
import {
  type PersistedClient,
  type Persister,
  persistQueryClient,
} from "@tanstack/query-persist-client-core";
import { clear, createStore, del, get, set, type UseStore } from "idb-keyval";
import { KEPT } from "./keys";

/*
 * What was read of the club's day is kept on this device, so that Today, the warm-ups and the shelf are there without a
 * network. Athletes' profiles are not: they hold what is sensitive, and a run does not need them.
 */

/** Answers older than this are not shown as if they were today's, milliseconds. */
const KEPT_MS = 36 * 3_600_000;

/** Changes come in bursts; they are kept at most so often, milliseconds. */
const EVERY = 500;

let store: UseStore | null = null;
const storeOf = (): UseStore => {
  store ??= createStore("tonodrome", "queries");
  return store;
};

/** Keys name the person and the club: nothing read in one is ever shown in another. */
interface KeptFor {
  personId: string;
  clubId: string;
}

/** How often this device has forgotten everything: nothing that was read before is written after it. */
let forgotten = 0;

/** What was kept is shown until the server has answered, and never instead of asking it. */
function longAgo(text: string): PersistedClient {
  const kept = JSON.parse(text) as PersistedClient;
  const { queries, ...state }: DehydratedState = kept.clientState;
  const aged = queries.map((q) => ({ ...q, state: { ...q.state, dataUpdatedAt: 1 } }));
  return { ...kept, clientState: { ...state, queries: aged } };
}

function persisterOf({ personId, clubId }: KeptFor, isOver: () => boolean): Persister {
  const persister = createAsyncStoragePersister({
    key: `${personId} ${clubId}`,
    throttleTime: EVERY,
    deserialize: longAgo,
    storage: {
      getItem: (key) => get<string>(key, storeOf()),
      setItem: async (key, text) => (isOver() ? undefined : set(key, text, storeOf())),
      removeItem: (key) => del(key, storeOf()),
    },
  });
  return {
    ...persister,
    // Before anything is read there is nothing to keep, and nothing to write over what there is.
    persistClient: (client) =>
      client.clientState.queries.length > 0 ? persister.persistClient(client) : undefined,
  };
}

/**
 * Puts what was kept into a client, where it has nothing newer, and keeps what it reads from then on. A device that cannot
 * keep anything has nothing.
 * @returns what ends it
 */
export function keepQueries(queryClient: QueryClient, whose: KeptFor): () => void {
  let isEnded = false;
  const begun = forgotten;
  const [unsubscribe, restored] = persistQueryClient({
    queryClient,
    persister: persisterOf(whose, () => isEnded || forgotten !== begun),
    maxAge: KEPT_MS,
    dehydrateOptions: {
      shouldDehydrateQuery: (q) => q.state.status === "success" && KEPT.has(String(q.queryKey[0])),
      shouldDehydrateMutation: () => false,
    },
  });
  restored.catch(() => undefined);
  return () => {
    isEnded = true;
    unsubscribe();
  };
}

/** Forgets everything that was kept, of everybody: somebody signed out. */
export async function forgetQueries(): Promise<void> {
  forgotten++;
  await clear(storeOf()).catch(() => undefined);
}
