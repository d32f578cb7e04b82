import { sessionKindOf, wantsVariety } from "../../conditions/sessionKind";
import type { Mend } from "../../plan/finding";
import { fromShelf } from "../mends/fromShelf";
import { check } from "../terms/check";
import { contentOf, sameContent } from "../terms/content";
import type { Situation } from "../terms/situation";

/** The same content again and again where the approach varies it. */
export const tooMuchSame = check({
  code: "too-much-the-same",
  name: "Too much the same",
  severity: "hint",
  when: "The last warm-ups had the same content and the approach wants variety, or it is training.",
  rests: "One school varies drills so that the body does not get used to them.",
  figures: {
    runs: { value: 5, unit: "warm-ups", least: 2, most: 20, words: "With the same content" },
  },
  find: (situation, { runs }) => {
    const { plan, approach, earlier, setting } = situation;
    if (!wantsVariety(setting, approach?.sides.variety) || earlier.length < runs) return [];
    if (!earlier.slice(0, runs).every((run) => sameContent(run.drillIds, contentOf(plan)))) return [];
    return [
      {
        words: `The last ${runs} warm-ups had the same drills, and ${sessionKindOf(setting) === "competition" ? "this approach varies them" : "in training they vary"}.`,
        mends: otherDrills(situation),
      },
    ];
  },
});

/** As many drills changed for others of the same purpose, as easy or easier, as it takes to be another content. */
function otherDrills(situation: Situation): Mend[] {
  const before = contentOf(situation.plan);
  let plan = situation.plan;
  const edits: { kind: "replace"; itemId: string; drill: NonNullable<ReturnType<typeof fromShelf>> }[] = [];
  for (const item of situation.plan.items) {
    if (!sameContent(before, contentOf(plan))) break;
    if (item.phase === "kit" || !item.drillId) continue;
    const to = fromShelf(
      { ...situation, plan },
      (d) =>
        d.phase === item.phase &&
        d.intensity <= item.intensity &&
        (d.details?.purposes.some((p) => item.details?.purposes.includes(p)) ?? false),
    );
    if (!to?.id) continue;
    edits.push({ kind: "replace", itemId: item.id, drill: to });
    const drillId = to.id;
    plan = { ...plan, items: plan.items.map((i) => (i.id === item.id ? { ...i, drillId } : i)) };
  }
  return edits.length > 0 ? [{ words: `${edits.length} other drills`, edits }] : [];
}
