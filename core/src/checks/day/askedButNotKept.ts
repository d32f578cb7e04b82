import { remarksOn } from "../../fit/explain/remarks";
import { check } from "../terms/check";

/** What the plan asks for and the day cannot give: places it does not know, limits that cannot be computed. */
export const askedButNotKept = check({
  code: "asked-but-not-kept",
  name: "Asked for, but not kept",
  severity: "warn",
  when: "A drill names a place that the day does not have, or a limit goes by figures that nobody has written down.",
  rests: "The exact fit: what it leaves out of account it says.",
  figures: {},
  find: ({ plan, context }) =>
    remarksOn(plan, context).map(({ itemId, where, words }) => ({
      itemId: itemId ?? undefined,
      where,
      words,
    })),
});
