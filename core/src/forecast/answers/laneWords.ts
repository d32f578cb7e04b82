import type { Band } from "./band";

/** The three things that are forecast. */
export type Lane = "warmth" | "sharpness" | "tiredness";

/** All of them, as they are drawn from top to bottom. */
export const LANES: readonly Lane[] = ["warmth", "sharpness", "tiredness"];

/** A word for how it stands, better ones first. */
export interface LaneWord {
  word: string;
  /** 0 is as it should be, more is worse. */
  grade: number;
}

/*
 * Borders between words; custom, chosen so that a warm-up that coaches call good reads "warm, sharp, fresh" at its start, and so
 * that what each border costs is about the same: some 3 % of performance from warm to cold, 1 % from sharp to dull.
 */

/** Of full warmth: from here on warm, and below this cold. */
export const WARM = 0.5;
export const COOL = 0.25;
/** Of sharpness: from here on sharp, and below this dull. */
export const SHARP = 0.5;
export const DULL = 0.2;
/** Share of performance that tiredness costs: up to here fresh, and beyond this tired. */
export const FRESH = 0.02;
export const TIRED = 0.05;

/** Whether a quantity is on its way up or has been higher. */
export type Trend = "rising" | "falling";

const WORDS: Record<Lane, Record<Trend, readonly [string, string, string]>> = {
  warmth: { rising: ["warm", "not yet warm", "cold"], falling: ["warm", "cooling", "cold"] },
  sharpness: {
    rising: ["sharp", "half sharp", "not sharp"],
    falling: ["sharp", "fading", "no longer sharp"],
  },
  tiredness: {
    rising: ["fresh", "a little tired", "tired"],
    falling: ["fresh", "a little tired", "tired"],
  },
};

/** How far from as it should be: 0 is as it should be, 2 the worst. */
export function gradeOf(lane: Lane, value: number): 0 | 1 | 2 {
  if (lane === "tiredness") return value <= FRESH ? 0 : value <= TIRED ? 1 : 2;
  const [good, poor] = lane === "warmth" ? [WARM, COOL] : [SHARP, DULL];
  return value >= good ? 0 : value >= poor ? 1 : 2;
}

/**
 * The word for a band: where most people span two of them it says both, because it is not known which.
 * @param band of warmth as a share of what is full, of sharpness, or of what tiredness costs
 * @returns the grade of the middle of the band
 * @example laneWord("warmth", { low: 0.4, middle: 0.6, high: 0.7 }, "falling") // { word: "warm or cooling", grade: 0 }
 */
export function laneWord(lane: Lane, band: Band, trend: Trend): LaneWord {
  const grades = [gradeOf(lane, band.low), gradeOf(lane, band.high)].toSorted((a, b) => a - b);
  const [best, worst] = grades as [0 | 1 | 2, 0 | 1 | 2];
  const words = WORDS[lane][trend];
  const spans = worst - best;
  const word =
    spans === 0
      ? words[best]
      : spans === 1
        ? `${words[best]} or ${words[worst]}`
        : `${words[best]} to ${words[worst]}`;
  return { word, grade: gradeOf(lane, band.middle) };
}
