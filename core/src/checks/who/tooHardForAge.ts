import { type AgeFigures, byAge, USUAL_BY_AGE } from "../../age/ageRules";
import { check } from "../terms/check";
import { isWork } from "../terms/doing";
import { type ClubFigures, figuresOf } from "../terms/figures";

const USUAL = USUAL_BY_AGE.hardest;

/** Harder than is usual at an age. */
export const tooHardForAge = check({
  code: "too-hard-for-the-age",
  name: "Too hard for the age",
  severity: "warn",
  when: "A drill is harder than coaches have it for a child or a growing athlete.",
  rests:
    "Coaches' custom: no maximal effort under 10, the event's actions to 80 % from 10 to 12, a rung lower than adults from 13 to 15. The rules of the governing body come first.",
  figures: {
    under10: { value: USUAL.under10, unit: "%", least: 20, most: 100, words: "Hardest effort under 10" },
    under13: {
      value: USUAL.under13,
      unit: "%",
      least: 20,
      most: 100,
      words: "Hardest effort from 10 to 12",
    },
    under16: {
      value: USUAL.under16,
      unit: "%",
      least: 20,
      most: 100,
      words: "Hardest effort from 13 to 15",
    },
  },
  find: ({ doings, age }, figures) => {
    const most = hardestAt(age, figures);
    const said = new Set<string>();
    return doings.flatMap((doing) => {
      if (!isWork(doing) || doing.effort <= most || said.has(doing.item.id)) return [];
      said.add(doing.item.id);
      const { dose, id } = doing.item;
      const change =
        dose.kind === "ladder"
          ? {
              dose: {
                ...dose,
                rungs: dose.rungs.map((r) => ({ ...r, intensity: Math.min(r.intensity, most) })),
              },
            }
          : { intensity: most };
      return [
        {
          itemId: id,
          words: `${doing.name} goes to ${doing.effort} %; at ${age} it is ${most} % at the most. The rules of the governing body come first.`,
          mends: [
            { words: `Lower it to ${most} %`, edits: [{ kind: "change" as const, itemId: id, change }] },
          ],
        },
      ];
    });
  },
});

/** The hardest effort at an age, per cent. @param age years; null for an adult, or where it is not known */
export const hardestAt = (age: number | null, figures: AgeFigures): number =>
  byAge(age, figures, USUAL.older);

/** The hardest efforts by age that are in force in a club, per cent. */
export const topsOf = (club: ClubFigures): AgeFigures => figuresOf(tooHardForAge, club) as AgeFigures;
