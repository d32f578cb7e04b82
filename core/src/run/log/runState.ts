import { type RunPlan, stepKey } from "../steps/runPlan";
import { applyEvent, type Brought } from "./applyEvent";
import type { RunEvent } from "./runEvent";
import type { RunState } from "./state";
import { splitOf } from "./stepChange";

/** So many presses can be taken back. */
export const MOST_UNDOABLE = 10;

const NOT_UNDOABLE: ReadonlySet<RunEvent["kind"]> = new Set([
  "begin",
  "end",
  "undo",
  "start-moved",
  "clock",
  "pulse",
  "rating",
  "take",
  // Pressed again, they are taken back.
  "there",
  "mark",
]);

/**
 * Replays a run. The same events in any order, and any of them twice, give the same state; an event that makes no
 * sense where it stands (done before begin, release without hold, meant for a step that is over) changes nothing.
 * That is also how two phones on one run are merged: by the time of each press, and a press for a step that the other
 * phone has already left does not count.
 */
export function runState(plan: RunPlan, events: readonly RunEvent[]): RunState {
  const state: RunState = {
    status: "ready",
    index: 0,
    splits: plan.drills.map((drill) => splitOf(drill)),
    drillBeganAt: null,
    heldSince: null,
    beganAt: null,
    endedAt: null,
    waitingSince: null,
    startsAt: Date.parse(plan.startsAt),
    fittedFor: Date.parse(plan.startsAt),
    waitSeconds: plan.waitSeconds,
    undoable: [],
    inserted: 0,
    refits: [],
    clockAhead: 0,
    rating: null,
    away: [],
    marks: {},
  };
  const brought = stepsBrought(plan, events);
  for (const event of effective(events)) {
    const changed = applyEvent(state, event, brought);
    if (changed && !NOT_UNDOABLE.has(event.kind))
      state.undoable = [...state.undoable.slice(1 - MOST_UNDOABLE), event];
  }
  return state;
}

function stepsBrought(plan: RunPlan, events: readonly RunEvent[]): Brought {
  const known = new Map(plan.drills.map((d) => [`${stepKey(d)} `, d]));
  for (const event of events) {
    if (event.kind === "insert") known.set(`${stepKey(event.drill)} ${event.id}`, event.drill);
    if (event.kind !== "refit") continue;
    for (const step of event.drills) if (!("same" in step)) known.set(`${stepKey(step)} ${event.id}`, step);
  }
  return (key, from = "") => known.get(`${key} ${from}`);
}

/** Events in the order they happened, once each, without those that were taken back. */
function effective(events: readonly RunEvent[]): RunEvent[] {
  const unique = [...new Map(events.map((e) => [e.id, e])).values()];
  const undone = new Set(unique.flatMap((e) => (e.kind === "undo" ? [e.undoes] : [])));
  return unique
    .filter((e) => e.kind !== "undo" && (NOT_UNDOABLE.has(e.kind) || !undone.has(e.id)))
    .map((event) => ({ event, at: Date.parse(event.at) }))
    .sort((a, b) => a.at - b.at || (a.event.id < b.event.id ? -1 : 1))
    .map(({ event }) => event);
}
