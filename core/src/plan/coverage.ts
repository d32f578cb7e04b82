import type { BodyArea } from "../words/bodyArea";
import { wordKey } from "../words/sameWord";
import type { PlanItem } from "./plan";

/** One thing an event asks for, and the drills that touch it. */
export interface Covered<T> {
  what: T;
  /** Names of the drills that touch it, first to last; empty where it is left cold. */
  by: string[];
}

/** What a warm-up touches of what its event asks for. */
export interface Coverage {
  actions: Covered<string>[];
  areas: Covered<BodyArea>[];
  /** Both sides are covered by drills done on each side; the other side is cold when only the better one is. */
  sides: Covered<"better side" | "other side">[];
}

const same = (a: string, b: string) => wordKey(a) === wordKey(b);

/**
 * What the warm-up covers and what it leaves cold.
 * @param items drills that are done, in order: leave out what the fit leaves out
 */
export function coverageOf(
  items: readonly PlanItem[],
  asked: { actions: readonly string[]; areas: readonly BodyArea[] },
): Coverage {
  const names = (touches: (item: PlanItem) => boolean) => items.filter(touches).map((i) => i.name);
  const each = names((i) => sidesOf(i).includes("both"));
  const dominant = names((i) => sidesOf(i).includes("dominant"));
  return {
    actions: asked.actions.map((what) => ({ what, by: names((i) => touchesAction(i, what)) })),
    areas: asked.areas.map((what) => ({ what, by: names((i) => i.details?.areas.includes(what) ?? false) })),
    sides: [
      { what: "better side", by: [...each, ...dominant] },
      { what: "other side", by: each },
    ],
  };
}

/** An action is prepared by a drill that says so, and by a rung that bears its name. */
function touchesAction(item: PlanItem, action: string): boolean {
  if (item.details?.actions.some((a) => same(a, action))) return true;
  return item.dose.kind === "ladder" && item.dose.rungs.some((r) => same(r.label, action));
}

/** The sides of everything that is done in a drill. */
export function sidesOf({ dose }: Pick<PlanItem, "dose">): string[] {
  const doses = dose.kind === "ladder" ? dose.rungs.map((r) => r.dose) : [dose];
  return doses.flatMap((d) => ("sides" in d ? [d.sides] : []));
}
