import type { Approach } from "../../approach/approaches";
import { coldBandOf } from "../../conditions/cold";
import { isHot } from "../../conditions/heat";
import type { Setting } from "../../conditions/setting";
import type { EventType } from "../../event/eventType";
import { type Rewarm, shareOf } from "../../rewarm/rewarm";
import type { FillInput } from "../input/fillInput";
import type { FillRules } from "../input/rules";

/** How the time before a start is shared out, seconds, and how much of each part there is. */
export interface Shape {
  wait: { leastSeconds: number; longestSeconds: number; shortestSeconds: number };
  /** The kit has no time of its own: it stands as done already. */
  kitOn: boolean;
  raise: number;
  mobilise: number;
  technical: number;
  prime: number;
  /** Most drills of each part. */
  most: { raise: number; mobilise: number; technical: number; prime: number };
  /** Most work in all; growth goes no further. */
  work: number;
  /** Highest effort of the sport's own, and of priming. */
  top: number;
  primeTop: number;
  /** Largest step, points. */
  step: number;
  /** It is one of the short forms. */
  isShort: boolean;
}

/** What a shape is made for. */
export interface ShapeFor {
  approach: Approach;
  event: Pick<EventType, "targetLevel" | "effort"> | null;
  setting: Setting;
  rules: FillRules;
  availableSeconds: number;
  /** Of the kit that has to be ready, seconds; and whether it is on, as somebody has said. */
  kitSeconds: number;
  kit: FillInput["kit"];
  /** How much is enough after another start on the day. */
  rewarm: Rewarm | null;
}

/** The least wait that a warm-up is squeezed to, seconds: a minute, as coaches have it when short of time (custom). */
const SHORTEST_WAIT = 60;
/** Movement that kit must leave room for, or it has to be on already, seconds. Custom. */
const LEAST_MOVEMENT = 180;
/** Bodily effort that somebody about to aim is not taken beyond, per cent; custom. */
const AIMING_MOST = 70;
/** Target of an event that is not known, per cent. Custom. */
const USUAL_TARGET = 85;

/** Waits by what there is for movement and wait together, seconds: up to the first so long, and so on (custom, as coaches have it). */
const WAITS: readonly (readonly [upTo: number, wait: number])[] = [
  [390, 60],
  [600, 120],
  [840, 180],
  [1080, 240],
];

/** Short forms, by the seconds of movement: portions of the parts, most drills, and how high it goes. Custom, as coaches sign them. */
const SHORT_FORMS = [
  {
    upTo: 330,
    raise: 0.28,
    mobilise: 0.36,
    technical: 0.36,
    prime: 0,
    mobiliseMost: 3,
    own: 2,
    primes: 0,
    top: 60,
  },
  {
    upTo: 540,
    raise: 0.26,
    mobilise: 0.34,
    technical: 0.34,
    prime: 0.06,
    mobiliseMost: 4,
    own: 3,
    primes: 1,
    top: 75,
  },
  {
    upTo: 780,
    raise: 0.25,
    mobilise: 0.33,
    technical: 0.34,
    prime: 0.08,
    mobiliseMost: 6,
    own: 6,
    primes: 1,
    top: 100,
  },
] as const;

/** Most drills where there is time for the approach's own form; custom. */
const LONG_FORM = { mobiliseMost: 9, own: 14, primes: 2, top: 100 };

/** From so long a raise on there is one drill more in it, seconds; custom. */
const RAISE_DRILLS = [150, 360, 700];

/** How much longer the raise is in the cold, in heat, and from the third day of a competition on, times; as coaches have it (custom). */
const COLD_RAISE = 1.5;
const HOT_RAISE = 0.5;
const THIRD_DAY = 3;
const THIRD_DAY_RAISE = 0.75;

function timesOn(setting: Setting): number {
  const byDay = setting.day >= THIRD_DAY ? THIRD_DAY_RAISE : 1;
  if (isHot(setting)) return HOT_RAISE * byDay;
  return (coldBandOf(setting) === "none" ? 1 : COLD_RAISE) * byDay;
}

/** The shape that an approach takes in the time there is. */
export function shapeOf({
  approach,
  event,
  setting,
  rules,
  availableSeconds,
  kitSeconds,
  kit,
  rewarm,
}: ShapeFor): Shape {
  const isTooLong = availableSeconds - kitSeconds < SHORTEST_WAIT + LEAST_MOVEMENT;
  const kitOn = kitSeconds > 0 && (kit === "on" || (kit !== "to-do" && isTooLong));
  const left = Math.max(0, availableSeconds - (kitOn ? 0 : kitSeconds));
  const { leastSeconds, longestSeconds } = approach.wait;
  const least = Math.min(leastSeconds, WAITS.find(([upTo]) => left < upTo)?.[1] ?? leastSeconds);
  const { portions } = approach;
  const enough = rewarm ? shareOf(rewarm, portions.raise) : 1;
  const usual = Math.floor(Math.min(approach.minutes.usual * 60, rules.longest) * enough);
  const work = Math.min(Math.max(0, left - least), usual);
  const target = event?.targetLevel ?? USUAL_TARGET;
  const isAiming = event?.effort === "precision";
  const short = SHORT_FORMS.find((f) => work < f.upTo);
  // Of a re-warm the easy part may be a smaller share than usual.
  const raiseTimes = rules.raiseTimes * timesOn(setting) * (rewarm ? rewarm.raise / enough : 1);
  const of = short ?? { ...portions, ...LONG_FORM };
  const raise = Math.max(Math.min(60, work), Math.round(work * of.raise * raiseTimes));
  // What the raise takes more or less, the sport's own gives or gets.
  const rest = work - raise;
  const others = of.mobilise + of.technical + of.prime;
  // What was done at full effort a while ago is met again as high as the event asks.
  const formTop = rewarm ? LONG_FORM.top : of.top;
  const top = Math.min(rules.hardest, formTop, target + approach.peakPoints, 100);
  return {
    wait: { leastSeconds: least, longestSeconds, shortestSeconds: Math.min(SHORTEST_WAIT, least) },
    kitOn,
    raise,
    mobilise: Math.round((rest * of.mobilise) / others),
    technical: Math.round((rest * of.technical) / others),
    prime: Math.round((rest * of.prime) / others),
    most: {
      raise: 1 + RAISE_DRILLS.filter((from) => raise >= from).length,
      mobilise: of.mobiliseMost,
      technical: of.own,
      prime: isAiming || isHot(setting) ? Math.min(1, of.primes) : of.primes,
    },
    work,
    top,
    primeTop: Math.min(rules.hardest, 100, target + approach.peakPoints, isAiming ? AIMING_MOST : 100),
    step: Math.min(approach.stepPoints, rules.step),
    isShort: short !== undefined,
  };
}
