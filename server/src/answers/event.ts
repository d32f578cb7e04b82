import type { ClubEvent } from "@tonodrome/core/api";
import type { EventTypeRow } from "../db/models/rows";

/** The answer for an event's row. */
export function toEvent({ id, version, archived, name, body }: EventTypeRow): ClubEvent {
  return { id, version, archived, name, ...body };
}
