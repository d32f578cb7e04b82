import type { EventType } from "../../event/eventType";
import { EASY_EFFORT } from "../../words/effort";
import { wordKey } from "../../words/sameWord";
import type { AgeRules } from "../input/ageRules";
import type { Shape } from "../shape/shape";
import { type Choice, type Chosen, choiceSeconds } from "./choice";
import { best } from "./pick";

/** Easy repetitions that coaches want before an action goes hard; as the check for it has them. */
const EASY_REPS = 10;
const HARD = 60;

/**
 * A touch of competition effort: of the event's own actions, where they are done and in what is worn, within a step of what
 * is done before it; none before aiming.
 * @param before everything that is done before it, in order
 */
export function choosePrime(
  choices: readonly Choice[],
  {
    event,
    shape,
    age,
    before,
  }: {
    event: Pick<EventType, "actions" | "effort"> | null;
    shape: Shape;
    age: AgeRules;
    before: readonly Chosen[];
  },
): Chosen[] {
  if (shape.most.prime === 0 || shape.prime < 5) return [];
  const own = before.filter((b) => b.choice.drill.phase === "technical");
  const places = new Set(own.map((b) => wordKey(b.choice.drill.place)));
  const reached = Math.max(own.at(-1)?.choice.to ?? before.at(-1)?.choice.to ?? 0, EASY_EFFORT);
  const spent = before.reduce((sum, b) => sum + (b.choice.explosive ? (b.choice.level?.actions ?? 0) : 0), 0);
  const easyOf = (c: Choice) =>
    own
      .filter(
        (b) =>
          b.choice.from <= EASY_EFFORT &&
          (c.actions.length === 0 || b.choice.actions.some((a) => c.actions.includes(a))),
      )
      .reduce((sum, b) => sum + easyReps(b.choice), 0);
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
      (c.to <= HARD || own.length === 0 || easyOf(c) >= EASY_REPS),
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
          (!c.explosive || explosive + (c.level?.actions ?? 0) <= age.explosive),
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

/** Actions of a drill that are done easily; of a ladder those of its easy rungs. Uncounted work is a movement every three seconds. */
export function easyReps({ level, drill }: Choice): number {
  const counted = (actions: number, workSeconds: number) => actions || Math.floor(workSeconds / 3);
  if (level?.rungs)
    return level.rungs
      .filter((r) => r.intensity <= EASY_EFFORT)
      .reduce((sum, r) => sum + counted(r.actions, r.workSeconds), 0);
  return drill.intensity <= EASY_EFFORT ? counted(level?.actions ?? 0, level?.workSeconds ?? 0) : 0;
}

/** Something for the head, in the wait: nothing that tires or cools. @param seconds the least wait */
export function chooseMental(choices: readonly Choice[], seconds: number): Chosen[] {
  const choice = best(
    choices.filter(
      (c) => c.mental && c.drill.phase === "prime" && (c.level?.seconds ?? 0) <= Math.max(60, seconds),
    ),
    (c) => c.lean,
  );
  return choice ? [{ choice, priority: "extra", why: "The mind last: nothing that tires or cools." }] : [];
}
