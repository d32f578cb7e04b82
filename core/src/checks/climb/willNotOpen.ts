import { gateDistribution } from "../../dose/kinds/gateDistribution";
import { type GateDose, triesUnderCap } from "../../dose/kinds/gateDose";
import type { Mend } from "../../plan/finding";
import { check } from "../terms/check";

/** A gate that is less likely to open within its cap than not. */
export const willNotOpen = check({
  code: "will-not-open",
  name: "Will not open",
  severity: "hint",
  when: "A gate is less likely than not to open within its cap.",
  rests: "The exact chance from the hits wanted, the chance of each and the tries that fit under the cap.",
  figures: {
    chance: { value: 50, unit: "%", least: 5, most: 95, words: "Least chance to open" },
  },
  find: ({ plan, doings }, { chance }) =>
    plan.items.flatMap((item) => {
      const { dose } = item;
      if (dose.kind !== "gate" || !doings.some((d) => d.item === item)) return [];
      const opens = Math.round(100 * chanceToOpen(dose, dose.hits.floor));
      if (opens >= chance) return [];
      return [
        {
          itemId: item.id,
          words: `${item.name} opens within its cap in ${opens} of 100 cases.`,
          mends: fewerHits(item.id, dose, chance),
        },
      ];
    }),
});

function chanceToOpen(dose: GateDose, hits: number): number {
  return gateDistribution(dose.rule, hits, dose.chancePercent / 100, triesUnderCap(dose)).at(-1) ?? 0;
}

function fewerHits(itemId: string, dose: GateDose, chance: number): Mend[] {
  for (let hits = dose.hits.floor - 1; hits >= 1; hits--) {
    if (100 * chanceToOpen(dose, hits) < chance) continue;
    const less = { ...dose, hits: { ...dose.hits, floor: hits, ideal: Math.min(dose.hits.ideal, hits) } };
    const words = hits === 1 ? "1 hit is enough" : `${hits} hits are enough`;
    return [{ words, edits: [{ kind: "change", itemId, change: { dose: less } }] }];
  }
  return [];
}
