import type { BodyArea } from "../../words/bodyArea";
import { listOf } from "../../words/listOf";
import type { FillInput } from "../input/fillInput";
import { type Choice, type Chosen, choiceSeconds, hasPurpose } from "./choice";
import { NOTHING_LEFT } from "./fillUp";
import { best } from "./pick";

/** Greedily whatever warms most of what is still cold: the event's areas and those that the technical part loads. */
export function chooseMobilise(
  choices: readonly Choice[],
  { approach, event }: FillInput,
  { raise, technical }: { raise: readonly Chosen[]; technical: readonly Chosen[] },
  seconds: number,
  gaps: string[],
): Chosen[] {
  const wanted = new Set<BodyArea>([
    ...(event?.areas ?? []),
    ...technical.flatMap((t) => t.choice.details?.loads ?? []),
  ]);
  const holds = approach.sides.stretching === "short-holds";
  const pool = choices.filter(
    (c) => c.drill.phase === "mobilise" && (holds || !c.details?.flags.includes("static-hold")),
  );
  const cold = new Set(wanted);
  for (const { choice } of raise) for (const area of choice.details?.areas ?? []) cold.delete(area);
  const picked: Chosen[] = [];
  let left = seconds;
  const warms = (c: Choice) => (c.details?.areas ?? []).filter((a) => cold.has(a));
  const hasRoom = (c: Choice) =>
    picked.length === 0 || c.kept || (left >= NOTHING_LEFT && choiceSeconds(c) <= left * 1.25);
  for (;;) {
    const rest = pool.filter((c) => !picked.some((p) => p.choice === c) && hasRoom(c));
    const choice = best(rest, (c) => warms(c).length * 12 + c.lean + (hasPurpose(c, "activate") ? 2 : 0));
    if (!choice) break;
    const areas = warms(choice);
    for (const area of areas) cold.delete(area);
    picked.push({
      choice,
      priority: areas.length > 0 ? "useful" : choice.drill.priority === "essential" ? "useful" : "extra",
      why:
        areas.length > 0
          ? `Warms ${listOf(areas)}, which ${areas.length === 1 ? "is" : "are"} used.`
          : "Fills the time of this part with something of its purpose.",
    });
    left -= choiceSeconds(choice);
  }
  if (picked[0]) picked[0].priority = "essential";
  if (cold.size > 0) gaps.push(`Nothing warms ${listOf([...cold])} before the sport's own actions.`);
  return picked.toSorted((a, b) => place(a.choice) - place(b.choice));
}

/** Held stretches early, what taxes the brain late, otherwise from easy to hard. */
function place(c: Choice): number {
  if (c.details?.flags.includes("static-hold")) return c.drill.intensity - 200;
  return c.drill.intensity + (hasPurpose(c, "coordinate") ? 200 : hasPurpose(c, "activate") ? 50 : 0);
}
