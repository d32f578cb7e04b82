import { sidesOf } from "../../plan/coverage";
import type { PlanItem } from "../../plan/plan";
import { check } from "../terms/check";
import { itemsDone } from "../terms/doing";

/** Drills for the better side, and none for the other. */
export const oneSideOnly = check({
  code: "one-side-only",
  name: "One side only",
  severity: "hint",
  when: "Drills are done on the better side and nothing on the other.",
  rests: "Forgetting a side is among the usual mistakes.",
  figures: {},
  find: ({ fit }) => {
    const items = itemsDone(fit);
    const sided = items.filter((i) => sidesOf(i).includes("dominant"));
    const [first] = sided;
    if (!first || items.some((i) => sidesOf(i).includes("both"))) return [];
    return [
      {
        itemId: first.id,
        words: `Only the better side is worked (${first.name}${sided.length > 1 ? ` and ${sided.length - 1} more` : ""}).`,
        mends: [
          {
            words: "Both sides",
            edits: [{ kind: "change", itemId: first.id, change: { dose: onBoth(first.dose) } }],
          },
        ],
      },
    ];
  },
});

function onBoth(dose: PlanItem["dose"]): PlanItem["dose"] {
  if (dose.kind === "ladder")
    return { ...dose, rungs: dose.rungs.map((r) => ({ ...r, dose: onBoth(r.dose) as typeof r.dose })) };
  return "sides" in dose && dose.sides === "dominant" ? { ...dose, sides: "both" } : dose;
}
