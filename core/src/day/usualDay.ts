import type { EventType } from "../event/eventType";
import { wordKey } from "../words/sameWord";
import type { DayFrame } from "./constraint";
import { dayPlan } from "./day";
import { type DayStep, dayStepSchema, MOST_LINES } from "./step";

/** What is known of a start, for its usual day. */
export interface UsualDayOf extends Omit<DayFrame, "steps"> {
  /** Null where it is not known. */
  event: EventType | null;
  /** What the athlete has of their own to bring. */
  equipment?: readonly string[];
  /** The way to the venue, minutes. */
  travel: { usual: number; bad: number };
}

/** The way to a venue of which nothing is known, minutes. Custom. */
export const USUAL_TRAVEL = { usual: 25, bad: 40 };

/** Figures of the usual day, minutes. All custom: coaches' habits, to be changed for an athlete or an event. */
const USUAL = {
  /** Drinking begins so long before the start: little and often, no amounts. */
  drink: 12 * 60,
  pack: 20,
  /** The least that a night asks. */
  sleep: 8 * 60,
  wash: 30,
  /** Awake so long before the warm-up; where the night leaves less, so long at the least. */
  awake: { long: 180, short: 90 },
  /** The main meal is over so long before the warm-up; a snack. */
  meal: { long: 30, before: 180 },
  snack: { long: 10, before: 60 },
  /** There so long before the start. */
  arrive: 90,
  settle: 10,
  /** Until equipment has the hall's temperature. */
  kit: 30,
};

/** Clock times of the evening before. Custom. */
const DRINKING = "18:00";
const PACKED = "21:00";
const TO_BED = { earliest: "20:30", latest: "22:30" };

/** What follows an event, minutes, by what it asks of the body. Custom, after docs/forecast.md: brisk after a short hard one. */
const COOL_DOWN: Record<EventType["effort"], { minutes: number; note: string }> = {
  "short-explosive": { minutes: 10, note: "Brisk at first, then easy." },
  "short-hard": { minutes: 10, note: "Brisk at first, then easy." },
  "long-sustained": { minutes: 8, note: "Easy." },
  precision: { minutes: 3, note: "A few easy minutes." },
  "repeated-bouts": { minutes: 10, note: "Easy, then warm clothes." },
};

const before = (edge: "begin" | "end", leastMinutes: number, of: string) =>
  ({ kind: "before", edge, leastMinutes, ofEdge: "begin", of }) as const;

const stepsOf = (steps: readonly Partial<DayStep>[]): DayStep[] => steps.map((s) => dayStepSchema.parse(s));

/**
 * The day that a start usually has, to be changed by hand: from drinking and packing the day before to the cool-down. Where
 * the night leaves no time for a main meal before it, a snack is all there is.
 */
export function usualDay(of: UsualDayOf): DayStep[] {
  const whole = stepsOf(stepsFor(of, true));
  return dayPlan({ ...of, steps: whole }, "bad").holds ? whole : stepsOf(stepsFor(of, false));
}

/** What goes into every bag. Custom. */
const ALWAYS = ["Drink", "Food", "Warm clothes", "Dry clothes"];

/** Words once each, in the order in which they come. */
function eachOnce(words: readonly string[]): string[] {
  const known = new Set<string>();
  const isNew = (word: string) => !known.has(wordKey(word)) && known.add(wordKey(word));
  return words.filter(isNew).slice(0, MOST_LINES);
}

function stepsFor({ event, travel, equipment = [] }: UsualDayOf, hasMeal: boolean): Partial<DayStep>[] {
  const kit = event?.kit ?? [];
  const eventMinutes = Math.ceil((event?.lengthSeconds ?? 0) / 60);
  const coolDown = COOL_DOWN[event?.effort ?? "short-hard"];
  const hasKit = kit.length > 0;
  const only = (isThere: boolean, ...steps: Partial<DayStep>[]) => (isThere ? steps : []);
  return [
    {
      ...{ id: "drink", name: "Drinking begins", kind: "drink", minutes: { usual: 0 }, beside: true },
      note: "Little and often.",
      rules: [
        before("begin", USUAL.drink, "start"),
        { kind: "clock", edge: "begin", day: -1, notAfter: DRINKING },
      ],
    },
    {
      ...{ id: "pack", name: "Pack the bag from its list", kind: "pack", minutes: { usual: USUAL.pack } },
      list: eachOnce([...kit, ...equipment, ...ALWAYS]),
      rules: [{ kind: "clock", edge: "end", day: -1, notAfter: PACKED }],
    },
    {
      ...{ id: "sleep", name: "Sleep", kind: "rest", minutes: { usual: USUAL.sleep } },
      // They get up when they have slept: an evening's start does not make it noon.
      rules: [
        { kind: "clock", edge: "begin", day: -1, notBefore: TO_BED.earliest, notAfter: TO_BED.latest },
        { kind: "straight-before", of: "wake" },
      ],
    },
    {
      ...{ id: "wake", name: "Wake up, wash", kind: "wake", minutes: { usual: USUAL.wash } },
      rules: [
        before("begin", hasMeal ? USUAL.awake.long : USUAL.awake.short, "warm-up"),
        before("end", 0, "snack"),
      ],
    },
    ...only(hasMeal, {
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
      ...{ id: "kit", name: "Kit to the hall's temperature", kind: "settle", minutes: { usual: USUAL.kit } },
      // What of it is there is told with the start.
      ...{ beside: true, note: kit.join(", ").slice(0, 200) },
      rules: [before("end", 0, "warm-up")],
    }),
    ...(event?.fixedPoints ?? []).map(
      (point, i): Partial<DayStep> => ({
        ...{ id: `point-${i + 1}`, name: point.name, kind: "call", minutes: { usual: point.minutesLong } },
        ...{ beside: true, place: point.place ?? "" },
        rules: [{ ...before("begin", point.minutesBefore, "start"), mostMinutes: point.minutesBefore }],
      }),
    ),
    { id: "warm-up", name: "Warm-up", kind: "warm-up", minutes: { usual: 0 } },
    {
      ...{ id: "start", name: event?.name ?? "Start", kind: "start", minutes: { usual: eventMinutes } },
      note: "Safe options first.",
    },
    {
      ...{ id: "cool-down", name: "Cool down", kind: "cool-down" },
      ...{ minutes: { usual: coolDown.minutes }, note: coolDown.note },
    },
    { id: "change", name: "Dry clothes, a drink", kind: "change", minutes: { usual: 10 } },
  ];
}
