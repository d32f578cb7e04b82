import { layersOff } from "../../plan/layersOff";
import { spokenLength } from "../../time/clock";
import { check } from "../terms/check";

/** Warm layers on until the start, and no time to take them off. */
export const noTimeToChange = check({
  code: "no-time-to-change",
  name: "No minutes to change back",
  severity: "hint",
  when: "Warm layers are kept on in the wait and no time is planned to take them off.",
  rests: "Changing clothes takes planned minutes.",
  figures: {
    seconds: { value: 60, unit: "s", least: 15, most: 600, words: "Time to take them off" },
  },
  find: ({ fit, setting, doings }, { seconds }) => {
    const lastWork = doings.findLastIndex((d) => d.item.phase !== "kit" && d.item.calm !== "quiet");
    const changes = doings.slice(lastWork + 1).some((d) => d.item.phase === "kit");
    if (setting.layers !== true || lastWork < 0 || changes || fit.waitSeconds === 0) return [];
    return [
      {
        words: `Warm layers stay on in the wait, and nothing is planned for taking them off: ${spokenLength(seconds)} is enough.`,
        mends: [
          {
            words: `${spokenLength(seconds)} to take them off`,
            edits: [
              {
                kind: "insert",
                drill: layersOff(seconds),
                before: null,
              },
            ],
          },
        ],
      },
    ];
  },
});
