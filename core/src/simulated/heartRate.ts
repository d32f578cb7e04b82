import { random } from "../maths/random";

/** Beats per minute at rest, and at full effort on top of that. */
const REST = 72;
const RANGE = 118;

/** Seconds in which the rate goes most of the way up, and down. */
const UP = 35;
const DOWN = 70;

/** Share of the time that a strap loses contact, and for how long at a time, seconds. */
const LOST = 0.06;
const LOST_FOR = 8;

/**
 * A heart-rate strap that is not there: its rate follows the intensity of what is done, first-order, with a little noise
 * and drop-outs, the same for the same seed.
 * @returns what gives the rate after some seconds at an intensity (per cent); null while contact is lost
 */
export function simulatedStrap(seed: number): (intensity: number, seconds: number) => number | null {
  const next = random(seed);
  let rate = REST;
  let lost = 0;
  return (intensity, seconds) => {
    const target = REST + (RANGE * Math.max(0, Math.min(100, intensity))) / 100;
    const constant = target > rate ? UP : DOWN;
    rate += (target - rate) * (1 - Math.exp(-seconds / constant));
    const [noise, drop] = [next(), next()];
    lost = lost > 0 ? lost - seconds : drop < (LOST / LOST_FOR) * seconds ? LOST_FOR : 0;
    return lost > 0 ? null : Math.round(rate + (noise - 0.5) * 4);
  };
}
