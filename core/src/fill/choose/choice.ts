import type { Approach } from "../../approach/approaches";
import { fewerThan } from "../../dose/doseAt";
import { climbOf } from "../../dose/ladder/climb";
import { idealLevel, levelsOf } from "../../dose/levelsOf";
import type { DoseLevel } from "../../dose/terms/level";
import { type DrillDetails, isForHead } from "../../drill/details";
import { random } from "../../maths/random";
import { isExplosive } from "../../plan/counted";
import { sidesOf } from "../../plan/coverage";
import type { OfSport } from "../../plan/ofSport";
import { type Circumstances, type Obstacle, obstacleTo } from "../../plan/usable";
import type { Priority } from "../../words/priority";
import { wordKey } from "../../words/sameWord";
import type { FillDrill } from "../input/fillInput";
import type { FillRules } from "../input/rules";
import { rested } from "../shape/dosed";

/** A drill of the shelf with what choosing asks again and again. */
export interface Choice {
  drill: FillDrill;
  details: DrillDetails | undefined;
  level: DoseLevel | undefined;
  from: number;
  to: number;
  /** Largest rise between two rungs of its own, points. */
  rise: number;
  /** Keys of the actions that it prepares. */
  actions: readonly string[];
  explosive: boolean;
  /** It is done on each side. */
  sided: boolean;
  /** The drill of the shelf that it is a part of, or itself. */
  whole: FillDrill;
  /** It is for the head alone. */
  mental: boolean;
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
/** What a piece of equipment costs where nobody has said that it is there (custom). */
const NEEDS = 4;

const OBSTACLES: Record<Obstacle, readonly [one: string, many: string]> = {
  people: ["needs more people than there are", "need more people than there are"],
  space: ["needs a space that is not there", "need a space that is not there"],
  equipment: ["needs equipment that is not there", "need equipment that is not there"],
  age: ["is for older athletes", "are for older athletes"],
  protected: ["loads a part of the body to be protected", "load a part of the body to be protected"],
};

/** What choosing goes by. */
export interface ChoosingFrom {
  approach: Approach;
  shelf: readonly FillDrill[];
  circumstances: Circumstances;
  rules: FillRules;
  ofSport: OfSport;
  seed: number;
  keep: readonly string[];
  avoid: readonly string[];
}

/** A drill as choosing sees it. */
export function choiceOf(drill: FillDrill, kept: boolean, lean: number, whole = drill): Choice {
  const level = levelsOf(drill.dose)[idealLevel(drill.dose)];
  const { details } = drill;
  return {
    drill,
    details,
    level,
    ...climbOf(drill, level),
    actions: (details?.actions ?? []).map(wordKey),
    explosive: isExplosive(drill),
    sided: sidesOf(drill).includes("both"),
    mental: isForHead(details),
    whole,
    kept,
    lean,
  };
}

/** The drills that can be used; why others cannot goes into the gaps. */
export function usableChoices(
  { approach, shelf, circumstances, rules, ofSport, seed, keep, avoid }: ChoosingFrom,
  gaps: string[],
): Choice[] {
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
    if (!ofSport(drill)) continue;
    const obstacle = rules.allows(drill) ? obstacleTo(drill, circumstances) : "age";
    if (obstacle) {
      aside.set(obstacle, (aside.get(obstacle) ?? 0) + 1);
      continue;
    }
    // What is kept is not left to chance, so that it is chosen in the order it was chosen in before.
    const isKept = kept.has(drill.id);
    const lean = isKept ? KEEP : drawn + (avoided.has(drill.id) ? AVOID : 0);
    // Where nobody has said what is there, what needs nothing is surer.
    const needs = circumstances.equipment.length === 0 ? (details?.equipment.length ?? 0) : 0;
    const isOwn = drill.phase === "technical" || drill.phase === "prime";
    const fewer = isOwn && rules.ofOne < Infinity ? fewerThan(drill.dose, rules.ofOne) : drill.dose;
    const dose = rested(fewer, drill.intensity, approach);
    usable.push(choiceOf(dose === drill.dose ? drill : { ...drill, dose }, isKept, lean - NEEDS * needs));
  }
  for (const [obstacle, many] of aside)
    gaps.push(
      `${many} ${many === 1 ? "drill" : "drills"} of the shelf ${OBSTACLES[obstacle][many === 1 ? 0 : 1]}.`,
    );
  return usable;
}

/** How long a choice takes at the level it is taken at, seconds. */
export const choiceSeconds = (c: Choice) => c.level?.seconds ?? 0;
/** Whether a drill of the shelf is for this. */
export const hasPurpose = (c: Choice, purpose: DrillDetails["purposes"][number]) =>
  c.details?.purposes.includes(purpose) ?? false;
