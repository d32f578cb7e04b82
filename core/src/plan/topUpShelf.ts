import type { EventType } from "../event/eventType";
import type { ShelfContent } from "./drillContent";
import { sportOf } from "./ofSport";
import { type Circumstances, obstacleTo } from "./usable";

/** Drills of the shelf that a top-up may be made of: of the event's sport or of none, and such as can be used on the day. */
export function topUpShelf<D extends ShelfContent>(
  shelf: readonly D[],
  circumstances: Circumstances,
  event: Pick<EventType, "actions" | "places"> | null,
): D[] {
  const isOfSport = sportOf(shelf, event);
  return shelf.filter((d) => isOfSport(d) && obstacleTo(d, circumstances) === null);
}
