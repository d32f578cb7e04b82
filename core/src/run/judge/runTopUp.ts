import { topUpFor } from "../../forecast/answers/topUp";
import { topUpLine } from "../../forecast/answers/topUpLine";
import { SHARP_EFFORT } from "../../forecast/model/parameters";
import { type ShelfContent, shelfContentOf } from "../../plan/drillContent";
import type { MakeId } from "../../words/makeId";
import type { RunState } from "../log/state";
import type { Refit } from "../refit/refit";
import { stepOfDrill } from "../steps/freezeFit";
import type { RunDrill, RunPlan } from "../steps/runPlan";
import { runPieces, runSurroundings } from "./runPieces";

/**
 * What would bring readiness back when the start has slipped and everything is done: easy movement, an effort, and the
 * waits around them, as steps for the rest of the run.
 * @param drills of the shelf that can be used on the day, besides the plan's own
 * @param now milliseconds since the epoch
 * @returns null where it is not waiting, nothing is needed, or nothing is worth it or can still begin in time
 */
export function runTopUp(
  plan: RunPlan,
  state: RunState,
  now: number,
  drills: readonly ShelfContent[],
  makeId: MakeId,
): Refit | null {
  const { source } = plan;
  const delaySeconds = Math.round((state.startsAt - state.fittedFor) / 1000);
  if (state.status !== "waiting" || !source || delaySeconds <= 0 || plan.kind === "cool-down") return null;
  // As it was planned: relative to the start that it was fitted for.
  const pieces = runPieces(plan, { ...state, startsAt: state.fittedFor }, now);
  const until = (state.startsAt - now) / 1000;
  const { items } = source.plan;
  // Who has none in the plan is not given one now: a child, somebody who aims, a calm approach.
  const hasEffort = items.some((i) => i.intensity >= SHARP_EFFORT * 100);
  const isClosed = source.context.points.some((p) => p.closesPractice && until <= -p.fromSeconds);
  const topUp = topUpFor({
    pieces,
    around: runSurroundings(plan),
    delaySeconds,
    drills: [...items.map(shelfContentOf), ...drills],
    withEffort: hasEffort && !isClosed,
    waitSeconds: source.plan.wait.leastSeconds,
  });
  if (!topUp || -topUp.beginSeconds > until) return null;
  const begins = new Date(state.startsAt + topUp.beginSeconds * 1000).toISOString();
  const wait: RunDrill = {
    itemId: makeId(),
    name: "Wait",
    phase: "raise",
    intensity: 0,
    focus: "",
    place: "",
    words: "Warm clothes on, until the top-up",
    plannedSeconds: Math.max(1, Math.round(until + topUp.beginSeconds)),
    wait: { leastSeconds: 0, until: begins },
  };
  const last = topUp.steps.at(-1);
  return {
    drills: [
      ...(until + topUp.beginSeconds >= 1 ? [wait] : []),
      ...topUp.steps.map(({ drill }) => stepOfDrill(drill, makeId())),
    ],
    waitSeconds: last ? -last.toSeconds : state.waitSeconds,
    line: topUpLine(topUp),
    changesDrills: true,
    state: "fits",
    missingSeconds: 0,
  };
}
