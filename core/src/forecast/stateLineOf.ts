import type { Conditions } from "../conditions/setting";
import type { Fit } from "../fit/fit";
import type { DoneBefore } from "../rewarm/doneBefore";
import { wholeDay } from "../rewarm/wholeDay";
import { forecastOf } from "./forecast";
import { surroundingsOf, type Training } from "./model/surroundings";
import { piecesOf } from "./piecesOf";
import { stateLine } from "./stateLine";

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
