import { coldBandOf } from "../../conditions/cold";
import { isHot } from "../../conditions/heat";
import type { Setting } from "../../conditions/setting";
import { noDetails } from "../../drill/details";
import { layersOff } from "../../plan/layersOff";
import type { PlanItem } from "../../plan/plan";
import type { FitContext } from "../../venue/context";
import { wordKey } from "../../words/sameWord";

const isCold = (setting: Setting) => coldBandOf(setting) !== "none";

/** What the weather changes, in sentences. */
export function weatherWords(setting: Setting): string[] {
  if (isCold(setting))
    return ["Cold outdoors: the raise is half as long again. Begin it indoors, in layers."];
  return isHot(setting)
    ? ["Hot: the raise is halved and there is no second priming. Keep to the shade, and drink."]
    : [];
}

/**
 * Moves general work to where it is done on the day: under a roof in the cold, into shade or under one in heat, where the day has
 * such a place; what has a place of the day already stays there, and a place that the day does not know is none.
 */
export function placedOn(setting: Setting, context: FitContext): (item: PlanItem) => PlanItem {
  const hot = isHot(setting);
  const shelter =
    hot || isCold(setting)
      ? setting.places?.find((p) => p.cover === "indoors" || (hot && p.cover === "shade"))
      : undefined;
  const known = new Set(context.places.map((p) => wordKey(p.name)));
  return (item) => {
    if (known.has(wordKey(item.place))) return item;
    if (shelter) return { ...item, place: shelter.name };
    return known.size > 0 ? { ...item, place: "" } : item;
  };
}

/** Things to do in the wait that the weather asks for: they are of no shelf. @param layersSeconds to take layers off */
export function weatherItems(setting: Setting, layersSeconds: number, makeId: () => string): PlanItem[] {
  if (isHot(setting)) return [{ id: makeId(), drillId: null, ...COOLING }];
  if (setting.layers !== true || !isCold(setting)) return [];
  const why = "Layers stay on in the wait: so long before the start they come off.";
  return [{ id: makeId(), drillId: null, ...layersOff(layersSeconds), why }];
}

/** A minute of it, half of one at the least. Custom. */
const COOLING: Omit<PlanItem, "id" | "drillId"> = {
  name: "Shade, drink and cool",
  phase: "prime",
  priority: "useful",
  intensity: 0,
  focus: "",
  place: "",
  calm: "quiet",
  why: "Hot: cooler in the wait is fresher at the start.",
  dose: {
    kind: "time",
    seconds: { floor: 30, ideal: 60, ceiling: 60 },
    step: 30,
    sides: "one",
    changeoverSeconds: 0,
  },
  details: { ...noDetails(), purposes: ["mental"] },
};
