import { wordKey } from "../../words/sameWord";
import { addFromShelf } from "../mends/fromShelf";
import { check } from "../terms/check";
import { isWork } from "../terms/doing";
import { hardestAt, topsOf } from "../who/tooHardForAge";
import { stillWarmFrom } from "./straightToHard";

/** An approach that peaks at the target, and nothing that comes near it. */
export const neverAtLevel = check({
  code: "never-at-level",
  name: "Never at the level",
  severity: "hint",
  when: "The approach peaks at the event's level or above, and nothing comes near it.",
  rests: "Approaches that reach the target level do so at least once before the start.",
  figures: {
    within: { value: 5, unit: "points", least: 0, most: 40, words: "So near the event's level counts" },
  },
  find: (situation, { within }, club) => {
    const { approach, event, doings, age, before } = situation;
    if (!event || !approach || approach.sides.peak === "below" || doings.length === 0) return [];
    const most = Math.max(0, ...doings.filter(isWork).map((d) => d.effort));
    // Who is too young for it is not brought to it.
    const least = Math.min(event.targetLevel, hardestAt(age, topsOf(club))) - within;
    // Who has just been there need not go again.
    const stillWarm = stillWarmFrom(before, club);
    if (most >= least || event.actions.some((a) => stillWarm.has(wordKey(a)))) return [];
    const limit = event.targetLevel + Math.max(0, approach.peakPoints);
    return [
      {
        words: `The event is at ${event.targetLevel} %, and nothing here is above ${most} %.`,
        mends: addFromShelf(
          situation,
          (d) => d.phase === "prime" && d.intensity >= least && d.intensity <= limit,
        ),
      },
    ];
  },
});
