import { type AthleteProfile, ageOf } from "../athlete/profile";
import type { Setting } from "../conditions/setting";
import type { DrillDetails } from "../drill/details";
import type { BodyArea } from "../words/bodyArea";
import { wordKey } from "../words/sameWord";
import { loadedOf, protectedOn } from "./protect";

/** What there is on the day, and who it is for. */
export interface Circumstances {
  /** People at hand besides the athlete. */
  people: number;
  /** Kinds of space and pieces of equipment that are there; empty when nothing is known to be missing. */
  spaces: readonly string[];
  equipment: readonly string[];
  /** The athlete's own equipment. */
  own: readonly string[];
  /** The athlete's age at the least, years; null when it is not known. */
  age: number | null;
  /** Protected parts of the body. */
  protectedAreas: readonly BodyArea[];
}

/** What there is on a day, and who it is for. @param day yyyy-mm-dd at the venue; null where it is not known */
export function circumstancesOn(
  { people, spaces, equipment, group = [] }: Pick<Setting, "people" | "spaces" | "equipment" | "group">,
  athlete: AthleteProfile | null,
  day: string | null,
): Circumstances {
  return {
    // The others of a group are at hand for each other.
    people: Math.max(people, group.length),
    spaces,
    equipment,
    own: athlete?.equipment ?? [],
    age: athlete ? ageOf(athlete) : null,
    protectedAreas: athlete && day ? protectedOn(athlete.protectedAreas, day) : [],
  };
}

/** Why a drill cannot be used. */
export type Obstacle = "people" | "space" | "equipment" | "age" | "protected";

const has = (list: readonly string[], wanted: string) =>
  list.some((word) => wordKey(word) === wordKey(wanted));

/** What stands in the way of a drill, or null. What is not known of a drill never does. */
export function obstacleTo(
  drill: { details?: DrillDetails | undefined },
  day: Circumstances,
): Obstacle | null {
  const { details } = drill;
  if (!details) return null;
  if (loadedOf(drill, day.protectedAreas).length > 0) return "protected";
  if (details.people > day.people + 1) return "people";
  if (details.space && day.spaces.length > 0 && !has(day.spaces, details.space)) return "space";
  if (day.equipment.length > 0 && !details.equipment.every((e) => has(day.equipment, e) || has(day.own, e)))
    return "equipment";
  return day.age !== null && details.leastAge > day.age ? "age" : null;
}
