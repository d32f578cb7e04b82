import type { ProtectedArea } from "../athlete/profile";
import type { DrillDetails } from "../drill/details";
import { LINKS } from "../drill/links";
import type { BodyArea } from "../words/bodyArea";
import type { Phase } from "../words/phase";
import type { PlanItem } from "./plan";

/** The parts that are protected on a day. @param day as the calendar says it, yyyy-mm-dd */
export function protectedOn(areas: readonly ProtectedArea[], day: string): BodyArea[] {
  return areas.filter((p) => p.until === null || p.until >= day).map((p) => p.area);
}

/** A drill of the shelf, as far as this needs it. */
export interface Candidate {
  id: string;
  name: string;
  phase: Phase;
  intensity: number;
  details?: DrillDetails | undefined;
}

/** Which protected parts a drill loads. */
export function loadedOf(
  drill: { details?: DrillDetails | undefined },
  areas: readonly BodyArea[],
): BodyArea[] {
  return areas.filter((area) => drill.details?.loads.includes(area));
}

/** What to do in the place of one drill: the nearest that fits by its links, otherwise by phase and purpose; null where there is none. */
export function replacementFor<D extends Candidate>(
  item: PlanItem,
  shelf: readonly D[],
  fits: (drill: D) => boolean,
): D | null {
  return byLinks(item, new Map(shelf.map((d) => [d.id, d])), fits) ?? bySamePurpose(item, shelf, fits);
}

/** Breadth first along the links, harder ones left aside; every drill is looked at once, however they are linked. */
function byLinks<D extends Candidate>(
  item: PlanItem,
  byId: ReadonlyMap<string, D>,
  fits: (drill: D) => boolean,
): D | null {
  const ways = LINKS.filter((link) => link !== "harder").reverse();
  const queue = ways.map((link) => item.details?.[link] ?? null);
  const seen = new Set<string>();
  for (let k = 0; k < queue.length; k++) {
    const drill = byId.get(queue[k] ?? "");
    if (!drill || seen.has(drill.id)) continue;
    if (fits(drill)) return drill;
    seen.add(drill.id);
    queue.push(...ways.map((link) => drill.details?.[link] ?? null));
  }
  return null;
}

function bySamePurpose<D extends Candidate>(
  item: PlanItem,
  shelf: readonly D[],
  fits: (drill: D) => boolean,
): D | null {
  const purposes = item.details?.purposes ?? [];
  const same = shelf.filter(
    (d) => d.phase === item.phase && purposes.some((p) => d.details?.purposes.includes(p)) && fits(d),
  );
  const distance = (d: D) =>
    Math.abs(d.intensity - item.intensity) + (d.intensity > item.intensity ? 0.5 : 0);
  return same.toSorted((a, b) => distance(a) - distance(b))[0] ?? null;
}
