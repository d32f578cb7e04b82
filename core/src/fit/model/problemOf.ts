import type { CountedTotal } from "../../plan/counted";
import { kitNeeded } from "../../plan/kit";
import { blocksOf } from "../../plan/order";
import type { PlanBody, PlanItem } from "../../plan/plan";
import { type FitContext, LONGEST_DAY } from "../../venue/context";
import { wordKey } from "../../words/sameWord";
import { kindOf, levelsAndCosts } from "./drillCosts";
import { openingsOf } from "./openings";
import type { Cap, FitProblem, Rule } from "./problem";
import { ranksOf } from "./rank";
import { metricClosure } from "./travelTimes";
import { worthOf } from "./worth";

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
