import { type AgeFigures, byAge, USUAL_BY_AGE } from "../../age/ageRules";
import { fewerThan } from "../../dose/doseAt";
import { check } from "../terms/check";

const USUAL = USUAL_BY_AGE.repetitionsOfOne;

/** More of one thing than is usual at an age. */
export const tooMuchForAge = check({
  code: "too-much-for-the-age",
  name: "Too much for the age",
  severity: "hint",
  when: "One of the sport's own drills has more repetitions than coaches give a child or a growing athlete.",
  rests:
    "Coaches' custom: few of everything and many kinds for children, a rung lower in volume than adults from 13 to 15; knees, heels and elbows that grow are spared. The rules of the governing body come first.",
  figures: {
    under10: {
      value: USUAL.under10,
      unit: "repetitions",
      least: 1,
      most: 100,
      words: "Of one drill under 10",
    },
    under13: {
      value: USUAL.under13,
      unit: "repetitions",
      least: 1,
      most: 100,
      words: "Of one drill from 10 to 12",
    },
    under16: {
      value: USUAL.under16,
      unit: "repetitions",
      least: 1,
      most: 100,
      words: "Of one drill from 13 to 15",
    },
  },
  find: ({ fit, age }, figures) => {
    const most = mostOfOne(age, figures);
    return fit.placements.flatMap(({ item, level }) => {
      const isOwn = item.phase === "technical" || item.phase === "prime";
      const reps = Math.max(0, ...(level?.rungs ?? (level ? [level] : [])).map((of) => of.actions));
      if (!isOwn || reps <= most) return [];
      const dose = fewerThan(item.dose, most);
      return [
        {
          itemId: item.id,
          words: `${item.name} has ${reps} repetitions; at ${age} it is ${most} of one drill at the most.`,
          mends: [
            {
              words: `At most ${most}`,
              edits: [{ kind: "change" as const, itemId: item.id, change: { dose } }],
            },
          ],
        },
      ];
    });
  },
});

/** The most repetitions of one drill, or of one rung, at an age. @param age years; null for an adult, or where it is not known */
export const mostOfOne = (age: number | null, figures: AgeFigures): number =>
  byAge(age, figures, USUAL.older);
