import { MINUTE_SECONDS } from "@tonodrome/core";
import type { CurvePoint, Lane, StateAt } from "@tonodrome/core/forecast";

/** What a lane is called, and up to what it is drawn. */
export const LANE_TITLES: Record<Lane, string> = {
  warmth: "Warmth",
  sharpness: "Sharpness",
  tiredness: "Tiredness",
};

/** Up to where a lane is drawn at the least, in its own unit: °C, 0 to 1, share of performance. */
export const LANE_TOPS: Record<Lane, number> = { warmth: 3.5, sharpness: 1, tiredness: 0.08 };

/** Points that are drawn from the first drill to the latest start, and minutes that it may be later or earlier. */
export const POINTS = 41;
export const EARLIEST = -5;
export const LATEST = 40;

/** The moments that are drawn, evenly from the beginning on, and those that the start may be moved to, seconds from it. */
export function momentsOf(beginSeconds: number): { grid: number[]; starts: number[] } {
  const from = Math.min(beginSeconds, EARLIEST * MINUTE_SECONDS);
  const step = (LATEST * MINUTE_SECONDS - from) / (POINTS - 1);
  return {
    grid: Array.from({ length: POINTS }, (_, i) => from + i * step),
    starts: Array.from({ length: LATEST - EARLIEST + 1 }, (_, i) => (EARLIEST + i) * MINUTE_SECONDS),
  };
}

/** The state at a start that is moved by so many minutes; null where it was not asked for. */
export function stateIf(points: readonly CurvePoint[], minutes: number): StateAt | null {
  return points.slice(POINTS)[minutes - EARLIEST]?.state ?? null;
}
