import { withActions } from "../../dose/doseAt";
import { wordKey } from "../../words/sameWord";
import { within } from "../shape/dosed";
import type { Choice, Chosen } from "./choice";
import { cutAbove, cutBelow, mergedClimb } from "./climb";
import { type ClimbFor, Climbing, FIRST_MOST, firstMost } from "./climbing";
import { isStillWarm } from "./easing";
import { orderedClimb } from "./order";
import { best } from "./pick";
import { withDose } from "./withDose";

/** Actions first, each prepared once; then what the climb still needs; then what fills the time. */
export function chooseTechnical(choices: readonly Choice[], of: ClimbFor, gaps: string[]): Chosen[] {
  const { shape } = of;
  const own = choices.filter((c) => c.drill.phase === "technical" && !c.mental);
  const upToTop = own.flatMap((c) => cutAbove(c, shape.top) ?? []);
  const even = upToTop.filter((c) => c.rise <= shape.step);
  const steep = upToTop.length - even.length;
  if (steep > 0)
    gaps.push(
      `${steep} ${steep === 1 ? "ladder climbs" : "ladders climb"} in larger steps than ${shape.step} points.`,
    );
  if (even.length === 0) {
    gaps.push("The shelf has no technical drill up to the level of this event.");
    return [];
  }
  const pool = climbChoices(choices, of);
  const climb = new Climbing(of, pool);
  for (const c of pool.filter((c) => c.kept))
    climb.take(c, "useful", climb.reasonFor(c) ?? `At ${c.to} %, as before.`);
  climb.prepareActions();
  climb.beginEasy();
  climb.bridge(gaps);
  climb.easeInto();
  climb.fill();
  climb.thin();
  return climb.inOrder();
}

/** A climb in the order of its approach, with what is last to go. */
export function inApproachOrder(
  climb: readonly Chosen[],
  { approach, event, shape, scale }: Omit<ClimbFor, "rules" | "stillWarm">,
): Chosen[] {
  const picked = withPriorities(
    climb.toSorted((a, b) => a.choice.from - b.choice.from || a.choice.to - b.choice.to),
    event,
  );
  return approach.sides.order === "easy-to-hard"
    ? mergedClimb(picked)
    : orderedClimb(picked, { ...approach, stepPoints: shape.step }, scale);
}

/** Drills that the climb may be chosen from, as they would be done. */
export function climbChoices(
  choices: readonly Choice[],
  { shape, rules, stillWarm }: Pick<ClimbFor, "shape" | "rules" | "stillWarm">,
): Choice[] {
  const slot = shape.isShort
    ? Math.max(30, (shape.technical / shape.most.technical) * 1.5)
    : Math.max(60, shape.technical * LADDER_SHARE);
  return choices
    .filter((c) => c.drill.phase === "technical" && !c.mental)
    .flatMap((c) => cutAbove(c, shape.top) ?? [])
    .map((c) => (isStillWarm(c, stillWarm) ? cutBelow(c, firstMost(shape.step)) : c))
    .filter((c) => c.rise <= shape.step)
    .map((c) => withDose(c, within(c.drill.dose, slot)))
    .map((c) => (c.explosive ? withDose(c, withActions(c.drill.dose, rules.explosive)) : c))
    .filter((c) => c.to <= shape.top);
}

/** One ladder takes at most this share of the time of the sport's own. Custom. */
const LADDER_SHARE = 0.6;

/**
 * The first of them and the event's main action at half effort or above are the last to go; what only fills stays as it is.
 */
function withPriorities(climb: Chosen[], event: ClimbFor["event"]): Chosen[] {
  const mains = new Set((event?.actions ?? []).slice(0, 2).map(wordKey));
  const main = best(
    climb.filter((c) => c.choice.to >= FIRST_MOST || c === climb.at(-1)),
    (c) => (c.choice.actions.some((a) => mains.has(a)) ? 100 : 0) + c.choice.to / 10 - c.choice.from / 20,
  );
  return climb.map((c, i) => (i === 0 || c === main ? { ...c, priority: "essential" } : c));
}
