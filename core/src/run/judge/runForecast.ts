import { WARM } from "../../forecast/answers/laneWords";
import { forecastOf } from "../../forecast/forecast";
import { modelOf } from "../../forecast/model/model";
import { MIDDLE_PERSON } from "../../forecast/model/parameters";
import { stateLine } from "../../forecast/stateLine";
import type { RunState } from "../log/state";
import type { RunPlan } from "../steps/runPlan";
import { runPieces, runSurroundings } from "./runPieces";

/** What a run's forecast says while it is run. */
export interface RunForecast {
  /** The state at the start as it now stands, in a line; null where nothing is done. */
  line: string | null;
  /** Until when most people stay warm if nothing more is done, milliseconds since the epoch; null where they are not warm. */
  warmUntil: number | null;
  /** Of a run that is not begun yet: what becomes of it if it is begun now instead of at its time. */
  ifBegunNow: { waitSeconds: number; line: string } | null;
}

/** It is looked for up to so far ahead, in steps of so much, seconds. */
const AHEAD_SECONDS = 5400;
const STEP_SECONDS = 60;

/** So much too early is worth a word, seconds. Custom. */
const NOTABLE = 300;

/** Forecasts a run. @param now milliseconds since the epoch */
export function runForecast(plan: RunPlan, state: RunState, now: number): RunForecast {
  const around = runSurroundings(plan);
  const pieces = runPieces(plan, state, now);
  const isWork = pieces.some((p) => p.effort > 0);
  if (!isWork || plan.kind === "cool-down") return { line: null, warmUntil: null, ifBegunNow: null };
  const forecast = forecastOf(pieces, around);
  const middle = modelOf(pieces, MIDDLE_PERSON, around);
  const from = (now - state.startsAt) / 1000;
  let warmUntil: number | null = null;
  for (let after = 0; after <= AHEAD_SECONDS; after += STEP_SECONDS) {
    if (middle.at(from + after).warmShare < WARM) break;
    warmUntil = now + after * 1000;
  }
  const line = stateLine(forecast);
  if (state.status !== "ready") return { line, warmUntil, ifBegunNow: null };
  // A run that is not begun is laid out from now on: what its own wait is more than planned, it is too early by.
  const wait = waitAt(pieces);
  const early = wait - plan.waitSeconds;
  return { line: null, warmUntil: null, ifBegunNow: early >= NOTABLE ? { waitSeconds: wait, line } : null };
}

/** Seconds between the last work and the start. */
function waitAt(pieces: readonly { effort: number; toSeconds: number }[]): number {
  return -(pieces.findLast((p) => p.effort > 0)?.toSeconds ?? 0);
}
