import { cutText } from "../../words/cutText";
import type { MakeId } from "../../words/makeId";
import { MOST_DRILLS, type PlanBody, type PlanItem } from "../plan";

/** Splits a circuit into its movements and a ladder into its rungs; anything else has no pieces and stays as it is. */
export function splitItem(body: PlanBody, id: string, makeId: MakeId): PlanBody {
  const item = body.items.find((i) => i.id === id);
  const pieces = item ? piecesOf(item, makeId) : [];
  if (pieces.length < 2 || body.items.length + pieces.length - 1 > MOST_DRILLS) return body;
  return { ...body, items: body.items.flatMap((i) => (i.id === id ? pieces : [i])) };
}

/** Whether a drill has pieces that it can be split into. */
export function canSplit({ dose }: PlanItem): boolean {
  if (dose.kind === "circuit") return dose.movements.length > 1;
  return dose.kind === "ladder" && dose.rungs.length > 1;
}

function piecesOf(item: PlanItem, makeId: MakeId): PlanItem[] {
  const { dose, why: _, drillVersion: __, ...rest } = item;
  if (dose.kind === "ladder") {
    return dose.rungs.map((rung) => ({
      ...rest,
      id: makeId(),
      drillId: null,
      name: `${cutText(item.name, 55)}: ${rung.label || `${rung.intensity} %`}`,
      intensity: rung.intensity,
      dose: rung.dose,
      focus: rung.focus || item.focus,
    }));
  }
  if (dose.kind !== "circuit") return [];
  return dose.movements.map((movement) => {
    const seconds = movement.seconds * dose.rounds.ideal;
    return {
      ...rest,
      id: makeId(),
      drillId: null,
      name: movement.name,
      dose: {
        kind: "time" as const,
        seconds: { floor: movement.seconds, ideal: seconds, ceiling: seconds },
        step: Math.min(600, movement.seconds),
        sides: "one" as const,
        changeoverSeconds: 0,
      },
    };
  });
}
