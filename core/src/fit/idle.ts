import { formatLength } from "../time/clock";
import type { FitDrill, FitProblem } from "./model/problem";
import type { SolvedStep } from "./search/solution";

/** Why nothing is done for a while. */
export type IdleReason =
  /** On the way to a place. */
  | { kind: "way"; place: string; seconds: number }
  /** Rest owed after a drill. */
  | { kind: "rest"; after: string; seconds: number }
  /** A fixed point. */
  | { kind: "point"; name: string; seconds: number }
  /** The place of the drill before has closed. */
  | { kind: "closed"; place: string }
  /** A fixed point after which there is no more practice. */
  | { kind: "no-practice"; name: string }
  /** Rest owed before the start, after hard work. */
  | { kind: "owed"; after: string; seconds: number }
  /** The least wait before the start. */
  | { kind: "wait" };

/** A stretch in which nothing is done, and why. */
export interface Idle {
  fromSeconds: number;
  toSeconds: number;
  reasons: readonly IdleReason[];
}

/** The gaps between what is done, and before the start, each with what makes it. */
export function idleOf(problem: FitProblem, steps: readonly SolvedStep[]): Idle[] {
  return steps.flatMap((step, n): Idle[] => {
    const fromSeconds = step.begin + step.span;
    const toSeconds = steps[n + 1]?.begin ?? 0;
    if (toSeconds <= fromSeconds) return [];
    return [{ fromSeconds, toSeconds, reasons: reasonsFor(problem, steps, n, fromSeconds, toSeconds) }];
  });
}

function reasonsFor(
  problem: FitProblem,
  steps: readonly SolvedStep[],
  n: number,
  from: number,
  to: number,
): IdleReason[] {
  const { drills, points, places } = problem;
  const step = steps[n] as SolvedStep;
  const drill = drills[step.drill] as FitDrill;
  const cost = drill.costs[step.level];
  const reasons: IdleReason[] = points
    .filter((p) => p.from < to && p.to > from)
    .map((p) => ({ kind: "point", name: p.name, seconds: p.to - p.from }));
  const next = placeAfter(problem, steps, n);
  const way = drill.place >= 0 && next >= 0 ? (problem.travel[drill.place]?.[next] ?? 0) : 0;
  if (way > 0) reasons.push({ kind: "way", place: places[next] ?? "", seconds: way });
  if (cost && cost.rest > 0) reasons.push({ kind: "rest", after: drill.item.name, seconds: cost.rest });
  const closing = points.find((p) => p.closes && p.from === from);
  const window = problem.openings.there[drill.place]?.[drill.calm ? 1 : 0]?.find((s) => s.to === from);
  if (closing && !drill.calm) reasons.push({ kind: "no-practice", name: closing.name });
  else if (window && !points.some((p) => p.from >= from && p.from <= from + way))
    reasons.push({ kind: "closed", place: places[drill.place] ?? "" });
  if (cost && from === cost.deadline && from < -problem.leastWait)
    reasons.push({ kind: "owed", after: drill.item.name, seconds: -cost.deadline });
  if (to === 0 && reasons.length === 0) reasons.push({ kind: "wait" });
  return reasons;
}

/** Where what comes after a step is done: what needs no place is done where the next one is. */
function placeAfter({ drills, startPlace }: FitProblem, steps: readonly SolvedStep[], n: number): number {
  for (const step of steps.slice(n + 1)) {
    const place = drills[step.drill]?.place ?? -1;
    if (place >= 0) return place;
  }
  return startPlace;
}

/**
 * Says in a line why nothing is done for a while.
 * @example idleLine(idle) // what makes the gap, as the stair has it under it
 */
export function idleLine({ reasons }: Pick<Idle, "reasons">): string {
  return reasons.map(idleWords).join(", ") || "waiting for what comes next";
}

function idleWords(reason: IdleReason): string {
  switch (reason.kind) {
    case "way":
      return `${formatLength(reason.seconds)} to ${reason.place}`;
    case "rest":
      return `${formatLength(reason.seconds)} rest after ${reason.after}`;
    case "point":
      return reason.seconds > 0 ? `${reason.name}, ${formatLength(reason.seconds)}` : reason.name;
    case "closed":
      return `${reason.place} closes`;
    case "no-practice":
      return `no practice after ${reason.name}`;
    case "owed":
      return `${formatLength(reason.seconds)} owed after ${reason.after}`;
    case "wait":
      return "wait";
  }
}
