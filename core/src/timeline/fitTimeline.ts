import type { Fit, Placement } from "../fit/fit";
import { BEFORE_START, type Segment } from "./segment";

/**
 * A fitted plan as one list of segments, a ladder rung by rung with the rest after it, from its first drill to the start.
 * What is left out, and kit that is on already, takes no time and has no segment.
 * @example fitTimeline(fit).map((s) => [s.name, s.fromSeconds]) // [["Jog", -600], ["", -300], ["Jumps: single", -240] …]
 */
export function fitTimeline(fit: Fit): Segment[] {
  const kept = fit.placements.filter((p) => p.level && p.spanSeconds > 0);
  const segments = kept.flatMap((placement, n): Segment[] => {
    const done = drillSegments(placement);
    const end = placement.beginSeconds + placement.spanSeconds;
    return [...done, ...idleAfter(fit, placement, end, kept[n + 1])];
  });
  if (kept.length > 0 || fit.waitSeconds === 0) return segments;
  return [
    { ...nothing, key: BEFORE_START, itemId: "", fromSeconds: -fit.waitSeconds, toSeconds: 0, reasons: [] },
  ];
}

const nothing = {
  kind: "idle" as const,
  name: "",
  phase: "kit" as const,
  place: "",
  intensity: 0,
  outcome: "pending" as const,
};

function drillSegments({ item, level, beginSeconds, spanSeconds }: Placement): Segment[] {
  const end = beginSeconds + spanSeconds;
  const base = {
    kind: "drill" as const,
    itemId: item.id,
    phase: item.phase,
    place: item.place,
    reasons: [],
    outcome: "pending" as const,
  };
  const rungs = level?.rungs ?? [];
  if (rungs.length === 0) {
    const { id: key, name, intensity } = item;
    return [{ ...base, key, name, intensity, fromSeconds: beginSeconds, toSeconds: end }];
  }
  let at = beginSeconds;
  return rungs.map((rung, n): Segment => {
    const fromSeconds = at;
    // Turns that others take come after the last.
    at = n === rungs.length - 1 ? end : at + rung.seconds + rung.restSeconds;
    const { id: key, name, intensity } = rung;
    return { ...base, key, name, intensity, fromSeconds, toSeconds: at };
  });
}

function idleAfter(fit: Fit, { item }: Placement, end: number, next: Placement | undefined): Segment[] {
  const toSeconds = next?.beginSeconds ?? 0;
  if (toSeconds <= end) return [];
  const reasons = fit.idle.find((i) => i.toSeconds === toSeconds)?.reasons ?? [];
  return [
    {
      ...nothing,
      key: next ? `${item.id}~` : BEFORE_START,
      itemId: item.id,
      phase: item.phase,
      place: next?.item.place ?? item.place,
      fromSeconds: end,
      toSeconds,
      reasons,
    },
  ];
}
