import type { ProtectedArea } from "../athlete/profile";
import type { DrillDetails } from "../drill/details";
import { LINKS } from "../drill/links";
import type { BodyArea } from "../words/bodyArea";
import type { Phase } from "../words/phase";
import type { Finding } from "./finding";
import type { PlanItem } from "./plan";

/** The parts to be spared on a day. @param day as the calendar says it, yyyy-mm-dd */
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

/** A drill that loads a part to be spared, and what to do instead: null for leaving it out. */
export interface Replacement<D extends Candidate> extends Finding {
  item: PlanItem;
  /** The protected parts it loads. */
  loads: BodyArea[];
  /** What to do instead; null when the shelf has nothing, and it is better left out. */
  to: D | null;
}

/** Which protected parts a drill loads. */
export function loadedOf(
  drill: { details?: DrillDetails | undefined },
  areas: readonly BodyArea[],
): BodyArea[] {
  return areas.filter((area) => drill.details?.loads.includes(area));
}

/**
 * An alternative for each drill of a plan that loads a protected part: the nearest by its own links (another of the same
 * purpose, then an easier one, and on from there), otherwise the one of the same phase and purpose nearest in intensity.
 * Nothing that the plan already has is proposed twice.
 */
export function replacements<D extends Candidate>(
  items: readonly PlanItem[],
  shelf: readonly D[],
  areas: readonly BodyArea[],
): Replacement<D>[] {
  if (areas.length === 0) return [];
  const byId = new Map(shelf.map((d) => [d.id, d]));
  const taken = new Set(items.flatMap((i) => (i.drillId ? [i.drillId] : [])));
  return items.flatMap((item, i): Replacement<D>[] => {
    const loads = loadedOf(item, areas);
    if (loads.length === 0) return [];
    const fits = (d: D) => !taken.has(d.id) && loadedOf(d, areas).length === 0;
    const to = byLinks(item, byId, fits) ?? bySamePurpose(item, shelf, fits);
    if (to) taken.add(to.id);
    const words = `Loads the ${loads.join(", the ")}, to be spared on this day.`;
    const about = { where: ["plan", "items", i], itemId: item.id, words, mends: [] };
    return [{ code: "loads-spared", severity: "warn", ...about, item, loads, to }];
  });
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
