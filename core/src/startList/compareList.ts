import { USUAL_AVAILABLE_MINUTES } from "../conditions/timeAvailable";
import { MINUTE_MS } from "../time/units";
import { wallClock } from "../time/zone";
import { wordKey } from "../words/sameWord";
import type { ListEntry } from "./entry";

/** A start that a club has, as far as a list can change it. */
export interface KnownStart {
  id: string;
  athleteId: string;
  title: string;
  venue: string;
  zone: string;
  /** ISO 8601, as all instants. */
  startsAt: string;
  readyAt: string;
  /** The time on the start list, which stays when the start moves. */
  listedAt: string;
  eventId: string | null;
  /** Number in the running order; null where there is none. */
  number: number | null;
}

/** What a list is compared with. */
export interface ListAgainst {
  athletes: readonly { id: string; name: string }[];
  events: readonly { id: string; name: string }[];
  starts: readonly KnownStart[];
}

/** What a start becomes: what of it a list says. */
export type ListedStart = Omit<KnownStart, "id">;

/** What becomes of a row. */
export type RowNews = { line: number; athlete: string; title: string } & (
  | { state: "new"; start: ListedStart }
  /** Somebody who is not in the club, and comes into it with this. */
  | { state: "new-athlete"; start: Omit<ListedStart, "athleteId"> }
  | { state: "changed"; id: string; start: ListedStart; changed: ListChange[] }
  | { state: "same"; id: string }
  /** Somebody who is on the list and not in the club: ignored. */
  | { state: "other" }
  | { state: "fault"; message: string }
);

/** What of a start a list changes. */
export type ListChange = "time" | "venue" | "zone" | "number";

/**
 * Compares what a list says with what a club has. One that was moved since keeps its time for as long as the list says the
 * same as before.
 * @param addAthletes whether those who are not in the club are to come into it
 */
export function compareList(
  entries: readonly ListEntry[],
  { athletes, events, starts }: ListAgainst,
  addAthletes: boolean,
): RowNews[] {
  const who = remembered(finderOf(athletes));
  const eventIds = new Map(events.map((e) => [wordKey(e.name), e.id]));
  // In the order of time, so that a first round meets the first round.
  const inTime = [...entries].sort(
    (a, b) => Date.parse(a.startsAt) - Date.parse(b.startsAt) || a.line - b.line,
  );
  const meets = meetingsOf(inTime, starts, who);
  const seen = new Map<string, number>();
  const news = inTime.map((entry): RowNews => {
    const found = who(entry);
    const { line } = entry;
    const told = { line, athlete: found.name, title: found.title };
    if (found.many)
      return {
        ...told,
        state: "fault",
        message: `There are ${found.many} called ${found.name} in the club.`,
      };
    if (found.title === "")
      return {
        ...told,
        state: "fault",
        message: `Beside the name of ${found.name} nothing says what is started.`,
      };
    if (!found.id && !found.name) return { ...told, athlete: "", state: "other" };
    const whose = found.id ?? `new ${nameKey(found.name)}`;
    const twice = `${whose} ${wordKey(found.title)} ${entry.startsAt}`;
    const before = seen.get(twice);
    if (before !== undefined && (found.id || addAthletes))
      return { ...told, state: "fault", message: `The same start stands on line ${before} already.` };
    seen.set(twice, line);
    const { venue, zone, startsAt, number } = entry;
    const fresh = {
      title: found.title,
      venue,
      zone,
      startsAt,
      listedAt: startsAt,
      readyAt: earlier(startsAt, USUAL_AVAILABLE_MINUTES * MINUTE_MS),
      eventId: eventIds.get(wordKey(found.title)) ?? null,
      number,
    };
    if (!found.id)
      return addAthletes ? { ...told, state: "new-athlete", start: fresh } : { ...told, state: "other" };
    const old = meets.get(entry);
    if (!old) return { ...told, state: "new", start: { athleteId: found.id, ...fresh } };
    return { ...told, ...changeOf(old, entry) };
  });
  return news.sort((a, b) => a.line - b.line);
}

/**
 * Which start each entry means: of those of one athlete, one title and one day the one at its very time, and of what is left
 * the first the first.
 * @param entries in the order of time
 */
function meetingsOf(
  entries: readonly ListEntry[],
  starts: readonly KnownStart[],
  who: (entry: ListEntry) => Found,
): Map<ListEntry, KnownStart> {
  const known = new Map<string, Timed[]>();
  const timed = starts.map((start) => ({ start, at: Date.parse(start.listedAt) }));
  for (const one of timed.sort((a, b) => a.at - b.at))
    push(known, keyOf(one.start.athleteId, one.start, one.start.listedAt), one);
  const listed = new Map<string, ListEntry[]>();
  for (const entry of entries) {
    const { id, title } = who(entry);
    if (id) push(listed, keyOf(id, { title, zone: entry.zone }, entry.startsAt), entry);
  }
  const meets = new Map<ListEntry, KnownStart>();
  for (const [key, these] of listed) {
    const own = known.get(key) ?? [];
    const atTime = new Map<number, KnownStart[]>();
    for (const { at, start } of own) push(atTime, at, start);
    const taken = new Set<KnownStart>();
    const meet = (entry: ListEntry, start: KnownStart | undefined) => {
      if (!start) return;
      meets.set(entry, start);
      taken.add(start);
    };
    // The first of several at one time comes first.
    for (const list of atTime.values()) list.reverse();
    for (const entry of these) meet(entry, atTime.get(Date.parse(entry.startsAt))?.pop());
    const left = own.filter(({ start }) => !taken.has(start)).reverse();
    for (const entry of these) if (!meets.has(entry)) meet(entry, left.pop()?.start);
  }
  return meets;
}

