import { coldBandOf } from "../conditions/cold";
import { heatBandOf, isHot } from "../conditions/heat";
import type { Conditions } from "../conditions/setting";
import { idealLevel, levelsOf } from "../dose/levelsOf";
import { isForHead } from "../drill/details";
import type { EffortProfile } from "../event/eventType";
import { COOL_DOWN_STEP, type CoolDownStep, coolDownSeconds, MOST_COOL_DOWN_STEPS } from "../plan/coolDown";
import type { DrillContent } from "../plan/drillContent";
import type { MakeId } from "../words/makeId";

/** How much the event took out of them. */
export const WENT = ["little", "usual", "spent"] as const;
export type Went = (typeof WENT)[number];

interface Usual {
  /** Minutes in all, by how much it took. */
  minutes: Record<Went, number>;
  /** Share of it that is brisk, before the easy part. */
  brisk: number;
  /** What is done, in a line for the day. */
  note: string;
}

const HARD: Usual = {
  minutes: { little: 8, usual: 10, spent: 12 },
  brisk: 0.4,
  note: "Brisk at first, then easy.",
};

/**
 * What follows an event, by what it asks of the body: after a short hard one 8 to 12 min, brisk at first; after a long
 * exhausting one 5 to 10 min, easy; after precision 3 min. The project's own figures; how much it took within them is custom.
 */
const USUAL: Record<EffortProfile, Usual> = {
  "short-explosive": HARD,
  "short-hard": HARD,
  "long-sustained": { minutes: { little: 5, usual: 8, spent: 10 }, brisk: 0, note: "Easy." },
  precision: { minutes: { little: 3, usual: 3, spent: 5 }, brisk: 0, note: "A few easy minutes." },
  "repeated-bouts": { ...HARD, brisk: 0, note: "Easy, then warm clothes." },
};

/** Intensity of the brisk part (60 to 70 %), of the easy one, and of slow breathing, per cent. */
const INTENSITY = { brisk: 65, easy: 25, breath: 5 };

/** Slow breathing at the end: so long, seconds, and no more than this share of it all. Custom. */
const BREATH = { seconds: 120, share: 1 / 3 };

/** Steps begin and end on so many seconds. */
const ROUND = 30;

/** What is usual after an event. @param effort null where it is not known: as after a short hard one */
export const usualCoolDown = (effort: EffortProfile | null): Usual => USUAL[effort ?? "short-hard"];

/** What a cool-down goes by. */
export interface CoolDownFor {
  effort: EffortProfile | null;
  went: Went;
  /** What it is like outside; null where nobody said. */
  conditions: Pick<Conditions, "indoors" | "temperature" | "wind" | "humidity"> | null;
  /** The shelf's drills: those whose purpose it is take the place of the plain easy part. */
  drills: readonly (DrillContent & { id?: string })[];
  makeId: MakeId;
}

/**
 * The usual cool-down: brisk where the event was short and hard, then easy, then slow breathing. It takes blood and breath down
 * and gives a moment to look back; it does not prevent soreness, so it is short. In the heat nothing of it is brisk, and it is
 * done in the shade; in the cold it begins in warm clothes.
 */
export function coolDownFor({ effort, went, conditions, drills, makeId }: CoolDownFor): CoolDownStep[] {
  const usual = usualCoolDown(effort);
  const whole = usual.minutes[went] * 60;
  const hot = conditions !== null && isHot(conditions);
  const cold = conditions !== null && coldBandOf(conditions) !== "none";
  const brisk = hot ? 0 : rounded(whole * usual.brisk);
  const breath = Math.min(BREATH.seconds, rounded(whole * BREATH.share));
  const easy = easySteps(drills, whole - brisk - breath, makeId);
  const steps: CoolDownStep[] = [
    ...(brisk > 0
      ? [
          {
            id: makeId(),
            name: "Brisk movement",
            intensity: INTENSITY.brisk,
            seconds: brisk,
            focus: "Keep it rolling, no sprint",
          },
        ]
      : []),
    ...easy,
    {
      ...{ id: makeId(), name: "Slow breathing", intensity: INTENSITY.breath, seconds: breath },
      ...{ focus: "One thing that was good", breath: true as const },
    },
  ];
  const remark = hot
    ? HEAT[heatBandOf(conditions) === "very-hot" ? "very" : "hot"]
    : cold
      ? "Warm clothes on first"
      : "";
  return steps.map((step, i) => (i === 0 && remark ? { ...step, focus: remark } : step));
}

const HEAT = { hot: "In the shade, drink", very: "In the shade, cool down with water, drink" };

const rounded = (seconds: number) => Math.round(seconds / ROUND) * ROUND;

/** Whether cooling down is what a drill is for. */
export const isForCoolDown = ({ details }: Pick<DrillContent, "details">): boolean =>
  details?.purposes.includes("cool-down") ?? false;

/** The easy part: the club's own drills for it, the harder first, as many as there is time for; what is left is plain. */
function easySteps(drills: CoolDownFor["drills"], seconds: number, makeId: MakeId): CoolDownStep[] {
  const chosen: CoolDownStep[] = [];
  let left = seconds;
  for (const drill of drills.filter(isForCoolDown).toSorted((a, b) => b.intensity - a.intensity)) {
    const step = coolDownStepOf(drill, makeId());
    if (step.seconds > left || chosen.length >= MOST_COOL_DOWN_STEPS - 3) continue;
    chosen.push(step);
    left = seconds - coolDownSeconds(chosen);
  }
  if (left < COOL_DOWN_STEP.least) return chosen;
  return [plainCoolDownStep(makeId(), left), ...chosen];
}

/** Easy movement, which nothing is needed for. */
export const plainCoolDownStep = (id: string, seconds: number): CoolDownStep => ({
  ...{ id, name: "Easy movement", intensity: INTENSITY.easy, seconds },
  focus: "Until you could talk in whole sentences",
});

/** A drill of the shelf as a step of a cool-down, at its ideal. */
export function coolDownStepOf(drill: DrillContent & { id?: string }, id: string): CoolDownStep {
  const { name, intensity, focus, dose, details } = drill;
  const { seconds = 0 } = levelsOf(dose)[idealLevel(dose)] ?? {};
  return {
    ...{ id, name, intensity, focus },
    seconds: Math.min(COOL_DOWN_STEP.most, Math.max(COOL_DOWN_STEP.least, Math.round(seconds))),
    ...(drill.id ? { drillId: drill.id } : {}),
    ...(isForHead(details) ? { breath: true as const } : {}),
  };
}
