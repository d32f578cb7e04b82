import { EASY_EFFORT } from "../../words/effort";
import { check } from "../terms/check";
import { isWork } from "../terms/doing";

/** Too little of the work is easy. */
export const tooLittleEasy = check({
  code: "too-little-easy",
  name: "Too little easy",
  severity: "hint",
  when: "Less than the wanted share of the working time is easy.",
  rests: "Easy work alone gives most of the benefit: coaches keep at least half of a warm-up easy.",
  figures: {
    share: { value: 50, unit: "%", least: 10, most: 90, words: "Share of the work that is easy" },
  },
  find: ({ doings }, { share }) => {
    const work = doings.filter((d) => isWork(d) && d.workSeconds > 0);
    const all = work.reduce((sum, d) => sum + d.workSeconds, 0);
    const easy = work.filter((d) => d.effort <= EASY_EFFORT).reduce((sum, d) => sum + d.workSeconds, 0);
    const percent = all === 0 ? 100 : Math.floor((100 * easy) / all);
    if (percent >= share) return [];
    return [
      {
        words: `${percent} % of the work is easy (${EASY_EFFORT} % of effort or less); ${share} % is usual.`,
        mends: [
          {
            words: `Keep ${share} % of it easy`,
            edits: [{ kind: "limits", change: { easyPercent: share } }],
          },
        ],
      },
    ];
  },
});
