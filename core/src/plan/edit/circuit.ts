import { MOST_MOVEMENTS } from "../../dose/kinds/circuitDose";
import { idealLevel, levelsOf } from "../../dose/levelsOf";
import { type DrillDetails, noDetails } from "../../drill/details";
import { cutText } from "../../words/cutText";
import type { MakeId } from "../../words/makeId";
import { PRIORITIES } from "../../words/priority";
import { LONGEST_NAME } from "../../words/text";
import type { PlanBody, PlanItem } from "../plan";

/** Why drills cannot become one circuit, in a sentence; null when they can. */
export function circuitFault(items: readonly PlanItem[]): string | null {
  if (items.length < 2) return "Choose two drills or more for a circuit.";
  if (items.length > MOST_MOVEMENTS) return `A circuit has at most ${MOST_MOVEMENTS} movements.`;
  if (items.some((i) => i.phase === "kit")) return "Kit cannot be part of a circuit.";
  return items.some((i) => i.dose.kind === "ladder" || i.dose.kind === "circuit")
    ? "Ladders and circuits cannot be part of a circuit: split them first."
    : null;
}

/** Makes one circuit of several drills, where the first of them stands; the plan as it was where that cannot be. */
export function groupIntoCircuit(body: PlanBody, ids: readonly string[], makeId: MakeId): PlanBody {
  const chosen = body.items.filter((i) => ids.includes(i.id));
  const [first] = chosen;
  if (!first || circuitFault(chosen)) return body;
  const one = { floor: 1, ideal: 1, ceiling: 3 };
  const circuit: PlanItem = {
    id: makeId(),
    drillId: null,
    name: cutText(`Circuit: ${chosen.map((i) => i.name).join(", ")}`, LONGEST_NAME),
    phase: first.phase,
    priority: PRIORITIES.find((p) => chosen.some((i) => i.priority === p)) ?? "useful",
    intensity: Math.max(...chosen.map((i) => i.intensity)),
    dose: {
      kind: "circuit",
      movements: chosen.map((i) => {
        const level = levelsOf(i.dose)[idealLevel(i.dose)];
        const metres = level?.volume.unit === "metres" ? Math.min(1000, level.volume.amount) : 0;
        return {
          name: cutText(i.name, 60),
          seconds: Math.min(900, Math.max(5, level?.seconds ?? 30)),
          metres,
          breather: i.details?.flags.includes("breather") ?? false,
        };
      }),
      rounds: one,
      restSeconds: 5,
      roundRestSeconds: 30,
    },
    focus: first.focus,
    place: first.place,
    details: together(chosen.flatMap((i) => (i.details ? [i.details] : []))),
  };
  const at = body.items.indexOf(first);
  const rest = body.items.map((i) => (i === first ? circuit : i)).filter((i) => !chosen.includes(i));
  return at < 0 ? body : { ...body, items: rest };
}

/** What is known of several drills as of one. */
function together(all: readonly DrillDetails[]): DrillDetails {
  const union = <T>(of: (d: DrillDetails) => readonly T[], most: number) =>
    [...new Set(all.flatMap(of))].slice(0, most);
  return {
    ...noDetails(),
    purposes: union((d) => d.purposes, 4),
    areas: union((d) => d.areas, 15),
    loads: union((d) => d.loads, 15),
    actions: union((d) => d.actions, 12),
    equipment: union((d) => d.equipment, 12),
    cautions: union((d) => d.cautions, 4),
    people: Math.max(1, ...all.map((d) => d.people)),
    leastAge: Math.max(0, ...all.map((d) => d.leastAge)),
  };
}
