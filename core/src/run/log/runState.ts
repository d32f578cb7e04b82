import type { GroupMark } from "../../group/groupMark";
import type { DrillOutcome } from "../../words/drillOutcome";
import { gateTally, type Try } from "../steps/gateTally";
import { type RunDrill, type RunPlan, stepKey } from "../steps/runPlan";
import type { RunEvent } from "./runEvent";

/** What became of one step of a run. */
export interface Split {
  /** What tells it apart from the others. */
  key: string;
  drill: RunDrill;
  /** The press that brought it, a re-fit or a drill put in; null when it was planned. */
  from: string | null;
  outcome: DrillOutcome;
  /** Seconds planned, +30 s presses not counted. */
  plannedSeconds: number;
  /** Seconds really taken, held time not counted; null until it is over. */
  realSeconds: number | null;
  /** Seconds held. */
  heldSeconds: number;
  /** Seconds added by presses. */
  extendedSeconds: number;
  /** Tries at its gate, in order. */
  tries: Try[];
}

/** "ready" before it begins; "waiting" when all drills are over and the start is still to come. */
export type RunStatus = "ready" | "under-way" | "waiting" | "ended";

/** Answers to the questions after the start. */
export type Rating = Pick<Extract<RunEvent, { kind: "rating" }>, "ready" | "first" | "note">;

/** A run as it stands after its presses. Times in milliseconds since the epoch. */
export interface RunState {
  status: RunStatus;
  /** Index of the drill under way; the number of drills when all are over. */
  index: number;
  splits: Split[];
  /** When the drill under way began, milliseconds since the epoch; null when none is. */
  drillBeganAt: number | null;
  /** Since when the run is on hold; null when it is not. */
  heldSince: number | null;
  beganAt: number | null;
  endedAt: number | null;
  /** When the last drill was over and the wait began; null before. */
  waitingSince: number | null;
  /** The start as it now stands, milliseconds since the epoch. */
  startsAt: number;
  /** The start that the steps are fitted for, milliseconds since the epoch. */
  fittedFor: number;
  /** The wait planned before it, seconds. */
  waitSeconds: number;
  /** The presses that can be taken back, the newest last: the last ten. */
  undoable: RunEvent[];
  /** How many drills were to be put in. */
  inserted: number;
  /** Re-fits, in order. */
  refits: Extract<RunEvent, { kind: "refit" }>[];
  /** Seconds the device's clock was last found ahead; 0 when it was never found wrong. */
  clockAhead: number;
  rating: Rating | null;
  /** Of a group: ids of those who are not there, */
  away: string[];
  /** and by athlete and step what was marked. */
  marks: Record<string, Record<string, GroupMark>>;
}

/** So many drills can be put in, and so many re-fits made, in one run: beyond any day, and what keeps a replay short. Custom. */
export const MOST_INSERTED = 200;
/** So many re-fits can be made in one run. Custom. */
export const MOST_REFITS = 500;

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
    const changed = apply(state, event, brought);
    if (changed && !NOT_UNDOABLE.has(event.kind))
      state.undoable = [...state.undoable.slice(1 - MOST_UNDOABLE), event];
  }
  return state;
}

/** Every step that a log says in full, by who brought it: what was taken back can still be referred to. */
type Brought = (key: string, from: string | undefined) => RunDrill | undefined;

function stepsBrought(plan: RunPlan, events: readonly RunEvent[]): Brought {
  const known = new Map(plan.drills.map((d) => [`${stepKey(d)} `, d]));
  for (const event of events) {
    if (event.kind === "insert") known.set(`${stepKey(event.drill)} ${event.id}`, event.drill);
    if (event.kind !== "refit") continue;
    for (const step of event.drills) if (!("same" in step)) known.set(`${stepKey(step)} ${event.id}`, step);
  }
  return (key, from = "") => known.get(`${key} ${from}`);
}

