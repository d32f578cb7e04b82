import { spokenLength } from "../time/clock";
import { type RiseSegment, waitBeforeStart } from "./segment";

/**
 * A warm-up's rise in one sentence, for those who listen: how much, how long, from where to where, and the wait.
 * @example riseWords(fitTimeline(fit)) // "12 drills in 30 min, from 20 up to 90 %, then 5 min of wait"
 */
export function riseWords(segments: readonly RiseSegment[]): string {
  const work = segments.filter((s) => s.kind === "drill" && s.phase !== "kit" && s.intensity > 0);
  const [first] = segments;
  if (!first || work.length === 0) return "Nothing is done";
  const drills = new Set(work.map((s) => s.itemId)).size;
  const wait = waitBeforeStart(segments);
  const end = wait?.fromSeconds ?? 0;
  const efforts = work.map((s) => s.intensity);
  const [least, most] = [Math.min(...efforts), Math.max(...efforts)];
  const climb = least === most ? `at ${most} %` : `from ${least} up to ${most} %`;
  return [
    `${drills} ${drills === 1 ? "drill" : "drills"} in ${spokenLength(end - first.fromSeconds)}`,
    climb,
    wait ? `then ${spokenLength(wait.toSeconds - wait.fromSeconds)} of wait` : "then the start",
  ].join(", ");
}
