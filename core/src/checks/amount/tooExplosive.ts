import { type AgeFigures, byAge, USUAL_BY_AGE } from "../../age/ageRules";
import { isExplosive } from "../../plan/counted";
import { check } from "../terms/check";

const USUAL = USUAL_BY_AGE.explosiveRepetitions;

/** More explosive repetitions than are good for them. */
export const tooExplosive = check({
  code: "too-explosive",
  name: "Too many explosive",
  severity: "warn",
  when: "There are more explosive repetitions, or rounds of them, than the age allows.",
  rests:
    "Coaches keep explosive work in a warm-up to two or three rounds of a few repetitions, fewer for children.",
  figures: {
    under13: { value: USUAL.under13, unit: "repetitions", least: 0, most: 100, words: "Under 13" },
    under16: { value: USUAL.under16, unit: "repetitions", least: 0, most: 100, words: "Under 16" },
    older: { value: USUAL.older, unit: "repetitions", least: 0, most: 200, words: "From 16 on" },
    rounds: { value: 3, unit: "rounds", least: 1, most: 10, words: "Rounds of one drill" },
  },
  find: ({ doings, age, fit }, { under13, under16, older, rounds }) => {
    const explosive = doings.filter((d) => isExplosive(d.item));
    const reps = explosive.reduce((sum, d) => sum + d.actions, 0);
    const most = mostExplosive(age, { under13, under16, older });
    const whole =
      reps > most
        ? [
            {
              words: `${reps} explosive repetitions; ${most} is the most${age === null ? "" : " at this age"}.`,
              mends: [
                {
                  words: `At most ${most}`,
                  edits: [{ kind: "limits" as const, change: { explosiveReps: most } }],
                },
              ],
            },
          ]
        : [];
    const many = fit.placements.flatMap(({ item, level }) => {
      const sets = level?.counts.find((c) => c.noun?.[0] === "set" || c.noun?.[0] === "round")?.amount ?? 0;
      const { dose } = item;
      if (!isExplosive(item) || sets <= rounds || dose.kind !== "reps") return [];
      const fewer = { floor: Math.min(dose.sets.floor, rounds), ideal: rounds, ceiling: rounds };
      return [
        {
          itemId: item.id,
          words: `${item.name} has ${sets} rounds of explosive work; ${rounds} is the most.`,
          mends: [
            {
              words: `${rounds} rounds`,
              edits: [
                { kind: "change" as const, itemId: item.id, change: { dose: { ...dose, sets: fewer } } },
              ],
            },
          ],
        },
      ];
    });
    return [...whole, ...many];
  },
});

/** The most explosive repetitions at an age. @param age years; null for an adult, or where it is not known */
export const mostExplosive = (
  age: number | null,
  { older, ...figures }: AgeFigures & { older: number },
): number => byAge(age, figures, older);
