import { gateTally } from "../steps/gateTally";
import type { RunDrill } from "../steps/runPlan";
import type { RunEvent } from "./runEvent";
import type { RunState, Split } from "./state";
import { finish, goTo, nextPending, putOff, release, reopen, splitOf } from "./stepChange";

/** So many drills can be put in, and so many re-fits made, in one run: beyond any day, and what keeps a replay short. Custom. */
export const MOST_INSERTED = 200;
/** So many re-fits can be made in one run. Custom. */
export const MOST_REFITS = 500;

/** Every step that a log says in full, by who brought it: what was taken back can still be referred to. */
export type Brought = (key: string, from: string | undefined) => RunDrill | undefined;

/** Applies one event; false when it makes no sense where it stands. */
export function applyEvent(state: RunState, event: RunEvent, brought: Brought): boolean {
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
