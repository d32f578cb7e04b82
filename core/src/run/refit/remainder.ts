import { noDetails } from "../../drill/details";
import { type CountedTotal, isCountedIn } from "../../plan/counted";
import type { PlanBody, PlanItem } from "../../plan/plan";
import { restOwed } from "../../plan/rest";
import { climbPartOf } from "../../plan/stepRule";
import { type FitContext, LONGEST_DAY } from "../../venue/context";
import { runClock } from "../live/runClock";
import type { RunState, Split } from "../log/state";
import { elapsedSeconds } from "../log/stepChange";
import type { RunPlan } from "../steps/runPlan";

/** What is left of a run, as a plan of its own on a day of its own. */
export interface Remainder {
  plan: PlanBody;
  context: FitContext;
  availableSeconds: number;
  /** The item that stands for the drill under way; null when none is. */
  currentId: string | null;
}

/**
 * What is left of a run at a moment, to be fitted by the same solver: the drill under way as long as it still takes, and
 * every drill of the plan that comes after what has begun, whether the fit had kept it or not.
 * @param now milliseconds since the epoch
 * @returns null when the run does not know what it was fitted from, or is over
 */
export function remainderOf(run: RunPlan, state: RunState, now: number): Remainder | null {
  const { source } = run;
  if (!source || state.status === "ended" || now >= state.startsAt) return null;
  const begun = begunItems(state);
  const last = source.plan.items.findLastIndex((i) => begun.has(i.id));
  const current = currentItem(source.plan.items, state, now);
  const items = source.plan.items.flatMap((item, at) => {
    const rest = restOf(item, state, begun);
    return rest && (at > last || begun.has(item.id) || mayStill(source.plan.items, at, last)) ? [rest] : [];
  });
  const inserted = insertedSteps(source.plan.items, state).map((s) => asItem(s.drill));
  const split = state.splits[state.index];
  // A wait under way has its least still to go, and what was added to it.
  const least = split?.drill.wait
    ? Math.max(0, split.drill.wait.leastSeconds - elapsedSeconds(state, now)) + split.extendedSeconds
    : 0;
  return {
    plan: {
      ...source.plan,
      items: withoutLostPairs([...(current ? [current] : []), ...inserted, ...items], begun),
      ...limitsLeft(source),
    },
    context: contextLeft(run, source.context, state),
    availableSeconds: Math.min(LONGEST_DAY, Math.floor((state.startsAt - now) / 1000 - least)),
    currentId: current?.id ?? null,
  };
}

/** What is free may be done as long as its own part goes on. */
function mayStill(items: readonly PlanItem[], at: number, last: number): boolean {
  const { free, phase } = items[at] as PlanItem;
  return free === true && items.slice(at, last + 1).every((i) => i.phase === phase);
}

/** Steps still to come that the plan does not have: drills that were put in. */
export function insertedSteps(items: readonly PlanItem[], { splits }: RunState): Split[] {
  const ids = new Set(items.map((i) => i.id));
  return splits.filter(
    (s) => s.outcome === "pending" && !s.drill.wait && !ids.has(s.drill.ladderId ?? s.drill.itemId),
  );
}

/** Ids of the plan's items of which something has begun. */
function begunItems({ splits }: RunState): Set<string> {
  return new Set(
    splits
      .filter((s) => s.outcome !== "pending" && !s.drill.wait)
      .map((s) => s.drill.ladderId ?? s.drill.itemId),
  );
}

/** An item as it is still to be done; null when nothing of it is. A ladder goes on with the rungs above. */
function restOf(item: PlanItem, { splits }: RunState, begun: ReadonlySet<string>): PlanItem | null {
  if (!begun.has(item.id)) return item;
  const { dose } = item;
  if (dose.kind !== "ladder") return null;
  const over = new Set(splits.filter((s) => s.outcome !== "pending").map((s) => s.drill.itemId));
  const reached = dose.rungs.findLastIndex((r) => over.has(r.id));
  const rungs = dose.rungs.slice(reached + 1);
  if (rungs.length === 0) return null;
  return {
    ...item,
    dose: { ...dose, rungs, leastRungs: Math.max(1, Math.min(rungs.length, dose.leastRungs - reached - 1)) },
  };
}

/** Least length of a dose of time, seconds. */
const SHORTEST = 5;

/** The drill under way as an item that takes what is left of it, with the place and the rest that it has. */
function currentItem(items: readonly PlanItem[], state: RunState, now: number): PlanItem | null {
  const split = state.splits[state.index];
  if (state.status !== "under-way" || !split || split.drill.wait) return null;
  const { drill } = split;
  const item = items.find((i) => i.id === (drill.ladderId ?? drill.itemId));
  const seconds = Math.max(SHORTEST, Math.ceil(runClock(state, now).remaining));
  const { free: _, after: __, ...from } = item ?? asItem(drill);
  return {
    ...from,
    id: drill.itemId,
    priority: "essential",
    // It is under way, so it gives way last; the effort that it leaves the climb at is known to the day.
    phase: "kit",
    // Nothing waits for it: it is being done.
    details: { ...(from.details ?? noDetails()), flags: ["no-condition" as const] },
    intensity: drill.intensity,
    dose: fixedTime(seconds),
    ...(item?.restAfter
      ? {
          restAfter: {
            kind: "seconds" as const,
            seconds: Math.max(1, restOwed(item.restAfter, workOf(split))),
          },
        }
      : {}),
  };
}

