import { type Conditions, conditionsOf } from "../../conditions/setting";
import { doseParts } from "../../dose/doseParts";
import type { GateDose } from "../../dose/kinds/gateDose";
import type { PlainDose } from "../../dose/kinds/plainDose";
import { idealLevel, levelsOf } from "../../dose/levelsOf";
import type { DoseLevel, LevelCount } from "../../dose/terms/level";
import { sideCount } from "../../dose/terms/sides";
import type { Fit, Placement } from "../../fit/fit";
import { type Idle, type IdleReason, idleLine } from "../../fit/idle";
import type { GroupMember } from "../../group/group";
import { isExplosive } from "../../plan/counted";
import type { DrillContent } from "../../plan/drillContent";
import type { PlanBody, PlanItem } from "../../plan/plan";
import { spokenLength } from "../../time/clock";
import type { FitContext } from "../../venue/context";
import { cutText } from "../../words/cutText";
import { LONGEST_NAME, LONGEST_NOTE } from "../../words/text";
import type { RunDrill, RunPlan } from "./runPlan";

/** What a run keeps besides its steps. */
export interface RunBackground {
  plan: PlanBody;
  context: FitContext;
  /** What it is like on the day. */
  conditions?: Conditions;
  /** Kit to check before the start. */
  kit?: readonly string[];
  /** Who warms up together; left out for one athlete alone. */
  group?: readonly GroupMember[] | undefined;
}

/**
 * Freezes a fit into what a run follows. Drills left out are not in it; a ladder is run rung by rung; a gap after a drill
 * (a way, a rest, a fixed point) is a wait of its own.
 * @param startsAt ISO 8601
 * @param background what the rest is fitted from when the day changes; without it a run is never re-fitted
 */
export function runPlanOf(fit: Fit, startsAt: string, background?: RunBackground): RunPlan {
  const { plan, context, conditions, kit = [], group } = background ?? {};
  return {
    ...fitSteps(fit, Date.parse(startsAt)),
    startsAt,
    ...(plan && context ? { source: { plan, context } } : {}),
    ...(conditions ? { conditions: conditionsOf(conditions) } : {}),
    ...(kit.length > 0 ? { kit: [...kit] } : {}),
    ...(group ? { group: [...group] } : {}),
  };
}

/** The steps of a run. */
export type RunSteps = Pick<RunPlan, "drills" | "waitSeconds">;

/**
 * The steps of a fit.
 * @param startsAt milliseconds since the epoch
 */
export function fitSteps(fit: Fit, startsAt: number): RunSteps {
  return stepsOfKept(
    fit,
    fit.placements.filter((p) => p.level),
    startsAt,
  );
}

/** Less time in hand than this is not waited for, seconds. */
const NOTABLE = 30;

/**
 * The steps of a fit whose first item is under way: those after it. The fit has everything as late as can be, but what is
 * under way is done now, so that the time in hand comes after it; after the rest of the ladder, where it is a rung of one.
 * @param goesOn whether what is placed is the rest of that ladder, and may begin as soon as it can
 */
export function stepsAfter(
  fit: Fit,
  startsAt: number,
  currentId: string,
  goesOn: (next: Placement) => boolean = () => false,
): RunSteps {
  const [current, ...rest] = fit.placements.filter((p) => p.level);
  if (current?.item.id !== currentId) return fitSteps(fit, startsAt);
  const inHand = fit.availableSeconds + current.beginSeconds;
  if (inHand < NOTABLE) return stepsWith(fit, current, rest, startsAt);
  const earlier = (p: Placement): Placement => ({ ...p, beginSeconds: p.beginSeconds - inHand });
  const [ladder, ...others] = rest;
  const isNext = ladder !== undefined && ladder.beginSeconds === current.beginSeconds + current.spanSeconds;
  if (!isNext || !goesOn(earlier(ladder))) return stepsWith(fit, earlier(current), rest, startsAt);
  const steps = stepsWith(fit, earlier(ladder), others, startsAt);
  return { ...steps, drills: [...drillsOf(ladder), ...steps.drills] };
}

/** The wait after a placement, and everything after that. */
function stepsWith(fit: Fit, first: Placement, rest: readonly Placement[], startsAt: number): RunSteps {
  const steps = stepsOfKept(fit, rest, startsAt);
  const wait = rest.length > 0 ? steps.waitSeconds : -(first.beginSeconds + first.spanSeconds);
  return { waitSeconds: wait, drills: [...waitAfter(fit, first, rest[0], startsAt), ...steps.drills] };
}

function stepsOfKept(fit: Fit, kept: readonly Placement[], startsAt: number): RunSteps {
  const drills = kept.flatMap((placement, n) => [
    ...drillsOf(placement),
    ...waitAfter(fit, placement, kept[n + 1], startsAt),
  ]);
  const last = kept.at(-1);
  return { drills, waitSeconds: last ? -(last.beginSeconds + last.spanSeconds) : fit.waitSeconds };
}

