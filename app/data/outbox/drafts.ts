import { hashKey } from "@tanstack/query-core";
import { createStore, type StoreApi } from "zustand/vanilla";
import { ApiFailure } from "~/data/client/api";
import { isRecord } from "~/data/device/storage";
import { makeListeners } from "~/data/listeners/listeners";
import { makeOutbox, type Outbox } from "./outbox";

/*
 * What is edited of something that has versions: kept until the server has it, saved a moment after the last edit, against
 * the version that it was begun from. What somebody else saved meanwhile is put together with it, or somebody is asked.
 */

/** An edit as this device keeps it. */
export interface Draft<Value> {
  clubId: string;
  /** The version it was begun from, and what that was, where it is known. */
  version: number;
  base?: Value;
  value: Value;
}

/** What somebody else saved meanwhile, where both cannot be put together unasked. */
export interface Conflict<Answer, Meeting> {
  theirs: Answer;
  /** Who saved it; null where that is not known. */
  by: string | null;
  meetings: readonly Meeting[];
}

/** How an edit stands besides what is kept of it. */
export interface Standing<Answer, Meeting> {
  conflict: Conflict<Answer, Meeting> | null;
  /** Whose changes were merged with the user's; an empty name where nobody knows. */
  merged: string | null;
  /** Whether it was found from an earlier visit: it waits until somebody has seen it. */
  restored: boolean;
}

/** One kind of thing that is edited so. */
export interface DraftKind<Value, Answer extends { version: number }, Meeting> {
  prefix: string;
  isKey?: (key: string) => boolean;
  /** A value as it was kept; undefined where it is not what it should be. */
  read: (kept: unknown) => Value | undefined;
  /** The name that an earlier version kept it under. */
  field: string;
  valueOf: (answer: Answer) => Value;
  /** What of an error is the version that stands; undefined where there is none. */
  answerIn: (current: unknown) => Answer | undefined;
  write: (draft: Draft<Value>, key: string) => Promise<Answer>;
  /** Puts two edits together. */
  meet: (draft: Draft<Value>, theirs: Answer) => { together: Value; meetings: readonly Meeting[] };
  /** Merges the edits with what somebody else saved; where both changed one thing the user's or theirs count. */
  upon: (draft: Draft<Value>, theirs: Answer, side: "mine" | "theirs") => Value;
  pause: number;
  retry: number;
  words: (count: number) => string;
}

/** Edits of one kind. */
export interface Drafts<Value, Answer extends { version: number }, Meeting> {
  box: Outbox<Draft<Value>>;
  standings: StoreApi<ReadonlyMap<string, Standing<Answer, Meeting>>>;
  get: (key: string) => Draft<Value> | null;
  standingOf: (key: string) => Standing<Answer, Meeting>;
  put: (key: string, draft: Draft<Value>) => void;
  /** It was found from an earlier visit, and somebody looks at it. */
  found: (key: string) => void;
  forgetMerged: (key: string) => void;
  /** Saves at once. Resolves to whether it was saved; false at once while it is being saved. */
  save: (key: string) => Promise<boolean>;
  /** Merges both; where both changed one thing the user's or theirs count. */
  decide: (key: string, side: "mine" | "theirs") => Promise<boolean>;
  drop: (key: string) => void;
  /** Told what the server has, whoever saved it. @returns what ends it */
  whenLanded: (listener: (answer: Answer, key: string, how: Landing<Value>) => void) => () => void;
}

/** How something came to be on the server. */
export type Landing<Value> =
  | { kind: "saved"; before: Draft<Value> }
  | { kind: "theirs"; before: Draft<Value>; side: "mine" | "theirs" | null };

const isSame = (a: unknown, b: unknown) => hashKey([a]) === hashKey([b]);
const NONE = { conflict: null, merged: null, restored: false } as const;