function splitOf(drill: RunDrill, from: string | null = null): Split {
  return {
    key: stepKey(drill),
    drill,
    from,
    outcome: "pending",
    plannedSeconds: drill.plannedSeconds,
    realSeconds: null,
    heldSeconds: 0,
    extendedSeconds: 0,
    tries: [],
  };
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

/** Applies one event; false when it makes no sense where it stands. */
function apply(state: RunState, event: RunEvent, brought: Brought): boolean {
  const at = Date.parse(event.at);
  switch (event.kind) {
    case "start-moved":
      state.startsAt = Date.parse(event.startsAt);
      return true;
    case "clock":
      state.clockAhead = event.aheadSeconds;
      return true;
    case "rating":
      state.rating = { ready: event.ready, first: event.first, note: event.note };
      return true;
    case "there":
      state.away = [...state.away.filter((id) => id !== event.who), ...(event.isThere ? [] : [event.who])];
      return true;
    case "mark": {
      const { [event.step]: _, ...others } = state.marks[event.who] ?? {};
      state.marks[event.who] = event.mark ? { ...others, [event.step]: event.mark } : others;
      return true;
    }
    case "pulse":
    case "take":
    case "undo":
      return false;
    default:
      return state.status !== "ended" && press(state, event, at, brought);
  }
}

type Press = Exclude<
  RunEvent,
  { kind: "start-moved" | "clock" | "rating" | "there" | "mark" | "pulse" | "take" | "undo" }
>;

function press(state: RunState, event: Press, at: number, brought: Brought): boolean {
  switch (event.kind) {
    case "end":
      if (state.status === "under-way") finish(state, at, "skipped");
      state.status = "ended";
      state.endedAt = at;
      state.drillBeganAt = null;
      state.heldSince = null;
      return true;
    case "begin":
      if (state.status !== "ready") return false;
      state.beganAt = at;
      goTo(state, 0, at);
      return true;
    case "insert":
      return insert(state, event, at);
    case "refit":
      return refit(state, event, at, brought);
    case "jump":
      return jump(state, event.to, at);
    case "back":
      return back(state, event.of, at);
    default:
      return pressDrill(state, event, at);
  }
}

/** A press that is for the drill under way. */
function pressDrill(
  state: RunState,
  event: Exclude<Press, { kind: "end" | "begin" | "insert" | "refit" | "jump" | "back" }>,
  at: number,
): boolean {
  const split = state.splits[state.index];
  if (state.status !== "under-way" || !split) return false;
  if ("of" in event && event.of !== undefined && event.of !== split.key) return false;
  switch (event.kind) {
    case "done":
    case "skip":
      finish(state, at, event.kind === "done" ? "done" : "skipped");
      goTo(state, nextPending(state, state.index), at);
      return true;
    case "extend":
      split.extendedSeconds += event.seconds;
      return true;
    case "hold":
      if (state.heldSince !== null) return false;
      state.heldSince = at;
      return true;
    case "release":
      if (state.heldSince === null) return false;
      release(state, at);
      return true;
    case "hit":
    case "miss":
      if (!split.drill.gate) return false;
      split.tries.push(event.kind === "hit");
      if (gateTally(split.drill.gate, split.tries).open) {
        finish(state, at, "done");
        goTo(state, nextPending(state, state.index), at);
      }
      return true;
  }
}

/** The first step from here on that is still to come; the number of steps when there is none. */
function nextPending({ splits }: RunState, from: number): number {
  let next = from;
  while (next < splits.length && splits[next]?.outcome !== "pending") next++;
  return next;
}

function goTo(state: RunState, index: number, at: number): void {
  state.index = index;
  const split = state.splits[index];
  if (!split) {
    state.status = "waiting";
    state.waitingSince = at;
    state.drillBeganAt = null;
    return;
  }
  state.status = "under-way";
  state.waitingSince = null;
  // One that was over goes on where it was.
  state.drillBeganAt = at - ((split.realSeconds ?? 0) + split.heldSeconds) * 1000;
  split.outcome = "under-way";
  split.realSeconds = null;
}

function finish(state: RunState, at: number, outcome: "done" | "skipped"): void {
  const split = state.splits[state.index];
  if (!split) return;
  release(state, at);
  split.outcome = outcome;
  split.realSeconds = elapsedSeconds(state, at);
}

/** Leaves the drill under way as if it were still to come; what it has taken is kept for when it goes on. */
function putOff(state: RunState, at: number): void {
  const split = state.splits[state.index];
  if (state.status !== "under-way" || !split) return;
  finish(state, at, "skipped");
  split.outcome = "pending";
}

function back(state: RunState, of: string | undefined, at: number): boolean {
  const here = state.splits[state.index];
  if (state.status !== "under-way" && state.status !== "waiting") return false;
  if (of !== undefined && here && of !== here.key) return false;
  // A wait is not what one goes back to.
  const to = state.splits.findLastIndex((s, i) => i < state.index && !s.drill.wait);
  if (to < 0) return false;
  putOff(state, at);
  // The wait between them comes again.
  for (const split of state.splits.slice(to + 1, state.index)) reopen(split);
  goTo(state, to, at);
  return true;
}

function reopen(split: Split): void {
  split.outcome = "pending";
  split.realSeconds = null;
  split.heldSeconds = 0;
}

function jump(state: RunState, to: string, at: number): boolean {
  const index = state.splits.findIndex((s) => s.key === to);
  if (index < 0 || index === state.index || (state.status !== "under-way" && state.status !== "waiting"))
    return false;
  if (index < state.index) putOff(state, at);
  else {
    finish(state, at, "skipped");
    for (const split of state.splits.slice(state.index + 1, index)) {
      if (split.outcome !== "pending") continue;
      split.outcome = "skipped";
      split.realSeconds ??= 0;
    }
  }
  goTo(state, index, at);
  return true;
}

function insert(state: RunState, event: Extract<RunEvent, { kind: "insert" }>, at: number): boolean {
  const split = splitOf(event.drill, event.id);
  // Every try counts: what is refused again and again must not be looked for again and again.
  if (state.inserted++ >= MOST_INSERTED || state.splits.some((s) => s.key === split.key)) return false;
  const place = state.status === "under-way" ? state.index + 1 : state.index;
  state.splits.splice(place, 0, split);
  if (state.status === "waiting") goTo(state, place, at);
  return true;
}

function refit(
  state: RunState,
  event: Extract<RunEvent, { kind: "refit" }>,
  at: number,
  brought: Brought,
): boolean {
  if (state.refits.length >= MOST_REFITS) return false;
  const kept = state.splits.filter((s) => s.outcome !== "pending");
  const keys = new Set(kept.map((s) => s.key));
  // Of two of one key the first counts: a press names its step by it.
  const isNew = ({ key }: Split) => !keys.has(key) && keys.add(key) !== undefined;
  const current = state.splits[state.index];
  if (event.until && state.status === "under-way" && current?.drill.wait)
    current.drill = { ...current.drill, wait: { ...current.drill.wait, until: event.until } };
  const coming = event.drills.flatMap((step) => {
    if (!("same" in step)) return [splitOf(step, event.id)];
    const drill = brought(step.same, step.from);
    return drill ? [splitOf(drill, step.from ?? null)] : [];
  });
  state.splits = [...kept, ...coming.filter(isNew)];
  state.waitSeconds = event.waitSeconds;
  state.fittedFor = state.startsAt;
  state.refits.push(event);
  if (state.status === "under-way" && current) state.index = state.splits.indexOf(current);
  else if (state.status === "waiting") {
    const next = nextPending(state, 0);
    if (next < state.splits.length) goTo(state, next, at);
    else state.index = state.splits.length;
  }
  return true;
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
