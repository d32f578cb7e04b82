import type { Finding, Mend, Severity } from "../../plan/finding";
import type { ClubFigures, Figure, Figures } from "./figures";
import type { Situation } from "./situation";

/** One judgement of a plan: everything about it is in its own file. */
export interface Check {
  /** What tells it apart, also in files: "straight-to-hard". */
  code: string;
  /** "Straight to hard". */
  name: string;
  /** How grave it mostly is. */
  severity: Severity;
  /** When it is said, in a sentence without figures. */
  when: string;
  /** What its figures rest on. */
  rests: string;
  figures: Record<string, Figure>;
  /**
   * What there is to say; nothing where what it goes by is not known.
   * @param club figures of the club, for a check that goes by those of another as well
   */
  find: (situation: Situation, figures: Readonly<Record<string, number>>, club?: ClubFigures) => Finding[];
}

/** What a check says, short of what every finding of it has in common. */
export interface Said {
  words: string;
  /** The drill that it is about; left out for the plan as a whole. */
  itemId?: string | undefined;
  /** Where in the plan and its day; the drill's place unless given. */
  where?: readonly (string | number)[];
  severity?: Severity;
  mends?: readonly Mend[];
}

/** A check, from what is its own. */
export function check<const F extends Record<string, Figure>>(
  of: Omit<Check, "find" | "figures"> & {
    figures: F;
    find: (situation: Situation, figures: Figures<F>, club: ClubFigures) => readonly Said[];
  },
): Check {
  return {
    ...of,
    find: (situation, figures, club = []) =>
      of.find(situation, figures as Figures<F>, club).map((said): Finding => {
        const { words, itemId, severity = of.severity, mends = [] } = said;
        const index = itemId === undefined ? -1 : situation.plan.items.findIndex((i) => i.id === itemId);
        const where = said.where ?? ["plan", "items", ...(index < 0 ? [] : [index])];
        return { code: of.code, severity, where, itemId: itemId ?? null, words, mends };
      }),
  };
}
