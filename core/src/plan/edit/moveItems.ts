import type { Phase } from "../../words/phase";
import type { PlanBody, PlanItem } from "../plan";

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
