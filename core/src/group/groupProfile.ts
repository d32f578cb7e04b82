import { type AthleteProfile, ageOf, type ProtectedArea } from "../athlete/profile";
import { wordKey } from "../words/sameWord";

/**
 * Whom a warm-up for a group is built for: what all of them can do. The youngest's age, every part of the body that one of
 * them spares (as long as the longest of them does), and of their own equipment what each of them has; all else is that of
 * whose start it is.
 */
export function groupProfile(own: AthleteProfile, others: readonly AthleteProfile[]): AthleteProfile {
  if (others.length === 0) return own;
  const all = [own, ...others];
  const ages = all.map(ageOf).filter((age) => age !== null);
  const youngest = ages.length > 0 ? Math.min(...ages) : null;
  return {
    ...own,
    ...(youngest === null || youngest === ageOf(own) ? {} : { ageBand: null, ageYears: youngest }),
    protectedAreas: protectedByAny(all.flatMap((p) => p.protectedAreas)),
    equipment: own.equipment.filter((piece) =>
      others.every((p) => p.equipment.some((e) => wordKey(e) === wordKey(piece))),
    ),
  };
}

/** Of each part of the body the one that lasts longest. */
function protectedByAny(areas: readonly ProtectedArea[]): ProtectedArea[] {
  const longest = new Map<string, ProtectedArea>();
  for (const one of areas) {
    const known = longest.get(one.area);
    if (!known || known.until === null) longest.set(one.area, known ?? one);
    else if (one.until === null || one.until > known.until) longest.set(one.area, one);
  }
  return [...longest.values()];
}
