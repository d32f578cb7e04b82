import { atFloor, atIdeal, heldAt } from "../../dose/atFloor";
import { doseAt } from "../../dose/doseAt";
import { levelsOf } from "../../dose/levelsOf";
import type { ShelfContent } from "../../plan/drillContent";
import { modelOf } from "../model/model";
import { MIDDLE_PERSON, SHARP_EFFORT } from "../model/parameters";
import { joined, type Piece } from "../model/piece";
import type { Surroundings } from "../model/surroundings";

/** What a top-up is looked for. */
export interface TopUpWanted {
  /** What is done before, to the planned start. */
  pieces: readonly Piece[];
  around: Surroundings;
  /** How much later the start is than planned, seconds; 0 for on time. */
  delaySeconds: number;
  /** Drills that can be used on the day: of the plan and of the shelf, those to be taken first at the front. */
  drills: readonly ShelfContent[];
  /** Whether one effort near competition is wanted as well. */
  withEffort: boolean;
  /** Seconds between the end of it and the start; a minute at the least. */
  waitSeconds: number;
}

/** One drill of a top-up: how, and when, seconds from the new start. */
export interface TopUpStep {
  drill: ShelfContent;
  fromSeconds: number;
  toSeconds: number;
}

/** The shortest set of drills that brings readiness back. */
export interface TopUp {
  delaySeconds: number;
  steps: TopUpStep[];
  /** When it must begin, seconds from the new start. */
  beginSeconds: number;
  /** Readiness at the new start without it and with it, and as it was planned, points. */
  without: number;
  with: number;
  planned: number;
  /** Whether that is back to within a point of the planned. */
  isBack: boolean;
}

/** So near the planned readiness counts as back, points. */
export const BACK_WITHIN = 1;
/** One that does not bring it back and gives less than this is not worth it, points. Custom. */
export const LEAST_GAIN = 1;
/** Shortest wait between a top-up and the start, seconds. Custom. */
const LEAST_WAIT = 60;
/** Easy movement in a top-up, seconds: steps, and the longest. Custom. */
const EASY_STEP = 60;
const EASY_LONGEST = 360;
/** Efforts of what counts as easy movement that warms, per cent: from a slow jog on. Custom. */
const EASY_FROM = 20;
const EASY_TO = 60;
/** The longest an effort in a top-up takes, seconds. Custom. */
const EFFORT_LONGEST = 180;

/** One way of doing a drill, as the body has it. */
interface Part {
  drill: ShelfContent;
  seconds: number;
  effort: number;
  share: number;
}

/**
 * The shortest top-up: easy movement, one effort near competition, or one after the other, ending so long before the start.
 * Of equally long ones the easier.
 * @returns null when nothing is needed, or nothing is worth it
 */
export function topUpFor(wanted: TopUpWanted): TopUp | null {
  const { pieces, around, delaySeconds, waitSeconds } = wanted;
  const middle = modelOf(pieces, MIDDLE_PERSON, around);
  const last = pieces.findLast((p) => p.effort > 0)?.toSeconds ?? -Infinity;
  const without = middle.at(delaySeconds).readiness;
  // On time it is what the best moment after the last drill would have been.
  const planned = delaySeconds === 0 ? bestReadiness(pieces, around) : middle.at(0).readiness;
  if (!Number.isFinite(last) || without >= planned - BACK_WITHIN) return null;
  let best: { ready: number; steps: TopUpStep[] } | null = null;
  for (const parts of setsOf(wanted)) {
    const steps = placed(parts, Math.max(LEAST_WAIT, waitSeconds));
    const begin = (steps[0]?.fromSeconds ?? 0) + delaySeconds;
    if (begin < last) continue;
    const more = parts.map((part, i): Piece => {
      const { fromSeconds, toSeconds } = steps[i] as TopUpStep;
      return {
        fromSeconds: fromSeconds + delaySeconds,
        toSeconds: toSeconds + delaySeconds,
        effort: part.effort,
        share: part.share,
        hold: null,
      };
    });
    const idle = { fromSeconds: last, toSeconds: begin, effort: 0, share: 0, hold: null };
    const whole = joined([...pieces.filter((p) => p.toSeconds <= last), idle, ...more]);
    const ready = modelOf(whole, MIDDLE_PERSON, around).at(delaySeconds).readiness;
    // Sets come shortest first: the first that brings it back is it.
    if (ready >= planned - BACK_WITHIN) {
      best = { ready, steps };
      break;
    }
    if (!best || ready > best.ready) best = { ready, steps };
  }
  if (!best) return null;
  const isBack = best.ready >= planned - BACK_WITHIN;
  if (!isBack && best.ready < without + LEAST_GAIN) return null;
  return {
    delaySeconds,
    steps: best.steps,
    beginSeconds: best.steps[0]?.fromSeconds ?? 0,
    without,
    with: best.ready,
    planned,
    isBack,
  };
}

