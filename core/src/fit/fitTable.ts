import type { DoseLevel } from "../dose/level";
import { idealLevel, levelsOf } from "../dose/levelsOf";
import { type Climb, climbOf } from "../ladder/climb";
import { stepAllowed } from "../ladder/stepRule";
import type { PlanBody, PlanItem } from "../plan/plan";
import { type Worth, worthOf } from "./worth";

/** A drill as the solver sees it. */
export interface FitDrill {
  item: PlanItem;
  levels: DoseLevel[];
  ideal: number;
  /** Per level where it enters the climb and where it leaves it. */
  climbs: Climb[];
}

/**
 * The best plan for every amount of work time at once, from one pass. Reading one amount is a walk back through the
 * table, so a slider can follow a finger.
 */
export interface FitTable {
  plan: PlanBody;
  /** Whether the best plan of every exact total is kept. */
  everyTotal: boolean;
  drills: FitDrill[];
  /** Seconds that one column stands for: the greatest common divisor of all durations, so nothing is rounded. */
  grain: number;
  /** Columns 0..most, each an exact total of work in grains. */
  most: number;
  /** Per column the best worth with exactly that total; `high` is −1 where the total cannot be made. */
  worth: { high: Float64Array; low: Float64Array };
  /**
   * Index of the last technical drill, −1 when there is none, and per column the class that the best plan up to there
   * ends in. After it the class no longer matters, and all classes are one.
   */
  lastTechnical: number;
  lastClass: Uint8Array;
  /** Per drill and class what was chosen; null where the drill cannot have been the last one to change that class. */
  choices: (Choice | null)[][];
  /** Least seconds of work with every essential drill at its floor or above; Infinity when the step rule forbids it. */
  essentialSeconds: number;
}

/** Per column the level chosen (0 = left out), and for a technical drill the class before it. */
export interface Choice {
  level: Uint8Array;
  from: Uint8Array | null;
}

/** The best worth for every total so far, within one class. */
interface Layer {
  high: Float64Array;
  low: Float64Array;
  /** The totals worth going on from, ascending. */
  live: Int32Array;
}

export interface TableOptions {
  /**
   * Keep the best plan of every exact total, even where a shorter one is worth as much or more. Needed to begin at
   * once, where a plan may be too short; otherwise such totals are dropped on the way, which is several times faster.
   */
  everyTotal?: boolean;
}

/**
 * Solves the fit exactly for every total of work up to a horizon, by dynamic programming over drill, total work and
 * the intensity of the last technical drill kept (the step rule needs no more of the past than that).
 * @param horizonSeconds the longest work time that will be asked for, seconds
 */
