import type { GroupMark } from "../../group/groupMark";
import type { DrillOutcome } from "../../words/drillOutcome";
import type { Try } from "../steps/gateTally";
import type { RunDrill } from "../steps/runPlan";
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
