import {
  type Meeting,
  mergePlans,
  type PlanBody,
  planBodySchema,
  tolerant,
  withoutBrokenPairs,
} from "@tonodrome/core";
import { type Plan, planSchema } from "@tonodrome/core/api";
import { ask, bodyOf } from "~/data/client/api";
import { keptKeys } from "~/data/device/storage";
import { type Conflict, type Draft, makeDrafts } from "~/data/outbox/drafts";

/** How long after the last edit a warm-up is saved by itself, and how long after no answer it is tried again, milliseconds. */
const PAUSE_MS = 1200;
const RETRY = 8000;

/** Before every edit that is kept, of whatever. */
const PREFIX = "draft:";
const UUID = /^[0-9a-f]{8}(-[0-9a-f]{4}){3}-[0-9a-f]{12}$/;

/** What is said where nobody knows what both began from. */
const WHOLE: readonly Meeting[] = [{ what: "The warm-up as a whole", mine: "yours", theirs: "theirs" }];

/** A newer plan that a save ran into, where what both changed cannot both be. */
export type PlanConflict = Conflict<Plan, Meeting>;

/** How many warm-ups, days and starts have edits that only this device knows. */
export const unsavedDrafts = (): number => keptKeys(PREFIX).length;

/** Merges an edit with what somebody else saved; where both changed one thing the user's or theirs count. */
export function planUpon(
  base: PlanBody | undefined,
  mine: PlanBody,
  theirs: Plan,
  side: "mine" | "theirs",
): PlanBody {
  if (base) return mergePlans(base, mine, theirs.body, side).body;
  return side === "mine" ? mine : theirs.body;
}

/** Edits of warm-ups, by the plan's id. */
export const planDrafts = makeDrafts<PlanBody, Plan, Meeting>({
  prefix: PREFIX,
  isKey: (key) => UUID.test(key),
  field: "body",
  read: (kept) => tolerant(planBodySchema).safeParse(kept).data,
  valueOf: ({ body }) => body,
  answerIn: (current) => tolerant(planSchema).safeParse(current).data,
  write: async ({ clubId, version, value }, planId) => {
    const body = await bodyOf("planWrite", { version, body: value });
    return ask("plan", "PUT", `/clubs/${clubId}/plans/${planId}`, body);
  },
  meet({ base, value }, theirs) {
    const { body, meetings } = mergePlans(base ?? theirs.body, value, theirs.body, "mine");
    return { together: body, meetings: base ? meetings : WHOLE };
  },
  upon: ({ base, value }, theirs, side) => planUpon(base, value, theirs, side),
  pause: PAUSE_MS,
  retry: RETRY,
  words: (count) => (count === 1 ? "1 warm-up" : `${count} warm-ups`),
});

/** An edit as it is kept: a pair whose drills were moved apart, or of which one is gone, is no pair any more. */
export function editedPlan(
  draft: Draft<PlanBody> | null,
  from: Plan,
  clubId: string,
  change: (body: PlanBody) => PlanBody,
): Draft<PlanBody> | null {
  const now = draft?.value ?? from.body;
  const changed = change(now);
  const items = withoutBrokenPairs(changed.items);
  const next = items === changed.items ? changed : { ...changed, items };
  if (next === now) return null;
  return { ...(draft ?? { clubId, version: from.version, base: from.body }), clubId, value: next };
}
