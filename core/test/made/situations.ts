import type { AthleteProfile } from "../../src/athlete/profile";
import { noProfile } from "../../src/athlete/profile";
import { type EarlierRun, type Situation, situationOf } from "../../src/checks/terms/situation";
import { type Setting, usualSetting } from "../../src/conditions/setting";
import { heldAt } from "../../src/dose/atFloor";
import { type DrillDetails, noDetails } from "../../src/drill/details";
import { type EventType, plainEvent } from "../../src/event/eventType";
import { fitPlan } from "../../src/fit/fit";
import type { ShelfContent } from "../../src/plan/drillContent";
import { emptyPlan, type PlanBody, type PlanItem, planBodySchema } from "../../src/plan/plan";
import type { DoneBefore } from "../../src/rewarm/doneBefore";
import { type FitContext, fitContextSchema } from "../../src/venue/context";
import type { ApproachId } from "../../src/words/approachId";
import type { Phase } from "../../src/words/phase";

/** The id of the n-th drill of a plan, and of the n-th of the shelf. */
export const planId = (n: number) => `10000000-0000-4000-8000-${String(n).padStart(12, "0")}`;
export const shelfId = (n: number) => `20000000-0000-4000-8000-${String(n).padStart(12, "0")}`;

/** Whole seconds, no more and no less. */
export const timed = (seconds: number, more: object = {}) =>
  ({ kind: "time", seconds: heldAt(seconds), step: 5, sides: "one", changeoverSeconds: 0, ...more }) as const;

/** So many repetitions of two seconds. */
export const reps = (amount: number, sets = 1) =>
  ({
    kind: "reps",
    sets: heldAt(sets),
    reps: heldAt(amount),
    secondsPerRep: 2,
    sides: "one",
    restSeconds: 0,
  }) as const;

/** Rungs of so many repetitions each. */
export const ladder = (...rungs: (readonly [effort: number, reps: number])[]) =>
  ({
    kind: "ladder",
    leastRungs: rungs.length,
    rungs: rungs.map(([intensity, amount], i) => ({
      id: `30000000-0000-4000-8000-${String(i).padStart(12, "0")}`,
      label: "",
      intensity,
      dose: reps(amount),
      focus: "tall",
      restSeconds: 0,
    })),
  }) as const;

/** A drill: name, phase, effort, dose, and whatever else. */
export type Row = readonly [
  name: string,
  phase: Phase,
  effort: number,
  dose: PlanItem["dose"],
  more?: Omit<Partial<PlanItem>, "details"> & { details?: Partial<DrillDetails> },
];

export function itemOf([name, phase, intensity, dose, more = {}]: Row, n: number): PlanItem {
  const { details, ...rest } = more;
  return {
    id: planId(n),
    drillId: null,
    name,
    phase,
    priority: "essential",
    intensity,
    dose,
    focus: "tall",
    place: "",
    details: { ...noDetails(), ...details },
    ...rest,
  };
}

/** What a case is made of; what is left out is plain. */
export interface Made {
  rows?: readonly Row[];
  shelf?: readonly Row[];
  /** Seconds available; plenty unless given. */
  seconds?: number;
  wait?: Partial<PlanBody["wait"]>;
  stepPoints?: number;
  approach?: ApproachId;
  setting?: Partial<Setting>;
  athlete?: Partial<AthleteProfile>;
  event?: Partial<EventType> | null;
  context?: Partial<FitContext>;
  readySeconds?: number;
  untilStart?: number;
  earlier?: readonly EarlierRun[];
  before?: readonly DoneBefore[];
}

/** Something done earlier on the day, for ten minutes, that ended so many minutes before the start. */
export const doneBefore = (minutes: number, more: Partial<DoneBefore> = {}): DoneBefore => ({
  name: "Heat",
  fromSeconds: -minutes * 60 - 600,
  toSeconds: -minutes * 60,
  effort: 90,
  share: 1,
  actions: [],
  ...more,
});

/** A situation; it refuses plans that nobody could have. */
export function made(of: Made): Situation {
  const { rows = [], shelf = [], wait, stepPoints, approach, event } = of;
  const plan: PlanBody = planBodySchema.parse({
    ...emptyPlan(),
    items: rows.map(itemOf),
    wait: { leastSeconds: 0, longestSeconds: 14_400, ...wait },
    stepPoints: stepPoints ?? 100,
    ...(approach ? { origin: { approach, seed: 1 } } : {}),
  });
  const context = fitContextSchema.parse(of.context ?? {});
  const onShelf = shelf.map((row, n): ShelfContent => {
    const { id: _, drillId: __, ...content } = itemOf(row, n);
    return { ...content, id: shelfId(n) };
  });
  return situationOf({
    plan,
    fit: fitPlan(plan, of.seconds ?? 14_400, context),
    context,
    setting: { ...usualSetting(), temperature: 20, ...of.setting },
    athlete: of.athlete ? { ...noProfile(), ...of.athlete } : null,
    event: event === undefined ? null : event && { ...plainEvent("Final"), ...event },
    day: "2026-11-27",
    readySeconds: of.readySeconds ?? null,
    untilStart: of.untilStart ?? null,
    shelf: onShelf,
    earlier: of.earlier ?? [],
    before: of.before ?? [],
    culprit: null,
  });
}