/** The highest readiness within the half hour after the last drill: what an ideal start would have had. */
function bestReadiness(pieces: readonly Piece[], around: Surroundings): number {
  const model = modelOf(pieces, MIDDLE_PERSON, around);
  const last = pieces.findLast((p) => p.effort > 0)?.toSeconds ?? 0;
  return Math.max(...Array.from({ length: 61 }, (_, i) => model.at(last + i * 30).readiness));
}

/** Every set there is, the shortest first, of equally long ones the easier first. */
export function setsOf({ drills, withEffort }: Pick<TopUpWanted, "drills" | "withEffort">): Part[][] {
  const easy = unlike(drills.flatMap(easyParts));
  const hard = withEffort ? unlike(drills.flatMap(hardParts)) : [];
  const sets = [
    ...easy.map((e) => [e]),
    ...hard.map((h) => [h]),
    ...easy.flatMap((e) => hard.map((h) => [e, h])),
  ];
  const length = (set: Part[]) => set.reduce((sum, p) => sum + p.seconds, 0);
  const strain = (set: Part[]) => set.reduce((sum, p) => sum + p.seconds * p.effort * p.share, 0);
  return sets
    .map((set) => ({ set, length: length(set), strain: strain(set) }))
    .sort((a, b) => a.length - b.length || a.strain - b.strain)
    .map(({ set }) => set);
}

/** Easy movement, minute by minute; what is counted in rounds or lengths as much of it as a minute, two and so on hold. */
function easyParts(drill: ShelfContent): Part[] {
  if (!isEasyMovement(drill)) return [];
  const { dose, intensity } = drill;
  const minutes = Array.from({ length: EASY_LONGEST / EASY_STEP }, (_, i) => (i + 1) * EASY_STEP);
  if (dose.kind === "time")
    return minutes.map((seconds) => ({
      drill: { ...drill, dose: { ...dose, seconds: heldAt(seconds) } },
      ...{ seconds, effort: intensity / 100, share: 1 },
    }));
  const levels = levelsOf(dose);
  const held = new Set(minutes.map((most) => levels.findLastIndex((level) => level.seconds <= most)));
  return [...held].flatMap((index) => {
    const level = levels[index];
    if (!level || level.seconds < EASY_STEP / 2) return [];
    return [
      {
        drill: { ...drill, dose: atIdeal(doseAt(dose, index)) },
        seconds: level.seconds,
        effort: intensity / 100,
        share: Math.min(1, level.workSeconds / level.seconds),
      },
    ];
  });
}

/** Whether a drill is easy movement that warms again and that anybody can do alone. */
function isEasyMovement({ dose, intensity, phase, details }: ShelfContent): boolean {
  if (phase !== "raise" || intensity < EASY_FROM || intensity > EASY_TO || dose.kind === "ladder")
    return false;
  if (details?.flags.includes("explosive") || details?.flags.includes("breather")) return false;
  return !("partner" in dose && dose.partner) && !("sides" in dose && dose.sides !== "one");
}

/** One effort near competition, as short as the drill may be. */
function hardParts(drill: ShelfContent): Part[] {
  const { phase, intensity } = drill;
  if (drill.dose.kind === "ladder" || (phase !== "prime" && phase !== "technical")) return [];
  if (intensity < SHARP_EFFORT * 100) return [];
  const dose = atFloor(drill.dose);
  const level = levelsOf(dose)[0];
  if (!level || level.seconds === 0 || level.seconds > EFFORT_LONGEST) return [];
  return [
    {
      drill: { ...drill, dose },
      seconds: level.seconds,
      effort: intensity / 100,
      share: Math.min(1, level.workSeconds / level.seconds),
    },
  ];
}

/** The first of those that the body cannot tell apart. */
function unlike(parts: readonly Part[]): Part[] {
  const kinds = new Map<string, Part>();
  for (const part of parts) {
    const key = [part.seconds, part.effort, part.share].join();
    if (!kinds.has(key)) kinds.set(key, part);
  }
  return [...kinds.values()];
}

function placed(parts: readonly Part[], waitSeconds: number): TopUpStep[] {
  let at = -waitSeconds - parts.reduce((sum, p) => sum + p.seconds, 0);
  return parts.map(({ drill, seconds }) => {
    const fromSeconds = at;
    at += seconds;
    return { drill, fromSeconds, toSeconds: at };
  });
}
