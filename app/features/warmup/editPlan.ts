import {
  type DrillContent,
  drillContent,
  PHASES,
  type Phase,
  type PlanBody,
  type PlanItem,
} from "@tonodrome/core";
import { v4 as uuid } from "uuid";

/** Changes of a plan as small steps, each giving a new plan and leaving the old one as it was. */

/**
 * Copies a drill from the shelf into the plan: after the last one of its phase or of an earlier phase, and a technical
 * one where it keeps the climb even.
 */
export function addDrill(
  body: PlanBody,
  drill: DrillContent & { id: string },
): { body: PlanBody; id: string } {
  const item: PlanItem = { id: uuid(), drillId: drill.id, ...drillContent(drill) };
  return { body: { ...body, items: body.items.toSpliced(placeFor(body.items, item), 0, item) }, id: item.id };
}

function placeFor(items: readonly PlanItem[], item: PlanItem): number {
  // Kit is done wherever the place changes, so it goes to the end and is moved from there.
  if (item.phase === "kit") return items.length;
  if (item.phase === "technical") {
    const harder = items.findIndex((i) => i.phase === "technical" && i.intensity > item.intensity);
    if (harder >= 0) return harder;
  }
  const rank = (phase: Phase) => PHASES.indexOf(phase);
  return items.findLastIndex((i) => i.phase !== "kit" && rank(i.phase) <= rank(item.phase)) + 1;
}

/** Changes one drill of the plan. */
export function changeItem(body: PlanBody, id: string, change: Partial<PlanItem>): PlanBody {
  return { ...body, items: body.items.map((i) => (i.id === id ? { ...i, ...change } : i)) };
}

/** Takes one drill out. */
export function removeItem(body: PlanBody, id: string): PlanBody {
  return { ...body, items: body.items.filter((i) => i.id !== id) };
}

/** Moves one drill to the place of another. */
export function moveItem(body: PlanBody, id: string, toIndex: number): PlanBody {
  const item = body.items.find((i) => i.id === id);
  if (!item) return body;
  const others = body.items.filter((i) => i.id !== id);
  const at = Math.min(Math.max(0, toIndex), others.length);
  return { ...body, items: others.toSpliced(at, 0, item) };
}
