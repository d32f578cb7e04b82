import type { QueryClient } from "@tanstack/query-core";
import type { PlanBody } from "@tonodrome/core";
import type { Plan } from "@tonodrome/core/api";
import { type EditHistory, noHistory } from "./editHistory";

/** What was edited of a plan in this visit, and the versions that these edits became. */
export interface RememberedEdits {
  history: EditHistory<PlanBody>;
  ours: Set<number>;
}

/** Most plans whose edits can still be taken back after one has left them. */
const MOST_REMEMBERED = 12;

/** By the client of whoever is signed in, so that nothing of another club is taken back. */
const remembered = new WeakMap<QueryClient, Map<string, RememberedEdits>>();

/** What can be taken back of a plan: what was edited in this visit, as long as nobody else has saved since. */
export function rememberedOf(client: QueryClient, plan: Plan): RememberedEdits {
  const all = remembered.get(client) ?? new Map<string, RememberedEdits>();
  remembered.set(client, all);
  const before = all.get(plan.id);
  all.delete(plan.id);
  const now = before?.ours.has(plan.version) ? before : { history: noHistory, ours: new Set([plan.version]) };
  all.set(plan.id, now);
  const [oldest] = all.keys();
  if (all.size > MOST_REMEMBERED && oldest !== undefined) all.delete(oldest);
  return now;
}
