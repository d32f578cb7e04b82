import type { Mend } from "../../plan/finding";
import { spokenLength } from "../../time/clock";
import type { Situation } from "../terms/situation";

/** Shorter waits to propose, seconds: the shortest is what a compact warm-up has. Custom. */
const SHORTER = [300, 180];

/** A shorter least wait, where that is what the wait is made of. */
export function waitMends({ plan, fit }: Pick<Situation, "plan" | "fit">): Mend[] {
  const shorter = SHORTER.find((s) => s < plan.wait.leastSeconds);
  if (shorter === undefined || fit.waitSeconds > plan.wait.leastSeconds) return [];
  return [
    {
      words: `Wait ${spokenLength(shorter)}`,
      edits: [{ kind: "wait", change: { leastSeconds: shorter } }],
    },
  ];
}
