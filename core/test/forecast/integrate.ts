import type { Person } from "../../src/forecast/model/parameters";
import type { Piece } from "../../src/forecast/model/piece";
import type { Surroundings } from "../../src/forecast/model/surroundings";

/**
 * The model of docs/forecast.md by plain numerical integration: no closed form, small steps through every stretch, from the
 * document alone. Warmth, sharpness and tiredness at a moment.
 */
export function integrated(pieces: readonly Piece[], who: Person, around: Surroundings, until: number) {
  // Where nothing is done there is nothing to go by.
  if (pieces.length === 0) return { warmth: 0, tiredness: 0, sharpness: 0 };
  const stretches = [...pieces];
  const end = pieces.at(-1)?.toSeconds ?? 0;
  if (until > end) stretches.push({ fromSeconds: end, toSeconds: until, effort: 0, share: 0, hold: null });
  let warmth = 0;
  let fast = 0;
  let slow = 0;
  for (const { fromSeconds, toSeconds, effort, share } of stretches) {
    const last = Math.min(toSeconds, until);
    if (last <= fromSeconds) continue;
    const w = effort * who.duty + effort * (1 - who.duty) * share;
    const level = who.top * w ** who.pow - 0.035 * (20 - around.temperature) * (around.layers ? 0.4 : 1);
    const slower = (around.layers ? who.wear : 1) * (around.wet ? who.wet : 1);
    const cooling = who.cooling * slower * (1 + around.wind * (who.wind - 1));
    const feedFast = w > 0.5 ? around.cost * 0.24 * (w - 0.5) * (w - 0.5) : 0;
    const feedSlow = w > 0.45 ? (around.cost * 0.04 * (w - 0.45) ** 1.5 * 60) / around.usualMinutes : 0;
    const slope = (m: number) => (level - m) / (level > m ? who.warming : cooling);
    const n = 400;
    const h = (last - fromSeconds) / 60 / n;
    for (let i = 0; i < n; i++) {
      warmth = rungeKutta(warmth, h, slope);
      fast = rungeKutta(fast, h, (f) => feedFast - f / who.fast);
      slow = rungeKutta(slow, h, (f) => feedSlow - f / who.slow);
    }
  }
  return { warmth, tiredness: fast + slow, sharpness: sharpness(pieces, who, until) };
}

function rungeKutta(y: number, h: number, slope: (y: number) => number): number {
  const a = slope(y);
  const b = slope(y + (h * a) / 2);
  const c = slope(y + (h * b) / 2);
  const d = slope(y + h * c);
  return y + (h * (a + 2 * b + 2 * c + d)) / 6;
}

/** The response to each hard stretch: its mean over all the moments of the stretch, by Simpson's rule. */
function sharpness(pieces: readonly Piece[], { up, down }: Person, until: number): number {
  const shape = (t: number) => (t < 0 ? 0 : Math.exp(-t / down) - Math.exp(-t / up));
  let top = 0;
  for (let t = 0; t < 10; t += 0.0005) top = Math.max(top, shape(t));
  let left = 1;
  for (const { fromSeconds, toSeconds, effort, share } of pieces) {
    if (effort < 0.75 || until <= fromSeconds) continue;
    const length = (toSeconds - fromSeconds) / 60;
    const passed = (until - fromSeconds) / 60;
    const n = 2000;
    const h = Math.min(length, passed) / n;
    let sum = 0;
    for (let i = 0; i <= n; i++)
      sum += shape(passed - i * h) * (i === 0 || i === n ? 1 : i % 2 === 1 ? 4 : 2);
    const mean = (sum * h) / 3 / length / top;
    left *= 1 - Math.min(1, (effort - 0.7) / 0.25) * Math.min(1, 3 * length * share) * mean;
  }
  return 1 - left;
}
