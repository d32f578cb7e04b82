import type { DoneBefore } from "../../rewarm/doneBefore";
import { stillWarmActions } from "../../rewarm/rewarm";
import type { BodyArea } from "../../words/bodyArea";
import { EASY_EFFORT } from "../../words/effort";
import { easyRound } from "../mends/easyRound";
import { check } from "../terms/check";
import { type Doing, isOwn } from "../terms/doing";
import { type ClubFigures, figuresOf } from "../terms/figures";

/** Parts that a fast ramp hurts; the calf stands for the Achilles tendon. */
const DELICATE: readonly BodyArea[] = ["shoulder", "elbow", "hamstring", "calf"];

/** An action that goes hard before it was done easily often enough. */
export const straightToHard = check({
  code: "straight-to-hard",
  name: "Straight to hard",
  severity: "warn",
  when: "An action goes hard with too few easy repetitions of it, or of the same movement, before.",
  rests:
    "Coaches' rule of 10 to 15 easy repetitions before anything fast; fast ramps hurt shoulder, elbow, hamstring and Achilles tendon.",
  figures: {
    hard: { value: 60, unit: "%", least: 41, most: 100, words: "Effort from which it is hard" },
    easyReps: { value: 10, unit: "repetitions", least: 1, most: 50, words: "Easy repetitions before it" },
    stop: {
      value: 85,
      unit: "%",
      least: 50,
      most: 100,
      words: "Effort above which it is a stop for delicate parts",
    },
    fresh: {
      value: 90,
      unit: "min",
      least: 5,
      most: 240,
      words: "An action done earlier on the day is fresh for",
    },
  },
  find: ({ doings, before: done }, { hard, easyReps, stop, fresh }) => {
    const said = new Set<string>();
    const isStillWarm = stillWarmActions(done, fresh * 60);
    return doings.flatMap((doing, i) => {
      if (!isOwn(doing) || doing.effort <= hard || said.has(doing.item.id)) return [];
      if (doing.prepares.some((action) => isStillWarm.has(action))) return [];
      const before = doings
        .slice(0, i)
        .filter((d) => isOwn(d) && d.effort <= EASY_EFFORT && isLike(d, doing));
      const reps = before.reduce((sum, d) => sum + d.actions, 0);
      if (reps >= easyReps) return [];
      said.add(doing.item.id);
      const parts = doing.effort > stop ? delicateOf(doing) : [];
      const count =
        reps === 0 ? "nothing easy of it" : `only ${reps} easy ${reps === 1 ? "repetition" : "repetitions"}`;
      return [
        {
          itemId: doing.item.id,
          ...(parts.length > 0 ? { severity: "stop" as const } : {}),
          words: `${doing.name} is done at ${doing.effort} % with ${count} before; ${easyReps} is usual${parts.length > 0 ? `, and so fast a ramp hurts the ${parts.join(", the ")}` : ""}.`,
          mends: [easyRound(doing.item)],
        },
      ];
    });
  },
});

/** Keys of the event's actions that were done so short a time ago that they are still prepared. */
export function stillWarmFrom(done: readonly DoneBefore[], club: ClubFigures): ReadonlySet<string> {
  return stillWarmActions(done, (figuresOf(straightToHard, club).fresh as number) * 60);
}

/** Of one movement: they prepare an action in common; what names none is like all of its kind. */
function isLike(a: Doing, b: Doing): boolean {
  if (b.prepares.length === 0 || a.item.id === b.item.id) return true;
  return a.prepares.some((p) => b.prepares.includes(p));
}

function delicateOf({ item: { details } }: Doing): BodyArea[] {
  return DELICATE.filter((area) => details?.areas.includes(area) || details?.loads.includes(area));
}
