import { drillContent, shelfOrigin } from "../plan/drillContent";
import { emptyPlan, MOST_DRILLS, type PlanBody, type PlanItem } from "../plan/plan";
import { approachName } from "../words/approachId";
import { cutText } from "../words/cutText";
import { LONGEST_NOTE } from "../words/text";
import { affordable } from "./affordable";
import { type Choice, type Chosen, choiceSeconds, usableChoices } from "./choose/choice";
import { chooseMobilise } from "./choose/chooseMobilise";
import { choosePrime } from "./choose/choosePrime";
import { chooseRaise } from "./choose/chooseRaise";
import { chooseTechnical } from "./choose/chooseTechnical";
import type { Approach } from "./input/approaches";
import type { FillInput } from "./input/fillInput";
import { rested } from "./rested";

/** What filling comes to. */
export interface Filled {
  body: PlanBody;
  /** What the shelf could not give, in sentences. */
  gaps: string[];
}

/**
 * A warm-up from the shelf in the way of an approach, each drill with the reason it was chosen. The same input always
 * gives the same plan; another seed gives other drills of the same purpose where the shelf has them.
 */
export function fillPlan(input: FillInput): Filled {
  const { approach, event } = input;
  const gaps: string[] = [];
  const choices = usableChoices(input, gaps);
  const target = Math.min(100, (event?.targetLevel ?? 85) + approach.peakPoints);
  const kit = chooseKit(choices);
  const budget = workSeconds(input, kit);
  const part = (portion: number) => portion * budget;

  const { raiseTimes, primes } = inWeather(input, gaps);
  const raise = chooseRaise(
    choices,
    approach,
    raiseTimes * part(approach.portions.raise),
    Math.round(raiseTimes * RAISE_DRILLS),
  );
  const technical = chooseTechnical(choices, input, target, part(approach.portions.technical), gaps);
  const mobilise = chooseMobilise(
    choices,
    input,
    { raise, technical },
    part(approach.portions.mobilise),
    gaps,
  );
  const prime = choosePrime(choices, target, part(approach.portions.prime), primes);
  if (raise.length === 0) gaps.push("The shelf has nothing easy that raises warmth.");

  if (budget < approach.minutes.least * 60) {
    const minutes = Math.floor(budget / 60);
    gaps.push(
      `${approachName(approach.id)} wants ${approach.minutes.least} min of drills at least; wait and kit leave ${minutes}.`,
    );
  }

  const ordered = [...raise, ...mobilise, ...kit, ...technical, ...prime].slice(0, MOST_DRILLS);
  const body = {
    ...emptyPlan(),
    items: ordered.map((c) => itemOf(c, approach, input.makeId)),
    wait: approach.wait,
    stepPoints: approach.stepPoints,
    origin: { approach: approach.id, seed: input.seed },
  };
  return { body: affordable(body, input.availableSeconds), gaps };
}

/** How much of the raise it takes, and how many efforts of priming, in this weather; says what it changes. Custom, as coaches have it. */
function inWeather({ weather }: FillInput, gaps: string[]): { raiseTimes: number; primes: number } {
  if (weather && weather.cold !== "none") {
    gaps.push("Cold outdoors: the raise is half as long again. Begin it indoors, in layers.");
    return { raiseTimes: 1.5, primes: 2 };
  }
  if (weather?.heat === "hot" || weather?.heat === "very-hot") {
    gaps.push("Hot: the raise is halved and there is no second priming. Keep to the shade, and drink.");
    return { raiseTimes: 0.5, primes: 1 };
  }
  return { raiseTimes: 1, primes: 2 };
}

/** Most drills of the raise in ordinary weather. Custom. */
const RAISE_DRILLS = 3;

/** Seconds of drills: what the time leaves after wait and kit, and no more than the approach wants. */
function workSeconds({ approach, availableSeconds }: FillInput, kit: readonly Chosen[]): number {
  const forKit = kit.reduce((sum, c) => sum + choiceSeconds(c.choice), 0);
  const left = Math.max(0, availableSeconds - approach.wait.leastSeconds - forKit);
  return Math.min(left, approach.minutes.usual * 60);
}

/** Kit that cannot be left out stands before the sport's own actions. */
function chooseKit(choices: readonly Choice[]): Chosen[] {
  return choices
    .filter((c) => c.drill.phase === "kit" && c.drill.priority === "essential")
    .toSorted((a, b) => b.lean - a.lean)
    .slice(0, 2)
    .map((choice) => ({
      choice,
      priority: "essential",
      why: "Kit that has to be ready before the sport's own actions.",
    }));
}

function itemOf({ choice, priority, why }: Chosen, approach: Approach, makeId: () => string): PlanItem {
  const content = drillContent(choice.drill);
  return {
    id: makeId(),
    ...shelfOrigin(choice.drill),
    ...content,
    priority,
    dose: rested(content.dose, choice.to, approach),
    why: cutText(why, LONGEST_NOTE),
  };
}
