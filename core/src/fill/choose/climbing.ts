import type { Approach } from "../../approach/approaches";
import type { ScaleItem } from "../../athlete/scale";
import type { EventType } from "../../event/eventType";
import { EASY_EFFORT } from "../../words/effort";
import type { Priority } from "../../words/priority";
import { wordKey } from "../../words/sameWord";
import type { FillRules } from "../input/rules";
import type { Shape } from "../shape/shape";
import { type Choice, type Chosen, choiceSeconds } from "./choice";
import { isBegunHigher, steepGap } from "./climb";
import { easyReps, isEasedBy, isStillWarm } from "./easing";
import { NOTHING_LEFT } from "./left";
import { best } from "./pick";
import { onTheWay, PREPARES, prepares } from "./why";

/** What the climb is chosen by. */
export interface ClimbFor {
  approach: Approach;
  event: Pick<EventType, "actions" | "effort"> | null;
  shape: Shape;
  rules: FillRules;
  scale: readonly ScaleItem[];
  /** Keys of actions that are still prepared from earlier on the day. */
  stillWarm: ReadonlySet<string>;
}

/** Up to here something of the sport's own may be the first, per cent. */
export const firstMost = (step: number): number => Math.min(FIRST_MOST, ENTRY + step);

/** Never a first own action above half effort, per cent; coaches' rule (custom). */
export const FIRST_MOST = 50;
/** Effort that mobility is left at, at the least: the first own action is no more than a step above it, per cent. Custom. */
const ENTRY = 25;

/** The climb as it is being chosen. */
export class Climbing {
  readonly open: Set<string>;
  private readonly picked = new Map<Choice, Chosen>();
  private left: number;
  private readonly shape: Shape;
  private readonly rules: FillRules;
  private readonly stillWarm: ReadonlySet<string>;

  constructor(
    { event, shape, rules, stillWarm }: ClimbFor,
    private readonly pool: readonly Choice[],
  ) {
    this.open = new Set(event?.actions ?? []);
    this.shape = shape;
    this.left = shape.technical;
    this.rules = rules;
    this.stillWarm = stillWarm;
  }

  take(choice: Choice, priority: Priority, why: string): void {
    for (const action of this.opens(choice)) this.open.delete(action);
    const higher = isBegunHigher(choice) ? " Begins higher, because it was done not long ago." : "";
    this.picked.set(choice, { choice, priority, why: why + higher });
    this.left -= choiceSeconds(choice);
  }

  /** Actions of the event that are still open and that a drill prepares. */
  private opens = (c: Choice) => [...this.open].filter((action) => c.actions.includes(wordKey(action)));

  reasonFor(c: Choice): string | null {
    const actions = this.opens(c);
    return actions.length > 0 ? prepares(actions) : null;
  }

  inOrder = (): Chosen[] =>
    [...this.picked.values()].toSorted((a, b) => a.choice.from - b.choice.from || a.choice.to - b.choice.to);

  private others = () =>
    this.pool.filter(
      (c) => !this.picked.has(c) && (!c.explosive || (c.level?.actions ?? 0) <= this.explosiveLeft()),
    );

  /** Explosive repetitions that the age still allows. */
  private explosiveLeft(): number {
    let left = this.rules.explosive;
    for (const { explosive, level } of this.picked.keys()) if (explosive) left -= level?.actions ?? 0;
    return left;
  }

  private isFull = () => this.picked.size >= this.shape.most.technical;

  /** Whether an action that goes hard has its easy repetitions, or, among all there are, can have them. */
  private isEased = (c: Choice) =>
    isStillWarm(c, this.stillWarm) || isEasedBy(c, this.picked.keys(), this.rules);
  private canBeEased = (c: Choice) => isStillWarm(c, this.stillWarm) || isEasedBy(c, this.pool, this.rules);

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
      while (!this.isEased(choice) && !this.isFull()) {
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
      if (!this.isEased(choice) && !choice.kept) this.drop(choice);
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
      this.take(more, more.drill.priority === "extra" ? "extra" : "useful", onTheWay(more, top));
    }
  }

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
      if (!inside || choice.kept || why.startsWith(PREPARES)) continue;
      this.drop(choice);
    }
  }
}
