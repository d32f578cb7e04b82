import { isRight } from "../../words/tolerant";
import type { Range } from "../terms/range";
import { mainRange, withMainRange } from "./mainRange";
import { kindOf, type PlainDose, plainDoseSchema } from "./plainDose";
import { plainLevels } from "./plainLevels";

/** Most bouts (sets, rounds) and most in one of them that a dose begins with when its kind is changed. Custom. */
const MOST_BOUTS = 10;
const MOST_IN_BOUT = 20;
/** Most of what is counted where there are no bouts (attempts, phrases, hits). Custom. */
const MOST_COUNTED = 60;
/** Times are chosen in so many seconds, up to so long. Custom. */
const TIME_STEP = 5;
const LONGEST_SECONDS = 3600;
/** Where there are bouts, so near is near enough for the more usual of two amounts, as a share of the length. Custom. */
const NEAR = 0.1;

/** How many bouts, and how much in each; one bout where a kind has none. */
interface Amount {
  bouts: number;
  each: number;
}

/** So much of a dose that its floor, ideal and ceiling take as nearly so long as whole counts come. @param lengths seconds */
export function withLengths(dose: PlainDose, lengths: Range): PlainDose {
  const usual = amountOf(dose, "ideal");
  const ideal = nearest(dose, lengths.ideal, usual, (a) => lengthAt(dose, a));
  const floor = nearest(dose, lengths.floor, ideal, (a) =>
    a.bouts <= ideal.bouts && a.each <= ideal.each ? lengthAt(dose, a) : null,
  );
  const ceiling = nearest(dose, lengths.ceiling, ideal, (a) =>
    a.bouts === ideal.bouts && a.each >= ideal.each ? lengthAt(dose, a) : null,
  );
  const whole = ranged(dose, floor, ideal, ceiling);
  return isDose(whole) ? whole : ranged(dose, ideal, ideal, ideal);
}

const isDose = (dose: PlainDose) => isRight(plainDoseSchema, dose);

function outerRange(dose: PlainDose): Range | null {
  const { outer } = kindOf(dose);
  return outer ? (dose[outer] as unknown as Range) : null;
}

const amountOf = (dose: PlainDose, end: keyof Range): Amount => ({
  bouts: outerRange(dose)?.[end] ?? 1,
  each: mainRange(dose)[end],
});

function ranged(dose: PlainDose, floor: Amount, ideal: Amount, ceiling: Amount): PlainDose {
  const of = (what: keyof Amount) => ({ floor: floor[what], ideal: ideal[what], ceiling: ceiling[what] });
  const { outer } = kindOf(dose);
  const next = withMainRange(dose, of("each"));
  return outer ? ({ ...next, [outer]: of("bouts") } as PlainDose) : next;
}

/** Seconds of exactly so much; null where the kind does not allow it. */
function lengthAt(dose: PlainDose, amount: Amount): number | null {
  const exactly = ranged(dose, amount, amount, amount);
  return isDose(exactly) ? (plainLevels(exactly)[0]?.seconds ?? null) : null;
}

/** The amount whose length is nearest, or near enough; of several, the one most like another. */
function nearest(
  dose: PlainDose,
  seconds: number,
  like: Amount,
  lengthOf: (amount: Amount) => number | null,
): Amount {
  const off = ({ bouts, each }: Amount) => Math.abs(bouts - like.bouts) + Math.abs(each - like.each);
  const near = kindOf(dose).outer ? NEAR * seconds : 0;
  let best = like;
  let least = Infinity;
  for (const amount of amounts(dose)) {
    const length = lengthOf(amount);
    if (length === null) continue;
    const by = Math.max(near, Math.abs(length - seconds));
    if (by > least || (by === least && off(amount) >= off(best))) continue;
    best = amount;
    least = by;
  }
  return best;
}

function amounts(dose: PlainDose): Amount[] {
  if (dose.kind === "time")
    return Array.from({ length: LONGEST_SECONDS / TIME_STEP }, (_, i) => ({
      bouts: 1,
      each: (i + 1) * TIME_STEP,
    }));
  const [bouts, each] = outerRange(dose) ? [MOST_BOUTS, MOST_IN_BOUT] : [1, MOST_COUNTED];
  return Array.from({ length: bouts * each }, (_, i) => ({
    bouts: Math.floor(i / each) + 1,
    each: (i % each) + 1,
  }));
}
