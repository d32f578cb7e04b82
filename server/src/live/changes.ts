import { MOST_TOLD, type Topic } from "@tonodrome/core/api";
import { Client } from "pg";
import type { Database } from "../db/connect";

/** A hint that something in a club has changed. */
export interface Change {
  clubId: string;
  topic: Topic;
  /** The start or run it is about. */
  id?: string;
  /** New presses of a run, where nothing else changed and they are few. */
  presses?: readonly string[];
}

/** Tells and hears of changes in clubs, on every server. */
export interface Changes {
  /** Tells every server, this one included, after the change is committed. Never fails: it is a hint, and readers also ask by themselves now and then. */
  publish(change: Change): void;
  /** Calls back for each change in a club, whichever server it was made on. @returns the way to end it */
  subscribe(clubId: string, listener: (change: Change) => void): () => void;
  /** Calls back when changes made on other servers may have been missed here: whoever listens has to read anew. @returns the way to end it */
  whenMissed(listener: () => void): () => void;
  /** Resolves once changes made on other servers are heard here. */
  listening(): Promise<void>;
  close(): Promise<void>;
}

const CHANNEL = "tonodrome_changes";

/** Changes are gathered for this long and told together, milliseconds. */
const GATHER = 20;

/** NOTIFY takes at most 8000 bytes, and a change with its presses 310. */
const MOST_TOGETHER = 25;

const LONGEST_PAUSE = 5_000;

/** How often the connection that listens is tried, and how long it may take to answer, milliseconds: one can die in silence. Custom. */
const TRIED = 15_000;
const PATIENCE_MS = 5_000;

/**
 * Live updates through PostgreSQL's LISTEN and NOTIFY: the servers share nothing else. The notification is sent after
 * the write's transaction and for several writes together, because NOTIFY makes transactions commit one by one.
 */
export function makeChanges({ sequelize }: Database, listenUrl: string): Changes {
  const listeners = new Map<string, Set<(change: Change) => void>>();
  const gathered = new Map<string, Change>();
  const missed = new Set<() => void>();
  const whenListening: (() => void)[] = [];
  let hasListened = false;
  let timer: NodeJS.Timeout | undefined;
  let client: Client | null = null;
  let isListening = false;
  let isClosed = false;
  let pause = 100;

  function hear(payload: string | undefined): void {
    for (const change of JSON.parse(payload ?? "[]") as Change[]) {
      for (const listener of listeners.get(change.clubId) ?? []) listener(change);
    }
  }

  async function listen(): Promise<void> {
    if (isClosed) return;
    const fresh = new Client({ connectionString: listenUrl, keepAlive: true, query_timeout: PATIENCE_MS });
    client = fresh;
    const tried = setInterval(() => {
      fresh.query("SELECT 1").catch(() => fresh.connection.stream.destroy());
    }, TRIED).unref();
    fresh.on("notification", ({ payload }) => hear(payload));
    fresh.on("error", () => undefined);
    fresh.on("end", () => {
      clearInterval(tried);
      isListening = false;
      if (isClosed) return;
      pause = Math.min(pause * 2, LONGEST_PAUSE);
      setTimeout(listen, pause).unref();
    });
    try {
      await fresh.connect();
      await fresh.query(`LISTEN ${CHANNEL}`);
      isListening = true;
      pause = 100;
      // What was told in between nobody heard.
      if (hasListened) for (const tell of missed) tell();
      hasListened = true;
      for (const tell of whenListening.splice(0)) tell();
    } catch {
      // "end" follows and tries again.
      await fresh.end().catch(() => undefined);
      clearInterval(tried);
    }
  }

  function flush(): void {
    timer = undefined;
    const all = [...gathered.values()];
    gathered.clear();
    for (let i = 0; i < all.length; i += MOST_TOGETHER) {
      const bind = [CHANNEL, JSON.stringify(all.slice(i, i + MOST_TOGETHER))];
      sequelize.query("SELECT pg_notify($1, $2)", { bind }).catch(() => undefined);
    }
  }

  void listen();
  return {
    publish(change) {
      const key = `${change.clubId} ${change.topic} ${change.id ?? ""}`;
      gathered.set(key, together(gathered.get(key), change));
      timer ??= setTimeout(flush, GATHER);
    },
    subscribe(clubId, listener) {
      const own = listeners.get(clubId) ?? new Set();
      listeners.set(clubId, own.add(listener));
      return () => {
        own.delete(listener);
        if (own.size === 0) listeners.delete(clubId);
      };
    },
    whenMissed(listener) {
      missed.add(listener);
      return () => missed.delete(listener);
    },
    listening: () =>
      isListening ? Promise.resolve() : new Promise((resolve) => whenListening.push(resolve)),
    async close() {
      isClosed = true;
      clearTimeout(timer);
      await client?.end().catch(() => undefined);
    },
  };
}

/** Two changes of the same told as one. */
function together(before: Change | undefined, { presses, ...change }: Change): Change {
  if (!presses || (before && !before.presses)) return change;
  const all = [...new Set([...(before?.presses ?? []), ...presses])];
  return all.length > MOST_TOLD ? change : { ...change, presses: all };
}
