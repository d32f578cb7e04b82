import type { Edit } from "./planEdit";

/** How grave a finding is: it must not stay so, it should not, or it is worth a thought. */
export type Severity = "stop" | "warn" | "hint";

/** What mends a finding with one press. */
export interface Mend {
  /** @example "A rung between" */
  words: string;
  /** What of several ways it is, where that matters elsewhere than in its words. */
  kind?: "top-up";
  /** What changes, all of it with one press. */
  edits: readonly Edit[];
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
