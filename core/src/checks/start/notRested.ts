import { formatLength } from "../../time/clock";
import { HARD_EFFORT } from "../../words/effort";
import { check } from "../terms/check";
import { isWork } from "../terms/doing";

/** Hard work closer to the start than the rest that is owed for it. */
export const notRested = check({
  code: "not-rested",
  name: "Not rested",
  severity: "warn",
  when: "Hard work is closer to the start than the rest owed for it.",
  rests: "Coaches' rule: rest at least five times the length of an effort that truly tires.",
  figures: {
    times: { value: 5, unit: "times the work", least: 1, most: 20, words: "Rest owed" },
  },
  find: ({ plan, doings }, { times }) => {
    const owing = doings.filter(
      (d) => isWork(d) && d.effort >= HARD_EFFORT && -d.toSeconds < times * d.workSeconds,
    );
    const last = owing.at(-1);
    if (!last) return [];
    const owed = times * last.workSeconds;
    const isPlain = last.item.dose.kind !== "ladder";
    return [
      {
        itemId: last.item.id,
        words: `${last.name} ends ${formatLength(-last.toSeconds)} before the start; its ${formatLength(last.workSeconds)} of hard work are owed ${formatLength(owed)} of rest.`,
        mends: [
          ...((plan.wait.times ?? 0) < times
            ? [
                {
                  words: `Rest ${times} times the hard work`,
                  edits: [{ kind: "wait" as const, change: { times } }],
                },
              ]
            : []),
          ...(isPlain
            ? [
                {
                  words: `Lower it to ${HARD_EFFORT - 5} %`,
                  edits: [
                    {
                      kind: "change" as const,
                      itemId: last.item.id,
                      change: { intensity: HARD_EFFORT - 5 },
                    },
                  ],
                },
              ]
            : []),
        ],
      },
    ];
  },
});
