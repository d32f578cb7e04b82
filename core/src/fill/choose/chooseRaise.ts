import type { Approach } from "../../approach/approaches";
import { levelsOf } from "../../dose/levelsOf";
import { EASY_EFFORT } from "../../words/effort";
import { easyFor, LEAST_RAISE_SECONDS } from "../shape/dosed";
import type { Shape } from "../shape/shape";
import { type Choice, type Chosen, hasPurpose } from "./choice";
import { raisesWarmth } from "./why";
import { withDose } from "./withDose";

/** Share of the raise that its first drill has, where there are several. Custom: one thing long enough to warm, then others. */
const FIRST_SHARE = 0.5;

/** Some easy drills, or a circuit where the approach begins with one, as long as there is time for. */
export function chooseRaise(choices: readonly Choice[], approach: Approach, shape: Shape): Chosen[] {
  const circuit = approach.sides.first === "circuit" && shape.raise >= LEAST_CIRCUIT;
  const all = choices.filter(raises);
  // What cannot be as short as the raise is would take the time of all that follows.
  const most = TOO_LONG * Math.max(LEAST_RAISE_SECONDS, shape.raise);
  const short = all.filter((c) => (levelsOf(easyFor(c.drill.dose, shape.raise))[0]?.seconds ?? 0) <= most);
  const pool = short.length > 0 ? short : all;
  const score = (c: Choice) =>
    c.lean +
    (circuit && c.drill.dose.kind === "circuit" ? 25 : 0) +
    (c.drill.priority === "essential" ? 4 : c.drill.priority === "extra" ? -4 : 0) -
    10 * Math.max(0, c.drill.intensity - EASY_EFFORT) -
    // Too easy to warm by itself.
    (c.drill.intensity < LEAST_WARMING ? 6 : 0);
  // The first is one that can be as long as there is time for.
  const length = (c: Choice) => easyFor(c.drill.dose, shape.raise * FIRST_SHARE);
  const holds = (c: Choice) => {
    const levels = levelsOf(length(c));
    const isLong = (levels.at(-1)?.seconds ?? 0) >= 0.8 * FIRST_SHARE * shape.raise;
    return isLong && (c.drill.dose.kind === "time" || (levels[0]?.seconds ?? 0) >= LEAST_RAISE_SECONDS);
  };
  const byScore = pool.toSorted((a, b) => score(b) - score(a));
  const first = byScore.find(holds) ?? byScore[0];
  const picked = [...(first ? [first] : []), ...byScore.filter((c) => c !== first)].slice(
    0,
    shape.most.raise,
  );
  const many = picked.length;
  const share = (i: number) => (many === 1 ? 1 : i === 0 ? FIRST_SHARE : (1 - FIRST_SHARE) / (many - 1));
  return picked
    .map((choice, i): Chosen => {
      const dose = easyFor(choice.drill.dose, shape.raise * share(i));
      const priority = i === 0 ? "essential" : "useful";
      return { choice: withDose(choice, dose), priority, why: raisesWarmth(choice, circuit) };
    })
    .toSorted((a, b) => a.choice.drill.intensity - b.choice.drill.intensity);
}

/** A drill whose shortest is so many times the raise is none of it. Custom. */
const TOO_LONG = 1.25;

/** A circuit takes as long, seconds. Custom. */
const LEAST_CIRCUIT = 100;

/** Easier than this nothing warms, per cent. Custom. */
const LEAST_WARMING = 15;

/** Whether a drill is easy movement that raises warmth. */
export function raises(c: Choice): boolean {
  if (c.drill.phase !== "raise" || c.mental || c.explosive) return false;
  if (c.details?.flags.includes("breather")) return false;
  return (c.details?.purposes.length ?? 0) === 0 || hasPurpose(c, "raise");
}
