import {
  type DrillContent,
  type DrillDetails,
  drillContent,
  idealLevel,
  levelsOf,
  MOST_DRILLS,
  MOST_MOVEMENTS,
  noDetails,
  PHASES,
  type Phase,
  type PlanBody,
  type PlanItem,
  PRIORITIES,
} from "@tonodrome/core";
import { v4 as uuid } from "uuid";

/** Changes of a plan as small steps, each giving a new plan and leaving the old one as it was. */

/**
 * Copies a drill from the shelf into the plan: after the last one of its phase or of an earlier phase, a technical one
 * where it keeps the climb even, and kit before the sport's own work.
 */
export function addDrill(
  body: PlanBody,
  drill: DrillContent & { id: string },
): { body: PlanBody; id: string } {
  const copy: PlanItem = { id: uuid(), drillId: drill.id, ...drillContent(drill) };
  // The same ladder twice in a plan is run rung by rung all the same: no two rungs may be taken for one.
  const taken = new Set(body.items.flatMap(rungIds));
  const item = rungIds(copy).some((id) => taken.has(id)) ? withOwnIds(copy) : copy;
  return { body: { ...body, items: body.items.toSpliced(placeFor(body.items, item), 0, item) }, id: item.id };
}

const rungIds = ({ dose }: PlanItem): string[] => (dose.kind === "ladder" ? dose.rungs.map((r) => r.id) : []);

function placeFor(items: readonly PlanItem[], item: PlanItem): number {
  const isOwn = ({ phase }: PlanItem) => phase === "technical" || phase === "prime";
  // Kit is put on for the sport's own work, which is not done without it; where else it is done, it is moved to.
  if (item.phase === "kit") {
    const own = items.findIndex(isOwn);
    return own < 0 ? items.length : own;
  }
  if (item.phase === "technical") {
    const harder = items.findIndex((i) => i.phase === "technical" && i.intensity > item.intensity);
    if (harder >= 0) return harder;
  }
  const rank = (phase: Phase) => PHASES.indexOf(phase);
  const before = (i: PlanItem) => (i.phase === "kit" ? isOwn(item) : rank(i.phase) <= rank(item.phase));
  return items.findLastIndex(before) + 1;
}

/** Changes one drill of the plan. */
export function changeItem(body: PlanBody, id: string, change: Partial<PlanItem>): PlanBody {
  return { ...body, items: body.items.map((i) => (i.id === id ? { ...i, ...change } : i)) };
}

/** Takes drills out. */
export function removeItems(body: PlanBody, ids: readonly string[]): PlanBody {
  return { ...body, items: body.items.filter((i) => !ids.includes(i.id)) };
}

/** Puts a drill of the shelf in the place of another, as important as that was. */
export function replaceItem(body: PlanBody, id: string, drill: DrillContent & { id: string }): PlanBody {
  const old = body.items.find((i) => i.id === id);
  if (!old) return body;
  const { priority } = old;
  const item = {
    id,
    drillId: drill.id,
    ...drillContent(drill),
    priority,
    // Not what for: what is said of health stays with the athlete.
    why: `Instead of ${old.name}.`.slice(0, 200),
  };
  return { ...body, items: body.items.map((i) => (i.id === id ? item : i)) };
}

/**
 * Moves one drill to the place of another. Between two drills of one other part it becomes part of that, so that
 * dragging moves it between parts; kit stays kit, wherever it is done.
 */
export function moveItem(body: PlanBody, id: string, toIndex: number): PlanBody {
  const item = body.items.find((i) => i.id === id);
  if (!item) return body;
  const others = body.items.filter((i) => i.id !== id);
  const at = Math.min(Math.max(0, toIndex), others.length);
  if (body.items[at]?.id === id) return body;
  const moved = { ...item, phase: phaseBetween(item.phase, others[at - 1], others[at]) };
  return { ...body, items: others.toSpliced(at, 0, moved) };
}

function phaseBetween(phase: Phase, before: PlanItem | undefined, after: PlanItem | undefined): Phase {
  if (phase === "kit" || before?.phase === "kit" || after?.phase === "kit") return phase;
  const [above, below] = [before?.phase, after?.phase];
  return above && below && above === below ? above : phase;
}

/** Moves several drills one place, keeping their order; they stop together at the ends. */
export function moveItems(body: PlanBody, ids: readonly string[], by: -1 | 1): PlanBody {
  const items = [...body.items];
  const order = items.map((_, i) => i);
  if (by > 0) order.reverse();
  const edge = by < 0 ? 0 : items.length - 1;
  if (ids.includes(items[edge]?.id ?? "")) return body;
  for (const i of order) {
    const item = items[i] as PlanItem;
    if (!ids.includes(item.id)) continue;
    const other = items[i + by] as PlanItem;
    items[i + by] = item;
    items[i] = other;
  }
  return { ...body, items };
}

/** The same drills once more, each right after itself. */
export function duplicateItems(body: PlanBody, ids: readonly string[]): PlanBody {
  if (body.items.length + ids.length > MOST_DRILLS) return body;
  return {
    ...body,
    items: body.items.flatMap((i) => (ids.includes(i.id) ? [i, withOwnIds(i)] : [i])),
  };
}

/** The same drill with ids of its own, rungs included. */
export function withOwnIds(item: PlanItem): PlanItem {
  const { dose } = item;
  if (dose.kind !== "ladder") return { ...item, id: uuid() };
  return { ...item, id: uuid(), dose: { ...dose, rungs: dose.rungs.map((r) => ({ ...r, id: uuid() })) } };
}

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
export function groupIntoCircuit(body: PlanBody, ids: readonly string[]): PlanBody {
  const chosen = body.items.filter((i) => ids.includes(i.id));
  const [first] = chosen;
  if (!first || circuitFault(chosen)) return body;
  const one = { floor: 1, ideal: 1, ceiling: 3 };
  const circuit: PlanItem = {
    id: uuid(),
    drillId: null,
    name: `Circuit: ${chosen.map((i) => i.name).join(", ")}`.slice(0, 120).trim(),
    phase: first.phase,
    priority: PRIORITIES.find((p) => chosen.some((i) => i.priority === p)) ?? "useful",
    intensity: Math.max(...chosen.map((i) => i.intensity)),
    dose: {
      kind: "circuit",
      movements: chosen.map((i) => {
        const level = levelsOf(i.dose)[idealLevel(i.dose)];
        const metres = level?.volume.unit === "metres" ? Math.min(1000, level.volume.amount) : 0;
        return {
          name: i.name.slice(0, 60).trim(),
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

/** Splits a circuit into its movements and a ladder into its rungs; anything else has no parts and stays as it is. */
export function splitItem(body: PlanBody, id: string): PlanBody {
  const item = body.items.find((i) => i.id === id);
  const parts = item ? partsOf(item) : [];
  if (parts.length < 2 || body.items.length + parts.length - 1 > MOST_DRILLS) return body;
  return { ...body, items: body.items.flatMap((i) => (i.id === id ? parts : [i])) };
}

/** Whether a drill has parts that it can be split into. */
export function canSplit({ dose }: PlanItem): boolean {
  if (dose.kind === "circuit") return dose.movements.length > 1;
  return dose.kind === "ladder" && dose.rungs.length > 1;
}

function partsOf(item: PlanItem): PlanItem[] {
  const { dose, why: _, ...rest } = item;
  if (dose.kind === "ladder") {
    return dose.rungs.map((rung) => ({
      ...rest,
      id: uuid(),
      drillId: null,
      name: `${item.name.slice(0, 55)}: ${rung.label || `${rung.intensity} %`}`,
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
      id: uuid(),
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
