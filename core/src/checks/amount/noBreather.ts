import { check } from "../terms/check";
import { isWork } from "../terms/doing";

/** Two hard drills next to each other without a breath between. */
export const noBreather = check({
  code: "no-breather",
  name: "No breather",
  severity: "hint",
  when: "Two hard drills follow each other with hardly any rest between.",
  rests: "An easier movement or a rest sits between demanding ones.",
  figures: {
    effort: { value: 80, unit: "%", least: 40, most: 100, words: "Effort from which a drill is hard" },
    seconds: { value: 60, unit: "s", least: 5, most: 600, words: "Rest between two of them" },
  },
  find: ({ doings }, { effort, seconds }) =>
    doings.filter(isWork).flatMap((doing, i, work) => {
      const next = work[i + 1];
      if (!next || next.item.id === doing.item.id) return [];
      const rest = next.fromSeconds - doing.toSeconds;
      if (doing.effort < effort || next.effort < effort || rest >= seconds) return [];
      return [
        {
          itemId: next.item.id,
          words: `${next.name} follows ${doing.name} after ${rest} s, both at ${effort} % or more.`,
          mends: [
            {
              words: `Rest ${seconds} s before it`,
              edits: [
                {
                  kind: "change",
                  itemId: doing.item.id,
                  change: { restAfter: { kind: "seconds", seconds } },
                },
              ],
            },
          ],
        },
      ];
    }),
});