/** The wait between a drill and the next one. What cannot be hurried is its least; the rest of it is for the clock. */
function waitAfter(
  fit: Fit,
  { item, beginSeconds, spanSeconds }: Placement,
  next: Placement | undefined,
  startsAt: number,
): RunDrill[] {
  const end = beginSeconds + spanSeconds;
  const plannedSeconds = next ? next.beginSeconds - end : 0;
  if (!next || plannedSeconds <= 0) return [];
  // Of what is done earlier than the fit has it, the wait ends when that one does.
  const idle = fit.idle.find((i) => i.toSeconds === next.beginSeconds);
  const leastSeconds = Math.min(plannedSeconds, leastOf(idle));
  return [
    {
      itemId: item.id,
      name: cutText(nameOf(idle), LONGEST_NAME),
      phase: item.phase,
      intensity: 0,
      focus: "",
      place: next.item.place,
      words: cutText(idle ? idleLine(idle) : "", LONGEST_NOTE),
      plannedSeconds,
      wait:
        leastSeconds === plannedSeconds
          ? { leastSeconds }
          : { leastSeconds, until: new Date(startsAt + next.beginSeconds * 1000).toISOString() },
    },
  ];
}

/** Ways and rests go on at the same time; everything else is for the clock. */
function leastOf(idle: Idle | undefined): number {
  const own = (r: IdleReason) => (r.kind === "way" || r.kind === "rest" ? r.seconds : 0);
  return Math.max(0, ...(idle?.reasons.map(own) ?? []));
}

function nameOf(idle: Idle | undefined): string {
  const point = idle?.reasons.find((r) => r.kind === "point");
  if (point?.kind === "point") return point.name;
  const way = idle?.reasons.find((r) => r.kind === "way");
  if (way?.kind === "way") return `To ${way.place}`;
  if (!idle) return "Time in hand";
  return idle.reasons.some((r) => r.kind === "rest") ? "Rest" : "Wait";
}

/**
 * A drill that the plan did not have, at its ideal, to be put into a run.
 * @param drill of the shelf, with its id there where it has one
 * @param id made by the client
 */
export function stepOfDrill(drill: Omit<DrillContent, "priority"> & { id?: string }, id: string): RunDrill {
  const { name, phase, intensity, focus, place, dose } = drill;
  const index = idealLevel(dose);
  const level = levelsOf(dose)[index] as DoseLevel;
  return {
    ...{ itemId: id, name, phase, intensity, focus, place },
    words: level.words,
    plannedSeconds: level.seconds,
    actions: level.actions,
    ...originOf({ ...drill, drillId: drill.id ?? null }),
    ...(dose.kind === "ladder" ? {} : counted(dose, level)),
  };
}

/** What a step keeps of the drill it came from: for what is counted, learned, and called. */
function originOf({
  details,
  drillId,
}: Pick<PlanItem, "drillId" | "details">): Pick<RunDrill, "drillId" | "explosive" | "called"> {
  return {
    ...(drillId ? { drillId } : {}),
    ...(isExplosive({ details }) ? { explosive: true as const } : {}),
    ...(details?.called ? { called: details.called } : {}),
  };
}

function drillsOf({ item, level, levelIndex, spanSeconds }: Placement): RunDrill[] {
  // What is on already takes no time.
  if (!level || level.seconds === 0) return [];
  const drills = level.rungs ? rungsOf(item, level, levelIndex) : [plainDrill(item, level, levelIndex)];
  // Waiting one's turn is part of what takes turns.
  const turns = spanSeconds - level.seconds;
  const last = drills.at(-1);
  if (last && turns > 0) last.plannedSeconds += turns;
  return drills;
}

function plainDrill(item: PlanItem, level: DoseLevel, levelIndex: number): RunDrill {
  const { id: itemId, name, phase, intensity, focus, place, dose } = item;
  const breath = item.details?.purposes.includes("mental") ? { breath: true as const } : {};
  return {
    ...{ itemId, name, phase, intensity, focus, place },
    words: level.words,
    plannedSeconds: level.seconds,
    level: levelIndex,
    actions: level.actions,
    ...originOf(item),
    ...(dose.kind === "ladder" ? {} : counted(dose, level)),
    ...breath,
  };
}

function rungsOf(item: PlanItem, level: DoseLevel, levelIndex: number): RunDrill[] {
  const { dose } = item;
  const doses = new Map(dose.kind === "ladder" ? dose.rungs.map((r) => [r.id, r.dose]) : []);
  return (level.rungs ?? []).map((rung) => {
    const { restSeconds, seconds } = rung;
    const own = doses.get(rung.id);
    const more = own ? counted(own, rung) : {};
    const rest = { kind: "rest" as const, words: "Rest", seconds: restSeconds };
    return {
      itemId: rung.id,
      name: `${cutText(item.name, LONGEST_NAME - rung.name.length - 2)}: ${rung.name}`,
      phase: item.phase,
      intensity: rung.intensity,
      focus: rung.focus || item.focus,
      place: item.place,
      words: cutText(
        `${rung.words}${restSeconds > 0 ? `, then ${spokenLength(restSeconds)} rest` : ""}`,
        LONGEST_NOTE,
      ),
      plannedSeconds: seconds + restSeconds,
      ladderId: item.id,
      level: levelIndex,
      actions: rung.actions,
      ...originOf(item),
      ...more,
      ...(more.parts && restSeconds > 0 ? { parts: [...more.parts, rest] } : {}),
    };
  });
}

/** What is counted through, and what opens a gate. */
function counted(
  dose: PlainDose,
  level: { counts: readonly LevelCount[]; seconds: number },
): Pick<RunDrill, "parts" | "gate"> {
  if (dose.kind === "gate") return { gate: gateOf(dose, level.counts[0]?.amount ?? dose.hits.floor) };
  return { parts: doseParts(dose, level) };
}

function gateOf({ rule, sides, capSeconds }: GateDose, hits: number): RunDrill["gate"] {
  return { rule, hits, sides: sideCount(sides), capSeconds };
}
