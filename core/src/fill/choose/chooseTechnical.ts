import type { Approach } from "../../approach/approaches";
import type { ScaleItem } from "../../athlete/scale";
import type { EventType } from "../../event/eventType";
import { EASY_EFFORT } from "../../words/effort";
import { listOf } from "../../words/listOf";
import type { Priority } from "../../words/priority";
import { wordKey } from "../../words/sameWord";
import type { AgeRules } from "../input/ageRules";
import { withActions, within } from "../shape/dosed";
import type { Shape } from "../shape/shape";
import { type Choice, type Chosen, choiceSeconds } from "./choice";
import { easyReps } from "./choosePrime";
import { cutAbove, mergedClimb, steepGap } from "./climb";
import { NOTHING_LEFT } from "./left";
import { orderedClimb } from "./order";
import { best } from "./pick";
import { withDose } from "./withDose";

/** What the climb is chosen by. */
export interface ClimbFor {
  approach: Approach;
  event: Pick<EventType, "actions" | "effort"> | null;
  shape: Shape;
  age: AgeRules;
  scale: readonly ScaleItem[];
}

/** Never a first own action above half effort, per cent; coaches' rule (custom). */
const FIRST_MOST = 50;
/** Effort that mobility is left at, at the least: the first own action is no more than a step above it, per cent. Custom. */
const ENTRY = 25;
/** From here on an action is hard, and wants easy repetitions before: the figures of the check for it. */
const HARD = 60;
const EASY_REPS = 10;

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
  const climb = new Climb(of, pool);
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
  { approach, event, shape, scale }: Omit<ClimbFor, "age">,
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
  { shape, age }: Pick<ClimbFor, "shape" | "age">,
): Choice[] {
  const slot = shape.isShort
    ? Math.max(30, (shape.technical / shape.most.technical) * 1.5)
    : Math.max(60, shape.technical * LADDER_SHARE);
  return choices
    .filter((c) => c.drill.phase === "technical" && !c.mental)
    .flatMap((c) => cutAbove(c, shape.top) ?? [])
    .filter((c) => c.rise <= shape.step)
    .map((c) => withDose(c, within(c.drill.dose, slot)))
    .map((c) => (c.explosive ? withDose(c, withActions(c.drill.dose, age.explosive)) : c))
    .filter((c) => c.to <= shape.top);
}

/** One ladder takes at most this share of the time of the sport's own. Custom. */
const LADDER_SHARE = 0.6;

/** The climb as it is being chosen. */
class Climb {
  readonly open: Set<string>;
  private readonly picked = new Map<Choice, Chosen>();
  private left: number;
  private readonly shape: Shape;
  /** Most explosive repetitions. */
  private readonly explosive: number;

  constructor(
    { event, shape, age }: ClimbFor,
    private readonly pool: readonly Choice[],
  ) {
    this.open = new Set(event?.actions ?? []);
    this.shape = shape;
    this.left = shape.technical;
    this.explosive = age.explosive;
  }

  take(choice: Choice, priority: Priority, why: string): void {
    for (const action of this.opens(choice)) this.open.delete(action);
    this.picked.set(choice, { choice, priority, why });
    this.left -= choiceSeconds(choice);
  }

  /** Actions of the event that are still open and that a drill prepares. */
  private opens = (c: Choice) => [...this.open].filter((action) => c.actions.includes(wordKey(action)));

  reasonFor(c: Choice): string | null {
    const actions = this.opens(c);
    return actions.length > 0 ? `Prepares ${listOf(actions)}.` : null;
  }

  inOrder = (): Chosen[] =>
    [...this.picked.values()].toSorted((a, b) => a.choice.from - b.choice.from || a.choice.to - b.choice.to);

  private others = () =>
    this.pool.filter(
      (c) => !this.picked.has(c) && (!c.explosive || (c.level?.actions ?? 0) <= this.explosiveLeft()),
    );

  /** Explosive repetitions that the age still allows. */
  private explosiveLeft(): number {
    let left = this.explosive;
    for (const { explosive, level } of this.picked.keys()) if (explosive) left -= level?.actions ?? 0;
    return left;
  }

  private isFull = () => this.picked.size >= this.shape.most.technical;

  /** Easy repetitions of one movement among some drills. */
  private easyLike = (c: Choice, among: Iterable<Choice>) => {
    let reps = 0;
    for (const o of among)
      if (o !== c && (c.actions.length === 0 || o.actions.some((a) => c.actions.includes(a))))
        reps += easyReps(o);
    return reps;
  };

  /** Whether an action that goes hard has easy repetitions before it, or can have them. */
  private canBeEased = (c: Choice) => c.to <= HARD || easyReps(c) + this.easyLike(c, this.pool) >= EASY_REPS;

  /** What costs more time than there is, and what cannot be led up to, is worth less. */
  private costOf = (c: Choice) =>
    Math.max(0, choiceSeconds(c) - Math.max(30, this.left)) / 4 +
    (this.canBeEased(c) ? 0 : 60) +
    (this.isFirstTooHard(c) ? 15 : 0);

