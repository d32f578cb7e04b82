import { drillContent } from "@tonodrome/core";
import type { Drill } from "@tonodrome/core/api";
import type { DrillRow } from "../db/models/rows";

/** Its content as it was sent: what is not known of it is left out. */
export function contentOf(row: DrillRow) {
  const { name, phase, priority, intensity, dose, focus, place, details } = row;
  return drillContent({
    name,
    phase,
    priority,
    intensity,
    dose,
    focus,
    place,
    details: details ?? undefined,
  });
}

/** The answer for a drill's row. */
export function toDrill(row: DrillRow): Drill {
  const { id, version, archived, changedAt } = row;
  return { id, version, archived, changedAt: changedAt.toISOString(), ...contentOf(row) };
}
