import type { DrillContent } from "../../plan/drillContent";
import { stepOfDrill } from "./freezeFit";
import type { RunDrill, RunPlan } from "./runPlan";

/** A cool-down is not made longer than this by what is added to it, seconds. */
const LONGEST = 900;

/**
 * A cool-down as a run of its own: the club's own drills for it, or else easy movement and slow breathing. It takes blood
 * and breath down and gives a moment to look back; it does not prevent soreness, so it is short.
 * @param drills the shelf's drills whose purpose it is
 * @param startsAt of the start it comes after, ISO 8601
 * @param makeId for each step
 */
export function coolDownOf(
  drills: readonly (DrillContent & { id?: string })[],
  startsAt: string,
  makeId: () => string,
): RunPlan {
  const chosen: RunDrill[] = [];
  let seconds = 0;
  for (const drill of drills.toSorted((a, b) => b.intensity - a.intensity)) {
    const step = stepOfDrill(drill, makeId());
    if (seconds + step.plannedSeconds > LONGEST) continue;
    chosen.push(step);
    seconds += step.plannedSeconds;
  }
  return {
    kind: "cool-down",
    startsAt,
    waitSeconds: 0,
    drills: chosen.length > 0 ? chosen : [easy(makeId()), breathing(makeId())],
  };
}

function easy(itemId: string): RunDrill {
  return {
    itemId,
    name: "Easy movement",
    phase: "raise",
    intensity: 20,
    focus: "Until you could talk in whole sentences",
    place: "",
    words: "4:00",
    plannedSeconds: 240,
  };
}

function breathing(itemId: string): RunDrill {
  return {
    itemId,
    name: "Slow breathing",
    phase: "mobilise",
    intensity: 5,
    focus: "One thing that was good",
    place: "",
    words: "2:00",
    plannedSeconds: 120,
    breath: true,
  };
}
