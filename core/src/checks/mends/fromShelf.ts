import type { ShelfContent } from "../../plan/drillContent";
import type { Mend } from "../../plan/finding";
import { obstacleTo } from "../../plan/usable";
import type { Situation } from "../terms/situation";

/** The first drill of the shelf that can be used on the day, is not in the plan yet and is wanted, the easiest first. */
export function fromShelf(
  { shelf, plan, circumstances }: Pick<Situation, "shelf" | "plan" | "circumstances">,
  isWanted: (drill: ShelfContent) => boolean,
): ShelfContent | null {
  const taken = new Set(plan.items.map((i) => i.drillId));
  const fits = shelf.filter(
    (d) => !taken.has(d.id ?? null) && isWanted(d) && obstacleTo(d, circumstances) === null,
  );
  return fits.toSorted((a, b) => a.intensity - b.intensity)[0] ?? null;
}

/** Adds a drill of the shelf where it belongs; nothing where the shelf has none. */
export function addFromShelf(
  situation: Pick<Situation, "shelf" | "plan" | "circumstances">,
  isWanted: (drill: ShelfContent) => boolean,
  more: { before?: string | null; calm?: "quiet" | "keep-warm" } = {},
): Mend[] {
  const drill = fromShelf(situation, isWanted);
  if (!drill) return [];
  const { calm, ...place } = more;
  return [
    {
      words: `Add ${drill.name}`,
      edits: [{ kind: "insert", drill: { ...drill, ...(calm ? { calm } : {}) }, ...place }],
    },
  ];
}
