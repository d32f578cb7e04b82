import { createStore, type StoreApi } from "zustand/vanilla";
import { whenAccountChanges } from "~/data/account/account";
import { ApiFailure, askTime } from "~/data/client/api";
import { isTimeKnown, whenCorrected } from "~/data/client/clock";
import { forget, isRecord, keep, keptKeys, keptText } from "~/data/device/storage";
import { makeListeners } from "~/data/listeners/listeners";
import { isMember, isOwn, type Owner, ownerNow } from "./owner";
import { inTurn } from "./turn";

/*
 * Sends what is made on this device to the server. An item is stored at once and sent until the server has it, also when another
 * tab changes it meanwhile. An item that cannot be sent stays, with the reason, and does not hold up the others.
 */

/** Whether the server answered the last time something was sent: "troubled" is an answer that it cannot. */
export type Link = "reached" | "unreachable" | "troubled";

/** Why an item is not on the server. */
export interface Failure {
  sentence: string;
  /** Sending it again is of no use before somebody changes something. */
  isFinal: boolean;
}

/** A stored item and its owner. */
export interface Kept<Item> {
  owner: Owner | null;
  item: Item;
}

/** A kind of item: where it is stored and how it is sent. */
export interface Kind<Item> {
  /** The beginning of its storage keys. */
  prefix: string;
  /** Tells its keys from those of a kind whose prefix begins the same. */
  isKey?: (key: string) => boolean;
  /** Reads a stored item; null for one that cannot be read. */
  read: (kept: unknown) => Item | null;
  /** Merges the items of two tabs, where one of them could not store its own. */
  merge: (here: Item, there: Item) => Item;
  /** Returns whether the server lacks part of it. */
  isUnsent: (item: Item, key: string) => boolean;
  /** Returns whether it may be sent now; if not, it waits for a person. */
  mayGo?: (item: Item, key: string) => boolean;
  /** Returns its club, of which the owner has to be a member; null for none. */
  clubOf: (item: Item, key: string) => string | null;
  /**
   * Sends part of it, and notes with `change` what the server has.
   * @returns "again" where it is to be sent anew at once
   * @throws whatever kept it from being sent
   */
  send: (item: Item, key: string) => Promise<unknown>;
  /** How long after a change it is sent, and how long after no answer it is sent again, milliseconds. */
  pause: number;
  retry: number;
  /** Calls `send` when it should be sent before the pause is over. */
  soon?: (send: () => void) => void;
  /** Whether it carries a time stamp, so that the right time has to be known before it is sent. */
  isTimed?: boolean;
  /** Corrects the stamps of what was not sent, after the clock was corrected. @param by how much later it is, milliseconds */
  restamp?: (item: Item, by: number) => Item;
  /** Returns the owner of a new item, where that is not whoever is signed in. */
  ownerOf?: (key: string) => Owner;
  /** Returns what some of them are called: "2 runs". */
  words: (count: number) => string;
}

interface Box<Item> {
  items: ReadonlyMap<string, Kept<Item>>;
  failures: ReadonlyMap<string, Failure>;
  sending: ReadonlySet<string>;
  /** Whether this device could store the last item. */
  keeps: boolean;
  link: Link;
}

/** One kind's outbox. */
export interface Outbox<Item> {
  store: StoreApi<Box<Item>>;
  /** Returns an item of whoever is signed in; null for none. */
  get: (key: string) => Item | null;
  /** Returns the keys of all of these. */
  keys: () => string[];
  failureOf: (key: string) => Failure | null;
  isSending: (key: string) => boolean;
  /** Returns whether it is unsent and of a club that whoever is signed in no longer belongs to. */
  isOutside: (key: string) => boolean;
  /** Changes an item as it is now in any tab, and sends it soon; null removes it. */
  change: (key: string, next: (now: Item | null) => Item | null, how?: { quietly?: boolean }) => void;
  /** Sends it at once; resolves when that is over. */
  sendNow: (key: string) => Promise<void>;
  /** Sends everything that may be sent. */
  sendAll: () => Promise<void>;
  /** Sends an item again that was refused for good. */
  again: (key: string) => Promise<void>;
  /** Returns how many are unsent: of whoever is signed in, and of each of the others. */
  unsent: () => number;
  ofOthers: () => { owner: Owner; count: number }[];
  words: (count: number) => string;
}

/** Refusals that sending it again does not change. */
const FINAL: ReadonlySet<string> = new Set([
  "not_found",
  "invalid_input",
  "full",
  "link_over",
  "too_large",
  "taken",
  "not_empty",
  "version_conflict",
]);

/** Refusals because of who asks: the item waits until somebody else signs in, or they may again. */
const OF_WHO: ReadonlySet<string> = new Set(["signed_out", "forbidden"]);

/** The longest between two tries of something that the server cannot take just now, milliseconds. Custom. */
const LONGEST_RETRY = 15_000;

/** Requests at a time: a browser opens six connections, and reading needs some of them. */
const AT_ONCE = 3;

