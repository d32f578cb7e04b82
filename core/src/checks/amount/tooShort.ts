import { shareOf } from "../../rewarm/rewarm";
import { spokenLength } from "../../time/clock";
import { check } from "../terms/check";
import { isWork } from "../terms/doing";
import { HARD_TARGET } from "../terms/event";
import { easyPortion, rewarmOn } from "./moreThanRewarm";

/** Too short to be ready after it. */
export const tooShort = check({
  code: "too-short",
  name: "Too short",
  severity: "warn",
  when: "There is too little work before a hard event, or before any, to the nearest minute.",
  rests: "10 min is the floor for anything hard; an emergency version takes 4.",
  figures: {
    hard: { value: 10, unit: "min", least: 1, most: 40, words: "Work before a hard event" },
    any: { value: 4, unit: "min", least: 1, most: 30, words: "Work before any" },
  },
  find: ({ doings, event, before, approach }, { hard, any }, club) => {
    const work = doings.filter(isWork);
    if (work.length === 0) return [];
    const seconds = work.reduce((sum, d) => sum + d.toSeconds - d.fromSeconds, 0);
    const isHard = event !== null && event.targetLevel >= HARD_TARGET && event.effort.startsWith("short");
    const floor = isHard ? Math.max(hard, any) : any;
    const rewarm = rewarmOn(before, club);
    // After another start less is enough.
    const enough = rewarm ? shareOf(rewarm, easyPortion(approach)) : 1;
    const least = Math.round(floor * enough);
    // Floors that coaches say in minutes mean no seconds.
    if (Math.round(seconds / 60) >= least) return [];
    return [
      {
        words: `${spokenLength(seconds)} of work; ${rewarm ? `after ${rewarm.after}` : isHard ? "before a short, hard event" : "before any start"} ${least} min is the floor.`,
      },
    ];
  },
});
