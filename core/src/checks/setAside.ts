import type { Known } from "../conditions/setting";
import { hashOf } from "../maths/hash";
import type { Finding } from "../plan/finding";
import type { PlanBody } from "../plan/plan";

/** A finding, and who knows of it: null while nobody does. */
export interface Noted {
  finding: Finding;
  known: Known | null;
}

/** What a finding is about, in short: another whenever the drill, or for the plan as a whole the sentence, has changed. */
export function markOf(
  { itemId, words }: Pick<Finding, "itemId" | "words">,
  { items }: Pick<PlanBody, "items">,
): string {
  const item = items.find((i) => i.id === itemId);
  return hashOf(item ? JSON.stringify(item) : words);
}

/** Findings with what was said of them before. */
export function noted(
  findings: readonly Finding[],
  plan: Pick<PlanBody, "items">,
  known: readonly Known[] = [],
): Noted[] {
  return findings.map((finding) => ({
    finding,
    known:
      known.find(
        (k) => k.code === finding.code && k.itemId === finding.itemId && k.mark === markOf(finding, plan),
      ) ?? null,
  }));
}

/** A finding as it is set aside. */
export function knownOf(
  finding: Pick<Finding, "code" | "itemId" | "words">,
  plan: Pick<PlanBody, "items">,
  { reason, by }: Pick<Known, "reason" | "by">,
): Known {
  return { code: finding.code, itemId: finding.itemId, mark: markOf(finding, plan), reason, by };
}
