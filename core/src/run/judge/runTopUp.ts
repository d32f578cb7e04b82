import { approachOf } from "../../fill/input/approaches";
import { type TopUpDrill, topUpFor } from "../../forecast/answers/topUp";
import { topUpLine } from "../../forecast/answers/topUpLine";
import type { MakeId } from "../../words/makeId";
import type { RunState } from "../log/runState";
import type { Refit } from "../refit/refit";
import { stepOfDrill } from "../steps/freezeFit";
import type { RunDrill, RunPlan } from "../steps/runPlan";
import { runPieces, runSurroundings } from "./runPieces";

/** Shortest wait between a top-up and the start, seconds. Custom. */
const LEAST_WAIT = 60;

/**
 * What would bring readiness back when the start has slipped and everything is done: easy movement, an effort, and the
 * waits around them, as steps for the rest of the run.
 * @param drills that can be used besides the plan's own
 * @param now milliseconds since the epoch
 * @returns null where it is not waiting, nothing is needed, or nothing is worth it or can still begin in time
 */
export function runTopUp(
  plan: RunPlan,
  state: RunState,
  now: number,
  drills: readonly TopUpDrill[],
  makeId: MakeId,
): Refit | null {
  const { source } = plan;
  const delaySeconds = Math.round((state.startsAt - state.fittedFor) / 1000);
  if (state.status !== "waiting" || !source || delaySeconds <= 0 || plan.kind === "cool-down") return null;
  // As it was planned: relative to the start that it was fitted for.
  const pieces = runPieces(plan, { ...state, startsAt: state.fittedFor }, now);
  const until = (state.startsAt - now) / 1000;
  const origin = source.plan.origin;
  const isCalm = origin !== undefined && approachOf(origin.approach).sides.peak === "below";
  const isClosed = source.context.points.some((p) => p.closesPractice && until <= -p.fromSeconds);
  const topUp = topUpFor({
    pieces,
    around: runSurroundings(plan),
    delaySeconds,
    drills: [...source.plan.items.map(asTopUp), ...drills],
    withEffort: !isCalm && !isClosed,
    waitSeconds: Math.max(LEAST_WAIT, source.plan.wait.leastSeconds),
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

function asTopUp({
  drillId,
  drillVersion,
  ...item
}: NonNullable<RunPlan["source"]>["plan"]["items"][number]): TopUpDrill {
  const { name, phase, priority, intensity, dose, focus, place, details } = item;
  return {
    ...{ name, phase, priority, intensity, dose, focus, place },
    ...(details ? { details } : {}),
    ...(drillId ? { id: drillId } : {}),
    ...(drillVersion === undefined ? {} : { version: drillVersion }),
  };
}
