import { coldBandOf } from "../../conditions/cold";
import { heatBandOf } from "../../conditions/heat";
import type { RunDrill, RunPlan } from "../steps/runPlan";

/** What is to be heeded before a drill, in a line: what its coach wrote down, or what holds for every lift and load with a partner. */
export function cautionFor(
  { source }: Pick<RunPlan, "source">,
  { ladderId, itemId }: RunDrill,
): string | null {
  const item = source?.plan.items.find((i) => i.id === (ladderId ?? itemId));
  if (!item) return null;
  const { details, dose } = item;
  const hasPartner = (details?.people ?? 1) > 1 || (dose.kind !== "ladder" && dose.partner !== undefined);
  if (hasPartner && (details?.loads.length ?? 0) > 0)
    return "Matched or lighter partner, stable base, only where the surface is safe.";
  return details?.cautions[0] ?? null;
}

/** What the weather asks for before a warm-up begins; null where it asks for nothing. */
export function weatherCaution({ conditions }: Pick<RunPlan, "conditions">): string | null {
  if (!conditions) return null;
  const heat = heatBandOf(conditions);
  if (heat === "very-hot")
    return "Very hot: the shortest version, in the shade, with cooling. The venue's rule comes first.";
  if (heat === "hot") return "Hot: shorten it, shade, drink; watch for confusion.";
  if (heat === "warm") return "Warm: shade, and drink.";
  const cold = coldBandOf(conditions);
  return cold === "none" ? null : "Cold outdoors: begin gently, layers on in every wait, dry and covered.";
}
