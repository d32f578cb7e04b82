import { levelsOf } from "../dose/levelsOf";
import type { Phase } from "../plan/phase";
import type { PlanItem } from "../plan/plan";

/** Whose importance gives way first when even the floors do not fit: the touch of effort, then mobility, then warmth. */
const GIVES_WAY: readonly Phase[] = ["prime", "mobilise", "raise", "technical"];

const floorOf = (item: PlanItem) => levelsOf(item.dose)[0]?.seconds ?? 0;

/**
 * The same drills with as many of them essential as there is time for at their floors; the rest are useful. The first
 * raise and the first technical drill give way last of their parts, and kit never does.
 * @param seconds of drills that there is time for
 */
export function affordable(items: readonly PlanItem[], seconds: number): PlanItem[] {
  let now = [...items];
  const total = () => now.reduce((sum, i) => sum + (i.priority === "essential" ? floorOf(i) : 0), 0);
  for (const phase of GIVES_WAY) {
    while (total() > seconds) {
      const at = now.findLastIndex((i) => i.phase === phase && i.priority === "essential");
      if (at < 0) break;
      now = now.with(at, { ...(now[at] as PlanItem), priority: "useful" });
    }
  }
  return now;
}
