import { MOST_TRIES } from "../dose/kinds/gateDose";
import type { PlainDose } from "../dose/kinds/plainDose";
import { repsAt } from "./climbEfforts";
import { EASY_PERCENT, type LadderWish } from "./ladderWish";

/** Effort from which single repetitions are rested between, per cent. */
const NEAR_LIMIT_PERCENT = 80;

/** A rung before its amount is settled. */
export interface RungOutline {
  /** Rungs of the same key take the same time for the same amount. */
  key: string;
  label: string;
  intensity: number;
  chancePercent: number | undefined;
  /** Fewest and wanted repetitions, rounds or hits. */
  least: number;
  wanted: number;
  dose: (amount: number, least: number) => PlainDose;
  restSeconds: number;
}

/** What one rung of a ladder is to be: its effort, its repetitions and its rest. */
export function rungOutline(
  wish: LadderWish,
  intensity: number,
  label: { name: string; chancePercent?: number | null } | null,
): RungOutline {
  const wanted = wish.shape === "targets" ? hitsAt(wish, intensity) : repsAt(wish, intensity);
  return {
    key: intensity > NEAR_LIMIT_PERCENT ? "hard" : "flowing",
    label: label?.name ?? "",
    intensity,
    chancePercent: label?.chancePercent ?? undefined,
    least: 1,
    wanted,
    dose: (amount, least) => doseOf(wish, intensity, amount, least),
    restSeconds: restAfter(wish),
  };
}

const hitsAt = (wish: LadderWish, intensity: number) =>
  Math.max(1, Math.min(wish.hits, repsAt(wish, intensity)));

/** Seconds of rest after a rung: fixed, or a multiple of a hard effort's length. */
export function restAfter({ rest, secondsEach }: LadderWish): number {
  if (rest.kind === "none") return 0;
  return rest.kind === "fixed" ? rest.seconds : Math.min(1800, Math.ceil(rest.times * secondsEach));
}

/** The dose of one rung. */
export function doseOf(wish: LadderWish, intensity: number, amount: number, least: number): PlainDose {
  const range = { floor: least, ideal: amount, ceiling: amount };
  const within = intensity > NEAR_LIMIT_PERCENT ? restAfter(wish) : 0;
  const partner =
    wish.shape === "partners" ? { partner: { mode: "alternating" as const, changeoverSeconds: 0 } } : {};
  if (wish.shape === "targets") {
    const { secondsEach, chancePercent } = wish;
    return {
      kind: "gate",
      rule: { kind: "total" },
      hits: range,
      chancePercent,
      secondsEach,
      restSeconds: 0,
      surePercent: 80,
      // Twice what the hits alone would take, but never so long that it is no gate any more.
      capSeconds: Math.min(
        1800,
        MOST_TRIES * secondsEach,
        Math.max(5, secondsEach, Math.ceil((2 * amount * secondsEach * 100) / chancePercent)),
      ),
      sides: "one",
    };
  }
  return {
    kind: "attempts",
    attempts: range,
    secondsEach: wish.secondsEach,
    sides: "one",
    rest: { kind: "fixed", seconds: within },
    ...partner,
  };
}

/** Raises the easy rungs at the foot of the climb until enough repetitions stand before anything above easy. */
export function easyFirst(rungs: RungOutline[], wish: LadderWish): RungOutline[] {
  const firstHard = rungs.findIndex((r) => r.intensity > EASY_PERCENT);
  if (firstHard < 0 || wish.easyReps === 0) return rungs;
  const easy = rungs.slice(0, firstHard);
  const wanted = [...easy.map((r) => r.wanted)];
  while (sum(wanted) < wish.easyReps) {
    // The easiest of the fewest, so that volume still falls towards the top.
    const at = wanted.indexOf(Math.min(...wanted));
    wanted[at] = (wanted[at] as number) + 1;
  }
  const least = spread(wish.easyReps, easy.length);
  return rungs.map((rung, i) =>
    i < firstHard
      ? { ...rung, wanted: Math.max(wanted[i] as number, least[i] as number), least: least[i] as number }
      : rung,
  );
}

/** So many over so many rungs, as evenly as can be, the first ones getting more. */
function spread(many: number, over: number): number[] {
  return Array.from({ length: over }, (_, i) => Math.max(1, Math.ceil((many - i) / over)));
}

const sum = (numbers: readonly number[]) => numbers.reduce((a, b) => a + b, 0);
