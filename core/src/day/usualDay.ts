import type { EventType } from "../event/eventType";
import { wallClock } from "../time/zone";
import { wordKey } from "../words/sameWord";
import { freeAfter, type PreviousStart, stepsBetween } from "./betweenStarts";
import type { DayFrame } from "./constraint";
import { dayPlan } from "./day";
import { type DayStep, dayStepSchema, KIT_STEP, MOST_LINES } from "./step";
import { before, fromStart, points, USUAL } from "./usualParts";

/** What is known of a start, for its usual day. */
export interface UsualDayOf extends Omit<DayFrame, "steps"> {
  /** Null where it is not known. */
  event: EventType | null;
  /** What the athlete has of their own to bring. */
  equipment?: readonly string[];
  /** What the same athlete starts in before it on the same day; none, or not known, unless given. */
  previous?: PreviousStart | null;
  /** The way to the venue, minutes. */
  travel: { usual: number; bad: number };
}

/** The way to a venue of which nothing is known, minutes. Custom. */
export const USUAL_TRAVEL = { usual: 25, bad: 40 };

/** Clock times of the evening before. Custom. */
const DRINKING = "18:00";
const PACKED = "21:00";
const MIDDAY = { earliest: "11:30", latest: "13:30" };
/** A start before then is of the day that began the morning before: nobody goes to bed and starts in the same night. */
const NIGHT_OVER = "04:00";
const TO_BED = { earliest: "20:30", latest: "22:30" };

const stepsOf = (steps: readonly Partial<DayStep>[]): DayStep[] => steps.map((s) => dayStepSchema.parse(s));

/** What is eaten that day besides the snack. */
interface Meals {
  main: boolean;
  breakfast: boolean;
  midday: boolean;
}

/**
 * The day that a start usually has, to be changed by hand: from drinking and packing the day before to the cool-down. Where
 * the night leaves no time for a main meal before it, a snack is all there is; where the main meal is long after getting up,
 * there is breakfast, and at midday something to eat. A second start of a day begins where the one before it is over.
 */
export function usualDay(of: UsualDayOf): DayStep[] {
  const after = of.previous ? freeAfter(of.previous) : null;
  if (after !== null && after < Date.parse(of.startsAt)) return stepsOf(stepsBetween(of, after));
  const made = (meals: Meals) => {
    const steps = stepsOf(stepsFor(of, meals));
    return { steps, plan: dayPlan({ ...of, steps }, "bad") };
  };
  const whole = made({ main: true, breakfast: false, midday: false });
  if (!whole.plan.holds) return made({ main: false, breakfast: false, midday: false }).steps;
  const stand = (id: string) =>
    whole.plan.holds ? whole.plan.stands.find((s) => s.step.id === id) : undefined;
  const gap = ((stand("meal")?.beginSeconds ?? 0) - (stand("wake")?.endSeconds ?? 0)) / 60;
  const more = made({ main: true, breakfast: gap >= USUAL.breakfast.from, midday: gap >= USUAL.midday.from });
  return more.plan.holds ? more.steps : whole.steps;
}

/** What goes into every bag. Custom. */
const ALWAYS = ["Drink", "Food", "Warm clothes", "Dry clothes"];

/** Words once each, in the order in which they come. */
function eachOnce(words: readonly string[]): string[] {
  const known = new Set<string>();
  const isNew = (word: string) => !known.has(wordKey(word)) && known.add(wordKey(word));
  return words.filter(isNew).slice(0, MOST_LINES);
}

function stepsFor(
  { startsAt, zone, event, travel, equipment = [] }: UsualDayOf,
  meals: Meals,
): Partial<DayStep>[] {
  const kit = event?.kit ?? [];
  const evening = wallClock(startsAt, zone).time < NIGHT_OVER ? -2 : -1;
  const hasKit = kit.length > 0;
  const only = (isThere: boolean, ...steps: Partial<DayStep>[]) => (isThere ? steps : []);
  return [
    {
      ...{ id: "drink", name: "Drinking begins", kind: "drink", minutes: { usual: 0 }, beside: true },
      note: "Little and often.",
      rules: [
        before("begin", USUAL.drink, "start"),
        { kind: "clock", edge: "begin", day: evening, notAfter: DRINKING },
      ],
    },
    {
      ...{ id: "pack", name: "Pack the bag from its list", kind: "pack", minutes: { usual: USUAL.pack } },
      list: eachOnce([...kit, ...equipment, ...ALWAYS]),
      rules: [{ kind: "clock", edge: "end", day: evening, notAfter: PACKED }],
    },
    {
      ...{ id: "sleep", name: "Sleep", kind: "rest", minutes: { usual: USUAL.sleep } },
      // They get up when they have slept: an evening's start does not make it noon.
      rules: [
        { kind: "clock", edge: "begin", day: evening, notBefore: TO_BED.earliest, notAfter: TO_BED.latest },
        { kind: "straight-before", of: "wake" },
      ],
    },
    {
      ...{ id: "wake", name: "Wake up, wash", kind: "wake", minutes: { usual: USUAL.wash } },
      rules: [
        before("begin", meals.main ? USUAL.awake.long : USUAL.awake.short, "warm-up"),
        before("end", 0, "snack"),
        ...(meals.breakfast ? [{ kind: "straight-before" as const, of: "breakfast" }] : []),
      ],
    },
    ...only(meals.breakfast, {
      ...{ id: "breakfast", name: "Breakfast", kind: "eat", minutes: { usual: USUAL.breakfast.long } },
    }),
    ...only(meals.midday, {
      ...{ id: "midday", name: "Midday meal", kind: "eat", minutes: { usual: USUAL.midday.long } },
      rules: [
        {
          kind: "clock",
          edge: "begin",
          day: evening + 1,
          notBefore: MIDDAY.earliest,
          notAfter: MIDDAY.latest,
        },
      ],
    }),
    ...only(meals.main, {
      ...{ id: "meal", name: "Main meal", kind: "eat", minutes: { usual: USUAL.meal.long } },
      rules: [before("end", USUAL.meal.before, "warm-up")],
    }),
    {
      // Eaten wherever one is by then.
      ...{ id: "snack", name: "Snack", kind: "eat", minutes: { usual: USUAL.snack.long }, beside: true },
      rules: [before("end", USUAL.snack.before, "warm-up")],
    },
    {
      ...{ id: "travel", name: "On the way", kind: "travel", minutes: travel },
      rules: [
        before("end", USUAL.arrive, "start"),
        { kind: "straight-before", of: "settle" },
        ...(hasKit ? [before("end", 0, "kit")] : []),
      ],
    },
    { id: "settle", name: "Settle in", kind: "settle", minutes: { usual: USUAL.settle } },
    ...only(hasKit, {
      ...{
        id: KIT_STEP,
        name: "Kit to the hall's temperature",
        kind: "settle",
        minutes: { usual: USUAL.kit },
      },
      // What of it is there, on arrival: another tick than that it was packed.
      ...{ beside: true, list: eachOnce(kit) },
      rules: [before("end", 0, "warm-up")],
    }),
    ...points(event),
    { id: "warm-up", name: "Warm-up", kind: "warm-up", minutes: { usual: 0 } },
    ...fromStart(event),
  ];
}