// biome-ignore lint/suspicious/noExplicitAny: boxes of every kind stand here together
const boxes: Outbox<any>[] = [];

/** Returns the outbox of every kind. */
export const everyOutbox = (): readonly Outbox<unknown>[] => boxes;

const changes = makeListeners();
let changeCount = 0;

/** Listens to changes of all outboxes; and counts these changes. */
export const whenOutboxChanges = changes.add;
export const outboxChanges = (): number => changeCount;

/** Makes the outbox of a kind, with the items that are stored on this device. */
export function makeOutbox<Item>(kind: Kind<Item>): Outbox<Item> {
  const store = createStore<Box<Item>>(() => ({
    items: new Map(),
    failures: new Map(),
    sending: new Set(),
    keeps: true,
    link: "reached",
  }));
  /** Items as they were written or read last: the same object as long as nothing changes. */
  const cache = new Map<string, Kept<Item>>();
  /** The stored text of each as this tab knows it; and the keys that it could not store. */
  const texts = new Map<string, string | null>();
  const unkept = new Set<string>();
  const timers = new Map<string, ReturnType<typeof setTimeout>>();
  const tries = new Map<string, number>();
  /** Items refused because of who asked, and who that was. */
  const turnedAway = new Map<string, string | null>();
  const again = new Set<string>();

  const isKey = (key: string) => kind.isKey?.(key) ?? true;
  const stored = () =>
    keptKeys(kind.prefix)
      .map((name) => name.slice(kind.prefix.length))
      .filter(isKey);

  function readText(text: string | null): Kept<Item> | null {
    if (text === null) return null;
    try {
      const kept: unknown = JSON.parse(text);
      const isWrapped = isRecord(kept) && "owner" in kept && "item" in kept;
      const item = kind.read(isWrapped ? kept.item : kept);
      const owner = isWrapped && isRecord(kept.owner) ? (kept.owner as unknown as Owner) : null;
      return item === null ? null : { owner, item };
    } catch {
      return null;
    }
  }

  /** Returns an item as the tab that changed it last has it. */
  function latest(key: string): Kept<Item> | null {
    const here = cache.get(key) ?? null;
    const text = keptText(kind.prefix + key);
    if (texts.has(key) && texts.get(key) === text) return here;
    const there = readText(text);
    texts.set(key, text);
    if (!there) {
      if (!unkept.has(key)) cache.delete(key);
      return cache.get(key) ?? null;
    }
    // Merges what could not be stored here with what another tab stored.
    const now = here && unkept.has(key) ? { ...there, item: kind.merge(here.item, there.item) } : there;
    cache.set(key, now);
    return now;
  }

  /** Puts an item into the store as it is now. */
  function show(key: string, more: Partial<Box<Item>> = {}): void {
    const kept = cache.get(key);
    const items = new Map(store.getState().items);
    if (kept) items.set(key, kept);
    else items.delete(key);
    store.setState({ items, ...more });
  }

  function write(key: string, kept: Kept<Item> | null): void {
    let keeps = true;
    if (kept) keeps = keep(kind.prefix + key, kept);
    else forget(kind.prefix + key);
    if (keeps) unkept.delete(key);
    else unkept.add(key);
    texts.set(key, keptText(kind.prefix + key));
    if (kept) cache.set(key, kept);
    else cache.delete(key);
    show(key, { keeps });
  }

  function noteFailure(key: string, failure: Failure | null): void {
    const failures = new Map(store.getState().failures);
    if (!failure && !failures.has(key)) return;
    if (failure) failures.set(key, failure);
    else failures.delete(key);
    store.setState({ failures });
  }

  function noteSending(key: string, isOn: boolean): void {
    const sending = new Set(store.getState().sending);
    if (isOn) sending.add(key);
    else sending.delete(key);
    store.setState({ sending });
  }

  const own = (key: string): Item | null => {
    const kept = latest(key);
    return kept && isOwn(kept.owner) ? kept.item : null;
  };

  function wait(key: string, delay: number): void {
    clearTimeout(timers.get(key));
    timers.set(
      key,
      setTimeout(() => void run(key), delay),
    );
  }

  /** Returns whether whoever is signed in belongs to its club. */
  function isInside(item: Item, key: string): boolean {
    const clubId = kind.clubOf(item, key);
    return clubId === null || isMember(clubId);
  }

  /** Returns whether an item may be sent now: its owner is signed in and belongs to its club. */
  function mayGo(key: string): boolean {
    const item = own(key);
    if (item === null || !kind.isUnsent(item, key) || store.getState().failures.get(key)?.isFinal)
      return false;
    const me = ownerNow();
    if (turnedAway.has(key) && turnedAway.get(key) === (me?.id ?? null)) return false;
    return isInside(item, key) && (kind.mayGo?.(item, key) ?? true);
  }

  async function run(key: string): Promise<void> {
    clearTimeout(timers.get(key));
    if (store.getState().sending.has(key)) {
      again.add(key);
      return;
    }
    if (!mayGo(key)) return;
    noteSending(key, true);
    try {
      let sent: Item | null = null;
      let isAgain = false;
      const isDone = await inTurn(`${kind.prefix}${key}`, AT_ONCE, async () => {
        if (kind.isTimed && !isTimeKnown()) await askTime();
        const item = own(key);
        if (item === null || !mayGo(key)) return;
        sent = item;
        isAgain = (await kind.send(item, key)) === "again";
      });
      // Another tab sends it. This one looks again later, in case that tab is closed.
      if (!isDone) return wait(key, kind.retry);
      tries.delete(key);
      turnedAway.delete(key);
      noteFailure(key, null);
      store.setState({ link: "reached" });
      const left = own(key);
      // An item that sending did not change is not sent again at once.
      if (left !== null && kind.isUnsent(left, key))
        wait(key, left === sent ? kind.retry : isAgain ? 0 : kind.pause);
    } catch (error) {
      failed(key, error as Error);
    } finally {
      noteSending(key, false);
      if (again.delete(key)) wait(key, 0);
    }
  }

  function failed(key: string, error: Error): void {
    const code = error instanceof ApiFailure ? error.code : "internal";
    const sentence = error.message;
    if (code === "unreachable") {
      store.setState({ link: "unreachable" });
      noteFailure(key, { sentence, isFinal: false });
      wait(key, kind.retry);
      return;
    }
    const isFinal = FINAL.has(code);
    noteFailure(key, { sentence, isFinal });
    if (OF_WHO.has(code)) turnedAway.set(key, ownerNow()?.id ?? null);
    if (isFinal) store.setState({ link: "reached" });
    if (isFinal || OF_WHO.has(code)) return;
    // The server is in trouble or too busy, or its answer is not understood: wait longer each time.
    store.setState({ link: "troubled" });
    const before = tries.get(key) ?? 0;
    tries.set(key, before + 1);
    wait(key, Math.min(LONGEST_RETRY, kind.retry * 2 ** before));
  }

  const box: Outbox<Item> = {
    store,
    get: own,
    keys: () => [...new Set([...cache.keys(), ...stored()])].filter((key) => own(key) !== null),
    failureOf: (key) => store.getState().failures.get(key) ?? null,
    isSending: (key) => store.getState().sending.has(key),
    isOutside(key) {
      const item = own(key);
      return item !== null && ownerNow() !== null && kind.isUnsent(item, key) && !isInside(item, key);
    },
    change(key, next, { quietly = false } = {}) {
      const now = latest(key);
      // Never write over somebody else's item under this key.
      if (now && !isOwn(now.owner)) return;
      const item = next(now?.item ?? null);
      if (item === null && now === null) return;
      const owner = now?.owner ?? kind.ownerOf?.(key) ?? ownerNow();
      write(key, item === null ? null : { owner, item });
      if (quietly || item === null || !kind.isUnsent(item, key)) return;
      if (store.getState().failures.get(key)?.isFinal) noteFailure(key, null);
      if (kind.pause === 0) void run(key);
      else wait(key, kind.pause);
      kind.soon?.(() => void run(key));
    },
    sendNow: (key) => run(key),
    async sendAll() {
      await Promise.all(box.keys().map((key) => run(key)));
    },
    async again(key) {
      noteFailure(key, null);
      turnedAway.delete(key);
      await run(key);
    },
    unsent: () => box.keys().filter((key) => kind.isUnsent(own(key) as Item, key)).length,
    ofOthers() {
      const counts = new Map<string, { owner: Owner; count: number }>();
      for (const [key, { owner, item }] of cache) {
        if (!owner || isOwn(owner) || !kind.isUnsent(item, key)) continue;
        const known = counts.get(owner.id);
        counts.set(owner.id, { owner, count: (known?.count ?? 0) + 1 });
      }
      return [...counts.values()];
    },
    words: kind.words,
  };

  /** Reads the stored items. Those of an earlier version, without an owner, go to whoever is signed in. */
  function load(): void {
    for (const key of stored()) {
      const kept = latest(key);
      if (kept) show(key);
      if (kept && kept.owner === null && ownerNow())
        write(key, { ...kept, owner: kind.ownerOf?.(key) ?? ownerNow() });
    }
  }

  load();
  window.addEventListener("storage", ({ key }) => {
    if (!key?.startsWith(kind.prefix)) return;
    const name = key.slice(kind.prefix.length);
    if (!isKey(name)) return;
    latest(name);
    show(name);
  });
  // Whoever signs in may send what waited for them.
  whenAccountChanges(() => {
    turnedAway.clear();
    load();
    void box.sendAll();
  });
  if (kind.restamp) {
    const { restamp } = kind;
    whenCorrected((by) => {
      for (const key of box.keys()) {
        const item = own(key) as Item;
        if (kind.isUnsent(item, key)) box.change(key, (now) => now && restamp(now, by), { quietly: true });
      }
    });
  }
  boxes.push(box);
  store.subscribe(() => {
    changeCount++;
    changes.tell();
  });
  return box;
}
