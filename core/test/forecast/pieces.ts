import { joined, type Piece } from "../../src/forecast/model/piece";
import type { Surroundings } from "../../src/forecast/model/surroundings";

/** Twenty degrees, no layers, no wind, an ordinary hour's session. */
export const mild: Surroundings = {
  temperature: 20,
  layers: false,
  wind: 0,
  wet: false,
  usualMinutes: 60,
  cost: 1,
  unknown: [],
};

/** What is done, one after the other, ending so many minutes before the start: [minutes, effort in per cent, share of work]. */
export function done(list: readonly (readonly [number, number, number?])[], waitMinutes = 0): Piece[] {
  let at = -60 * (list.reduce((sum, [minutes]) => sum + minutes, 0) + waitMinutes);
  return joined(
    list.map(([minutes, effort, share = 1]): Piece => {
      const fromSeconds = at;
      at += minutes * 60;
      return { fromSeconds, toSeconds: at, effort: effort / 100, share, hold: null };
    }),
  );
}

/** A usual warm-up of 26 minutes, ending with two hard efforts. */
export const usualWarmUp = (waitMinutes = 0) =>
  done(
    [
      [7, 45],
      [6, 40, 0.7],
      [4, 50, 0.6],
      [3, 65, 0.6],
      [3, 80, 0.5],
      [0.5, 92],
      [2, 0],
      [0.5, 92],
    ],
    waitMinutes,
  );
