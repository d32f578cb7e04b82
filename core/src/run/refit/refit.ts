import { type Fit, type FitState, fitPlan, type Placement } from "../../fit/fit";
import type { FitContext } from "../../venue/context";
import { wordKey } from "../../words/sameWord";
import type { RunState } from "../log/state";
import { fitSteps, stepsAfter } from "../steps/freezeFit";
import { type RefitStep, type RunDrill, type RunPlan, stepKey } from "../steps/runPlan";
import { refitChanges, refitLine, waitLine } from "./refitLine";
import { insertedSteps, type Remainder, remainderOf } from "./remainder";

/** What a run could go on with. */
export interface Refit {
  /** Those that stay as they were are only named. */
  drills: RefitStep[];
  waitSeconds: number;
  /** When the wait under way ends; absent when none is. */
  until?: string;
  /** What it changes, in a line; empty when nothing. */
  line: string;
  /** Whether any drill changes, and not only how long is waited. */
  changesDrills: boolean;
  /** How the rest stands in it. */
  state: FitState;
  /** Seconds missing before the essentials fit; 0 when they do, or never will. */
  missingSeconds: number;
}

/**
 * Fits what is left of a run anew, by the same solver.
 * @param now milliseconds since the epoch
 * @returns null when there is nothing to fit, or what it was fitted from is not known
 */
export function refitRun(run: RunPlan, state: RunState, now: number): Refit | null {
  const remainder = remainderOf(run, state, now);
  if (!remainder) return null;
  const { currentId, context } = remainder;
  const ladderId = state.splits[state.index]?.drill.ladderId;
  const goesOn = (next: Placement) => next.item.id === ladderId && isFreeAt(context, next);
  const fit = fitRemainder(remainder);
  const fitted = currentId
    ? stepsAfter(fit, state.startsAt, currentId, goesOn)
    : fitSteps(fit, state.startsAt);
  const items = run.source?.plan.items ?? [];
  // What was put in is done as it was put in.
  const own = new Map(insertedSteps(items, state).map((s) => [s.key, s.drill]));
  const steps = { ...fitted, drills: fitted.drills.map((d) => own.get(stepKey(d)) ?? d) };
  const waiting = state.status === "under-way" && currentId === null;
  // With nothing to wait for, it is over; and what was added to it comes on top.
  const ends = steps.drills.length > 0 ? state.startsAt + fit.beginSeconds * 1000 : now;
  const until = ends - (state.splits[state.index]?.extendedSeconds ?? 0) * 1000;
  const before = state.splits.filter((s) => s.outcome === "pending").map((s) => s.drill);
  return {
    drills: steps.drills.map((d) => named(d, state)),
    waitSeconds: steps.waitSeconds,
    changesDrills: refitChanges(items, before, steps.drills).length > 0,
    ...(waiting ? { until: new Date(until).toISOString() } : {}),
    line: refitLine(items, before, steps.drills) || waitLine(steps.waitSeconds - state.waitSeconds),
    state: fit.state,
    missingSeconds: fit.missingSeconds,
  };
}

/** Whether its place is open, and no fixed point near, all the time that something is placed at. */
function isFreeAt({ places, points }: FitContext, { item, beginSeconds, spanSeconds }: Placement): boolean {
  const end = beginSeconds + spanSeconds;
  const windows = places.find((p) => wordKey(p.name) === wordKey(item.place))?.windows ?? [];
  const isOpen =
    windows.length === 0 || windows.some((w) => w.fromSeconds <= beginSeconds && end <= w.toSeconds);
  return isOpen && !points.some((p) => p.fromSeconds < end && p.toSeconds > beginSeconds);
}

/** A step that is still to come in just this way is named, not said again: a log stays small. */
function named(drill: RunDrill, { splits }: RunState): RefitStep {
  const key = stepKey(drill);
  const old = splits.find((s) => s.key === key && s.outcome === "pending");
  if (!old || JSON.stringify(old.drill) !== JSON.stringify(drill)) return drill;
  return { same: key, ...(old.from ? { from: old.from } : {}) };
}

/** The drill under way is done whatever the fit says: where it has no room for it, the rest has what that leaves. */
function fitRemainder({ plan, context, availableSeconds, currentId }: Remainder): Fit {
  const fit = fitPlan(plan, availableSeconds, context);
  const lost = fit.placements.find((p) => p.item.id === currentId && p.verdict === "left-out");
  if (!lost) return fit;
  const items = plan.items.filter((i) => i.id !== currentId);
  return fitPlan({ ...plan, items }, availableSeconds - lost.ideal.seconds, context);
}
