import { idealLevel, levelsOf } from "../../src/dose/levelsOf";
import type { PlanBody, PlanItem } from "../../src/plan/plan";
import type { FitContext } from "../../src/venue/context";
import { checkSchedule, type Done, spelled, waitsTooLong } from "./checkSchedule";
import { compare } from "./compareRanks";

/** Essential kit kept, essential kept, the wait, points of essential kit, of other essentials, useful …, extra …, beyond the ideal, ties. */
export function rankOf(plan: PlanBody, levels: readonly number[], waitHolds: boolean): number[] {
  const rank = [0, 0, waitHolds ? 1 : 0, 0, 0, 0, 0, 0, 0, 0, 0];
  const add = (at: number, points: number) => {
    rank[at] = (rank[at] as number) + points;
  };
  let line = 0;
  plan.items.forEach((item, i) => {
    if (!item.alreadyOn) line++;
    const level = levels[i] as number;
    if (level < 0) return;
    const [kept, points] = { essential: [1, item.phase === "kit" ? 3 : 4], useful: [5, 6], extra: [7, 8] }[
      item.priority
    ] as [number, number];
    const ideal = idealLevel(item.dose);
    const last = levelsOf(item.dose).length - 1;
    const way = (of: PlanItem, end: boolean) => {
      const all = levelsOf(of.dose).map((l) => l.seconds);
      const middle = all[idealLevel(of.dose)] as number;
      return end ? (all.at(-1) as number) - middle : middle - (all[0] as number);
    };
    const worth = (end: boolean, steps: number) => {
      const longest = Math.max(...plan.items.filter((o) => !o.alreadyOn).map((o) => way(o, end)));
      return Math.max(steps, longest > 0 ? Math.round((60 * way(item, end)) / longest) : 0);
    };
    const lost = (steps: number, left: number, all: number) => {
      const share = left / steps;
      return all - (steps - left) - Math.round((all - steps) * (1 - share * share));
    };
    const towards = level >= ideal ? 60 : 60 - lost(ideal, ideal - level, worth(false, ideal));
    if (item.priority === "essential") {
      const many = plan.items.filter((o) => o.priority === "essential" && !o.alreadyOn).length;
      const first = plan.items.find((o) => o.phase === "raise" && o.priority === "essential" && !o.calm);
      // Kit, and what raises first: as much as a change of kit and all essentials.
      if (item.phase === "kit") add(0, many + 1);
      else if (item === first) add(0, 2 * many + 1);
      else add(0, 1);
    }
    if (kept !== 1) add(kept, 1);
    add(points, towards);
    if (level > ideal) {
      const grown = worth(true, last - ideal);
      add(9, grown - lost(last - ideal, last - level, grown));
    }
    const easier = item.intensity < 33.4 ? 2 : item.intensity < 66.7 ? 1 : 0;
    add(10, (line * 4 + easier) * Math.max(1, towards));
  });
  return rank;
}

export interface BruteAnswer {
  rank: number[];
  /** The latest moment at which a plan of that rank can begin; 0 when nothing is kept. */
  beginSeconds: number;
}

/**
 * The oracle: tries every choice of levels, every order and every moment on a grid, and reads each against the rules.
 * @param grid seconds; every time in the plan and its day has to be a multiple of it
 */
export function bruteFit(
  plan: PlanBody,
  day: FitContext,
  availableSeconds: number,
  grid: number,
): BruteAnswer {
  const choices = [...everyChoice(plan.items)].flatMap((levels) =>
    [true, false].map((waitHolds) => ({ levels, waitHolds, rank: rankOf(plan, levels, waitHolds) })),
  );
  choices.sort((a, b) => compare(b.rank, a.rank));
  let best: BruteAnswer | null = null;
  for (const { levels, waitHolds, rank } of choices) {
    if (best && compare(rank, best.rank) < 0) break;
    const begin = latestBegin(plan, day, levels, waitHolds, availableSeconds, grid);
    if (begin !== null && (!best || begin > best.beginSeconds)) best = { rank, beginSeconds: begin };
  }
  return best ?? { rank: rankOf(plan, [], false), beginSeconds: 0 };
}

function* everyChoice(items: readonly PlanItem[]): Generator<number[]> {
  const [first, ...others] = items;
  if (!first) {
    yield [];
    return;
  }
  for (const rest of everyChoice(others)) {
    const many = first.alreadyOn ? 0 : levelsOf(first.dose).length;
    for (let k = -1; k < many; k++) yield [k, ...rest];
  }
}

function latestBegin(
  plan: PlanBody,
  day: FitContext,
  levels: readonly number[],
  waitHolds: boolean,
  available: number,
  grid: number,
): number | null {
  const kept = plan.items.flatMap((item, i) =>
    (levels[i] as number) >= 0 ? [{ item, level: levels[i] as number }] : [],
  );
  if (kept.length === 0) return waitHolds ? null : 0;
  let best: number | null = null;
  for (const order of orders(kept)) {
    // From the last drill backwards, every moment, the latest first.
    const search = (left: number, before: number, done: Done[]): void => {
      if (left === 0) {
        const begin = done[0]?.beginSeconds ?? 0;
        if (best !== null && begin <= best) return;
        if (waitHolds && waitsTooLong(plan, done)) return;
        if (checkSchedule(plan, day, done, available).length === 0) best = begin;
        return;
      }
      const { item, level } = order[left - 1] as (typeof order)[number];
      const seconds = levelsOf(item.dose)[level]?.seconds ?? 0;
      for (const turns of turnsAt(day, item)) {
        const spanSeconds = seconds * turns;
        for (let begin = before - spanSeconds; begin >= -available; begin -= grid) {
          if (best !== null && begin <= best) break;
          const now = [{ id: item.id, levelIndex: level, beginSeconds: begin, spanSeconds }, ...done];
          // Nothing done earlier mends what is broken later, but for these: a climb under way may be led up to it.
          const broken = checkSchedule(plan, day, now, available);
          if (broken.every((b) => /^(pair|kit|easy|step)/.test(b))) search(left - 1, begin, now);
        }
      }
    };
    search(order.length, 0, []);
  }
  return best;
}

function turnsAt(day: FitContext, item: PlanItem): number[] {
  const windows = day.places.find((p) => spelled(p.name) === spelled(item.place))?.windows ?? [];
  return windows.length === 0 ? [1] : [...new Set(windows.map((w) => w.turns))];
}

function orders<T extends { item: PlanItem }>(kept: readonly T[]): T[][] {
  if (!kept.some((k) => k.item.free)) return [[...kept]];
  if (kept.length <= 1) return [[...kept]];
  return kept.flatMap((first, i) => orders(kept.toSpliced(i, 1)).map((rest) => [first, ...rest]));
}