/** Makes the edits of a kind, with what this device has kept of them. */
export function makeDrafts<Value, Answer extends { version: number }, Meeting = never>(
  kind: DraftKind<Value, Answer, Meeting>,
): Drafts<Value, Answer, Meeting> {
  const standings = createStore<ReadonlyMap<string, Standing<Answer, Meeting>>>(() => new Map());
  const landed = makeListeners<[answer: Answer, key: string, how: Landing<Value>]>();
  /** What this page sent last of each: a conflict with that is none, its answer was only lost. */
  const lastSent = new Map<string, string>();

  const standingOf = (key: string): Standing<Answer, Meeting> => standings.getState().get(key) ?? NONE;
  const stand = (key: string, more: Partial<Standing<Answer, Meeting>>) =>
    standings.setState(new Map(standings.getState()).set(key, { ...standingOf(key), ...more }), true);
  const { tell } = landed;

  function read(kept: unknown): Draft<Value> | null {
    if (!isRecord(kept) || typeof kept.version !== "number") return null;
    const value = kind.read("value" in kept ? kept.value : kept[kind.field]);
    if (value === undefined) return null;
    const base = kept.base === undefined ? undefined : kind.read(kept.base);
    const clubId = typeof kept.clubId === "string" ? kept.clubId : "";
    return { clubId, version: kept.version, ...(base === undefined ? {} : { base }), value };
  }

  /** The edit upon another version; none where that says the same. */
  const rebased = (
    draft: Draft<Value>,
    { version }: Answer,
    base: Value,
    value: Value,
  ): Draft<Value> | null => (isSame(value, base) ? null : { ...draft, version, base, value });

  async function send(sent: Draft<Value>, key: string): Promise<void> {
    lastSent.set(key, hashKey([sent.value]));
    try {
      const answer = await kind.write(sent, key);
      tell(answer, key, { kind: "saved", before: sent });
      stand(key, { conflict: null, restored: false });
      // What was edited meanwhile is next, against the version that has just come to be.
      box.change(key, (now) =>
        now && !isSame(now.value, sent.value)
          ? { ...now, version: answer.version, base: kind.valueOf(answer) }
          : null,
      );
    } catch (error) {
      const theirs =
        error instanceof ApiFailure && error.code === "version_conflict"
          ? kind.answerIn(error.current)
          : undefined;
      if (!theirs) throw error;
      const by = error instanceof ApiFailure ? error.by : null;
      const now = box.get(key) ?? sent;
      if (hashKey([kind.valueOf(theirs)]) === lastSent.get(key)) {
        tell(theirs, key, { kind: "saved", before: sent });
        box.change(key, () => rebased(now, theirs, kind.valueOf(theirs), now.value));
        return;
      }
      const { meetings } = kind.meet(now, theirs);
      if (meetings.length > 0) {
        tell(theirs, key, { kind: "theirs", before: now, side: null });
        stand(key, { conflict: { theirs, by, meetings }, restored: false });
      } else {
        settle(key, theirs, "mine");
        stand(key, { merged: by ?? "" });
      }
    }
  }

  function settle(key: string, theirs: Answer, side: "mine" | "theirs"): void {
    const now = box.get(key);
    if (!now) return;
    tell(theirs, key, { kind: "theirs", before: now, side });
    stand(key, { conflict: null });
    box.change(key, (draft) =>
      draft ? rebased(draft, theirs, kind.valueOf(theirs), kind.upon(draft, theirs, side)) : null,
    );
  }

  const box: Outbox<Draft<Value>> = makeOutbox<Draft<Value>>({
    prefix: kind.prefix,
    ...(kind.isKey ? { isKey: kind.isKey } : {}),
    read,
    merge: (here) => here,
    isUnsent: () => true,
    mayGo: (_, key) => !standingOf(key).restored && standingOf(key).conflict === null,
    clubOf: ({ clubId }) => clubId || null,
    send,
    pause: kind.pause,
    retry: kind.retry,
    words: kind.words,
  });
  // What was kept by an earlier page is not sent before somebody has seen it.
  for (const key of box.keys()) stand(key, { restored: true });

  async function save(key: string): Promise<boolean> {
    if (box.isSending(key)) return false;
    stand(key, { restored: false });
    if (!box.get(key)) return true;
    const before = standingOf(key).conflict;
    await box.again(key);
    return box.failureOf(key) === null && standingOf(key).conflict === before;
  }

  return {
    box,
    standings,
    get: box.get,
    standingOf,
    put(key, draft) {
      stand(key, { restored: false });
      box.change(key, () => draft);
    },
    found: (key) => stand(key, { restored: true }),
    forgetMerged: (key) => stand(key, { merged: null }),
    save,
    async decide(key, side) {
      const { conflict } = standingOf(key);
      if (!conflict) return false;
      settle(key, conflict.theirs, side);
      return box.get(key) ? save(key) : true;
    },
    drop(key) {
      stand(key, { conflict: null, restored: false });
      box.change(key, () => null);
    },
    whenLanded: landed.add,
  };
}
