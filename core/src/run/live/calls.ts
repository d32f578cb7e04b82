import { type Called, COUNT_SECONDS } from "../../drill/called";
import { hashOf } from "../../maths/hash";
import { random } from "../../maths/random";
import type { Split } from "../log/state";

/** One call. */
export interface Call {
  /** Seconds from the beginning of the step. */
  at: number;
  /** The movement's number, from 1. */
  number: number;
  name: string;
  counts: number;
}

/** A call that is being done. */
export interface CallNow extends Call {
  /** Which count it is, from 1. */
  count: number;
}

/**
 * When which movement is called: at uneven intervals, never the same one twice running where there are others, and none that
 * would not be over in time. The same seed always gives the same calls, so that two phones on one run call the same.
 * @param seconds how long the step lasts
 */
export function callsOf({ movements, gapFrom, gapTo }: Called, seconds: number, seed: string): Call[] {
  const chance = random(Number.parseInt(hashOf(seed), 16));
  const calls: Call[] = [];
  let end = 0;
  let last = -1;
  for (;;) {
    const at = end + gapFrom + Math.floor(chance() * (gapTo - gapFrom + 1));
    const others = movements.map((_, i) => i).filter((i) => movements.length === 1 || i !== last);
    const index = others[Math.floor(chance() * others.length)] ?? 0;
    const movement = movements[index];
    if (!movement || at + movement.counts * COUNT_SECONDS > seconds) return calls;
    calls.push({ at, number: index + 1, ...movement });
    end = at + movement.counts * COUNT_SECONDS;
    last = index;
  }
}

/** The call that is being done at a moment of a step; null between two, and where none are called. */
export function callAt(
  { drill, plannedSeconds, extendedSeconds, key }: Split,
  elapsed: number,
  runId: string,
): CallNow | null {
  if (!drill.called) return null;
  const calls = callsOf(drill.called, plannedSeconds + extendedSeconds, `${runId} ${key}`);
  const call = calls.findLast((c) => c.at <= elapsed);
  if (!call || elapsed >= call.at + call.counts * COUNT_SECONDS) return null;
  return { ...call, count: Math.floor((elapsed - call.at) / COUNT_SECONDS) + 1 };
}

/** @example "2, star jumps" */
export const callWords = ({ number, name }: Pick<Call, "number" | "name">): string => `${number}, ${name}`;
