import type { RunEvent } from "./runEvent";

/** How often something was told in a run, and how much of it by a stand-in. */
interface Told {
  times: number;
  simulated: number;
}

/** What else a run's log holds of the day, besides its drills. */
export interface RunDay {
  /** How often the start moved. */
  moves: Told;
  /** Heart rates, beats per minute; null without a strap. */
  rates: (Told & { least: number; most: number }) | null;
}

/** Gathers from a run's events what they tell of the day. */
export function runDay(events: readonly RunEvent[]): RunDay {
  const moves: Told = { times: 0, simulated: 0 };
  let rates: RunDay["rates"] = null;
  for (const event of events) {
    if (event.kind === "start-moved") {
      moves.times++;
      if (event.simulated) moves.simulated++;
    }
    if (event.kind !== "pulse") continue;
    for (const rate of event.rates) {
      if (rate === null) continue;
      rates ??= { least: rate, most: rate, times: 0, simulated: 0 };
      rates.least = Math.min(rates.least, rate);
      rates.most = Math.max(rates.most, rate);
      rates.times++;
      if (event.simulated) rates.simulated++;
    }
  }
  return { moves, rates };
}
