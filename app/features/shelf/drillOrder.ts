import { PHASES } from "@tonodrome/core";
import type { ShelfDrill } from "@tonodrome/core/api";

/** By part of the warm-up, changed last first, or used most first. */
export type DrillOrder = "phase" | "recent" | "used";

/** Drills of the shelf in the order that was chosen. */
export function inOrder(drills: readonly ShelfDrill[], order: DrillOrder): ShelfDrill[] {
  switch (order) {
    case "phase":
      return drills.toSorted((a, b) => PHASES.indexOf(a.phase) - PHASES.indexOf(b.phase));
    case "recent":
      return drills.toSorted((a, b) => Date.parse(b.changedAt) - Date.parse(a.changedAt));
    case "used":
      return drills.toSorted((a, b) => b.uses - a.uses);
  }
}
