import type { RunEvent } from "./runEvent";
import type { RunDrill, RunPlan } from "./runPlan";

export type DrillOutcome = "pending" | "under-way" | "done" | "skipped";

/** What became of one drill of a run. */
export interface Split {
  drill: RunDrill;
  outcome: DrillOutcome;
  /** Seconds planned, +30 s presses not counted. */
  plannedSeconds: number;
  /** Seconds really taken, held time not counted; null until it is over. */
  realSeconds: number | null;
  /** Seconds held. */
  heldSeconds: number;
}

/** "ready" before it begins; "waiting" when all drills are over and the start is still to come. */
export type RunStatus = "ready" | "under-way" | "waiting" | "ended";

export interface RunState {
  status: RunStatus;
  /** Index of the drill under way; the number of drills when all are over. */
  index: number;
  splits: Split[];
  /** When the drill under way began, milliseconds since the epoch; null when none is. */
  drillBeganAt: number | null;
  /** Since when the run is on hold; null when it is not. */
  heldSince: number | null;
  /** Seconds added to the drill under way. */
  extendedSeconds: number;
  beganAt: number | null;
  endedAt: number | null;
  /** The start as it now stands, milliseconds since the epoch. */
  startsAt: number;
  /** The press that an undo would take back; null when there is none. */
  undoable: RunEvent | null;
}

const UNDOABLE: ReadonlySet<RunEvent["kind"]> = new Set(["done", "skip", "extend", "hold", "release"]);

/**
 * Replays a run. The same events in any order, and any of them twice, give the same state; an event that makes no
 * sense where it stands (done before begin, release without hold) changes nothing.
 */
export function runState(plan: RunPlan, events: readonly RunEvent[]): RunState {
  const state: RunState = {
    status: "ready",
    index: 0,
    splits: plan.drills.map((drill) => ({
      drill,
      outcome: "pending",
      plannedSeconds: drill.plannedSeconds,
      realSeconds: null,
      heldSeconds: 0,
    })),
    drillBeganAt: null,
    heldSince: null,
    extendedSeconds: 0,
    beganAt: null,
    endedAt: null,
    startsAt: Date.parse(plan.startsAt),
    undoable: null,
  };
  for (const event of effective(events)) apply(state, event);
  return state;
}

/** Events in the order they happened, once each, without those that were taken back. */
function effective(events: readonly RunEvent[]): RunEvent[] {
  const unique = [...new Map(events.map((e) => [e.id, e])).values()];
  const undone = new Set(unique.flatMap((e) => (e.kind === "undo" ? [e.undoes] : [])));
  return unique
    .filter((e) => e.kind !== "undo" && !(UNDOABLE.has(e.kind) && undone.has(e.id)))
    .sort((a, b) => Date.parse(a.at) - Date.parse(b.at) || (a.id < b.id ? -1 : 1));
}

function apply(state: RunState, event: RunEvent): void {
  const at = Date.parse(event.at);
  if (event.kind === "start-moved") {
    state.startsAt = Date.parse(event.startsAt);
    return;
  }
  if (state.status === "ended") return;
  if (event.kind === "end") {
    if (state.status === "under-way") finishDrill(state, at, "skipped");
    state.status = "ended";
    state.endedAt = at;
    state.drillBeganAt = null;
    state.heldSince = null;
    return;
  }
  if (event.kind === "begin") {
    if (state.status !== "ready") return;
    state.beganAt = at;
    beginDrill(state, at);
    return;
  }
  if (state.status !== "under-way") return;
  switch (event.kind) {
    case "done":
    case "skip":
      finishDrill(state, at, event.kind === "done" ? "done" : "skipped");
      state.index += 1;
      beginDrill(state, at);
      break;
    case "extend":
      state.extendedSeconds += event.seconds;
      break;
    case "hold":
      if (state.heldSince !== null) return;
      state.heldSince = at;
      break;
    case "release":
      if (state.heldSince === null) return;
      release(state, at);
      break;
    default:
      return;
  }
  state.undoable = event;
}

function beginDrill(state: RunState, at: number): void {
  const split = state.splits[state.index];
  state.extendedSeconds = 0;
  if (!split) {
    state.status = "waiting";
    state.drillBeganAt = null;
    return;
  }
  state.status = "under-way";
  split.outcome = "under-way";
  state.drillBeganAt = at;
}

function finishDrill(state: RunState, at: number, outcome: "done" | "skipped"): void {
  const split = state.splits[state.index];
  if (!split) return;
  release(state, at);
  split.outcome = outcome;
  split.realSeconds = elapsedSeconds(state, at);
}

function release(state: RunState, at: number): void {
  const split = state.splits[state.index];
  if (state.heldSince === null || !split) return;
  split.heldSeconds += (at - state.heldSince) / 1000;
  state.heldSince = null;
}

/** Seconds of the drill under way that have passed, held time not counted. */
export function elapsedSeconds(state: RunState, now: number): number {
  const split = state.splits[state.index];
  if (!split || state.drillBeganAt === null) return 0;
  const until = state.heldSince ?? now;
  return Math.max(0, (until - state.drillBeganAt) / 1000 - split.heldSeconds);
}
