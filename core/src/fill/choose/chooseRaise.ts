import type { Approach } from "../input/approaches";
import type { Choice, Chosen } from "./choice";
import { fillUp } from "./fillUp";

/** Some easy drills, or a circuit where the approach begins with one. @param most of them */
export function chooseRaise(
  choices: readonly Choice[],
  approach: Approach,
  seconds: number,
  most: number,
): Chosen[] {
  const circuit = approach.sides.first === "circuit";
  const pool = choices.filter((c) => c.drill.phase === "raise");
  const score = (c: Choice) =>
    c.lean + (circuit && c.drill.dose.kind === "circuit" ? 25 : 0) - Math.max(0, c.drill.intensity - 40);
  const picked = fillUp(pool, seconds, score, most).toSorted((a, b) => a.drill.intensity - b.drill.intensity);
  return picked.map((choice, i) => ({
    choice,
    priority: i === 0 ? "essential" : "useful",
    why:
      circuit && choice.drill.dose.kind === "circuit"
        ? "A circuit straight away: it gives more a minute than jogging."
        : `Raises warmth at ${choice.drill.intensity} %, slow enough to talk.`,
  }));
}
