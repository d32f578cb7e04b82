import type { EventType } from "../../event/eventType";
import { EASY_EFFORT } from "../../words/effort";
import { wordKey } from "../../words/sameWord";
import type { FillRules } from "../input/rules";
import type { Shape } from "../shape/shape";
import { type Choice, type Chosen, choiceSeconds } from "./choice";
import { isEasedBy, isStillWarm } from "./easing";
import { best } from "./pick";

/** What priming is chosen by. */
export interface PrimeFor {
  event: Pick<EventType, "actions" | "effort"> | null;
  shape: Shape;
  rules: FillRules;
  /** Keys of actions that are still prepared from earlier on the day. */
  stillWarm: ReadonlySet<string>;
  /** Everything that is done before it, in order. */
  before: readonly Chosen[];
}

/**
 * A touch of competition effort: of the event's own actions, where they are done and in what is worn, within a step of what
 * is done before it; none before aiming.
 */
export function choosePrime(
  choices: readonly Choice[],
  { event, shape, rules, stillWarm, before }: PrimeFor,
): Chosen[] {
  if (shape.most.prime === 0 || shape.prime < 5) return [];
  const own = before.filter((b) => b.choice.drill.phase === "technical");
  const places = new Set(own.map((b) => wordKey(b.choice.drill.place)));
  const reached = Math.max(own.at(-1)?.choice.to ?? before.at(-1)?.choice.to ?? 0, EASY_EFFORT);
  const spent = before.reduce((sum, b) => sum + (b.choice.explosive ? (b.choice.level?.actions ?? 0) : 0), 0);
  const ownChoices = own.map((b) => b.choice);
  const isAiming = event?.effort === "precision";
  const pool = choices.filter(
    (c) =>
      c.drill.phase === "prime" &&
      !c.mental &&
      c.to <= shape.primeTop &&
      c.from <= reached + shape.step &&
      !(isAiming && c.explosive) &&
      // Once the sport's own has begun nothing general comes back.
      (own.length === 0 || places.has(wordKey(c.drill.place)) || c.actions.length > 0) &&
      (own.length === 0 || isStillWarm(c, stillWarm) || isEasedBy(c, ownChoices, rules)),
  );
  const picked: Chosen[] = [];
  let explosive = spent;
  let left = Math.max(shape.prime, 30);
  while (picked.length < shape.most.prime) {
    const choice = best(
      pool.filter(
        (c) =>
          !picked.some((p) => p.choice === c) &&
          choiceSeconds(c) <= left * 1.5 &&
          (!c.explosive || explosive + (c.level?.actions ?? 0) <= rules.explosive),
      ),
      (c) =>
        c.lean +
        (c.drill.priority === "essential" ? 10 : 0) +
        c.to / 10 +
        4 * c.actions.filter((a) => event?.actions.some((e) => wordKey(e) === a)).length,
    );
    if (!choice) break;
    if (choice.explosive) explosive += choice.level?.actions ?? 0;
    left -= choiceSeconds(choice);
    picked.push({
      choice,
      priority: picked.length === 0 ? "useful" : "extra",
      why: `A touch of competition effort, ${choice.to} %, brief.`,
    });
  }
  return picked.toSorted((a, b) => a.choice.from - b.choice.from);
}

/** Something for the head, in the wait: nothing that tires or cools. @param seconds the least wait */
export function chooseMental(choices: readonly Choice[], seconds: number): Chosen[] {
  const choice = best(mentalChoices(choices, seconds), (c) => c.lean);
  return choice ? [forHead(choice)] : [];
}

/** What there is for the head that the wait has time for. @param seconds the least wait */
export const mentalChoices = (choices: readonly Choice[], seconds: number): Choice[] =>
  choices.filter(
    (c) => c.mental && c.drill.phase === "prime" && (c.level?.seconds ?? 0) <= Math.max(60, seconds),
  );

/** A choice as it stands in the wait. */
export const forHead = (choice: Choice): Chosen => ({
  choice,
  priority: "extra",
  why: "The mind last: nothing that tires or cools.",
});
