import type { Athlete } from "@tonodrome/core/api";
import type { AthleteRow } from "../db/models/rows";

/** The answer for an athlete's row. */
export function toAthlete({ id, version, name, profile }: AthleteRow): Athlete {
  return { id, version, name, profile };
}
