import { randomUUID } from "node:crypto";
import { isDeepStrictEqual } from "node:util";
import { emptyPlan, noProfile, usualSetting } from "@tonodrome/core";
import { type ClubRecord, MOST } from "@tonodrome/core/api";
import {
  type ListEntry,
  type ListedOrder,
  type ListedStart,
  type ListFault,
  listOrders,
  nameKey,
  type RowNews,
} from "@tonodrome/core/start-list";
import type { ClubLines } from "./clubLines";

/** Returns the club with what a list changes; or the fault that a running order has too many numbers. */
export function listIntoClub(
  { head, records }: ClubLines,
  entries: readonly ListEntry[],
  news: readonly RowNews[],
): ClubLines | { faults: ListFault[] } {
  const added = new Map<string, ClubRecord & { record: "athlete" }>();
  for (const row of news)
    if (row.state === "new-athlete" && !added.has(nameKey(row.athlete)))
      added.set(nameKey(row.athlete), {
        record: "athlete",
        id: randomUUID(),
        version: 1,
        name: row.athlete,
        profile: noProfile(),
      });
  const startIds = new Map<number, string>();
  const fresh = news.flatMap((row): StartRecord[] => {
    if (row.state === "changed" || row.state === "same") startIds.set(row.line, row.id);
    if (row.state !== "new" && row.state !== "new-athlete") return [];
    const athleteId = row.state === "new" ? row.start.athleteId : (added.get(nameKey(row.athlete))?.id ?? "");
    const start = newStart({ ...row.start, athleteId });
    startIds.set(row.line, start.id);
    return [start];
  });
  const changed = new Map(
    news.flatMap((row) => (row.state === "changed" ? [[row.id, row.start] as const] : [])),
  );
  const orders = listOrders(
    entries,
    startIds,
    records.flatMap((r) => (r.record === "order" ? [r] : [])),
  ).map((order) => ({ ...order, orderId: order.id ?? randomUUID() }));
  if (orders.some(({ slots }) => slots.length > MOST.slots))
    return {
      faults: [
        {
          line: 1,
          column: null,
          message: `A running order has at most ${MOST.slots} numbers: divide the list.`,
        },
      ],
    };
  const standing = standings(orders);
  const ofList = new Map(orders.map((order) => [order.orderId, order]));
  const kept = records.map((record): ClubRecord => {
    if (record.record === "order") {
      const order = ofList.get(record.id);
      return order ? { ...record, slots: order.slots, version: record.version + 1 } : record;
    }
    if (record.record !== "start") return record;
    const { number: _, ...fields } = changed.get(record.id) ?? {};
    const next = inOrder({ ...record, ...fields }, standing, ofList);
    return isDeepStrictEqual(next, record) ? record : { ...next, version: record.version + 1 };
  });
  const freshOrders = orders
    .filter(({ id }) => id === null)
    .map(
      ({ orderId, title, venue, zone, slots }): ClubRecord => ({
        ...{ record: "order", id: orderId, version: 1, title, venue, zone, slots, calls: [] },
      }),
    );
  // Nothing names what comes later: athletes first, starts after what they are of.
  const firstLate = kept.findIndex((r) => ["day", "run", "presses"].includes(r.record));
  const at = firstLate < 0 ? kept.length : firstLate;
  const changedRecords = [
    ...added.values(),
    ...freshOrders,
    ...kept.slice(0, at),
    ...fresh.map((start) => inOrder(start, standing, ofList)),
    ...kept.slice(at),
  ];
  return { head, records: changedRecords };
}

type StartRecord = ClubRecord & { record: "start" };
type Standing = NonNullable<StartRecord["order"]>;

/** Where each start of a list's orders stands. */
const standings = (orders: readonly (ListedOrder & { orderId: string })[]): Map<string, Standing> =>
  new Map(
    orders.flatMap(({ orderId, members }) =>
      members.map(({ startId, number }) => [startId, { id: orderId, number }] as const),
    ),
  );

/** A start where the list has it; out of an order that the list has without it; otherwise as it was. */
function inOrder(
  { order, ...start }: StartRecord,
  standing: ReadonlyMap<string, Standing>,
  ofList: ReadonlyMap<string, unknown>,
): StartRecord {
  const place = standing.get(start.id) ?? (order && ofList.has(order.id) ? null : order);
  return place === undefined ? start : { ...start, order: place };
}

function newStart({ number: _, ...start }: ListedStart): StartRecord {
  return {
    record: "start",
    id: randomUUID(),
    version: 1,
    ...start,
    setting: usualSetting(),
    plan: { id: randomUUID(), version: 1, body: emptyPlan() },
  };
}
