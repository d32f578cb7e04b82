import type { Fit } from "../../fit/fit";
import { spokenLength } from "../../time/clock";

/** Why the essentials do not fit: by how much time, and what besides; empty when they do. */
export function whyNot(
  { state, missingSeconds }: Pick<Fit, "state" | "missingSeconds">,
  culprit: string | null,
): string {
  if (state !== "short") return "";
  const time = missingSeconds > 0 ? `The essentials need ${spokenLength(missingSeconds)} more.` : "";
  return [time, culprit ?? ""].filter(Boolean).join(" ") || "The essentials do not fit.";
}
