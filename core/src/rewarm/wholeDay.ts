import { joined, type Piece } from "../forecast/model/piece";
import type { DoneBefore } from "./doneBefore";

/**
 * What was done earlier on the day and what is done now as one life of the body: nothing is done between. Where the two
 * overlap, what is done now counts.
 * @param pieces of the plan, joined; empty where nothing is done
 */
export function wholeDay(done: readonly DoneBefore[], pieces: readonly Piece[]): Piece[] {
  if (done.length === 0) return [...pieces];
  const until = pieces[0]?.fromSeconds ?? 0;
  const before: Piece[] = [];
  for (const { fromSeconds, toSeconds, effort, share } of done) {
    const last = before.at(-1)?.toSeconds ?? fromSeconds;
    const from = Math.max(last, fromSeconds);
    const to = Math.min(until, toSeconds);
    if (to <= from) continue;
    if (from > last) before.push(idle(last, from));
    before.push({ fromSeconds: from, toSeconds: to, effort: effort / 100, share, hold: null });
  }
  const end = before.at(-1)?.toSeconds ?? until;
  return joined([...before, ...(end < until ? [idle(end, until)] : []), ...pieces]);
}

const idle = (fromSeconds: number, toSeconds: number): Piece => ({
  fromSeconds,
  toSeconds,
  effort: 0,
  share: 0,
  hold: null,
});
