import { insteadOf } from "../mends/instead";
import { check } from "../terms/check";

/** A lift or load with a partner and no safe surface named for it. */
export const partnerUnmatched = check({
  code: "partner-not-matched",
  name: "Partner not matched",
  severity: "warn",
  when: "A drill lifts or loads with a partner and names no space that is safe for it.",
  rests:
    "Partner lifts and loads: a matched or lighter partner, a stable base, only where the surface is safe.",
  figures: {
    effort: { value: 40, unit: "%", least: 0, most: 100, words: "Effort from which it counts" },
  },
  find: (situation, { effort }) =>
    situation.plan.items.flatMap((item) => {
      const { details, dose } = item;
      const hasPartner = (details?.people ?? 1) > 1 || (dose.kind !== "ladder" && dose.partner !== undefined);
      const isLoad = (details?.loads.length ?? 0) > 0 && item.intensity >= effort;
      if (!hasPartner || !isLoad || (details?.space ?? "") !== "") return [];
      return [
        {
          itemId: item.id,
          words: `${item.name} loads with a partner: only with a matched or lighter one, on a surface that is safe for it.`,
          mends: insteadOf(situation, item),
        },
      ];
    }),
});
