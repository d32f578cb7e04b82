import type { EventType } from "../event/eventType";
import { wordKey } from "../words/sameWord";
import type { DrillContent } from "./drillContent";

/** A drill, as far as this needs it. */
type SportDrill = Pick<DrillContent, "phase" | "place" | "details">;

/** Whether a drill of the shelf belongs to the event's sport, or to none in particular. */
export type OfSport = (drill: SportDrill) => boolean;

/**
 * Tells the drills of the event's sport from those of the others on the shelf: they prepare one of its actions, or are done
 * where one that does is done. General drills, which name neither an action nor such a place, are of every sport. Without
 * an event, or where nothing prepares it, everything is.
 */
export function sportOf(
  shelf: readonly SportDrill[],
  event: Pick<EventType, "actions" | "places"> | null,
): OfSport {
  const actions = new Set(event?.actions.map(wordKey));
  const prepares = ({ details }: SportDrill) =>
    details?.actions.some((a) => actions.has(wordKey(a))) ?? false;
  const isOwn = ({ phase }: SportDrill) => phase === "technical" || phase === "prime";
  const own = shelf.filter((d) => isOwn(d) && prepares(d));
  if (own.length === 0) return () => true;
  // Where the event names its places, an action of the same name done elsewhere is another sport's.
  const named = new Set(event?.places.map(wordKey));
  const isNamed = own.some((d) => named.has(wordKey(d.place)));
  const places = isNamed ? named : new Set(own.map((d) => wordKey(d.place)));
  const isThere = ({ place }: SportDrill) => places.has(wordKey(place));
  const isOther = (d: SportDrill) => isOwn(d) && !isThere(d) && (d.details?.actions.length ?? 0) > 0;
  const others = new Set(shelf.filter(isOther).map((d) => wordKey(d.place)));
  const kitThere = shelf.some((d) => d.phase === "kit" && isThere(d));
  return (drill) => {
    if (drill.phase === "kit") return isThere(drill) || (!kitThere && others.size === 0);
    const isGeneral = (drill.details?.actions.length ?? 0) === 0;
    if (isThere(drill)) return true;
    // Nobody has said where: what it prepares tells.
    if (drill.place.trim() === "") return isGeneral || prepares(drill);
    if (drill.phase === "technical" || others.has(wordKey(drill.place))) return false;
    return isGeneral || prepares(drill);
  };
}
