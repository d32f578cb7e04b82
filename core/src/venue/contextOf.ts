import type { FixedPoint } from "../event/eventType";
import { wordKey } from "../words/sameWord";
import { type FitContext, type FitPlace, LONGEST_DAY } from "./context";

import type { Venue, VenuePlace } from "./venue";

/** What a start's event and athlete bring to its day. */
export interface DayFacts {
  /** Fixed points and places of the event; none without one. */
  points: readonly FixedPoint[];
  places: readonly string[];
  /** Repetitions of the sport's own actions in the athlete's ordinary session; 0 when not known. */
  usualReps: number;
}

/** A start as far as its day is concerned. */
export interface DayOf {
  /** ISO 8601. */
  startsAt: string;
  setting: Venue;
  facts: DayFacts;
}

/** The day of a start, relative to it: what the clock says is counted back, what the event says is taken over. */
export function contextOf({ startsAt, setting, facts }: DayOf): FitContext {
  const places = setting.places
    ? setting.places.map((p) => placeOn(p, Date.parse(startsAt)))
    : facts.places.map((name) => ({ name, windows: [] }));
  const known = new Set(places.map((p) => wordKey(p.name)));
  const points = (setting.points ?? facts.points).map((p) => ({
    name: p.name,
    fromSeconds: -p.minutesBefore * 60,
    toSeconds: -(p.minutesBefore - p.minutesLong) * 60,
    place: p.place !== undefined && known.has(wordKey(p.place)) ? p.place : null,
    closesPractice: p.closesPractice,
  }));
  return {
    places,
    travel: setting.travel ?? [],
    points,
    startPlace: setting.startPlace ?? null,
    usualReps: facts.usualReps,
  };
}

/** A window so far off that nothing is in it: a place whose windows are all on another day is not open all day. */
const ANOTHER_DAY = {
  fromSeconds: -LONGEST_DAY,
  toSeconds: -LONGEST_DAY + 1,
  room: "all",
  turns: 1,
} as const;

function placeOn({ name, windows }: VenuePlace, startsAt: number): FitPlace {
  const near = windows
    .map(({ opens, closes, room, turns }) => ({
      fromSeconds: Math.max(-LONGEST_DAY, Math.round((Date.parse(opens) - startsAt) / 1000)),
      toSeconds: Math.min(LONGEST_DAY, Math.round((Date.parse(closes) - startsAt) / 1000)),
      room,
      turns,
    }))
    .filter((w) => w.fromSeconds < w.toSeconds && w.fromSeconds < 0);
  return { name, windows: windows.length > 0 && near.length === 0 ? [ANOTHER_DAY] : near };
}
