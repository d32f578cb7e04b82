/** One figure of the model: what it is taken to be, and between what nine out of ten athletes lie. */
export interface Parameter {
  middle: number;
  /** The 10th and the 90th percentile. */
  low: number;
  high: number;
  unit: string;
  /** What it does, for the table that is shown. */
  words: string;
  /** What it rests on. */
  rests: string;
}

/**
 * Every figure of the forecast that differs between people, with its range and what it rests on. Nothing here is fitted
 * to an athlete. docs/forecast.md has the same table, made from this one.
 */
export const PARAMETERS = {
  top: {
    middle: 4.2,
    low: 3.5,
    high: 4.9,
    unit: "°C",
    words: "Muscle warmth that flat-out work would settle at",
    rests: "Saltin, Gagge & Stolwijk 1968; Bishop 2003",
  },
  pow: {
    middle: 0.7,
    low: 0.6,
    high: 0.85,
    unit: "",
    words: "How warmth follows effort (a power of it)",
    rests: "Saltin, Gagge & Stolwijk 1968; Bishop 2003",
  },
  warming: {
    middle: 5.5,
    low: 4,
    high: 7.5,
    unit: "min",
    words: "Time constant of warming",
    rests: "Saltin 1968, Bishop 2003: most in 3–5 min, level by 10–20",
  },
  cooling: {
    middle: 28,
    low: 20,
    high: 42,
    unit: "min",
    words: "Time constant of cooling",
    rests: "Mohr 2004, Lovell 2013 (half-time); Faulkner 2013 (30 min still)",
  },
  wear: {
    middle: 1.7,
    low: 1.4,
    high: 2.1,
    unit: "×",
    words: "How much slower they cool in warm layers",
    rests: "Faulkner 2013, Kilduff 2013 (warm clothes kept on)",
  },
  wind: {
    middle: 0.75,
    low: 0.6,
    high: 0.9,
    unit: "×",
    words: "How much faster they cool in strong wind",
    rests: "Heat transfer; an assumption",
  },
  wet: {
    middle: 0.65,
    low: 0.5,
    high: 0.8,
    unit: "×",
    words: "How much faster they cool when wet",
    rests: "Heat transfer; an assumption",
  },
  duty: {
    middle: 0.4,
    low: 0.25,
    high: 0.55,
    unit: "",
    words: "Share of the effort that goes on in the rests of a drill",
    rests: "An assumption",
  },
  full: {
    middle: 3,
    low: 2.5,
    high: 3.4,
    unit: "°C",
    words: "Warmth beyond which more gives no more",
    rests: "Bishop 2003",
  },
  perDeg: {
    middle: 0.035,
    low: 0.02,
    high: 0.05,
    unit: "1/°C",
    words: "Share of performance that a degree of muscle is worth",
    rests: "Racinais & Oksa 2010; Sargeant 1987",
  },
  up: {
    middle: 2,
    low: 1.2,
    high: 3,
    unit: "min",
    words: "Time constant in which sharpness comes",
    rests: "Wilson 2013, Gouvêa 2013, Seitz & Haff 2016",
  },
  down: {
    middle: 9,
    low: 6,
    high: 14,
    unit: "min",
    words: "Time constant in which it goes",
    rests: "Wilson 2013, Gouvêa 2013, Seitz & Haff 2016",
  },
  sTop: {
    middle: 0.025,
    low: 0.01,
    high: 0.045,
    unit: "",
    words: "Share of performance that being sharp is worth",
    rests: "Wilson 2013, Gouvêa 2013, Seitz & Haff 2016",
  },
  fast: {
    middle: 1.3,
    low: 0.8,
    high: 2,
    unit: "min",
    words: "Time constant in which short hard work is forgotten",
    rests: "Bogdanis 1995",
  },
  slow: {
    middle: 11,
    low: 7,
    high: 18,
    unit: "min",
    words: "Time constant in which long work is forgotten",
    rests: "Coaches' rule of five times the effort",
  },
} satisfies Record<string, Parameter>;

export type ParameterName = keyof typeof PARAMETERS;

/** One person: a value for every figure. */
export type Person = Readonly<Record<ParameterName, number>>;

/** Names of the figures, in the order of the table. */
export const PARAMETER_NAMES = Object.keys(PARAMETERS) as ParameterName[];

/** Somebody whose every figure is the middle one. */
export const MIDDLE_PERSON = Object.fromEntries(
  PARAMETER_NAMES.map((name) => [name, PARAMETERS[name].middle]),
) as Person;

/** Tiredness that a minute of flat-out work adds, before what is above a threshold is taken: set so that 30 s flat out cost 3–4 %, 10 min exhausting 12–15 %. 1/min. */
export const FAST_RATE = 0.24;
export const SLOW_RATE = 0.04;

/** Air in which nothing is added or taken, °C, and what each degree below it takes of warmth (with warm layers, so much of that). */
export const NEUTRAL_AIR = 20;
export const PER_DEGREE_OF_AIR = 0.035;
export const LAYERS_KEEP = 0.4;

/** Efforts from here on set off sharpness (0 to 1), and are weighted from FROM up over SPAN. */
export const SHARP_EFFORT = 0.75;
export const SHARP_FROM = 0.7;
export const SHARP_SPAN = 0.25;
/** A third of a minute of work is enough for all of it. */
export const SHARP_PER_MINUTE = 3;

/** Working effort above which work tires fast and slowly, 0 to 1. */
export const FAST_FROM = 0.5;
export const SLOW_FROM = 0.45;
export const SLOW_POWER = 1.5;

/** Training minutes that tiredness is scaled to, and what is taken where nobody has written down an athlete's own. */
export const USUAL_MINUTES = 60;
/** The least and the most of them that count (custom: a session written down as 3 min is none). */
export const LEAST_USUAL = 15;
export const MOST_USUAL = 240;
/** How much more work costs somebody who has trained little lately, and from the third day running. */
export const LITTLE_TRAINED_COST = 1.3;
export const THIRD_DAY_COST = 1.15;

/** A held stretch of at least so many seconds costs so much of performance, a shorter one less; minutes of moving work in which it is forgotten. */
export const LONG_HOLD = 60;
export const LONG_HOLD_COST = 0.05;
export const SHORT_HOLD_COST = 0.01;
export const HOLD_FORGOTTEN = 10;
