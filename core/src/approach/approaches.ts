import { coldBandOf } from "../conditions/cold";
import { isHot } from "../conditions/heat";
import type { EffortProfile } from "../event/eventType";
import type { ApproachId } from "../words/approachId";

/** The side an approach takes in each question that coaches disagree on. */
export interface ApproachSides {
  length: "compact" | "standard" | "long";
  first: "easy" | "circuit";
  order: "easy-to-hard" | "needs-first" | "secure-last";
  peak: "below" | "at" | "above";
  wait: "hot" | "rest-out";
  rest: "none" | "full";
  variety: "same" | "vary";
  stretching: "moving" | "short-holds";
}

/** A named way of warming up. */
export interface Approach {
  id: ApproachId;
  /** What it does and why, in a sentence or two. */
  why: string;
  suits: readonly EffortProfile[];
  sides: ApproachSides;
  /** Minutes of drills at the least, usually and at the most. */
  minutes: { least: number; usual: number; most: number };
  /** How the time is shared out; the parts add up to 1. */
  portions: { raise: number; mobilise: number; technical: number; prime: number };
  /** Points of effort above (or, negative, below) the event's target level that the peak may reach. */
  peakPoints: number;
  stepPoints: number;
  /** Least share of the work that is easy, per cent of its time: the fit keeps it. */
  easyPercent: number;
  wait: { leastSeconds: number; longestSeconds: number };
}

/**
 * In the order they are offered. The minutes, portions, steps and waits of each are custom, as coaches of that school say them;
 * a club will be able to change them.
 */
export const APPROACHES: readonly Approach[] = [
  {
    id: "even-stair",
    why: "Half the time easy, then even steps to the event's own level. Easy work alone gives most of the benefit, and nothing jumps.",
    suits: ["short-hard", "long-sustained", "repeated-bouts"],
    sides: {
      length: "standard",
      first: "easy",
      order: "easy-to-hard",
      peak: "at",
      wait: "hot",
      rest: "none",
      variety: "same",
      stretching: "moving",
    },
    minutes: { least: 12, usual: 22, most: 30 },
    portions: { raise: 0.26, mobilise: 0.26, technical: 0.38, prime: 0.1 },
    peakPoints: 0,
    stepPoints: 20,
    easyPercent: 50,
    wait: { leastSeconds: 300, longestSeconds: 900 },
  },
  {
    id: "compact",
    why: "Under a quarter of an hour: a minute or two of easy movement, mobility, and the few actions that matter. For a short window, or an event that is its own warm-up.",
    suits: ["long-sustained", "precision"],
    sides: {
      length: "compact",
      first: "easy",
      order: "easy-to-hard",
      peak: "below",
      wait: "hot",
      rest: "none",
      variety: "same",
      stretching: "moving",
    },
    minutes: { least: 4, usual: 9, most: 12 },
    portions: { raise: 0.25, mobilise: 0.3, technical: 0.4, prime: 0.05 },
    peakPoints: -15,
    stepPoints: 20,
    easyPercent: 40,
    wait: { leastSeconds: 180, longestSeconds: 600 },
  },
  {
    id: "long-and-sharp",
    why: "Short, very hard events need the most: long and gradual, a brief touch just above the target, then a rest of five times the hard effort, kept warm.",
    suits: ["short-explosive", "short-hard"],
    sides: {
      length: "long",
      first: "easy",
      order: "easy-to-hard",
      peak: "above",
      wait: "rest-out",
      rest: "full",
      variety: "same",
      stretching: "short-holds",
    },
    minutes: { least: 20, usual: 34, most: 40 },
    portions: { raise: 0.22, mobilise: 0.25, technical: 0.38, prime: 0.15 },
    peakPoints: 5,
    stepPoints: 15,
    easyPercent: 40,
    wait: { leastSeconds: 600, longestSeconds: 1500 },
  },
  {
    id: "circuit-first",
    why: "Strength and drills in a circuit from the first minute give more a minute than jogging, and no rests keep the heart rate up.",
    suits: ["repeated-bouts", "short-explosive"],
    sides: {
      length: "standard",
      first: "circuit",
      order: "easy-to-hard",
      peak: "at",
      wait: "hot",
      rest: "none",
      variety: "vary",
      stretching: "moving",
    },
    minutes: { least: 10, usual: 20, most: 28 },
    portions: { raise: 0.12, mobilise: 0.4, technical: 0.38, prime: 0.1 },
    peakPoints: 0,
    stepPoints: 20,
    easyPercent: 40,
    wait: { leastSeconds: 300, longestSeconds: 720 },
  },
  {
    id: "secure-finish",
    why: "Climbs to the target, rests fully between hard efforts, and ends on something that succeeds nine times in ten: the last thing done is the first thing remembered.",
    suits: ["short-hard", "precision", "short-explosive"],
    sides: {
      length: "standard",
      first: "easy",
      order: "secure-last",
      peak: "at",
      wait: "hot",
      rest: "full",
      variety: "same",
      stretching: "moving",
    },
    minutes: { least: 15, usual: 25, most: 32 },
    portions: { raise: 0.24, mobilise: 0.24, technical: 0.42, prime: 0.1 },
    peakPoints: 0,
    stepPoints: 20,
    easyPercent: 40,
    wait: { leastSeconds: 300, longestSeconds: 900 },
  },
  {
    id: "needs-first",
    why: "After the easy part, what is least sure comes while the mind is fresh, then the rest. For ordinary days: drills change, so that the body does not get used to them.",
    suits: ["precision", "repeated-bouts", "long-sustained"],
    sides: {
      length: "standard",
      first: "easy",
      order: "needs-first",
      peak: "below",
      wait: "hot",
      rest: "full",
      variety: "vary",
      stretching: "moving",
    },
    minutes: { least: 12, usual: 24, most: 30 },
    portions: { raise: 0.25, mobilise: 0.25, technical: 0.45, prime: 0.05 },
    peakPoints: -10,
    stepPoints: 25,
    easyPercent: 40,
    wait: { leastSeconds: 240, longestSeconds: 900 },
  },
  {
    id: "calm-rhythm",
    why: "For aim and line: low stakes, the same order every time, hits counted rather than minutes, well below full effort, and done some minutes before the start.",
    suits: ["precision"],
    sides: {
      length: "standard",
      first: "easy",
      order: "easy-to-hard",
      peak: "below",
      wait: "hot",
      rest: "none",
      variety: "same",
      stretching: "short-holds",
    },
    minutes: { least: 10, usual: 20, most: 28 },
    portions: { raise: 0.18, mobilise: 0.27, technical: 0.5, prime: 0.05 },
    peakPoints: -20,
    stepPoints: 20,
    easyPercent: 40,
    wait: { leastSeconds: 300, longestSeconds: 1200 },
  },
];

