import { climbOf } from "../../dose/ladder/climb";
import { idealLevel, levelsOf } from "../../dose/levelsOf";
import type { DoseLevel } from "../../dose/terms/level";
import { actionsOf, type CountedTotal } from "../../plan/counted";
import { kitNeeded } from "../../plan/kit";
import { blocksOf } from "../../plan/order";
import type { PlanBody, PlanItem } from "../../plan/plan";
import { restOwed } from "../../plan/rest";
import { climbPartOf, fromNothing } from "../../plan/stepRule";
import { type FitContext, LONGEST_DAY } from "../../venue/context";
import { EASY_EFFORT, HARD_EFFORT } from "../../words/effort";
import { wordKey } from "../../words/sameWord";
import { type Openings, openingsOf } from "./openings";
import { type Rank, ranksOf } from "./rank";
import { metricClosure } from "./travelTimes";
import { type Worth, worthOf } from "./worth";

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

/** A thing at a fixed time that keeps the athlete busy. */
export interface BusyPoint {
  name: string;
  from: number;
  to: number;
  place: number;
  closes: boolean;
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

/** How a problem is to be set up. */
export interface ProblemOptions {
  /** Leave one rule out, to see what it costs. */
  without?: Rule | undefined;
  /** The furthest before the start that anything may begin, seconds; a day unless said otherwise. */
  horizon?: number;
}

/** Puts a plan and its day into the solver's numbers. */
export function problemOf(
  plan: PlanBody,
  context: FitContext,
  { without, horizon = LONGEST_DAY }: ProblemOptions = {},
): FitProblem {
  const items = plan.items.filter((i) => !i.alreadyOn);
  const off = (kind: Rule["kind"]) => without?.kind === kind;
  const places = context.places.map((p) => p.name);
  const placeAt = new Map(places.map((name, i) => [wordKey(name), i]));
  const indexOf = (name: string | null) => (name === null ? -1 : (placeAt.get(wordKey(name)) ?? -1));
  const travel = metricClosure(places.length, off("travel") ? [] : context.travel, indexOf);
  const points = context.points
    .filter((_, i) => !(without?.kind === "point" && without.point === i))
    .map((p) => ({
      name: p.name,
      from: p.fromSeconds,
      to: p.toSeconds,
      place: indexOf(p.place),
      closes: p.closesPractice,
    }));
  const windows = context.places.map((p, i) =>
    without?.kind === "window" && without.place === i ? [] : p.windows,
  );
  const { rows, wait: waitWorth, units } = worthOf(items);
  const caps = capsOf(plan, context).filter((c) => !(without?.kind === "cap" && without.cap === c.name));
  const at = new Map(items.map((item, i) => [item.id, i]));
  // A change that is done already may be the next of its kit.
  const kit = kitNeeded(plan.items).flatMap((needed, i) =>
    plan.items[i]?.alreadyOn ? [] : [needed.map((k) => at.get(plan.items[k]?.id ?? "") ?? -1)],
  );
  const leadersOf = ({ after }: PlanItem, i: number) => {
    const leader = off("pair") || after === undefined ? undefined : at.get(after);
    const all = [...(leader === undefined ? [] : [leader]), ...(off("kit") ? [] : (kit[i] as number[]))];
    return [...new Set(all)];
  };
  const shape = {
    caps,
    owedTimes: off("owed") ? 0 : (plan.wait.times ?? 0),
    leastWait: off("wait") ? 0 : plan.wait.leastSeconds,
    easyPercent: plan.limits?.easyPercent ?? 0,
    rests: !off("rest"),
  };
  return {
    plan,
    context,
    drills: items.map((item, i) => ({
      ...kindOf(item),
      ...levelsAndCosts(item, rows[i] ?? [], shape),
      item,
      place: indexOf(item.place || null),
      leaders: leadersOf(item, i),
    })),
    blocks: blocksLeft(plan.items).flatMap((block) => looseBlocks(items, block)),
    places,
    travel,
    startPlace: indexOf(context.startPlace),
    points,
    openings: openingsOf(windows, points, travel, horizon),
    stepPoints: off("step") ? 100 : plan.stepPoints,
    reached: off("step") ? -1 : (context.reached ?? -1),
    leastWait: shape.leastWait,
    longestWait: plan.wait.longestSeconds,
    waitWorth,
    ranks: ranksOf(units),
    generalMost: off("general") ? Infinity : (plan.limits?.generalMinutes ?? Infinity) * 60,
    caps,
    horizon,
  };
}

/** The blocks of a plan without what is on already, which still parts what it stands between. */
function blocksLeft(items: readonly PlanItem[]) {
  let from = 0;
  return blocksOf(items).flatMap((block) => {
    const to = from + items.slice(block.from, block.to).filter((i) => !i.alreadyOn).length;
    const left = { from, to };
    from = to;
    return left.from < left.to ? [left] : [];
  });
}

/** A block in which nothing is free is as many blocks as it has drills: there is only one order. */
function looseBlocks(items: readonly PlanItem[], { from, to }: { from: number; to: number }) {
  if (items.slice(from, to).some((i) => i.free)) return [{ from, to }];
  return Array.from({ length: to - from }, (_, k) => ({ from: from + k, to: from + k + 1 }));
}

function kindOf(item: PlanItem) {
  const calm = item.calm !== undefined;
  const kit = item.phase === "kit";
  const part = climbPartOf(item);
  return {
    calm,
    resting: calm || kit,
    warming: item.calm === "keep-warm" || !(calm || kit),
    climbs: part === "climbs",
    leads: part !== null,
    coldFrom: part === "climbs" ? (fromNothing(item.phase) ?? -1) : -1,
    general:
      !calm &&
      (item.phase === "raise" || item.phase === "mobilise") &&
      !(item.details?.flags.includes("breather") ?? false),
    free: item.free === true,
    wholePlace: item.wholePlace === true,
  };
}

interface CostShape {
  caps: readonly Cap[];
  owedTimes: number;
  leastWait: number;
  easyPercent: number;
  rests: boolean;
}

function levelsAndCosts(item: PlanItem, rows: readonly Worth[], shape: CostShape) {
  const levels = levelsOf(item.dose);
  const calm = item.calm !== undefined;
  const costs = levels.map((level, k): LevelCost => {
    const owes = calm ? 0 : shape.owedTimes * hardSeconds(item, level);
    const uses = {
      volume: actionsOf(item, level, "volume"),
      explosive: actionsOf(item, level, "explosive"),
      easy: easyDebt(item, level, shape.easyPercent),
    };
    return {
      seconds: level.seconds,
      deadline: Math.min(0, -Math.max(calm ? 0 : shape.leastWait, owes)),
      rest: shape.rests && !calm ? restOwed(item.restAfter, level.workSeconds) : 0,
      owes,
      ...climbOf(item, level),
      uses: shape.caps.map((c) => uses[c.name]),
      worth: rows[k] as Worth,
    };
  });
  return { levels, ideal: idealLevel(item.dose), costs };
}

/** Seconds of work at or above hard effort, rests and a partner's turns left out; of a ladder only the rungs that are. */
export function hardSeconds(item: PlanItem, level: DoseLevel): number {
  if (!level.rungs) return item.intensity >= HARD_EFFORT ? level.workSeconds : 0;
  return level.rungs.reduce((sum, r) => sum + (r.intensity >= HARD_EFFORT ? r.workSeconds : 0), 0);
}

/**
 * By how much a drill takes the plan away from its easy share: below 0 for easy work, above for other work, so that
 * the sum may not be above 0. Kit and what is done in the wait are not work.
 */
function easyDebt(item: PlanItem, level: DoseLevel, percent: number): number {
  if (item.phase === "kit" || item.calm) return 0;
  if (!level.rungs) return level.seconds * (item.intensity <= EASY_EFFORT ? percent - 100 : percent);
  const easy = level.rungs.reduce(
    (sum, r) => sum + (r.intensity <= EASY_EFFORT ? r.seconds + r.restSeconds : 0),
    0,
  );
  return level.seconds * percent - easy * 100;
}

function capsOf(plan: PlanBody, context: FitContext): Cap[] {
  const { volumePercent, explosiveReps, easyPercent } = plan.limits ?? {};
  const left = (most: number, total: CountedTotal) => Math.max(0, most - (context.spent?.[total] ?? 0));
  const caps: Cap[] = [];
  if (volumePercent !== undefined && context.usualReps > 0)
    caps.push({
      name: "volume",
      most: left(Math.floor((context.usualReps * volumePercent) / 100), "volume"),
    });
  if (explosiveReps !== undefined) caps.push({ name: "explosive", most: left(explosiveReps, "explosive") });
  if (easyPercent !== undefined) caps.push({ name: "easy", most: 0 });
  return caps;
}
