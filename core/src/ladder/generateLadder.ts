import { plainLevels } from "../dose/kinds/plainLevels";
import { type LadderDose, MOST_RUNGS, type Rung } from "../dose/ladder/ladderDose";
import { spokenLength } from "../time/clock";
import { EASY_PERCENT, type LadderWish, ladderWishSchema } from "./ladderWish";
import type { RungOutline } from "./rungOutline";
import { outline } from "./shapes";

/** A ladder, or which wish cannot be had and why. */
export type LadderAnswer =
  | { ok: true; dose: LadderDose; seconds: number; gaveUp: string[] }
  | { ok: false; path: string; message: string };

/**
 * Makes a ladder. Steps are never steeper than allowed, and volume never rises with intensity. When time is short
 * repetitions go first, hardest rung first, then the top comes down; what was given up is said in `gaveUp`.
 * @param makeId gives a new UUID for every rung
 * @returns the ladder, or the field that makes it impossible and what to do
 */
export function generateLadder(wish: LadderWish, makeId: () => string): LadderAnswer {
  const checked = ladderWishSchema.safeParse(wish);
  if (!checked.success) {
    const [issue] = checked.error.issues;
    return {
      ok: false,
      path: issue?.path.join(".") ?? "",
      message: issue?.message ?? "This cannot be made.",
    };
  }
  const known: Known = new Map();
  for (let top = wish.top; top >= wish.bottom; top--) {
    const notes: string[] = [];
    const plan = outline({ ...wish, top }, notes);
    if (plan.length > MOST_RUNGS) {
      if (top > wish.bottom) continue;
      return {
        ok: false,
        path: "stepPoints",
        message: `That takes more than ${MOST_RUNGS} rungs: allow a larger step.`,
      };
    }
    const least = plan.map((rung) => rung.least);
    if (lengthOf(plan, least, known) > wish.seconds) continue;
    const amounts = growInto(plan, least, wish.seconds, known);
    return answer({ wish, plan, amounts, top, notes, known }, makeId);
  }
  const shortest = outline({ ...wish, top: wish.bottom }, []);
  const needs = lengthOf(
    shortest,
    shortest.map((r) => r.least),
    known,
  );
  return {
    ok: false,
    path: "seconds",
    message: `Even the bottom alone takes ${spokenLength(needs)}: give it more time, or fewer easy repetitions.`,
  };
}

/** Seconds that have been computed before, by what they depend on. */
type Known = Map<string, number>;

function lengthOf(plan: readonly RungOutline[], amounts: readonly number[], known: Known): number {
  return plan.reduce(
    (total, rung, i) =>
      total + secondsOf(rung, amounts[i] as number, known) + (i === plan.length - 1 ? 0 : rung.restSeconds),
    0,
  );
}

function secondsOf(rung: RungOutline, amount: number, known: Known): number {
  const key = `${rung.key} ${amount}`;
  const before = known.get(key);
  if (before !== undefined) return before;
  const seconds = plainLevels(rung.dose(amount, amount))[0]?.seconds ?? 0;
  known.set(key, seconds);
  return seconds;
}

/** From the fewest towards the wanted, easiest rung first, as far as the time goes; never more on a harder rung. */
function growInto(
  plan: readonly RungOutline[],
  least: readonly number[],
  most: number,
  known: Known,
): number[] {
  const now = [...least];
  let total = lengthOf(plan, now, known);
  for (let grew = true; grew; ) {
    grew = false;
    for (let i = 0; i < plan.length; i++) {
      const rung = plan[i] as RungOutline;
      const before = plan[i - 1];
      const more = (now[i] as number) + 1;
      if (more > rung.wanted) continue;
      if (
        before &&
        before.key === rung.key &&
        rung.intensity > before.intensity &&
        more > (now[i - 1] as number)
      )
        continue;
      const adds = secondsOf(rung, more, known) - secondsOf(rung, more - 1, known);
      if (total + adds > most) continue;
      now[i] = more;
      total += adds;
      grew = true;
    }
  }
  return now;
}

interface Settled {
  wish: LadderWish;
  plan: readonly RungOutline[];
  amounts: readonly number[];
  top: number;
  notes: readonly string[];
  known: Known;
}

function answer({ wish, plan, amounts, top, notes, known }: Settled, makeId: () => string): LadderAnswer {
  // Few enough choices that the fit can tell them apart, however many rungs there are.
  const choices = Math.max(1, Math.floor(42 / plan.length));
  const rungs = plan.map((rung, i): Rung => {
    const amount = amounts[i] as number;
    const { label, intensity, chancePercent } = rung;
    return {
      id: makeId(),
      label,
      intensity,
      dose: rung.dose(amount, Math.max(Math.min(rung.least, amount), amount - choices)),
      focus: "",
      restSeconds: rung.restSeconds,
      ...(chancePercent === undefined ? {} : { chancePercent }),
    };
  });
  const dose: LadderDose = { kind: "ladder", rungs, leastRungs: Math.min(rungs.length, leastOf(plan)) };
  const wanted = outline({ ...wish, top }, []).map((r) => r.wanted);
  const fewer = sum(wanted) - sum(amounts);
  const what = wish.shape === "targets" ? "hits" : "repetitions";
  return {
    ok: true,
    dose,
    seconds: lengthOf(plan, amounts, known),
    gaveUp: [
      ...(top < wish.top ? [`The top came down from ${wish.top} to ${top} %.`] : []),
      ...(fewer > 0 ? [`${sum(amounts)} ${what} (wanted ${sum(wanted)}).`] : []),
      ...notes,
    ],
  };
}

/** The rungs that are climbed at the very least: the easy ones. */
function leastOf(plan: readonly RungOutline[]): number {
  return Math.max(1, plan.filter((r) => r.intensity <= EASY_PERCENT).length);
}

const sum = (numbers: readonly number[]) => numbers.reduce((a, b) => a + b, 0);
