import type { Fit, Placement } from "../../fit/fit";
import type { PlanItem } from "../../plan/plan";
import { wordKey } from "../../words/sameWord";

/** One thing that is done: a drill, or one rung of a ladder, as it fits. Times in seconds from the start. */
export interface Doing {
  item: PlanItem;
  /** Of a ladder the rung; the item otherwise. */
  key: string;
  name: string;
  /** Per cent of maximum effort. */
  effort: number;
  fromSeconds: number;
  toSeconds: number;
  workSeconds: number;
  /** Single actions in it; where nobody counted them, as many as its work makes likely. */
  actions: number;
  /** Keys of the actions of the sport that it prepares. */
  prepares: readonly string[];
  focus: string;
}

/** One action every so many seconds of work where nobody has counted them. Custom, as in swings and strides. */
const SECONDS_AN_ACTION = 3;

/** Single actions in some work: those counted, or else as many as it makes likely. */
export const actionsIn = ({ actions, workSeconds }: { actions: number; workSeconds: number }): number =>
  actions || Math.floor(workSeconds / SECONDS_AN_ACTION);

/** Everything that is done, in order; what is left out is not. */
export function doingsOf(fit: Fit): Doing[] {
  return fit.placements.flatMap((p) => (p.level && p.spanSeconds > 0 ? doingsIn(p) : []));
}

function doingsIn({ item, level, beginSeconds, spanSeconds }: Placement): Doing[] {
  const prepares = (item.details?.actions ?? []).map(wordKey);
  const labels = new Map(item.dose.kind === "ladder" ? item.dose.rungs.map((r) => [r.id, r.label]) : []);
  const rungs = level?.rungs ?? [];
  if (rungs.length === 0) {
    const workSeconds = level?.workSeconds ?? 0;
    return [
      {
        item,
        key: item.id,
        name: item.name,
        effort: item.intensity,
        fromSeconds: beginSeconds,
        toSeconds: beginSeconds + spanSeconds,
        workSeconds,
        actions: actionsIn({ actions: level?.actions ?? 0, workSeconds }),
        prepares,
        focus: item.focus,
      },
    ];
  }
  let at = beginSeconds;
  return rungs.map((rung): Doing => {
    const fromSeconds = at;
    at += rung.seconds + rung.restSeconds;
    const label = labels.get(rung.id);
    return {
      item,
      key: rung.id,
      name: `${item.name}, ${rung.name}`,
      effort: rung.intensity,
      fromSeconds,
      toSeconds: fromSeconds + rung.seconds,
      workSeconds: rung.workSeconds,
      actions: actionsIn(rung),
      prepares: label ? [...prepares, wordKey(label)] : prepares,
      focus: rung.focus || item.focus,
    };
  });
}

/** General work: what is not yet the sport's own. */
export const isGeneral = ({ item }: Pick<Doing, "item">): boolean =>
  item.phase === "raise" || item.phase === "mobilise";

/** The sport's own work. */
export const isOwn = ({ item }: Pick<Doing, "item">): boolean =>
  item.phase === "technical" || item.phase === "prime";

/** Work of the body: neither kit nor lying still. */
export const isWork = ({ item }: Pick<Doing, "item">): boolean =>
  item.phase !== "kit" && item.calm !== "quiet";

/** The drills of a plan that are done, in order. */
export const itemsDone = (fit: Fit): PlanItem[] =>
  fit.placements.filter((p) => p.level && p.spanSeconds > 0).map((p) => p.item);
