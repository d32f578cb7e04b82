import { type Choice, choiceSeconds } from "./choice";

/** Seconds: with so little left of a part's time nothing more is put into it (custom). */
export const NOTHING_LEFT = 20;

/** Drills by score until the time is used, at least one where there is any. */
export function fillUp(
  pool: readonly Choice[],
  seconds: number,
  score: (c: Choice) => number,
  most: number,
): Choice[] {
  const picked: Choice[] = [];
  let left = seconds;
  for (const c of pool.toSorted((a, b) => score(b) - score(a))) {
    if (picked.length >= most) break;
    if (picked.length > 0 && !c.kept && (left < NOTHING_LEFT || choiceSeconds(c) > left * 1.25)) continue;
    picked.push(c);
    left -= choiceSeconds(c);
  }
  return picked;
}