  private isFirstTooHard = (c: Choice) => this.picked.size === 0 && c.from > FIRST_MOST;

  /** The most actions with one drill, then a ladder rather than a single level, then whatever leans towards it. */
  prepareActions(): void {
    const ladders = this.shape.isShort ? 0 : 12;
    while (
      this.open.size > 0 &&
      !this.isFull() &&
      (this.picked.size === 0 || this.left > -0.2 * this.shape.technical)
    ) {
      const choice = best(
        this.others().filter((c) => this.opens(c).length > 0),
        (c) =>
          this.opens(c).length * 30 +
          (c.drill.dose.kind === "ladder" ? ladders : 0) +
          c.lean -
          this.costOf(c),
      );
      if (!choice) return;
      this.take(choice, "useful", this.reasonFor(choice) as string);
    }
  }

  /** An easy first one. */
  beginEasy(): void {
    const first = this.inOrder()[0];
    if (first && first.choice.from <= EASY_EFFORT) return;
    const easy = best(
      this.others().filter(
        (c) => c.from <= EASY_EFFORT && c.to <= (first?.choice.from ?? 100) + this.shape.step,
      ),
      (c) => c.lean - c.from / 10 - this.costOf(c),
    );
    if (easy) this.take(easy, "useful", `The first of the sport's own actions, easy, at ${easy.from} %.`);
  }

  /** One between wherever the step would be too large; where there is none, what is above goes. */
  bridge(gaps: string[]): void {
    const { step } = this.shape;
    for (let guard = 0; guard < 30; guard++) {
      const climb = this.inOrder();
      const gap = steepGap(climb, step, ENTRY);
      if (!gap) return;
      const between = this.isFull()
        ? null
        : best(
            this.others().filter(
              (c) => c.from > gap.from && c.from <= gap.from + step && c.to > gap.from && c.to < gap.to,
            ),
            (c) => c.lean + (c.to - gap.from) / 2 - this.costOf(c),
          );
      if (between) {
        this.take(
          between,
          "useful",
          `A step between ${gap.from} and ${gap.to} %, so that the climb stays even.`,
        );
        continue;
      }
      const above = climb.findLast((c) => c.choice.from >= gap.to && !c.choice.kept);
      if (!above) return;
      if (!this.isFull()) gaps.push(`From ${gap.from} to ${gap.to} % the shelf has no step between.`);
      this.drop(above.choice);
    }
  }

  private drop(choice: Choice): void {
    this.picked.delete(choice);
    this.left += choiceSeconds(choice);
  }

  /** Easy repetitions of what goes hard; what cannot have enough of them goes no higher. */
  easeInto(): void {
    for (const { choice } of this.inOrder().toReversed()) {
      if (choice.to <= HARD) continue;
      const reps = () => easyReps(choice) + this.easyLike(choice, this.picked.keys());
      while (reps() < EASY_REPS && !this.isFull()) {
        const easy = best(
          this.others().filter(
            (c) =>
              c.to <= EASY_EFFORT && easyReps(c) > 0 && c.actions.some((a) => choice.actions.includes(a)),
          ),
          (c) => easyReps(c) + c.lean / 2 - this.costOf(c),
        );
        if (!easy) break;
        this.take(easy, "useful", `Easy repetitions before ${choice.drill.name}.`);
      }
      if (reps() >= EASY_REPS || choice.kept) continue;
      this.drop(choice);
    }
    this.bridge([]);
  }

  /** What fills the time, on the way to the top. */
  fill(): void {
    const { step, top } = this.shape;
    while (this.left >= NOTHING_LEFT && !this.isFull()) {
      const more = best(
        this.others().filter(
          (c) => choiceSeconds(c) <= this.left * 1.2 && this.isEvenWith(c, step) && this.isEased(c),
        ),
        (c) =>
          c.lean +
          c.to / 10 -
          (c.drill.priority === "extra" ? 4 : 0) -
          (c.drill.dose.kind === "ladder" ? 6 : 0),
      );
      if (!more) return;
      this.take(
        more,
        more.drill.priority === "extra" ? "extra" : "useful",
        `At ${more.to} %, on the way to ${top} %.`,
      );
    }
  }

  private isEased = (c: Choice) =>
    c.to <= HARD || easyReps(c) + this.easyLike(c, this.picked.keys()) >= EASY_REPS;

  private isEvenWith(c: Choice, step: number): boolean {
    const climb = [...this.inOrder(), { choice: c, priority: "useful" as const, why: "" }].toSorted(
      (a, b) => a.choice.from - b.choice.from,
    );
    return steepGap(climb, step, ENTRY) === null;
  }

  /** Single actions inside a ladder that nothing needs are left to the ladder. */
  thin(): void {
    const ladders = [...this.picked.keys()].filter((c) => c.drill.dose.kind === "ladder");
    for (const { choice, why } of this.inOrder()) {
      const inside = ladders.some((l) => l !== choice && choice.from > l.from && choice.to < l.to);
      if (!inside || choice.kept || why.startsWith("Prepares")) continue;
      this.drop(choice);
    }
  }
}

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
