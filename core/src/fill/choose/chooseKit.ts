import { wordKey } from "../../words/sameWord";
import type { Choice, Chosen } from "./choice";

/** Kit that cannot be left out stands before the sport's own actions. */
export function chooseKit(choices: readonly Choice[]): Chosen[] {
  return choices
    .filter((c) => c.drill.phase === "kit" && c.drill.priority === "essential")
    .toSorted((a, b) => b.lean - a.lean)
    .slice(0, 2)
    .map((choice) => ({
      choice,
      priority: "essential",
      why: "Kit that has to be ready before the sport's own actions.",
    }));
}

/** Whether a drill cannot be done before a change of kit: they name a piece of equipment in common. */
export function needsKit(c: Choice, kit: readonly Chosen[]): boolean {
  const pieces = new Set(kit.flatMap((k) => k.choice.details?.equipment.map(wordKey) ?? []));
  return c.details?.equipment.some((e) => pieces.has(wordKey(e))) ?? false;
}
