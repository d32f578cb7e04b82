import type { OpenWindow } from "../../venue/context";

/** A thing at a fixed time that keeps the athlete busy. */
export interface BusyPoint {
  name: string;
  from: number;
  to: number;
  place: number;
  closes: boolean;
}

/** A stretch of time in which drills can be done at a place, seconds from the start. */
export interface Opening {
  from: number;
  to: number;
  /** So many times as long does everything take here. */
  turns: number;
  /** Whether all of the place is there. */
  whole: boolean;
}

/** When drills can be done, the latest stretch first: `[place][0]` for work, `[place][1]` for what is calm. */
export interface Openings {
  /** For drills of that place: its windows, less the fixed points. */
  there: Opening[][][];
  /** For drills that need no place, done there: all day, less the fixed points. The last is for no place at all. */
  anywhere: Opening[][][];
}

/**
 * When drills can be done at each place.
 * @param windows per place; none for a place that is open all day
 * @param travel seconds between places; on the way to a fixed point nothing is done either
 * @param horizon the furthest before the start that anything may begin, seconds
 */
export function openingsOf(
  windows: readonly (readonly OpenWindow[])[],
  points: readonly BusyPoint[],
  travel: readonly (readonly number[])[],
  horizon: number,
): Openings {
  const day: Opening[] = [{ from: -horizon, to: 0, turns: 1, whole: true }];
  const closing = Math.min(0, ...points.filter((p) => p.closes).map((p) => p.from));
  const both = (openings: Opening[], place: number) => {
    const calm = points.reduce((left, point) => cut(left, blocked(point, place, travel)), openings);
    return [cut(calm, [closing, Infinity]), calm].map((s) => s.sort((a, b) => b.from - a.from));
  };
  return {
    there: windows.map((of, place) =>
      both(of.length === 0 ? day : of.flatMap((w) => within(w, horizon)), place),
    ),
    anywhere: [...windows.keys(), -1].map((place) => both(day, place)),
  };
}

function within({ fromSeconds, toSeconds, turns, room }: OpenWindow, horizon: number): Opening[] {
  const opening = {
    from: Math.max(fromSeconds, -horizon),
    to: Math.min(toSeconds, 0),
    turns,
    whole: room === "all",
  };
  return opening.from < opening.to ? [opening] : [];
}

/** When nothing can be done at a place because of a fixed point: while it lasts, and on the way there and back. */
function blocked(point: BusyPoint, place: number, travel: readonly (readonly number[])[]): [number, number] {
  const way = place >= 0 && point.place >= 0 ? (travel[place]?.[point.place] ?? 0) : 0;
  return [point.from - way, point.to + way];
}

function cut(openings: readonly Opening[], [from, to]: readonly [number, number]): Opening[] {
  if (to <= from) return [...openings];
  return openings.flatMap((s) => {
    if (to <= s.from || from >= s.to) return [s];
    return [
      { ...s, to: from },
      { ...s, from: to },
    ].filter((part) => part.from < part.to);
  });
}

/** Time in which the athlete is busy with fixed points, merged, the latest first. */
export function busyTimes(points: readonly BusyPoint[]): { from: number; to: number }[] {
  const merged: { from: number; to: number }[] = [];
  for (const { from, to } of [...points].sort((a, b) => b.to - a.to)) {
    const last = merged.at(-1);
    if (last && to >= last.from) last.from = Math.min(last.from, from);
    else if (from < to) merged.push({ from, to });
  }
  return merged;
}

/** The latest moment from which so many seconds, not counting fixed points, are left before another. */
export function walkBack(
  before: number,
  seconds: number,
  busy: readonly { from: number; to: number }[],
): number {
  let at = before;
  let left = seconds;
  for (const { from, to } of busy) {
    if (from >= at) continue;
    const free = at - Math.min(at, to);
    if (left <= free) break;
    left -= free;
    at = from;
  }
  return at - left;
}
