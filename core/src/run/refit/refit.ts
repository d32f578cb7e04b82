import { describeChange } from "../../dose/describeChange";
import { levelsOf } from "../../dose/levelsOf";
import type { DoseLevel } from "../../dose/terms/level";
import { type Fit, type FitState, fitPlan, type Placement } from "../../fit/fit";
import type { PlanItem } from "../../plan/plan";
import { formatLength, spokenLength } from "../../time/clock";
import type { FitContext } from "../../venue/context";
import { cutText } from "../../words/cutText";
import { wordKey } from "../../words/sameWord";
import { LONGEST_CHANGE } from "../log/runEvent";
import type { RunState } from "../log/runState";
import { fitSteps, stepsAfter } from "../steps/freezeFit";
import { type RefitStep, type RunDrill, type RunPlan, stepKey } from "../steps/runPlan";
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
    changesDrills: changesOf(items, before, steps.drills).length > 0,
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

/** More changes than this are counted, not named. */
const NAMED = 2;

/**
 * What another remainder changes, in a line.
 * @example "Walking lunges 3 → 2 sets, Spins left out and 1 more. The ladder keeps its top."
 */
export function refitLine(
  items: readonly PlanItem[],
  before: readonly RunDrill[],
  after: readonly RunDrill[],
): string {
  const changes = changesOf(items, before, after);
  const named = changes.slice(0, NAMED).join(", ");
  const more = changes.length > NAMED ? ` and ${changes.length - NAMED} more` : "";
  const parts = [
    changes.length > 0 ? `${named}${more}.` : "",
    tops(items, before, after),
    waits(before, after, changes),
    longWait(before, after),
  ];
  return cutText(parts.filter(Boolean).join(" "), LONGEST_CHANGE);
}

/** What changes of each drill, in the order of the plan. */
function changesOf(
  items: readonly PlanItem[],
  before: readonly RunDrill[],
  after: readonly RunDrill[],
): string[] {
  return items.flatMap((item) => {
    const change = changeOf(item, stepsFor(item, before), stepsFor(item, after));
    return change ? [change] : [];
  });
}

const stepsFor = (item: PlanItem, drills: readonly RunDrill[]) =>
  drills.filter((d) => !d.wait && (d.ladderId ?? d.itemId) === item.id);

const total = (drills: readonly RunDrill[]) => drills.reduce((sum, d) => sum + d.plannedSeconds, 0);

function changeOf(item: PlanItem, before: RunDrill[], after: RunDrill[]): string | null {
  if (before.length === 0 && after.length === 0) return null;
  if (after.length === 0) return `${item.name} left out`;
  if (before.length === 0) return `${item.name} comes back`;
  if (total(before) === total(after)) return null;
  const [was, is] = [levelOf(item, before), levelOf(item, after)];
  const change = was && is && item.dose.kind !== "ladder" ? describeChange(was, is) : "";
  if (change) return `${item.name} ${change}`;
  if (before.length !== after.length) return `${item.name} ${before.length} → ${after.length} rungs`;
  return `${item.name} ${formatLength(total(before))} → ${formatLength(total(after))}`;
}

function levelOf({ dose }: PlanItem, [first]: readonly RunDrill[]): DoseLevel | undefined {
  return first?.level === undefined ? undefined : levelsOf(dose)[first.level];
}

/** Whether the ladders that change still come to their tops. */
function tops(items: readonly PlanItem[], before: readonly RunDrill[], after: readonly RunDrill[]): string {
  const ladders = items.filter(
    (i) => i.dose.kind === "ladder" && total(stepsFor(i, before)) !== total(stepsFor(i, after)),
  );
  if (ladders.length !== 1) return "";
  const [ladder] = ladders as [PlanItem];
  const top = (drills: readonly RunDrill[]) => stepsFor(ladder, drills).at(-1)?.intensity;
  const [was, is] = [top(before), top(after)];
  if (is === undefined || was === undefined) return "";
  return was === is ? "The ladder keeps its top." : `The ladder now ends at ${is} %.`;
}

/** Less of a difference in a wait is not worth a word, seconds. */
const NOTABLE = 30;

/** When nothing but the wait before the start changes. */
function waitLine(gap: number): string {
  if (Math.abs(gap) < NOTABLE) return "";
  return `Only the wait before the start changes: ${spokenLength(Math.abs(gap))} ${gap > 0 ? "longer" : "shorter"}.`;
}

/** A wait at least so much longer than before is named whatever else changes, seconds (custom). */
const LONG = 120;

/** The longest of the waits in between that are new, or much longer than they were. */
function longWait(before: readonly RunDrill[], after: readonly RunDrill[]): string {
  const was = new Map(before.filter((d) => d.wait).map((d) => [stepKey(d), d.plannedSeconds]));
  const longer = after.flatMap((d, n) => {
    const next = after[n + 1];
    if (!d.wait || !next || d.plannedSeconds - (was.get(stepKey(d)) ?? 0) < LONG) return [];
    return [{ seconds: d.plannedSeconds, before: next.name }];
  });
  const [longest] = longer.sort((a, b) => b.seconds - a.seconds);
  return longest ? `${spokenLength(longest.seconds)} to wait before ${longest.before}.` : "";
}

/** When no drill changes, what does: how long is waited. */
function waits(before: readonly RunDrill[], after: readonly RunDrill[], changes: readonly string[]): string {
  const waiting = (drills: readonly RunDrill[]) => total(drills.filter((d) => d.wait));
  const gap = waiting(after) - waiting(before);
  // A long one is named by itself.
  if (changes.length > 0 || Math.abs(gap) < NOTABLE || longWait(before, after)) return "";
  return gap > 0
    ? `${spokenLength(gap)} more to wait in between.`
    : `${spokenLength(-gap)} less to wait in between.`;
}
