import { mayTopUpWithEffort } from "../../age/ageRules";
import { type TopUp, topUpFor } from "../../forecast/answers/topUp";
import { topUpLine } from "../../forecast/answers/topUpLine";
import { shelfContentOf } from "../../plan/drillContent";
import type { Mend } from "../../plan/finding";
import { topUpShelf } from "../../plan/topUpShelf";
import { obstacleTo } from "../../plan/usable";
import type { Situation } from "../terms/situation";

/** What brings readiness back for a start that is so much later; null when nothing is needed or worth it. */
export function topUpOf(situation: Situation, delaySeconds: number): TopUp | null {
  const { plan, wholeDay, around, shelf, circumstances, context, event, approach, age } = situation;
  const drills = [
    ...plan.items.map(shelfContentOf).filter((d) => obstacleTo(d, circumstances) === null),
    ...topUpShelf(shelf, circumstances, event),
  ];
  const isCalm = event?.effort === "precision" || approach?.sides.peak === "below";
  const isClosed = context.points.some((p) => p.closesPractice && p.fromSeconds < 0);
  return topUpFor({
    pieces: wholeDay,
    around,
    delaySeconds,
    drills,
    withEffort: !isCalm && !isClosed && mayTopUpWithEffort(age),
    waitSeconds: plan.wait.leastSeconds,
  });
}

/** Puts a top-up into the plan, after everything else. */
export function topUpMend(topUp: TopUp | null): Mend[] {
  if (!topUp) return [];
  return [
    {
      kind: "top-up",
      words: `Top up: ${topUpLine(topUp)}`,
      edits: topUp.steps.map(({ drill }) => ({
        kind: "insert",
        drill: {
          ...drill,
          priority: "useful",
          // Easy movement in the wait is keeping warm, whatever it is on the shelf.
          ...(drill.phase === "raise" ? { calm: "keep-warm" as const } : {}),
        },
        before: null,
      })),
    },
  ];
}