export function buildFitTable(
  plan: PlanBody,
  horizonSeconds: number,
  { everyTotal = false }: TableOptions = {},
): FitTable {
  const drills = plan.items.map((item): FitDrill => {
    const levels = levelsOf(item.dose);
    return { item, levels, ideal: idealLevel(item.dose), climbs: levels.map((l) => climbOf(item, l)) };
  });
  const grain = drills.flatMap((d) => d.levels.map((l) => l.seconds)).reduce(gcd, 0) || 1;
  const longest = drills.reduce((sum, d) => sum + (d.levels.at(-1)?.seconds ?? 0), 0);
  const most = Math.max(0, Math.floor(Math.min(horizonSeconds, longest) / grain));
  const classes = technicalClasses(drills);
  const worth = worthOf(plan.items);

  // Class 0 is "no technical drill yet"; class c stands for classes[c - 1] per cent.
  let layers: (Layer | null)[] = Array(classes.length + 1).fill(null);
  const first = emptyLayer(most);
  first.high[0] = 0;
  first.low[0] = 0;
  first.live = Int32Array.of(0);
  layers[0] = first;

  const lastTechnical = drills.findLastIndex((d) => d.item.phase === "technical");
  let lastClass: Uint8Array = new Uint8Array(most + 1);
  const choices = drills.map((drill, i) => {
    const seconds = drill.levels.map((l) => l.seconds / grain);
    const rows = worth[i] ?? [];
    const every = seconds.map((_, k) => k);
    const row: (Choice | null)[] = Array(layers.length).fill(null);
    if (drill.item.phase === "technical") {
      const before = layers;
      // Every level enters a climb at the same effort; a ladder leaves it at the top of what is climbed.
      const from = drill.climbs[0]?.from ?? 0;
      const allowed = before.map((layer, c) =>
        stepAllowed(c === 0 ? null : (classes[c - 1] ?? 0), from, plan.stepPoints) ? layer : null,
      );
      const reached = bestOver(allowed, most, everyTotal);
      for (const [to, which] of levelsByTop(drill, plan.stepPoints)) {
        const into = classes.indexOf(to) + 1;
        const choice = { level: new Uint8Array(most + 1), from: new Uint8Array(most + 1) };
        const old = before[into];
        const next = old ? copyOf(old) : emptyLayer(most);
        relax(
          { source: reached.best, into: next, choice, from: reached.from },
          { which, seconds, rows },
          most,
        );
        next.live = liveTotals(next, everyTotal);
        row[into] = choice;
        layers = layers.with(into, next);
      }
    } else {
      layers = layers.map((layer, c) => {
        if (!layer) return null;
        const choice = { level: new Uint8Array(most + 1), from: null };
        const next = copyOf(layer);
        relax({ source: layer, into: next, choice, from: null }, { which: every, seconds, rows }, most);
        next.live = liveTotals(next, everyTotal);
        row[c] = choice;
        return next;
      });
    }
    if (i === lastTechnical) {
      const { best, from } = bestOver(layers, most, everyTotal);
      layers = [best];
      lastClass = from;
    }
    return row;
  });

  return {
    plan,
    everyTotal,
    drills,
    grain,
    most,
    worth: layers[0] as Layer,
    lastTechnical,
    lastClass,
    choices,
    essentialSeconds: leastEssential(drills, plan.stepPoints),
  };
}

/**
 * Walks back through the table.
 * @param column an exact total of work, in grains, that can be made
 * @returns per drill the level index, or −1 when left out
 */
export function readLevels(table: FitTable, column: number): number[] {
  const levels: number[] = Array(table.drills.length).fill(-1);
  let at = column;
  let c = 0;
  for (let i = table.drills.length - 1; i >= 0; i--) {
    if (i === table.lastTechnical) c = table.lastClass[at] ?? 0;
    const choice = table.choices[i]?.[c];
    const level = choice?.level[at] ?? 0;
    if (level === 0) continue;
    levels[i] = level - 1;
    const seconds = table.drills[i]?.levels[level - 1]?.seconds ?? 0;
    if (choice?.from) c = choice.from[at] ?? 0;
    at -= seconds / table.grain;
  }
  return levels;
}

interface Relaxation {
  source: Layer;
  into: Layer;
  choice: Choice;
  /** Per column the class that the source came from; null when it is the same class. */
  from: Uint8Array | null;
}

/** Levels of one drill: which of them, and of all of them the seconds in grains and the worth. */
interface Levels {
  which: readonly number[];
  seconds: readonly number[];
  rows: readonly Worth[];
}

/** Tries levels of one drill after every total of the source, keeping the better. */
function relax(
  { source, into, choice, from }: Relaxation,
  { which, seconds, rows }: Levels,
  most: number,
): void {
  const { high: fromHigh, low: fromLow, live } = source;
  const { high: toHigh, low: toLow } = into;
  const { level } = choice;
  for (const k of which) {
    const add = seconds[k] as number;
    const { high, low } = rows[k] as Worth;
    for (let n = 0; n < live.length; n++) {
      const d = live[n] as number;
      const to = d + add;
      if (to > most) break;
      const newHigh = (fromHigh[d] as number) + high;
      const oldHigh = toHigh[to] as number;
      if (newHigh < oldHigh) continue;
      const newLow = (fromLow[d] as number) + low;
      if (newHigh === oldHigh && newLow <= (toLow[to] as number)) continue;
      toHigh[to] = newHigh;
      toLow[to] = newLow;
      level[to] = k + 1;
      if (from && choice.from) choice.from[to] = from[d] as number;
    }
  }
}

