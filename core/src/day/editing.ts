import type { DAY_KINDS } from "./kinds";
import { type DayStep, dayStepSchema } from "./step";

type DayKind = (typeof DAY_KINDS)[number];

/** What a step of each kind is called and how long it takes, minutes, until somebody says otherwise. All custom. */
const NEW: Record<Exclude<DayKind, "start">, { name: string; usual: number; bad?: number }> = {
  pack: { name: "Pack the bag", usual: 20 },
  drink: { name: "Drink", usual: 5 },
  eat: { name: "Eat", usual: 20 },
  rest: { name: "Rest", usual: 30 },
  wake: { name: "Wake up", usual: 30 },
  travel: { name: "On the way", usual: 25, bad: 40 },
  arrive: { name: "Arrive", usual: 5 },
  settle: { name: "Settle in", usual: 10 },
  "check-in": { name: "Check in", usual: 10 },
  inspection: { name: "Inspection", usual: 10 },
  change: { name: "Change", usual: 10 },
  "warm-up": { name: "Warm-up", usual: 0 },
  "ease-in": { name: "Ease in", usual: 5 },
  "cool-down": { name: "Cool down", usual: 10 },
  shade: { name: "Into the shade", usual: 15 },
  call: { name: "Call", usual: 5 },
  other: { name: "Something else", usual: 10 },
};

/** What comes after the start by its nature. */
const AFTER: ReadonlySet<DayKind> = new Set(["ease-in", "cool-down"]);

/** An id that no step has yet. @example freeId("eat", steps) // "eat-2" */
function freeId(kind: string, steps: readonly DayStep[]): string {
  const taken = new Set(steps.map((s) => s.id));
  let id = kind;
  for (let n = 2; taken.has(id); n++) id = `${kind}-${n}`;
  return id;
}

/**
 * A day with a step more: after the one that is chosen, or else where steps of its kind stand by their nature, straight
 * before the warm-up, or after the start.
 * @returns the steps, and the new one's id
 */
export function withStep(
  steps: readonly DayStep[],
  kind: Exclude<DayKind, "start">,
  afterId: string | null,
): { steps: DayStep[]; id: string } {
  const { name, usual, bad } = NEW[kind];
  const id = freeId(kind, steps);
  const step = dayStepSchema.parse({ id, kind, name, minutes: bad ? { usual, bad } : { usual } });
  const chosen = steps.findIndex((s) => s.id === afterId);
  const start = steps.findIndex((s) => s.kind === "start");
  const warmUp = steps.findIndex((s) => s.kind === "warm-up");
  const usualPlace = AFTER.has(kind) ? start + 1 : warmUp < 0 ? start : warmUp;
  // Nothing comes between the warm-up and the start.
  const wanted = chosen < 0 || chosen === warmUp ? usualPlace : chosen + 1;
  return { steps: steps.toSpliced(wanted, 0, step), id };
}

/** A day without a step, and without the rules of others that name it. */
export function withoutStep(steps: readonly DayStep[], id: string): DayStep[] {
  return steps
    .filter((s) => s.id !== id)
    .map((s) => {
      const rules = s.rules.filter((r) => r.kind === "clock" || r.of !== id);
      return rules.length === s.rules.length ? s : { ...s, rules };
    });
}

/**
 * A day with a step one place earlier or later among those that stand in line; the same list where there is no such place.
 * @param by -1 for earlier, 1 for later
 */
export function withMoved(steps: readonly DayStep[], id: string, by: -1 | 1): readonly DayStep[] {
  const from = steps.findIndex((s) => s.id === id);
  if (from < 0) return steps;
  let to = from + by;
  while (steps[to]?.beside) to += by;
  const step = steps[from] as DayStep;
  const other = steps[to];
  if (!other) return steps;
  // The warm-up lasts until the start: what stands between them could only be in the way.
  if (isPair(step, other)) return steps;
  return steps.toSpliced(from, 1).toSpliced(to, 0, step);
}

const isPair = (a: DayStep, b: DayStep) =>
  (a.kind === "warm-up" && b.kind === "start") || (a.kind === "start" && b.kind === "warm-up");
