import type { RunState } from "../log/state";
import { partAt } from "../steps/partAt";
import { callAt, callWords } from "./calls";
import type { RunClock } from "./runClock";

/** What is to be heard: a step begins, soon ends, is over; its next part; the start is near. */
export type Tone = "begin" | "soon" | "over" | "part" | "start";

/** What of a run is listened for: a cue is a change from one look to the next. */
export interface CueLook {
  status: RunState["status"];
  key: string | null;
  name: string;
  part: number;
  /** What is called in it, in words; null while nothing is. */
  call: string | null;
  remaining: number;
  untilStart: number;
}

/** Seconds before the start at which it is told of, and before the end of a step (custom). */
const NEAR = [300, 60];
const CUE_SECONDS = 10;

/** Looks at a run for what may be told. @param runId what its calls go by */
export function cueLook(state: RunState, clock: RunClock, runId: string): CueLook {
  const split = state.splits[state.index];
  const call = split && state.heldSince === null ? callAt(split, clock.elapsed, runId) : null;
  return {
    status: state.status,
    key: split?.key ?? null,
    name: split?.drill.name ?? (state.status === "waiting" ? "Wait" : ""),
    part: partAt(split?.drill.parts ?? [], clock.elapsed)?.index ?? 0,
    call: call ? callWords(call) : null,
    remaining: clock.remaining,
    untilStart: clock.untilStart,
  };
}

/** What is to be heard. */
export interface Cue {
  tone: Tone;
  /** What is said, if anything. */
  words: string | null;
}

/** What is to be heard between one look and the next; null when nothing is. */
export function cueBetween(before: CueLook, now: CueLook): Cue | null {
  const near = NEAR.find((s) => before.untilStart > s && now.untilStart <= s && now.untilStart > 0);
  if (near !== undefined && now.status !== "ended")
    return {
      tone: "start",
      words: near >= 60 ? `${near / 60} ${near === 60 ? "minute" : "minutes"} to the start` : null,
    };
  if (before.untilStart > 0 && now.untilStart <= 0 && now.status !== "ended")
    return { tone: "start", words: "Start" };
  if (now.key !== before.key || now.status !== before.status)
    return now.status === "under-way" || now.status === "waiting" ? { tone: "begin", words: now.name } : null;
  if (now.status !== "under-way") return null;
  if (now.call !== null && now.call !== before.call) return { tone: "part", words: now.call };
  if (before.remaining > 0 && now.remaining <= 0) return { tone: "over", words: null };
  if (before.remaining > CUE_SECONDS && now.remaining <= CUE_SECONDS) return { tone: "soon", words: null };
  return now.part !== before.part ? { tone: "part", words: null } : null;
}
