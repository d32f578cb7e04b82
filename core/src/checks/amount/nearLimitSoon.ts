import { formatLength, spokenLength } from "../../time/clock";
import { check } from "../terms/check";
import { isWork } from "../terms/doing";

/** Efforts near the limit closer together than a school of full rests has them. */
export const nearLimitSoon = check({
  code: "near-limit-too-soon",
  name: "Near the limit too soon",
  severity: "hint",
  when: "Efforts near the limit follow each other too soon for an approach that rests fully.",
  rests: "3 to 5 min between near-limit single efforts.",
  figures: {
    effort: { value: 90, unit: "%", least: 60, most: 100, words: "Effort near the limit" },
    seconds: { value: 180, unit: "s", least: 30, most: 900, words: "Between two of them" },
  },
  find: ({ doings, approach }, { effort, seconds }) => {
    if (approach?.sides.rest !== "full") return [];
    const hard = doings.filter((d) => isWork(d) && d.effort >= effort);
    return hard.flatMap((doing, i) => {
      const next = hard[i + 1];
      if (!next || next.item.id === doing.item.id || next.fromSeconds - doing.toSeconds >= seconds) return [];
      return [
        {
          itemId: next.item.id,
          words: `${next.name} comes ${formatLength(next.fromSeconds - doing.toSeconds)} after ${doing.name}: near the limit this approach rests ${spokenLength(seconds)}.`,
          mends: [
            {
              words: `Rest ${spokenLength(seconds)} before it`,
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
    });
  },
});
