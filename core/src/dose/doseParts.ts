import { kindOf, type PlainDose } from "./kinds/plainDose";
import { restBesidePartner } from "./terms/bouts";
import type { DosePart } from "./terms/part";
import type { Partner } from "./terms/partner";
import { rest, type TakenLevel } from "./terms/taken";

/** A dose taken apart into what is counted through while it is run. The seconds of the parts add up to the level's. */
export function doseParts(dose: PlainDose, level: TakenLevel): DosePart[] {
  const { bouts, between, after } = kindOf(dose).bouts(dose, level);
  // At a gate nobody counts whose try it is.
  const together = dose.kind === "gate" && dose.partner?.mode === "alternating";
  return withPartner(bouts, between, after, together ? undefined : dose.partner).filter((p) => p.seconds > 0);
}

/**
 * In turn: each bout is followed by the partner's, which is rest from it. Roles swapped: all of it again, after the
 * changeover.
 */
function withPartner(
  bouts: readonly DosePart[][],
  between: DosePart,
  after: number,
  partner: Partner | undefined,
): DosePart[] {
  const inTurn = partner?.mode === "alternating";
  const alone = bouts.flatMap((bout, n) => {
    const own = bout.reduce((sum, p) => sum + p.seconds, 0);
    const turn: DosePart = { kind: "rest", words: "Partner's turn", seconds: own };
    const gap = inTurn ? restBesidePartner(between.seconds, own) : between.seconds;
    return [
      ...bout,
      ...(inTurn ? [turn] : []),
      ...(n < bouts.length - 1 ? [{ ...between, seconds: gap }] : []),
    ];
  });
  const parts = [...alone, rest(after)];
  if (partner?.mode !== "swapped") return parts;
  const swap: DosePart = { kind: "change", words: "Swap roles", seconds: partner.changeoverSeconds };
  return [...parts, swap, ...parts];
}
