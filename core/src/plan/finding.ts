import type { PlanItem } from "./plan";

/** How grave a finding is: it must not stay so, it should not, or it is worth a thought. */
export type Severity = "stop" | "warn" | "hint";

/** What mends a finding with one press. */
export interface Mend {
  /** @example "Allow 25 points" */
  words: string;
  /** What changes of the drill that the finding is about. */
  change: Partial<PlanItem>;
}

/** Everything that is said about a plan has this one shape. */
export interface Finding {
  /** What kind of thing it is: "steep-step". */
  code: string;
  severity: Severity;
  /** The field of the plan and its day, as a fault has it. */
  where: readonly (string | number)[];
  /** The drill that it is about; null for the plan as a whole. */
  itemId: string | null;
  /** A sentence with what is the matter and what to do about it. */
  words: string;
  /** What mends it, the best first; none where only the coach can know. */
  mends: readonly Mend[];
}
