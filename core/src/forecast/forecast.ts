import { type BestWait, bestWaitOf } from "./answers/bestWait";
import { gradeOf, LANES, type Lane } from "./answers/laneWords";
import { type Peaks, RATED, type StateAt, stateAt } from "./answers/stateAt";
import { heldOf } from "./model/heldStretches";
import { type Model, modelOf, type State } from "./model/model";
import { MIDDLE_PERSON } from "./model/parameters";
import { people } from "./model/people";
import type { Piece } from "./model/piece";
import type { Surroundings } from "./model/surroundings";

/** By how much a start may slip, or come early, that is answered for, seconds. */
export const DELAYS: readonly number[] = [-300, 300, 600, 1200, 2400];

/** If the start is at another time than planned, everything until then being as planned. */
export interface Delay {
  delaySeconds: number;
  state: StateAt;
}

/** What state an athlete is in at the start, for people in general. */
export interface Forecast {
  atStart: StateAt;
  delays: Delay[];
  /** When each was highest, seconds from the start; null where there never was any of it. */
  peaks: Peaks;
  /** What would change for the worse first if the start slips, and after how long; null when nothing does within an hour. */
  first: { lane: Lane; afterSeconds: number } | null;
  best: BestWait | null;
  /** What is not known and was taken to be something. */
  unknown: readonly string[];
}

/** Slips are looked at up to here, in steps of so much, seconds. */
const LONGEST_SLIP = 3600;
const SLIP_STEP = 60;

/**
 * Forecasts what state they will be in at the start.
 * @param pieces of a fitted plan; empty where nothing is done
 * @param whole the same with what was done earlier on the day before it
 * @example forecastOf(piecesOf(fit), surroundingsOf(conditions, null)).atStart.words.warmth.word // "warm"
 */
export function forecastOf(
  pieces: readonly Piece[],
  around: Surroundings,
  whole: readonly Piece[] = pieces,
): Forecast {
  const models = modelsOf(whole, around);
  const middle = modelOf(whole, MIDDLE_PERSON, around);
  const peaks = peaksOf(pieces, middle);
  return {
    atStart: stateAt(models, 0, peaks),
    delays: DELAYS.map((delaySeconds) => ({ delaySeconds, state: stateAt(models, delaySeconds, peaks) })),
    peaks,
    first: firstToGo(middle),
    best: bestWaitOf(pieces, middle),
    unknown: around.unknown,
  };
}

/** The model of each of the people in general. */
export function modelsOf(pieces: readonly Piece[], around: Surroundings): Model[] {
  const held = heldOf(pieces);
  return people.map((person) => modelOf(pieces, person, around, held));
}

const VALUE: Record<Lane, (state: State) => number> = {
  warmth: (s) => s.warmth,
  sharpness: (s) => s.sharpness,
  tiredness: (s) => s.tiredness,
};

/** Less of each than this is none of it. */
const NOTABLE: Record<Lane, number> = { warmth: 0.1, sharpness: 0.01, tiredness: 0.001 };

/** How finely the highest is looked for, seconds. */
const PEAK_STEP = 15;

/** Between the beginning of the first piece and the start. */
function peaksOf(pieces: readonly Piece[], middle: Model): Peaks {
  const from = pieces[0]?.fromSeconds ?? 0;
  const highest = { ...NOTABLE };
  const peaks: Peaks = { warmth: null, sharpness: null, tiredness: null };
  for (let at = from; at <= 0; at = at === 0 ? 1 : Math.min(0, at + PEAK_STEP)) {
    const state = middle.at(at);
    for (const lane of LANES) {
      if (VALUE[lane](state) <= highest[lane]) continue;
      highest[lane] = VALUE[lane](state);
      peaks[lane] = at;
    }
  }
  return peaks;
}

/** The lane that is the first to become worse for the middle person. */
function firstToGo(middle: Model): Forecast["first"] {
  const grades = (seconds: number) => {
    const state = middle.at(seconds);
    return LANES.map((lane) => gradeOf(lane, RATED[lane](state)));
  };
  const now = grades(0);
  for (let afterSeconds = SLIP_STEP; afterSeconds <= LONGEST_SLIP; afterSeconds += SLIP_STEP) {
    const then = grades(afterSeconds);
    const lane = LANES.find((_, i) => (then[i] as number) > (now[i] as number));
    if (lane) return { lane, afterSeconds };
  }
  return null;
}

/** One lane's band at each of some moments. */
export interface CurvePoint {
  atSeconds: number;
  state: StateAt;
}

/**
 * Returns bands of all lanes at some moments, for drawing.
 * @param times seconds from the start
 * @param whole the pieces with what was done earlier on the day before them
 * @example curvesOf(piecesOf(fit), around, [-600, -300, 0]).length // 3
 */
export function curvesOf(
  pieces: readonly Piece[],
  around: Surroundings,
  times: readonly number[],
  whole: readonly Piece[] = pieces,
): CurvePoint[] {
  const models = modelsOf(whole, around);
  const peaks = peaksOf(pieces, modelOf(whole, MIDDLE_PERSON, around));
  return times.map((atSeconds) => ({ atSeconds, state: stateAt(models, atSeconds, peaks) }));
}
