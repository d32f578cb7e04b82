import { z } from "zod";
import { type Fault, faultsIn } from "../words/fault";
import { type DayStep, dayStepSchema, MOST_STEPS } from "./step";

/** What of a day does not hold by itself: one start, steps with ids of their own, rules of steps that are there. */
function stepFaults(steps: readonly DayStep[]): Fault[] {
  const faults: Fault[] = [];
  const places = new Map<string, number>();
  steps.forEach(({ id }, i) => {
    if (places.has(id)) faults.push({ path: [i, "id"], message: `Another step is called “${id}”.` });
    places.set(id, i);
  });
  for (const [kind, least] of [
    ["start", 1],
    ["warm-up", 0],
  ] as const) {
    const many = steps.filter((s) => s.kind === kind).length;
    if (many < least) faults.push({ path: [], message: `A day has a step of the kind ${kind}.` });
    if (many > 1) faults.push({ path: [], message: `A day has one step of the kind ${kind}, not ${many}.` });
  }
  steps.forEach(({ id, rules }, i) => {
    rules.forEach((rule, n) => {
      if (rule.kind === "clock") return;
      const path = [i, "rules", n, "of"];
      if (!places.has(rule.of)) faults.push({ path, message: `There is no step “${rule.of}”.` });
      if (rule.of === id) faults.push({ path, message: "A step has no rule to itself." });
    });
  });
  return faults;
}

/** The steps of a day in the order in which they are done, and nothing in them that does not hold by itself. */
export const dayStepsSchema = z
  .array(dayStepSchema)
  .min(1, { error: "A day has at least its start." })
  .max(MOST_STEPS, { error: `At most ${MOST_STEPS} steps.` })
  .check(faultsIn(stepFaults));
