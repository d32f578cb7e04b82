import { approachOf } from "../approach/approaches";
import { idealLevel, levelsOf } from "../dose/levelsOf";
import { idsFrom } from "../maths/idsFrom";
import { fitTimeline } from "../timeline/fitTimeline";
import type { Segment } from "../timeline/segment";
import type { ApproachId } from "../words/approachId";
import { type FillEffort, type Filled, fillPlan } from "./fillPlan";
import type { FillInput } from "./input/fillInput";
import { judgedFill, secondsDone } from "./seek/judgedFill";

/** What filling goes by as plain data, so that a worker can be asked. */
export type FillOrder = Omit<FillInput, "approach" | "makeId"> & { approach: ApproachId };

/** Fills what was ordered. */
export function fillOrdered(order: FillOrder, makeId: () => string, effort: FillEffort = {}): Filled {
  return fillPlan({ ...order, approach: approachOf(order.approach), makeId }, effort);
}

/** What an approach would give, before it is pressed. */
export interface FillPreview {
  approach: ApproachId;
  /** Names of the first drills that are done. */
  first: string[];
  /** Drills in all, and seconds from the first movement to the last. */
  drills: number;
  seconds: number;
  /** From its first drill to the start, as it fits. */
  segments: Segment[];
  /** How many findings there are of each kind. */
  stops: number;
  warnings: number;
  /** Kit that stands as done already in it: names, and the seconds that it would take. */
  kitOn: { names: string[]; seconds: number } | null;
}

/** Drills that a preview names. */
const FIRST = 3;

/** Looks at what each of some approaches would give: the first plan of each, fitted and judged. */
export function previewsOf(
  order: Omit<FillOrder, "approach">,
  approaches: readonly ApproachId[],
): FillPreview[] {
  return approaches.map((approach) => {
    const { body } = fillOrdered({ ...order, approach }, idsFrom(`preview ${approach}`), { tries: 1 });
    const { found, work, situation } = judgedFill(body, order);
    const kit = body.items.filter((i) => i.alreadyOn);
    return {
      approach,
      kitOn:
        kit.length === 0
          ? null
          : {
              names: kit.map((i) => i.name),
              seconds: kit.reduce((sum, i) => sum + (levelsOf(i.dose)[idealLevel(i.dose)]?.seconds ?? 0), 0),
            },
      first: [...new Set(work.map((d) => d.item.name))].slice(0, FIRST),
      drills: new Set(work.map((d) => d.item.id)).size,
      seconds: secondsDone(work),
      segments: fitTimeline(situation.fit),
      stops: found.filter((f) => f.severity === "stop").length,
      warnings: found.filter((f) => f.severity === "warn").length,
    };
  });
}
