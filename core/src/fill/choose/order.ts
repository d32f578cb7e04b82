import type { Approach } from "../../approach/approaches";
import type { ScaleItem } from "../../athlete/scale";
import { wordKey } from "../../words/sameWord";
import type { Choice, Chosen } from "./choice";
import { steepGap } from "./climb";
import { best } from "./pick";

/** From easy to hard; or what is least sure as soon as the climb allows it; or something secure at the end. */
export function orderedClimb(climb: Chosen[], approach: Approach, scale: readonly ScaleItem[]): Chosen[] {
  const { order } = approach.sides;
  const sureness = (c: Choice) => chanceOf(c, scale);
  if (order === "needs-first") return needsFirst(climb, approach.stepPoints, sureness);
  if (order === "secure-last") return secureLast(climb, approach.stepPoints, sureness);
  return climb;
}

function needsFirst(climb: Chosen[], points: number, sureness: (c: Choice) => number): Chosen[] {
  const [first, ...others] = climb;
  if (!first) return [];
  const ordered = [first];
  let rest = others;
  while (rest.length > 0) {
    const level = ordered.at(-1)?.choice.to ?? 0;
    const allowed = rest.filter((c) => c.choice.from - level <= points);
    const next = best(allowed, (c) => 100 - sureness(c.choice) + c.choice.to / 10) ?? (rest[0] as Chosen);
    ordered.push(next);
    rest = rest.filter((c) => c !== next);
  }
  return ordered;
}

/** The surest drill below the top goes to the end, of those without which the climb stays even. */
function secureLast(climb: Chosen[], points: number, sureness: (c: Choice) => number): Chosen[] {
  const top = reachOf(climb);
  const without = (one: Chosen) => climb.filter((c) => c !== one);
  const candidates = climb
    .slice(1)
    .filter(
      (c) => c.choice.drill.dose.kind !== "ladder" && c.choice.to < top && !steepGap(without(c), points),
    );
  const secure = best(candidates, (c) => sureness(c.choice) + c.choice.to / 4);
  if (!secure) return climb;
  return [...without(secure), { ...secure, why: `${secure.why} Last, because it is secure.` }];
}

const reachOf = (climb: readonly Chosen[]) => Math.max(...climb.map((c) => c.choice.to));

/** How often a drill succeeds, per cent: by its gate, by the athlete's scale, otherwise by how far it is from full. */
function chanceOf({ drill, details, to }: Choice, scale: readonly ScaleItem[]): number {
  if (drill.dose.kind === "gate") return drill.dose.chancePercent;
  const names = [drill.name, ...(details?.actions ?? [])].map(wordKey);
  const known = scale.find((item) => names.some((n) => n.includes(wordKey(item.name))));
  return known?.chancePercent ?? 100 - to / 2;
}