/** A start and the time that the list has it at, milliseconds since the epoch. */
interface Timed {
  start: KnownStart;
  at: number;
}

/** Asks once for each entry. */
function remembered(who: (entry: ListEntry) => Found): (entry: ListEntry) => Found {
  const found = new Map<ListEntry, Found>();
  return (entry) => {
    const known = found.get(entry) ?? who(entry);
    found.set(entry, known);
    return known;
  };
}

function changeOf(old: KnownStart, { venue, zone, startsAt, number }: ListEntry) {
  const changed: ListChange[] = [];
  const isMoved = Date.parse(old.listedAt) !== Date.parse(startsAt);
  if (isMoved) changed.push("time");
  // A list that says no venue does not take one away.
  if (venue !== "" && wordKey(old.venue) !== wordKey(venue)) changed.push("venue");
  if (old.zone !== zone) changed.push("zone");
  if (number !== null && number !== old.number) changed.push("number");
  const { id, ...start } = old;
  if (changed.length === 0) return { state: "same" as const, id };
  const available = Date.parse(old.startsAt) - Date.parse(old.readyAt);
  const times = isMoved ? { startsAt, listedAt: startsAt, readyAt: earlier(startsAt, available) } : {};
  return {
    state: "changed" as const,
    id,
    changed,
    start: {
      ...start,
      zone,
      ...(changed.includes("venue") ? { venue } : {}),
      number: number ?? old.number,
      ...times,
    },
  };
}

const earlier = (instant: string, by: number) => new Date(Date.parse(instant) - by).toISOString();

/** Which starts are the same: of one athlete, one title, one day of the venue's clock. */
const keyOf = (whose: string, { title, zone }: Pick<KnownStart, "title" | "zone">, at: string) =>
  [whose, wordKey(title), wallClock(at, zone).date].join("\n");

/** A name whichever part of it comes first, with a comma between or not. @example nameKey("LIND, Mira") === nameKey("Mira Lind") */
export function nameKey(name: string): string {
  return wordKey(name.replaceAll(",", " ")).split(" ").sort().join(" ");
}

interface Found {
  /** Null where nobody in the club is called so. */
  id: string | null;
  name: string;
  title: string;
  /** How many there are who are called so, where it is more than one. */
  many?: number;
}

/** Finds whose a row is: by its name, or by one with which the title begins or ends. */
function finderOf(athletes: ListAgainst["athletes"]): (entry: ListEntry) => Found {
  const byName = new Map<string, { id: string; name: string }[]>();
  for (const athlete of athletes) push(byName, nameKey(athlete.name), athlete);
  const called = (name: string, title: string): Found => {
    const [first, ...more] = byName.get(nameKey(name)) ?? [];
    if (!first) return { id: null, name, title };
    return { id: first.id, name: first.name, title, ...(more.length > 0 ? { many: more.length + 1 } : {}) };
  };
  const inTitle = titleFinder(athletes.map(({ name }) => name));
  return ({ athlete, title }) => {
    if (athlete) return called(athlete, title);
    const found = inTitle(title);
    return found ? called(found.name, found.rest) : { id: null, name: "", title };
  };
}

/**
 * Finds the longest name with which a title begins or ends, and what it says besides. However many names there are, a title
 * is only looked at as often as names differ in length.
 */
function titleFinder(names: readonly string[]): (title: string) => { name: string; rest: string } | null {
  const spelled = new Map<string, string>();
  for (const name of names) {
    const key = name.normalize("NFC").toLowerCase();
    if (!spelled.has(key)) spelled.set(key, name);
  }
  const lengths = [...new Set([...spelled.keys()].map((key) => key.length))].sort((a, b) => b - a);
  return (title) => {
    const whole = title.normalize("NFC");
    const low = whole.toLowerCase();
    const tail = low.replace(/\)$/, "");
    for (const length of lengths) {
      if (length > low.length) continue;
      const first = isLetter(whole[length]) ? undefined : spelled.get(low.slice(0, length));
      if (first !== undefined) return { name: first, rest: tidy(whole.slice(length)) };
      const from = tail.length - length;
      const last = from < 0 || isLetter(whole[from - 1]) ? undefined : spelled.get(tail.slice(from));
      if (last !== undefined) return { name: last, rest: tidy(whole.slice(0, from)) };
    }
    return null;
  };
}

/** Without what joins a name to the rest. */
const tidy = (rest: string) => rest.replace(/^[\s:,;–—()-]+|[\s:,;–—()-]+$/g, "");

const isLetter = (letter: string | undefined) => letter !== undefined && /[\p{L}\p{N}]/u.test(letter);

function push<K, V>(map: Map<K, V[]>, key: K, value: V): void {
  const list = map.get(key);
  if (list) list.push(value);
  else map.set(key, [value]);
}
