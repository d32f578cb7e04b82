import { EASY_EFFORT } from "../../words/effort";
import { listOf } from "../../words/listOf";
import type { Priority } from "../../words/priority";
import { wordKey } from "../../words/sameWord";
import type { FillInput } from "../input/fillInput";
import { type Choice, type Chosen, choiceSeconds } from "./choice";
import { NOTHING_LEFT } from "./fillUp";
import { largestRise, orderedClimb, steepGap } from "./order";
import { best } from "./pick";

/** Actions first, each prepared once; then what the climb still needs; then what fills the time. */
export function chooseTechnical(
  choices: readonly Choice[],
  { approach, event, scale }: FillInput,
  target: number,
  seconds: number,
  gaps: string[],
): Chosen[] {
  const upToTarget = choices.filter((c) => c.drill.phase === "technical" && c.to <= target);
  const pool = upToTarget.filter((c) => c.rise <= approach.stepPoints);
  const steep = upToTarget.length - pool.length;
  if (steep > 0)
    gaps.push(
      `${steep} ${steep === 1 ? "ladder climbs" : "ladders climb"} in larger steps than ${approach.stepPoints} points.`,
    );
  if (pool.length === 0) {
    gaps.push("The shelf has no technical drill up to the level of this event.");
    return [];
  }
  const picked = new Map<Choice, Chosen>();
  let left = seconds;
  const take = (choice: Choice, priority: Priority, why: string) => {
    picked.set(choice, { choice, priority, why });
    left -= choiceSeconds(choice);
  };
  const open = new Set(event?.actions ?? []);
  const prepares = (c: Choice) =>
    [...open].filter((action) => c.details?.actions.some((a) => wordKey(a) === wordKey(action)));
  // What is kept from another warm-up stood in an even climb there.
  for (const choice of pool.filter((c) => c.kept)) {
    const actions = prepares(choice);
    for (const action of actions) open.delete(action);
    if (actions.length > 0) take(choice, "essential", `Prepares ${listOf(actions)}.`);
    else take(choice, "useful", `At ${choice.to} %, as before.`);
  }
  // The most actions with one drill, then a ladder rather than a single level, then whatever leans towards it.
  while (open.size > 0) {
    const choice = best(
      pool.filter((c) => !picked.has(c) && prepares(c).length > 0),
      (c) => prepares(c).length * 30 + (c.drill.dose.kind === "ladder" ? 12 : 0) + c.lean,
    );
    if (!choice) break;
    const actions = prepares(choice);
    for (const action of actions) open.delete(action);
    take(choice, "essential", `Prepares ${listOf(actions)}.`);
  }
  for (const action of open) gaps.push(`Nothing on the shelf prepares ${action}: it is left cold.`);

  const climb = () => easyToHard([...picked.values()]);
  // An easy first one, and one between wherever the step would be too large.
  const first = climb()[0];
  if (!first || first.choice.from > EASY_EFFORT) {
    const easy = best(
      pool.filter((c) => !picked.has(c) && c.from <= EASY_EFFORT),
      (c) => c.lean - c.from / 10,
    );
    if (easy) take(easy, "essential", `The first of the sport's own actions, easy, at ${easy.from} %.`);
  }
  for (let guard = 0; guard < 20; guard++) {
    const gap = steepGap(climb(), approach.stepPoints);
    if (!gap) break;
    const between = best(
      pool.filter(
        (c) =>
          !picked.has(c) && c.from > gap.from && c.from <= gap.from + approach.stepPoints && c.to > gap.from,
      ),
      (c) => c.lean + (c.to - gap.from) / 2,
    );
    if (!between) {
      gaps.push(`From ${gap.from} to ${gap.to} % the shelf has no step between.`);
      break;
    }
    take(between, "essential", `A step between ${gap.from} and ${gap.to} %, so that the climb stays even.`);
  }
  while (left >= NOTHING_LEFT) {
    const now = climb();
    const most = Math.max(approach.stepPoints, largestRise(now));
    const more = best(
      pool.filter(
        (c) => !picked.has(c) && choiceSeconds(c) <= left * 1.2 && largestRise(joinedBy(now, c)) <= most,
      ),
      (c) => c.lean + c.to / 10 - (c.drill.priority === "extra" ? 4 : 0),
    );
    if (!more) break;
    take(
      more,
      more.drill.priority === "extra" ? "extra" : "useful",
      `At ${more.to} %, on the way to ${target} %.`,
    );
  }
  return orderedClimb(climb(), approach, scale);
}

function easyToHard(climb: readonly Chosen[]): Chosen[] {
  return climb.toSorted((a, b) => a.choice.from - b.choice.from);
}

/** A climb with one drill more where its effort puts it. */
function joinedBy(climb: readonly Chosen[], choice: Choice): Chosen[] {
  return easyToHard([...climb, { choice, priority: "useful", why: "" }]);
}
