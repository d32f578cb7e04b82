import { BEFORE_START, type Segment } from "../../timeline/segment";
import type { RunState, Split } from "../log/state";
import { elapsedSeconds } from "../log/stepChange";

/**
 * A run as one list of segments: what is over as long as it took, holds among it, back to back before what is under way;
 * then what is still to come, as long as is planned; then the wait until the start as it now stands. What was left at once
 * has no segment. A run that keeps to the time its fit begins at has the fit's segments.
 * @param now milliseconds since the epoch
 */
export function runTimeline(state: RunState, now: number): Segment[] {
  const { segments, end } = layOut(state, now);
  if (end >= 0 || state.status === "ended") return segments;
  const last = segments.at(-1);
  const wait: Segment = {
    kind: "idle",
    key: BEFORE_START,
    itemId: last?.itemId ?? "",
    name: "Wait",
    phase: last?.phase ?? "kit",
    place: last?.place ?? "",
    intensity: 0,
    fromSeconds: end,
    toSeconds: 0,
    reasons: [],
    outcome: state.status === "waiting" ? "under-way" : "pending",
  };
  return [...segments, wait];
}

/** When the last step of a run would be over, seconds from the start. @param now milliseconds since the epoch */
export function endOfSteps(state: RunState, now: number): number {
  return layOut(state, now).end;
}

function layOut(state: RunState, now: number): { segments: Segment[]; end: number } {
  const { splits, index, status, startsAt } = state;
  const toStart = (at: number) => (at - startsAt) / 1000;
  const isUnderWay = status === "under-way";
  const past = splits.filter(({ outcome }) => outcome === "done" || outcome === "skipped");
  const pivot = pivotOf(state, now);
  let end = toStart(pivot) - past.reduce((sum, split) => sum + tookOf(split), 0);
  const segments: Segment[] = [];
  const add = (split: Split, until: number) => {
    if (until > end) segments.push(segmentOf(split, end, until));
    end = until;
  };
  for (const split of past) add(split, end + tookOf(split));
  const current = splits[index];
  if (isUnderWay && current)
    add(current, toStart(Math.max(now, pivot)) + Math.max(0, remainingOf(state, now)));
  if (isUnderWay || status === "ready")
    for (const split of splits) if (split.outcome === "pending") add(split, endOfStep(split, end, toStart));
  return { segments, end };
}

/** Where what is over meets what is not, milliseconds since the epoch. */
function pivotOf({ status, drillBeganAt, waitingSince, endedAt }: RunState, now: number): number {
  if (status === "under-way") return drillBeganAt ?? now;
  return (status === "ended" ? endedAt : waitingSince) ?? now;
}

const tookOf = ({ realSeconds, heldSeconds }: Split) => (realSeconds ?? 0) + heldSeconds;

function segmentOf({ key, drill, outcome }: Split, fromSeconds: number, toSeconds: number): Segment {
  return {
    kind: drill.wait ? "idle" : "drill",
    key,
    itemId: drill.ladderId ?? drill.itemId,
    name: drill.name,
    phase: drill.phase,
    place: drill.place,
    intensity: drill.intensity,
    fromSeconds,
    toSeconds,
    reasons: [],
    outcome,
  };
}

/**
 * What is left of the step under way, seconds: negative when it runs over. A wait for a time ends by the clock, also while
 * the run is on hold, but it is never shorter than its least.
 * @param now milliseconds since the epoch
 */
export function remainingOf(state: RunState, now: number): number {
  const split = state.splits[state.index];
  if (!split) return 0;
  const { drill, plannedSeconds, extendedSeconds } = split;
  const elapsed = elapsedSeconds(state, now);
  const { wait } = drill;
  if (!wait?.until) return plannedSeconds + extendedSeconds - elapsed;
  return Math.max(wait.leastSeconds - elapsed, (Date.parse(wait.until) - now) / 1000) + extendedSeconds;
}

/** When a step still to come ends that begins then: a wait for a time no later than that, unless its least is longer. */
function endOfStep(
  { drill: { wait }, plannedSeconds }: Split,
  begin: number,
  toStart: (at: number) => number,
): number {
  if (!wait) return begin + plannedSeconds;
  return Math.max(begin + wait.leastSeconds, wait.until ? toStart(Date.parse(wait.until)) : begin);
}
