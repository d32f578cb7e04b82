import {
  constraintsOf,
  type DayConstraint,
  type DayFrame,
  type DayVersion,
  secondsOf,
  startOf,
} from "./constraint";
import { contradictionOf, type DayContradiction } from "./contradiction";
import type { DayStep } from "./step";
import { type StepTimes, timesOf } from "./times";

/** A step where it stands in its day; times in seconds from the start, negative before it. */
export interface DayStand {
  step: DayStep;
  /** What is before the start begins as late as it may, what is after it as soon as it may. */
  beginSeconds: number;
  endSeconds: number;
  /** By how much it may begin at another time and everything still holds; null where nothing says so. */
  slackSeconds: number | null;
  /** It is of the chain that leaves the day no room: whatever of it takes longer, the day begins earlier by as much. */
  isTight: boolean;
}

/** A day counted back from its start, in one version; or why it cannot be. */
export type DayPlan =
  | { holds: true; version: DayVersion; stands: DayStand[] }
  | { holds: false; version: DayVersion; contradiction: DayContradiction };

/** Counts a day back from its start. @param day with one start and no rule of a step that is not there */
export function dayPlan(day: DayFrame, version: DayVersion): DayPlan {
  const { steps } = day;
  const start = startOf(steps);
  const constraints = constraintsOf(day, version);
  const times = timesOf(constraints, steps.length, start);
  if (!times) {
    const contradiction = contradictionOf(constraints, steps.length) as DayContradiction;
    return { holds: false, version, contradiction };
  }
  const tight = tightOf(day, times, start);
  const stands = steps.map((step, i): DayStand => {
    const { earliest, latest } = times[i] as StepTimes;
    const isAfter = i > start;
    const beginSeconds = (isAfter ? (earliest ?? latest) : (latest ?? earliest)) ?? 0;
    const long = step.kind === "warm-up" ? day.warmUpSeconds : secondsOf(step, version);
    return {
      step,
      beginSeconds,
      endSeconds: beginSeconds + long,
      slackSeconds: earliest === null || latest === null ? null : latest - earliest,
      isTight: tight.has(i),
    };
  });
  return { holds: true, version, stands };
}

/**
 * The chain that leaves no room: from the earliest step that is kept from being later by others alone, not by the clock, each
 * followed by what keeps it, to the start. What goes on beside leads no chain.
 */
function tightOf({ steps }: DayFrame, times: readonly StepTimes[], start: number): Set<number> {
  const byId = new Map(steps.map((s) => [s.id, s]));
  const isClock = ({ why }: DayConstraint) =>
    why.kind === "rule" && byId.get(why.step)?.rules[why.rule]?.kind === "clock";
  const chainFrom = (first: number): number[] | null => {
    const chain = [first];
    for (let i = first; i !== start; ) {
      const { binding } = times[i] as StepTimes;
      if (!binding || isClock(binding)) return null;
      i = binding.later;
      chain.push(i);
    }
    return chain;
  };
  const latest = (chain: readonly number[]) => times[chain[0] as number]?.latest ?? 0;
  const chains = steps.flatMap((step, i) => {
    const chain = step.beside || i > start ? null : chainFrom(i);
    return chain ? [chain] : [];
  });
  return new Set(chains.reduce((best, chain) => (latest(chain) < latest(best) ? chain : best), [start]));
}
