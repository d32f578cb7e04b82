import { usualSetting } from "../../conditions/setting";
import { joined, type Piece } from "../../forecast/model/piece";
import { type Surroundings, surroundingsOf } from "../../forecast/model/surroundings";
import { runTimeline } from "../live/runTimeline";
import type { RunState } from "../log/state";
import type { RunDrill, RunPlan } from "../steps/runPlan";

/**
 * A run as stretches of constant effort, relative to its start as it now stands: what is over as long as it took, what is
 * to come as long as is planned.
 * @param now milliseconds since the epoch
 */
export function runPieces(plan: RunPlan, state: RunState, now: number): Piece[] {
  const drills = new Map(state.splits.map((s) => [s.key, s.drill]));
  const items = new Map(plan.source?.plan.items.map((i) => [i.id, i]) ?? []);
  return joined(
    runTimeline(state, now).map(({ kind, key, itemId, intensity, fromSeconds, toSeconds }): Piece => {
      const drill = kind === "drill" ? drills.get(key) : undefined;
      const item = items.get(itemId);
      const isStill = !drill || drill.phase === "kit" || item?.calm === "quiet";
      const share = drill ? shareOf(drill) : 0;
      const isHeld = item?.details?.flags.includes("static-hold") === true;
      return {
        fromSeconds,
        toSeconds,
        effort: isStill ? 0 : intensity / 100,
        share,
        hold: isHeld && item?.details ? { seconds: heldIn(drill), areas: item.details.areas } : null,
      };
    }),
  );
}

/** The share of a step that is work; all of it where it is not counted through. */
function shareOf({ parts }: RunDrill): number {
  const all = parts?.reduce((sum, p) => sum + p.seconds, 0) ?? 0;
  if (!parts || all === 0) return 1;
  return parts.filter((p) => p.kind === "work").reduce((sum, p) => sum + p.seconds, 0) / all;
}

/** The longest that is held without a change. */
const heldIn = (drill: RunDrill | undefined): number =>
  Math.max(
    0,
    ...(drill?.parts?.filter((p) => p.kind === "work").map((p) => p.seconds) ?? []),
    drill?.parts ? 0 : (drill?.plannedSeconds ?? 0),
  );

/** What it is like where it is run, as far as the run knows. What is known of the athlete's training it does not. */
export function runSurroundings({ conditions }: RunPlan): Surroundings {
  return surroundingsOf(conditions ?? usualSetting(), null);
}
