import { climbOf } from "../../dose/ladder/climb";
import { idealLevel, levelsOf } from "../../dose/levelsOf";
import type { DoseLevel } from "../../dose/terms/level";
import type { DrillDetails } from "../../drill/details";
import { random } from "../../maths/random";
import type { Priority } from "../../words/priority";
import type { FillDrill, FillInput } from "../input/fillInput";
import { type Obstacle, obstacleTo } from "../input/usable";

/** A drill of the shelf with what choosing asks again and again. */
export interface Choice {
  drill: FillDrill;
  details: DrillDetails | undefined;
  level: DoseLevel | undefined;
  from: number;
  to: number;
  /** Largest rise between two rungs of its own, points. */
  rise: number;
  /** Whether it is to be kept from another warm-up: then it is taken before others, whatever time is left. */
  kept: boolean;
  /** A little chance and what is kept or avoided, so that equals differ from version to version. */
  lean: number;
}

/** Drills chosen so far. */
export interface Chosen {
  choice: Choice;
  priority: Priority;
  why: string;
}

/** Score of a drill that is to be kept whatever else, and of one to be avoided (custom). */
const KEEP = 100;
const AVOID = -20;

const OBSTACLES: Record<Obstacle, string> = {
  people: "need more people than there are",
  space: "need a space that is not there",
  equipment: "need equipment that is not there",
  age: "are for older athletes",
  spared: "load a part of the body that is to be spared",
};

/** The drills that can be used; why others cannot goes into the gaps. */
export function usableChoices({ shelf, day, seed, keep, avoid }: FillInput, gaps: string[]): Choice[] {
  const chance = random(seed);
  const kept = new Set(keep);
  const avoided = new Set(avoid);
  const aside = new Map<Obstacle, number>();
  const usable: Choice[] = [];
  for (const drill of shelf) {
    // Chance is drawn for every drill, so that one more on the shelf changes no more than it has to.
    const drawn = chance() * 8;
    const { details } = drill;
    if (details?.purposes.length === 1 && details.purposes[0] === "cool-down") continue;
    const obstacle = obstacleTo(drill, day);
    if (obstacle) {
      aside.set(obstacle, (aside.get(obstacle) ?? 0) + 1);
      continue;
    }
    const level = levelsOf(drill.dose)[idealLevel(drill.dose)];
    const climb = climbOf(drill, level);
    // What is kept is not left to chance, so that it is chosen in the order it was chosen in before.
    const isKept = kept.has(drill.id);
    const lean = isKept ? KEEP : drawn + (avoided.has(drill.id) ? AVOID : 0);
    usable.push({ drill, details, level, ...climb, kept: isKept, lean });
  }
  for (const [obstacle, many] of aside)
    gaps.push(`${many} ${many === 1 ? "drill" : "drills"} of the shelf ${OBSTACLES[obstacle]}.`);
  return usable;
}

/** How long a choice takes at the level it is taken at, seconds. */
export const choiceSeconds = (c: Choice) => c.level?.seconds ?? 0;
/** Whether a drill of the shelf is for this. */
export const hasPurpose = (c: Choice, purpose: DrillDetails["purposes"][number]) =>
  c.details?.purposes.includes(purpose) ?? false;
