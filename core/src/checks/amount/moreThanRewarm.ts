import type { Approach } from "../../approach/approaches";
import type { DoneBefore } from "../../rewarm/doneBefore";
import { type Rewarm, type RewarmFigures, rewarmAfter, shareOf } from "../../rewarm/rewarm";
import { roundLength, spokenLength } from "../../time/clock";
import { check } from "../terms/check";
import { isWork } from "../terms/doing";
import { type ClubFigures, figuresOf } from "../terms/figures";

/** How much more than enough is still right, times: a body that cools wants more. Custom. */
const SPARE = 1.5;

/** More than a re-warm after another start needs. */
export const moreThanRewarm = check({
  code: "more-than-a-re-warm",
  name: "More than a re-warm",
  severity: "hint",
  when: "There was another start earlier on the day, and this is half as long again as what is enough after it.",
  rests:
    "Coaches' custom: of the usual a third after 20 min of rest, half after an hour, all but the long easy part after three.",
  figures: {
    soon: { value: 33, unit: "%", least: 10, most: 100, words: "Of the usual, 20 min after a start" },
    hour: { value: 50, unit: "%", least: 10, most: 100, words: "Of the usual, an hour after a start" },
    easy: {
      value: 50,
      unit: "%",
      least: 10,
      most: 100,
      words: "Of the easy part, three hours after a start",
    },
    least: { value: 10, unit: "min", least: 1, most: 60, words: "Never flagged below this" },
  },
  find: ({ doings, approach, before }, figures) => {
    const rewarm = rewarmAfter(before, figures);
    if (!rewarm || !approach) return [];
    const work = doings.filter(isWork).reduce((sum, d) => sum + d.toSeconds - d.fromSeconds, 0);
    const enough = approach.minutes.usual * 60 * shareOf(rewarm, easyPortion(approach));
    if (work <= Math.max(enough * SPARE, figures.least * 60)) return [];
    return [
      {
        words: `${spokenLength(work)} of drills, ${roundLength(rewarm.restSeconds)} after ${rewarm.after}: about ${roundLength(enough)} is enough. Fill makes a re-warm.`,
      },
    ];
  },
});

/** How much is enough after what was done earlier on the day, by the figures of a club; null where that changes nothing. */
export const rewarmOn = (done: readonly DoneBefore[], club: ClubFigures): Rewarm | null =>
  rewarmAfter(done, figuresOf(moreThanRewarm, club) as RewarmFigures);

/** The easy part's share of a warm-up where no approach says it. Custom. */
const USUAL_EASY = 0.35;

/** The easy part's share of an approach, 0 to 1. */
export const easyPortion = (approach: Approach | null): number => approach?.portions.raise ?? USUAL_EASY;
