import type { Conditions } from "../conditions/setting";
import type { Fit } from "../fit/fit";
import { forecastOf } from "../forecast/forecast";
import { surroundingsOf, type Training } from "../forecast/model/surroundings";
import { piecesOf } from "../forecast/piecesOf";
import { stateLine } from "../forecast/stateLine";
import type { DoneBefore } from "../rewarm/doneBefore";
import { wholeDay } from "../rewarm/wholeDay";

/** The state at the start in a line; null where nothing is done. */
export function stateLineOf(
  fit: Fit,
  conditions: Conditions,
  training: Training | null,
  before: readonly DoneBefore[],
): string | null {
  const pieces = piecesOf(fit);
  if (!pieces.some((p) => p.effort > 0)) return null;
  return stateLine(forecastOf(pieces, surroundingsOf(conditions, training), wholeDay(before, pieces)));
}