/** Seconds of work in a drill as it was planned. */
function workOf({ drill, plannedSeconds }: Split): number {
  const parts = drill.parts?.filter((p) => p.kind === "work");
  return parts?.reduce((sum, p) => sum + p.seconds, 0) ?? plannedSeconds;
}

/** A drill that was put in during the run is no item of the plan: it takes what it takes. */
function asItem({
  itemId: id,
  name,
  phase,
  intensity,
  focus,
  place,
  plannedSeconds,
}: Split["drill"]): PlanItem {
  const seconds = Math.max(SHORTEST, plannedSeconds);
  return {
    ...{ id, name, phase, intensity, focus, place },
    drillId: null,
    priority: "essential",
    dose: fixedTime(seconds),
  };
}

function fixedTime(seconds: number): PlanItem["dose"] {
  return {
    kind: "time",
    seconds: { floor: seconds, ideal: seconds, ceiling: seconds },
    step: 5,
    sides: "one",
    changeoverSeconds: 0,
  };
}

/** A drill that had to follow one that has been begun may be done; one whose leader was passed over may not. */
function withoutLostPairs(items: PlanItem[], begun: ReadonlySet<string>): PlanItem[] {
  const freed = items.map((item): PlanItem => {
    if (item.after === undefined || !begun.has(item.after)) return item;
    const { after: _, ...rest } = item;
    return rest;
  });
  let kept = freed;
  for (;;) {
    const ids = new Set(kept.map((i) => i.id));
    const next = kept.filter((i) => i.after === undefined || ids.has(i.after));
    if (next.length === kept.length) return kept;
    kept = next;
  }
}

/** Whether the climb goes on from a step of the run. */
function leadsOn({ itemId, ladderId, phase }: Split["drill"], items: readonly PlanItem[]): boolean {
  return climbPartOf(items.find((i) => i.id === (ladderId ?? itemId)) ?? { phase }) !== null;
}

/** Windows stay by the clock when the start moves; fixed points move with it. The climb goes on from where it is. */
function contextLeft(run: RunPlan, context: FitContext, state: RunState): FitContext {
  const moved = Math.round((state.startsAt - Date.parse(run.startsAt)) / 1000);
  const within = (seconds: number) => Math.max(-LONGEST_DAY, Math.min(LONGEST_DAY, seconds - moved));
  const items = run.source?.plan.items ?? [];
  const climbed = state.splits.filter(
    (s) => !s.drill.wait && (s.outcome === "done" || s.outcome === "under-way") && leadsOn(s.drill, items),
  );
  const reached = climbed.at(-1)?.drill.intensity;
  return {
    ...context,
    places: context.places.map((p) => {
      const windows = p.windows
        .map((w) => ({ ...w, fromSeconds: within(w.fromSeconds), toSeconds: within(w.toSeconds) }))
        .filter((w) => w.fromSeconds < w.toSeconds);
      // All its windows gone by is not open all day.
      return { ...p, windows: p.windows.length > 0 && windows.length === 0 ? [LONG_GONE] : windows };
    }),
    ...(reached === undefined ? {} : { reached }),
    spent: spentOf(items, state),
  };
}

const LONG_GONE = {
  fromSeconds: -LONGEST_DAY,
  toSeconds: -LONGEST_DAY + 1,
  room: "all" as const,
  turns: 1,
};

/** The easy share is no longer asked for: it is the beginning of a warm-up that is easy, and that is over. */
function limitsLeft({ plan }: NonNullable<RunPlan["source"]>): Pick<PlanBody, "limits"> {
  const { easyPercent: _, ...limits } = plan.limits ?? {};
  return { limits: Object.keys(limits).length === 0 ? undefined : limits };
}

/** What is used of the limits on repetitions: by what has begun, and by what was put in and will be done whatever else is. */
function spentOf(items: readonly PlanItem[], state: RunState): NonNullable<FitContext["spent"]> {
  const inserted = new Set(insertedSteps(items, state));
  const used = state.splits.filter((s) => !s.drill.wait && (s.outcome !== "pending" || inserted.has(s)));
  const total = (of: CountedTotal) =>
    used
      .filter(({ drill }) => isCountedIn(of, drill.phase, drill.explosive === true))
      .reduce((sum, s) => sum + actionsIn(s), 0);
  return { volume: total("volume"), explosive: total("explosive") };
}

/** Actions of a step: the tries really made at a gate that has begun, otherwise those planned. */
function actionsIn({ drill, tries, outcome }: Split): number {
  if (drill.gate && outcome !== "pending") return tries.length;
  return outcome === "skipped" ? 0 : (drill.actions ?? 0);
}
