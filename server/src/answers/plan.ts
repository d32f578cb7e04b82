import type { Plan } from "@tonodrome/core/api";
import type { PlanRow } from "../db/models/rows";

/** The answer for a plan's row. */
export function toPlan({ id, version, body }: PlanRow): Plan {
  return { id, version, body };
}
