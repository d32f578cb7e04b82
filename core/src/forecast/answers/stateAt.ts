import type { Model, State } from "../model/model";
import { type Band, bandOf } from "./band";
import { LANES, type Lane, type LaneWord, laneWord, type Trend } from "./laneWords";

/** How somebody is at one moment: words, and bands behind them. */
export interface StateAt {
  /** Seconds from the planned start. */
  atSeconds: number;
  words: Record<Lane, LaneWord>;
  /** °C above rest, 0 to 1, and share of performance that it costs. */
  warmth: Band;
  sharpness: Band;
  tiredness: Band;
  /** Per cent of the athlete's own best. */
  readiness: Band;
}

/** What a lane's word goes by. */
export const RATED: Record<Lane, (state: State) => number> = {
  warmth: (s) => s.warmShare,
  sharpness: (s) => s.sharpness,
  tiredness: (s) => s.tiredness,
};

/** When each lane was highest, seconds from the start; null where there never was any of it. */
export type Peaks = Record<Lane, number | null>;

/** How somebody is at a moment: words and bands over the people in general. */
export function stateAt(models: readonly Model[], atSeconds: number, peaks: Peaks): StateAt {
  const states = models.map((m) => m.at(atSeconds));
  const of = (value: (state: State) => number) => bandOf(states.map(value));
  const words = Object.fromEntries(
    LANES.map((lane) => {
      const trend: Trend = (peaks[lane] ?? Infinity) < atSeconds ? "falling" : "rising";
      return [lane, laneWord(lane, of(RATED[lane]), trend)];
    }),
  ) as Record<Lane, LaneWord>;
  return {
    atSeconds,
    words,
    warmth: of((s) => s.warmth),
    sharpness: of((s) => s.sharpness),
    tiredness: of((s) => s.tiredness),
    readiness: of((s) => s.readiness),
  };
}
