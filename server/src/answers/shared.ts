import {
  namesBodyPart,
  noDetails,
  type PlanBody,
  type PlanItem,
  type RunDrill,
  type RunEvent,
} from "@tonodrome/core";
import type { SharedPlan, SharedPress, SharedRun } from "@tonodrome/core/api";
import type { RunRow } from "../db/models/rows";

/*
 * What a link shows, made field by field: what a drill, a plan or a press gains later is not in it until it is named here.
 */

type SharedItem = SharedPlan["items"][number];
type SharedStep = SharedRun["plan"]["drills"][number];

/** A field where it is given; fields that are not are left out. */
const given = <T extends object>(fields: T): T =>
  Object.fromEntries(Object.entries(fields).filter(([, value]) => value !== undefined)) as T;

/** A warm-up as a link shows it. */
export function sharedPlanOf({ items, wait, stepPoints, limits }: PlanBody): SharedPlan {
  return given({ items: items.map(sharedItemOf), wait, stepPoints, limits });
}

function sharedItemOf(item: PlanItem): SharedItem {
  const { id, name, phase, priority, intensity, dose, focus, place } = item;
  const { restAfter, free, after, calm, wholePlace, alreadyOn } = item;
  return given({
    ...{ id, drillId: null, name, phase, priority, intensity, dose, focus, place },
    ...{ details: sharedDetailsOf(item.details), restAfter, free, after, calm, wholePlace, alreadyOn },
  });
}

function sharedDetailsOf(details: PlanItem["details"]): SharedItem["details"] {
  if (!details) return undefined;
  const { purposes, areas, space, equipment, people, cues, faults, cautions, called, flags } = details;
  return given({
    ...(noDetails() as NonNullable<SharedItem["details"]>),
    ...{ purposes, areas, space, equipment, people, cues, faults, called, flags },
    cautions: cautions.filter((caution) => !namesBodyPart(caution)),
  });
}

/** A run under way as a link shows it. */
export function sharedRunOf({ plan }: Pick<RunRow, "plan">, events: readonly RunEvent[]): SharedRun {
  const { drills, waitSeconds, startsAt, kind } = plan;
  return {
    plan: given({ drills: drills.map(sharedStepOf), waitSeconds, startsAt, kind }),
    events: events.flatMap((event) => sharedPressOf(event) ?? []),
  };
}

function sharedStepOf(step: RunDrill): SharedStep {
  const { itemId, name, phase, intensity, focus, place, words, plannedSeconds } = step;
  const { ladderId, level, actions, explosive, parts, gate, breath, called, wait } = step;
  return given({
    ...{ itemId, name, phase, intensity, focus, place, words, plannedSeconds },
    ...{ ladderId, level, actions, explosive, parts, gate, breath, called, wait },
  });
}

/** A press as a link shows it; null for what is the coach's own, or anybody else's. */
function sharedPressOf(event: RunEvent): SharedPress | null {
  const { id, at } = event;
  switch (event.kind) {
    case "begin":
    case "hold":
    case "release":
    case "end":
      return { id, at, kind: event.kind };
    case "done":
    case "skip":
    case "back":
    case "hit":
    case "miss":
      return given({ id, at, kind: event.kind, of: event.of });
    case "extend":
      return given({ id, at, kind: event.kind, of: event.of, seconds: event.seconds });
    case "jump":
      return { id, at, kind: event.kind, to: event.to };
    case "insert":
      return { id, at, kind: event.kind, drill: sharedStepOf(event.drill) };
    case "refit": {
      const drills = event.drills.map((step) => ("same" in step ? step : sharedStepOf(step)));
      const { waitSeconds, until } = event;
      return given({ id, at, kind: event.kind, drills, waitSeconds, until, line: "" as const });
    }
    case "undo":
      return { id, at, kind: event.kind, undoes: event.undoes };
    case "start-moved":
      return given({ id, at, kind: event.kind, startsAt: event.startsAt, simulated: event.simulated });
    default:
      return null;
  }
}
