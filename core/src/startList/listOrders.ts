import { wallClock } from "../time/zone";
import { wordKey } from "../words/sameWord";
import type { ListEntry } from "./entry";

/** One number of a running order and its time, ISO 8601. */
interface Slot {
  number: number;
  at: string;
}

/** A running order that a club has, as far as a list can change it. */
export interface KnownOrder {
  id: string;
  title: string;
  venue: string;
  zone: string;
  slots: readonly Slot[];
}

/** A running order as a list has it. */
export interface ListedOrder {
  /** The club's order that the list brings up to date; null for a new one. */
  id: string | null;
  title: string;
  venue: string;
  zone: string;
  /** Each number once, from the lowest to the highest. */
  slots: Slot[];
  /** The club's starts in it. */
  members: { startId: string; number: number }[];
}

type Row = Pick<ListEntry, "line" | "title" | "venue" | "zone" | "startsAt" | "number">;

/**
 * Returns the running orders of a list: one for each event, place and day whose rows have numbers, where a start of the club
 * is among them.
 * @param starts the id of the club's start on each line that has one
 * @param known the club's orders; of two for the same the later counts
 */
export function listOrders(
  rows: readonly Row[],
  starts: ReadonlyMap<number, string>,
  known: readonly KnownOrder[],
): ListedOrder[] {
  const numbered = rows.flatMap((row) => (row.number === null ? [] : [{ ...row, number: row.number }]));
  const before = new Map(known.map((order) => [orderKey(order, order.slots[0]?.at ?? ""), order]));
  const lists = new Map<string, typeof numbered>();
  for (const row of numbered) {
    const key = orderKey(row, row.startsAt);
    const list = lists.get(key);
    if (list) list.push(row);
    else lists.set(key, [row]);
  }
  return [...lists].flatMap(([key, list]) => {
    const members = list.flatMap(({ line, number }) => {
      const startId = starts.get(line);
      return startId ? [{ startId, number }] : [];
    });
    const [first] = list;
    if (!first || members.length === 0) return [];
    const { title, venue, zone } = first;
    const sorted = list.toSorted((a, b) => a.number - b.number);
    const slots = sorted
      .filter((row, i) => row.number !== sorted[i - 1]?.number)
      .map(({ number, startsAt }) => ({ number, at: startsAt }));
    return [{ id: before.get(key)?.id ?? null, title, venue, zone, slots, members }];
  });
}

/** What tells orders apart: the event, the place, and the day of the venue's clock. @param at ISO 8601, or empty */
const orderKey = ({ title, venue, zone }: Pick<KnownOrder, "title" | "venue" | "zone">, at: string) =>
  [wordKey(title), wordKey(venue), at === "" ? "" : wallClock(at, zone).date].join("\n");