/**
 * The totals that anything better can still come of: those that can be made and, unless every total is wanted, are
 * worth more than every shorter one. The others are marked as not to be made.
 */
function liveTotals({ high, low }: Layer, everyTotal: boolean): Int32Array {
  const live = new Int32Array(high.length);
  let count = 0;
  let bestHigh = -1;
  let bestLow = -1;
  for (let d = 0; d < high.length; d++) {
    const h = high[d] as number;
    if (h < 0) continue;
    const l = low[d] as number;
    const isBetter = h > bestHigh || (h === bestHigh && l > bestLow);
    if (isBetter) {
      bestHigh = h;
      bestLow = l;
    } else if (!everyTotal) {
      high[d] = -1;
      low[d] = -1;
      continue;
    }
    live[count++] = d;
  }
  return live.subarray(0, count);
}

/** Per column the best of several layers, and which layer it came from. Ties go to the first. */
function bestOver(
  layers: readonly (Layer | null)[],
  most: number,
  everyTotal: boolean,
): { best: Layer; from: Uint8Array } {
  const best = emptyLayer(most);
  const from = new Uint8Array(most + 1);
  layers.forEach((layer, c) => {
    if (!layer) return;
    for (let n = 0; n < layer.live.length; n++) {
      const d = layer.live[n] as number;
      const h = layer.high[d] as number;
      const old = best.high[d] as number;
      if (h < old || (h === old && (layer.low[d] as number) <= (best.low[d] as number))) continue;
      best.high[d] = h;
      best.low[d] = layer.low[d] as number;
      from[d] = c;
    }
  });
  best.live = liveTotals(best, everyTotal);
  return { best, from };
}

/** The least work that keeps every essential drill at its floor, other drills serving as steps where they must. */
function leastEssential(drills: readonly FitDrill[], points: number): number {
  let least = new Map<number | null, number>([[null, 0]]);
  for (const { item, levels, climbs } of drills) {
    const isEssential = item.priority === "essential";
    if (item.phase !== "technical") {
      const floor = levels[0]?.seconds ?? 0;
      if (isEssential) least = new Map([...least].map(([last, seconds]) => [last, seconds + floor]));
      continue;
    }
    const after = new Map<number | null, number>(isEssential ? [] : least);
    for (const [last, seconds] of least) {
      climbs.forEach(({ from, to, rise }, k) => {
        if (rise > points || !stepAllowed(last, from, points)) return;
        const total = seconds + (levels[k]?.seconds ?? 0);
        after.set(to, Math.min(after.get(to) ?? Infinity, total));
      });
    }
    least = after;
  }
  return Math.min(Infinity, ...least.values());
}

/** Every effort that a technical drill can leave the climb at. */
function technicalClasses(drills: readonly FitDrill[]): number[] {
  const tops = drills.flatMap((d) => (d.item.phase === "technical" ? d.climbs.map((c) => c.to) : []));
  return [...new Set(tops)].sort((a, b) => a - b);
}

/** The levels whose own steps are allowed, by the effort they end at. */
function levelsByTop({ climbs }: FitDrill, points: number): Map<number, number[]> {
  const byTop = new Map<number, number[]>();
  climbs.forEach(({ to, rise }, k) => {
    if (rise > points) return;
    const same = byTop.get(to);
    if (same) same.push(k);
    else byTop.set(to, [k]);
  });
  return byTop;
}

function emptyLayer(most: number): Layer {
  return {
    high: new Float64Array(most + 1).fill(-1),
    low: new Float64Array(most + 1).fill(-1),
    live: new Int32Array(0),
  };
}

function copyOf(layer: Layer): Layer {
  return { high: layer.high.slice(), low: layer.low.slice(), live: layer.live };
}

function gcd(a: number, b: number): number {
  return b === 0 ? a : gcd(b, a % b);
}
