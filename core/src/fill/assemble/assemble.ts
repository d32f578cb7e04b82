import { doseAt } from "../../dose/doseAt";
import { idealLevel } from "../../dose/levelsOf";
import { drillContent, shelfOrigin } from "../../plan/drillContent";
import { emptyPlan, MOST_DRILLS, type PlanBody, type PlanItem } from "../../plan/plan";
import { cutText } from "../../words/cutText";
import { LONGEST_NOTE } from "../../words/text";
import type { Chosen } from "../choose/choice";
import { needsKit } from "../choose/chooseKit";
import { inMobiliseOrder, leadingUpTo } from "../choose/chooseMobilise";
import { inApproachOrder } from "../choose/chooseTechnical";
import type { FillInput } from "../input/fillInput";
import type { FillRules } from "../input/rules";
import { affordable } from "./affordable";
import type { Frame } from "./frame";
import type { Parts } from "./parts";
import { placedOn, weatherItems } from "./weather";

/** Puts parts together: order, priorities, rests between hard efforts, kit where it belongs, the wait and the limits. */
export function assembled({ input, kit, shape, rules, scale }: Frame, parts: Parts): PlanBody {
  const { approach, event, setting, context, makeId } = input;
  const climb = inApproachOrder(parts.technical, { approach, event, shape, scale });
  const entry = (climb[0]?.choice.from ?? 0) - shape.step;
  const [withKit, before] = parted(inMobiliseOrder(parts.mobilise), (c) => needsKit(c.choice, kit));
  const placed = placedOn(setting, context);
  const items = (list: readonly Chosen[], more: Partial<PlanItem> = {}) =>
    list.map((c) => ({ ...itemOf(c, input), ...more }));
  const ordered = [
    ...items(parts.raise.toSorted((a, b) => a.choice.to - b.choice.to)).map(placed),
    ...items(withKit.length > 0 ? before : leadingUpTo(before, entry)).map(placed),
    ...items(kit, shape.kitOn ? { alreadyOn: true } : {}),
    ...items(leadingUpTo(withKit, entry)).map(placed),
    ...withBreathers(rules.breath, [
      ...items(climb),
      ...items(parts.prime.toSorted((a, b) => a.choice.from - b.choice.from)),
    ]),
    ...items(parts.warm, { calm: "keep-warm" }).map(placed),
    ...items(parts.mental, { calm: "quiet" }).map(placed),
    ...weatherItems(setting, rules.layersOff, makeId),
  ].slice(0, MOST_DRILLS);
  const body: PlanBody = {
    ...emptyPlan(),
    items: ordered,
    wait: {
      ...shape.wait,
      ...(approach.sides.wait === "rest-out" && !shape.isShort ? { times: rules.restTimes } : {}),
    },
    stepPoints: shape.step,
    limits: { explosiveReps: rules.explosive, easyPercent: approach.easyPercent },
    origin: { approach: approach.id, seed: input.seed },
  };
  return affordable(body, input.availableSeconds);
}

/** Rests between hard efforts that follow each other. */
function withBreathers({ effort, seconds }: FillRules["breath"], items: PlanItem[]): PlanItem[] {
  return items.map((item, i) => {
    const next = items[i + 1];
    const isHard = item.intensity >= effort && next !== undefined && next.intensity >= effort;
    return isHard && !item.restAfter ? { ...item, restAfter: { kind: "seconds", seconds } } : item;
  });
}

function parted(list: readonly Chosen[], is: (c: Chosen) => boolean): [yes: Chosen[], no: Chosen[]] {
  return [list.filter(is), list.filter((c) => !is(c))];
}

/** A chosen drill as the plan has it: what it grows to is its ideal, because spare time means to begin later. */
function itemOf({ choice, priority, why }: Chosen, { makeId }: Pick<FillInput, "makeId">): PlanItem {
  const content = drillContent(choice.drill);
  return {
    id: makeId(),
    ...shelfOrigin(choice.drill),
    ...content,
    priority,
    dose: doseAt(content.dose, idealLevel(content.dose)),
    why: cutText(why, LONGEST_NOTE),
  };
}
