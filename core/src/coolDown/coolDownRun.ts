import type { CoolDownStep } from "../plan/coolDown";
import type { RunPlan } from "../run/steps/runPlan";
import { formatLength } from "../time/clock";

/**
 * A cool-down as a run of its own.
 * @param startsAt of the start it comes after, ISO 8601
 */
export function coolDownRun(steps: readonly CoolDownStep[], startsAt: string): RunPlan {
  return {
    kind: "cool-down",
    startsAt,
    waitSeconds: 0,
    drills: steps.map(({ id, name, intensity, seconds, focus, drillId, breath }) => ({
      ...{ itemId: id, name, phase: breath ? "mobilise" : "raise", intensity, focus, place: "" },
      ...{ words: formatLength(seconds), plannedSeconds: seconds },
      ...(drillId ? { drillId } : {}),
      ...(breath ? { breath } : {}),
    })),
  };
}
