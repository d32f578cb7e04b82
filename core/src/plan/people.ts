import type { Dose } from "../dose/dose";
import type { PlainDose } from "../dose/kinds/plainDose";
import type { Finding, Mend } from "./finding";
import type { PlanItem } from "./plan";

/**
 * Drills that need more people than are there.
 * @param people at hand besides the athlete
 */
export function peopleFindings(
  items: readonly Pick<PlanItem, "id" | "name" | "dose" | "details">[],
  people: number,
): Finding[] {
  return items.flatMap((item, i): Finding[] => {
    const needed = Math.max(hasPartner(item.dose) ? 1 : 0, (item.details?.people ?? 1) - 1);
    if (needed <= people) return [];
    const there = people === 0 ? "nobody is" : people === 1 ? "1 is" : `${people} are`;
    return [
      {
        code: "nobody-for-it",
        severity: "warn",
        where: ["plan", "items", i],
        itemId: item.id,
        words: `It takes ${needed === 1 ? "somebody" : `${needed} people`} besides the athlete, and ${there} at hand on this start.`,
        mends: mendsOf(item),
      },
    ];
  });
}

const hasPartner = (dose: Dose): boolean =>
  dose.kind === "ladder" ? dose.rungs.some((r) => r.dose.partner) : dose.partner !== undefined;

function alone(dose: PlainDose): PlainDose {
  const { partner: _, ...rest } = dose;
  return rest;
}

/** Alone it can be done where only the dose asks for two. */
function mendsOf({ id, dose, details }: Pick<PlanItem, "id" | "dose" | "details">): Mend[] {
  if (!hasPartner(dose) || (details?.people ?? 1) > 1) return [];
  const change =
    dose.kind === "ladder"
      ? { ...dose, rungs: dose.rungs.map((r) => ({ ...r, dose: alone(r.dose) })) }
      : alone(dose);
  return [{ words: "Do it alone", edits: [{ kind: "change", itemId: id, change: { dose: change } }] }];
}
