import { HOUR_MINUTES } from "../time/units";
import { wordKey } from "../words/sameWord";
import type { DoneBefore } from "./doneBefore";

/** How much of the usual is enough some time after another start, per cent; coaches' custom. */
export type RewarmFigures = {
  /** After 20 min, of everything. */
  soon: number;
  /** After an hour, of everything. */
  hour: number;
  /** After three hours, of the easy part alone: the rest is as usual. */
  easy: number;
};

/** A warm-up after another start. */
export interface Rewarm {
  /** What they did last, and for how long they will have rested at the start, seconds. */
  after: string;
  restSeconds: number;
  /** How much of the usual is enough, 0 to 1: of the easy part, and of the rest. */
  raise: number;
  others: number;
}

/** Rests that coaches have a figure for, and the one after which a warm-up is one like any other, minutes. */
const SOON_MINUTES = 20;
const LONG = 180;
const LIKE_ANY = 360;

/**
 * How much of a warm-up is enough after what was done earlier on the day, between the figures as the rest is between theirs.
 * @param done in the order of its beginning
 * @returns null where nothing was done, or so long ago that it is a warm-up like any other
 */
export function rewarmAfter(done: readonly DoneBefore[], figures: RewarmFigures): Rewarm | null {
  const last = done.reduce<DoneBefore | null>((a, b) => (a && a.toSeconds > b.toSeconds ? a : b), null);
  if (!last) return null;
  const restSeconds = -last.toSeconds;
  const minutes = restSeconds / 60;
  if (minutes >= LIKE_ANY) return null;
  const { soon, hour, easy } = figures;
  const share = (points: readonly (readonly [minutes: number, percent: number])[]) =>
    between(minutes, points) / 100;
  return {
    after: last.name,
    restSeconds,
    raise: share([
      [SOON_MINUTES, soon],
      [HOUR_MINUTES, hour],
      [LONG, easy],
      [LIKE_ANY, 100],
    ]),
    others: share([
      [SOON_MINUTES, soon],
      [HOUR_MINUTES, hour],
      [LONG, 100],
    ]),
  };
}

/** The share of a whole warm-up that is enough, 0 to 1. @param raise the easy part's share of it */
export const shareOf = ({ raise, others }: Rewarm, raiseShare: number): number =>
  raise * raiseShare + others * (1 - raiseShare);

/** Keys of the sport's own actions that were done so short a time before the start. */
export function stillWarmActions(done: readonly DoneBefore[], withinSeconds: number): ReadonlySet<string> {
  return new Set(done.filter((d) => d.toSeconds >= -withinSeconds).flatMap((d) => d.actions.map(wordKey)));
}

/** The value between points in a straight line; before the first and after the last theirs. */
function between(x: number, points: readonly (readonly [x: number, y: number])[]): number {
  const after = points.findIndex(([at]) => at > x);
  const [toX, toY] = points[after] ?? (points.at(-1) as readonly [number, number]);
  if (after <= 0) return toY;
  const [fromX, fromY] = points[after - 1] as readonly [number, number];
  return fromY + ((toY - fromY) * (x - fromX)) / (toX - fromX);
}
