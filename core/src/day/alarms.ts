import type { DayFrame } from "./constraint";
import { dayPlan } from "./day";
import type { DayStep } from "./step";

/** Steps at whose beginning one is called: to leave, to begin, to be there. */
const CALLED: Partial<Record<DayStep["kind"], (name: string) => string>> = {
  travel: (name) => `Leave now: ${name}`,
  "warm-up": () => "Begin the warm-up now",
  "check-in": (name) => `Now: ${name}`,
  call: (name) => `Now: ${name}`,
};

/** One call of a day. */
export interface DayAlarm {
  /**
   * What tells it apart: the step, and the start that it is for. A start that moves calls anew; a warm-up that could have begun
   * already, and so would begin a little later with every minute, does not.
   */
  key: string;
  /** Milliseconds since the epoch. */
  at: number;
  words: string;
}

/** What is called at the beginning of a step; null for one of which nobody is reminded. */
export function callOf({ kind, name }: Pick<DayStep, "kind" | "name">): string | null {
  return CALLED[kind]?.(name) ?? null;
}

/** The calls of a day as it usually is, the first first; none of one that cannot hold together but the warm-up's own. */
export function alarmsOf(frame: DayFrame): DayAlarm[] {
  const zero = Date.parse(frame.startsAt);
  const plan = dayPlan(frame, "usual");
  const begins = zero - frame.warmUpSeconds * 1000;
  const keyOf = (id: string) => `${id} ${zero}`;
  if (!plan.holds) {
    const id = frame.steps.find((step) => step.kind === "warm-up")?.id ?? "warm-up";
    return [{ key: keyOf(id), at: begins, words: callOf({ kind: "warm-up", name: "" }) ?? "" }];
  }
  return plan.stands
    .flatMap(({ step, beginSeconds }): DayAlarm[] => {
      const words = callOf(step);
      const at = zero + beginSeconds * 1000;
      return words === null ? [] : [{ key: keyOf(step.id), at, words }];
    })
    .sort((a, b) => a.at - b.at);
}
