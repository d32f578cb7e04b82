import { actionsOf } from "../../plan/counted";
import { check } from "../terms/check";

/** More of the sport's own actions than a warm-up may take of a session. */
export const tooMuchVolume = check({
  code: "too-much-volume",
  name: "Too much volume",
  severity: "warn",
  when: "The warm-up has too large a share of the repetitions of a usual session.",
  rests: "Never above about a fifth of the usual session; less for somebody who has trained little lately.",
  figures: {
    usual: { value: 20, unit: "%", least: 1, most: 100, words: "Share of the usual session" },
    little: { value: 15, unit: "%", least: 1, most: 100, words: "The same after little training" },
  },
  find: ({ fit, athlete }, { usual, little }) => {
    const session = athlete?.usualReps ?? 0;
    if (session === 0) return [];
    const percent = athlete?.recentLoad === "little" ? little : usual;
    const reps = fit.placements.reduce(
      (sum, { item, level }) => sum + (level ? actionsOf(item, level, "volume") : 0),
      0,
    );
    const share = Math.round((100 * reps) / session);
    if (reps * 100 <= percent * session) return [];
    return [
      {
        words: `${reps} repetitions of the sport's own, ${share} % of a usual session; ${percent} % is the most.`,
        mends: [
          { words: `At most ${percent} %`, edits: [{ kind: "limits", change: { volumePercent: percent } }] },
        ],
      },
    ];
  },
});
