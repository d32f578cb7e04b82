import { spokenLength } from "../time/clock";
import { MINUTE_SECONDS } from "../time/units";
import { constraintsOf, type DayConstraint, type DayFrame, type DayVersion, secondsOf } from "./constraint";
import type { DayContradiction } from "./contradiction";
import { dayPlan } from "./day";
import { reasonWords } from "./dayWords";
import type { DayStep } from "./step";

/** One thing that may give, where steps cannot hold together. */
export interface WayOut {
  /** What it does, as a button says it. */
  words: string;
  /** The day's steps with it done. */
  steps: DayStep[];
  /** What still cannot hold together then, by so many seconds; 0 where everything does. */
  missingSeconds: number;
}

/**
 * What may give of steps that cannot hold together: a rule let go of, a step made shorter by what is missing, or one that goes
 * on beside the others. Each of them undoes this contradiction; where another one is behind it, it comes after those that
 * leave none.
 */
export function waysOut(day: DayFrame, contradiction: DayContradiction, version: DayVersion): WayOut[] {
  const { constraints, missingSeconds } = contradiction;
  const missing = Math.ceil(missingSeconds / MINUTE_SECONDS);
  const change = (id: string, by: (step: DayStep) => DayStep) =>
    day.steps.map((step) => (step.id === id ? by(step) : step));
  const found = new Map<string, WayOut>();
  const offer = (words: string, steps: DayStep[]) => {
    const plan = dayPlan({ ...day, steps }, version);
    found.set(words, { words, steps, missingSeconds: plan.holds ? 0 : plan.contradiction.missingSeconds });
  };
  const shorten = (step: DayStep) => {
    if (step.kind === "warm-up" || secondsOf(step, version) < missing * MINUTE_SECONDS) return;
    const { usual, bad = usual } = step.minutes;
    const minutes =
      version === "bad"
        ? { usual: Math.min(usual, bad - missing), bad: bad - missing }
        : { usual: usual - missing, bad: Math.max(usual, bad) - missing };
    const steps = change(step.id, (s) => ({ ...s, minutes }));
    if (holds(steps)) offer(`“${step.name}” ${spokenLength(missing * MINUTE_SECONDS)} shorter`, steps);
  };
  /** Whether what could not hold together does, where the steps only take other times. */
  const key = (c: DayConstraint) => JSON.stringify([c.earlier, c.later, c.why]);
  const holds = (steps: DayStep[]) => {
    const least = new Map(constraintsOf({ ...day, steps }, version).map((c) => [key(c), c.leastSeconds]));
    return constraints.reduce((sum, c) => sum + (least.get(key(c)) ?? 0), 0) <= 0;
  };
  for (const { why } of constraints) {
    const step = day.steps.find((s) => s.id === why.step);
    if (!step || why.kind === "fitted") continue;
    if (why.kind === "rule") {
      offer(
        `Without: ${reasonWords(day, why, version)}`,
        change(step.id, (s) => ({ ...s, rules: s.rules.filter((_, n) => n !== why.rule) })),
      );
    } else if (step.kind !== "start") {
      offer(
        `“${step.name}” beside the others`,
        change(step.id, (s) => ({ ...s, beside: true })),
      );
    }
    shorten(step);
  }
  return [...found.values()].sort((a, b) => a.missingSeconds - b.missingSeconds);
}
