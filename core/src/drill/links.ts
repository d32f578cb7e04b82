import type { Fault } from "../words/fault";
import type { DrillDetails } from "./details";

/** What an alternative is to the drill that names it. */
export type LinkName = "easier" | "harder" | "instead";

/** All of them. */
export const LINKS: readonly LinkName[] = ["easier", "harder", "instead"];

/** A drill as far as its links are concerned. */
export interface Linked {
  id: string;
  name: string;
  details?: Pick<DrillDetails, LinkName> | undefined;
}

/** A fault of one of a drill's links. */
interface LinkFault extends Fault {
  path: [LinkName];
}

/**
 * What is wrong with a drill's links, or null. Every drill named must be on the shelf, none may be itself, and the ways
 * to easier and to harder drills may not come back to where they began. Drills of the same purpose may name each other.
 * @param drill as it is to be; @param shelf the drills it stands beside, with or without itself
 */
export function linkFault(drill: Linked, shelf: readonly Linked[]): LinkFault | null {
  return linkFaultIn(drill, new Map(shelf.map((d) => [d.id, d])));
}

/** The same where a shelf is asked about many of its drills: by its drills' ids, the drill itself among them or not. */
export function linkFaultIn(drill: Linked, shelf: ReadonlyMap<string, Linked>): LinkFault | null {
  const byId = { get: (id: string) => (id === drill.id ? drill : shelf.get(id)) };
  for (const link of LINKS) {
    const to = drill.details?.[link];
    if (!to) continue;
    if (to === drill.id)
      return { path: [link], message: "A drill cannot be its own alternative: choose another." };
    if (!byId.get(to)) return { path: [link], message: "This drill is not on the shelf. Choose another." };
    if (link === "instead") continue;
    const circle = circleFrom(drill, link, byId);
    if (circle) {
      return {
        path: [link],
        message: `These lead round in a circle: ${circle.join(", ")}. Take one of the links out.`,
      };
    }
  }
  if (drill.details?.easier && drill.details.easier === drill.details.harder)
    return { path: ["harder"], message: "One drill cannot be both the easier and the harder one." };
  return null;
}

/** Names on the way from a drill along one link back to itself, or null when it does not come back. */
function circleFrom(
  drill: Linked,
  link: LinkName,
  byId: Pick<ReadonlyMap<string, Linked>, "get">,
): string[] | null {
  const names = [drill.name];
  const seen = new Set([drill.id]);
  for (let at = byId.get(drill.details?.[link] ?? ""); at; at = byId.get(at.details?.[link] ?? "")) {
    names.push(at.name);
    if (at.id === drill.id) return names;
    // A circle further on is not this drill's doing, and not its way back.
    if (seen.has(at.id)) return null;
    seen.add(at.id);
  }
  return null;
}
