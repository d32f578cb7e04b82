import type { DoseLevel } from "../../dose/terms/level";
import type { PlanBody, PlanItem } from "../../plan/plan";
import type { FitContext } from "../../venue/context";
import type { BusyPoint, Openings } from "./openings";
import type { Rank } from "./rank";
import type { Worth } from "./worth";

/** One level of a drill as the solver sees it. All times in seconds. */
export interface LevelCost {
  seconds: number;
  /** Latest end, from the start; 0 or below. */
  deadline: number;
  /** Rest owed before the next work. */
  rest: number;
  /** Rest owed before the start, for the hard work in it; 0 when there is none. */
  owes: number;
  /** Effort it enters and leaves the climb at, and the largest rise between its own rungs. */
  from: number;
  to: number;
  rise: number;
  /** What it adds to each total that is capped, in the order of `FitProblem.caps`. */
  uses: number[];
  worth: Worth;
}

/** A drill as the solver sees it. */
export interface FitDrill {
  item: PlanItem;
  levels: DoseLevel[];
  ideal: number;
  costs: LevelCost[];
  /** Index into `FitProblem.places`; −1 when it is done wherever the athlete is. */
  place: number;
  /** It is rest for what came before it: kit, quiet or keeping warm. */
  resting: boolean;
  /** It ends the wait: work, or keeping warm. */
  warming: boolean;
  /** It may be done after practice has closed, and in the wait. */
  calm: boolean;
  /** Its effort may rise only by a step over what is done before it. */
  climbs: boolean;
  /** What comes after it goes on from its effort: it climbs, or leads up to the climb. */
  leads: boolean;
  /** Effort that it goes on from with nothing before it; −1 when it may begin anywhere. */
  coldFrom: number;
  /** It counts as continuous general work. */
  general: boolean;
  free: boolean;
  /** Indices of the drills that it is not done without, and not before: the one it must follow, and the kit it needs. */
  leaders: number[];
  wholePlace: boolean;
}

/** The kinds of rule that can keep a drill from its ideal, besides time. */
export type Rule =
  | { kind: "step" }
  | { kind: "window"; place: number }
  | { kind: "point"; point: number }
  | { kind: "travel" }
  | { kind: "rest" }
  | { kind: "owed" }
  | { kind: "wait" }
  | { kind: "general" }
  | { kind: "cap"; cap: CapName }
  | { kind: "pair" }
  | { kind: "kit" };

/** What is capped: the sport's own repetitions, explosive ones, work that is not easy. */
export type CapName = "volume" | "explosive" | "easy";

/** A total that may not pass a limit. */
export interface Cap {
  name: CapName;
  most: number;
}

/** Everything the solver needs, in numbers. */
export interface FitProblem {
  plan: PlanBody;
  context: FitContext;
  /** Those that are to be fitted: what is on already is not. */
  drills: FitDrill[];
  /** Runs of drills within which the order may be free, as indices from and up to. */
  blocks: { from: number; to: number }[];
  places: string[];
  /** Seconds between places; always the shortest way there is. */
  travel: number[][];
  startPlace: number;
  points: BusyPoint[];
  /** When drills can be done. */
  openings: Openings;
  stepPoints: number;
  /** Effort the climb goes on from; −1 when it may begin anywhere. */
  reached: number;
  leastWait: number;
  longestWait: number;
  /** What a wait within the longest one is worth. */
  waitWorth: number;
  /** The ranks of the high part of worth, the most important first. */
  ranks: Rank[];
  /** Most seconds of continuous general work; Infinity for no limit. */
  generalMost: number;
  caps: Cap[];
  /** The furthest before the start that anything may begin, seconds. */
  horizon: number;
}
