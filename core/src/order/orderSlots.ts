import type { OrderSlot } from "./runningOrder";

/** What a coach knows of a running order: when one number is on, and how they follow on each other. */
export interface OrderForm {
  /** A number whose time is known, and that time, ISO 8601. */
  number: number;
  at: string;
  /** How many there are. */
  count: number;
  /** From one to the next, seconds. */
  eachSeconds: number;
  /** How many make a group; 0 where there are none. */
  groupOf: number;
  /** A group's warm-up before its first, seconds. */
  groupSeconds: number;
}

/** The times of all numbers of an order, from that of one of them: before each group but the first there is its warm-up. */
export function orderSlots({
  number,
  at,
  count,
  eachSeconds,
  groupOf,
  groupSeconds,
}: OrderForm): OrderSlot[] {
  const breaks = (n: number) => (groupOf > 0 ? Math.floor((n - 1) / groupOf) * groupSeconds : 0);
  const from = (n: number) => (n - 1) * eachSeconds + breaks(n);
  const first = Date.parse(at) / 1000 - from(number);
  return Array.from({ length: Math.max(count, number) }, (_, i) => ({
    number: i + 1,
    at: new Date((first + from(i + 1)) * 1000).toISOString(),
  }));
}
