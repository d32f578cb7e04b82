import type { Setting } from "../conditions/setting";
import type { ShelfContent } from "./drillContent";
import type { Limits } from "./limits";
import type { PlanBody, PlanItem } from "./plan";

/** One change of a plan or of what is there on the day, as something that can be sent and applied later. */
export type Edit =
  | { kind: "change"; itemId: string; change: Partial<PlanItem> }
  | { kind: "replace"; itemId: string; drill: ShelfContent }
  | { kind: "remove"; itemId: string }
  /** Puts a drill in: before another, at the end (null), or where it belongs (left out). */
  | { kind: "insert"; drill: ShelfContent & Partial<PlanItem>; before?: string | null }
  /** Moves a drill before another, or to the end. */
  | { kind: "move"; itemId: string; before: string | null }
  | { kind: "wait"; change: Partial<PlanBody["wait"]> }
  | { kind: "limits"; change: Limits }
  | { kind: "setting"; change: Partial<Setting> };
