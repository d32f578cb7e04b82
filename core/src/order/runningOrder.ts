/** One number in a running order. */
export interface OrderSlot {
  number: number;
  /** The time on the start list, ISO 8601. */
  at: string;
}

/** Highest number there may be. Custom. */
export const MOST_NUMBER = 999;

/** So many calls are kept. Custom: as many as there are numbers in a list. */
export const MOST_CALLS = 500;

/** Somebody said that a number is on now. */
export interface OrderCall {
  number: number;
  /** When it went on, ISO 8601. */
  at: string;
}

/** A running order: who is on when by the list, and who has been on when. */
export interface OrderCourse {
  slots: readonly OrderSlot[];
  calls: readonly OrderCall[];
}

/** How a running order goes. */
export interface OrderPace {
  /** The number that is on; null before the first. */
  on: number | null;
  /** Seconds later than the list it went on; less than 0 before it. */
  lateSeconds: number;
  /** Seconds from one to the next as the list has it, breaks left out. */
  listedSeconds: number;
  /** Seconds from one to the next so far today, breaks left out; null while that is not known. */
  soFarSeconds: number | null;
}

/** Who starts longer than this before the first of an order, or after the last, is not of its day, seconds. Custom. */
const NEAR = 12 * 3600;

const seconds = (instant: string) => Date.parse(instant) / 1000;

/** Today's pace counts at least and at most so much of the list's: a slip of the thumb must not double a day. Custom. */
const SLOWEST = 3;
const FASTEST = 0.5;

/**
 * What was said, with a number more: a number that is on now takes back what was said of it and of later ones, so that a slip of
 * the thumb is mended by the right press.
 */
export function withCall(calls: readonly OrderCall[], call: OrderCall): OrderCall[] {
  const all = [...calls.filter((c) => c.number < call.number), call].sort((a, b) => a.number - b.number);
  // The pace goes by the first and the last.
  return all.length > MOST_CALLS ? [...all.slice(0, 1), ...all.slice(1 - MOST_CALLS)] : all;
}

/** Whether a start may stand in an order: on one day with it, also where that day goes on past midnight. */
export function isNear({ slots }: Pick<OrderCourse, "slots">, startsAt: string): boolean {
  const times = slots.map(({ at }) => seconds(at));
  const at = seconds(startsAt);
  return at >= Math.min(...times) - NEAR && at <= Math.max(...times) + NEAR;
}

/** How a running order goes: the average of today so far, from the first number that was called to the one that is on. */
export function paceOf({ slots, calls }: OrderCourse): OrderPace {
  const list = timesOf(slots);
  const listedSeconds = list.each;
  const [first, last] = [calls[0], calls.at(-1)];
  if (!first || !last) return { on: null, lateSeconds: 0, listedSeconds, soFarSeconds: null };
  const went = last.number - first.number;
  const took = seconds(last.at) - seconds(first.at) - list.breaks(first.number, last.number);
  const clamped = Math.min(SLOWEST * listedSeconds, Math.max(FASTEST * listedSeconds, took / went));
  return {
    on: last.number,
    lateSeconds: Math.round(seconds(last.at) - list.at(last.number)),
    listedSeconds,
    soFarSeconds: went > 0 ? Math.round(clamped) : null,
  };
}

/**
 * When a number is to be expected: from the one that is on, one after the other at the pace of today so far, with the
 * breaks that the list has. Nobody goes before their time on the list.
 * @returns seconds since the epoch; null for one that has been on, or is
 */
export function expectedAt(order: OrderCourse, number: number): number | null {
  const list = timesOf(order.slots);
  const last = order.calls.at(-1);
  if (!last) return list.at(number);
  if (number <= last.number) return null;
  const { soFarSeconds, listedSeconds } = paceOf(order);
  const pace = soFarSeconds ?? listedSeconds;
  const reached = seconds(last.at) + (number - last.number) * pace + list.breaks(last.number, number);
  return Math.max(list.at(number), Math.round(reached));
}

/** A list's times by number. Of a number that is not on it, as far from the nearest as others are from each other. */
function timesOf(slots: readonly OrderSlot[]) {
  const sorted = [...slots].sort((a, b) => a.number - b.number);
  const steps = sorted.slice(1).map((slot, i) => {
    const before = sorted[i] as OrderSlot;
    return { slot, before, each: (seconds(slot.at) - seconds(before.at)) / (slot.number - before.number) };
  });
  // The middle one: breaks are the exception, and several at once say nothing.
  const apart = steps.map((s) => s.each).filter((e) => e > 0);
  const each = Math.max(
    1,
    Math.round(apart.sort((a, b) => a - b)[Math.floor(apart.length / 2)] ?? USUAL_EACH),
  );
  const at = (number: number) => {
    const nearest = sorted.reduce<OrderSlot | null>(
      (best, slot) =>
        best && Math.abs(best.number - number) <= Math.abs(slot.number - number) ? best : slot,
      null,
    );
    return nearest ? seconds(nearest.at) + (number - nearest.number) * each : 0;
  };
  /** What the list leaves free besides, from one number to another: the longer gaps. */
  const breaks = (from: number, to: number) =>
    steps.reduce((sum, { slot, before, each: own }) => {
      const free = (own - each) * (slot.number - before.number);
      return slot.number > from && slot.number <= to && free >= each * BREAK ? sum + free : sum;
    }, 0);
  return { each, at, breaks };
}

/** From one to the next where a list has one number alone, seconds. Custom. */
const USUAL_EACH = 300;

/** A gap longer than the usual by half of it is a break: a group's warm-up, the ice made new. Custom. */
const BREAK = 0.5;