/** The approach of an id. */
export function approachOf(id: ApproachId): Approach {
  return APPROACHES.find((a) => a.id === id) as Approach;
}

/** How an approach goes with the weather: in heat the shorter the better, in the cold not the shortest; 0 is best. */
function inWeather({ sides }: Approach, weather: Weather | null): number {
  if (!weather) return 0;
  if (isHot(weather)) return { compact: 0, standard: 1, long: 2 }[sides.length];
  return coldBandOf(weather) !== "none" && sides.length === "compact" ? 1 : 0;
}

type Weather = Parameters<typeof isHot>[0] & Parameters<typeof coldBandOf>[0];

/** How far what an approach usually takes is from the time that there is, minutes; what it does not fit into at the least is last. */
function offTime({ minutes }: Approach, available: number | null): number {
  if (available === null) return 0;
  return available < minutes.least ? Number.MAX_SAFE_INTEGER : Math.abs(available - minutes.usual);
}

/**
 * Those that suit an event and the weather first, of them those that come nearest to the time that there is, otherwise in
 * the order they are offered.
 * @param available minutes of drills that there is time for; null where that does not matter
 */
export function suitedFirst(
  effort: EffortProfile | null,
  weather: Weather | null = null,
  available: number | null = null,
): Approach[] {
  const suits = (a: Approach) => (effort && a.suits.includes(effort) ? 0 : 1);
  return APPROACHES.toSorted(
    (a, b) =>
      suits(a) - suits(b) ||
      inWeather(a, weather) - inWeather(b, weather) ||
      offTime(a, available) - offTime(b, available),
  );
}
