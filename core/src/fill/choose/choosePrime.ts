import { type Choice, type Chosen, choiceSeconds, hasPurpose } from "./choice";
import { fillUp } from "./fillUp";
import { best } from "./pick";

/** A touch of competition effort, then something for the mind. @param most efforts of it */
export function choosePrime(choices: readonly Choice[], target: number, seconds: number, most = 2): Chosen[] {
  const pool = choices.filter((c) => c.drill.phase === "prime");
  const efforts = fillUp(
    pool.filter((c) => !hasPurpose(c, "mental") && c.to <= target + 5),
    seconds,
    (c) => c.lean + (c.drill.priority === "essential" ? 10 : 0) + c.to / 10,
    most,
  );
  const mental = best(
    pool.filter((c) => hasPurpose(c, "mental") && choiceSeconds(c) <= Math.max(seconds, 90)),
    (c) => c.lean,
  );
  return [
    ...efforts.map(
      (choice, i): Chosen => ({
        choice,
        priority: i === 0 ? "essential" : "extra",
        why: `A touch of competition effort, ${choice.to} %, brief.`,
      }),
    ),
    ...(mental
      ? [{ choice: mental, priority: "extra" as const, why: "The mind last: nothing that tires or cools." }]
      : []),
  ];
}
