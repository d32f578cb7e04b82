import { wordKey } from "../../words/sameWord";
import { check } from "../terms/check";
import { itemsDone } from "../terms/doing";

/** Two places in a row with no time between them. */
export const changeNotTimed = check({
  code: "change-not-timed",
  name: "Change not timed",
  severity: "warn",
  when: "Two drills in a row are at different places and no time is planned between.",
  rests: "Ways and changes of clothes take planned minutes.",
  figures: {
    seconds: { value: 60, unit: "s", least: 10, most: 900, words: "A way, as long as nobody has timed it" },
  },
  find: ({ fit, context, setting }, { seconds }) => {
    const placed = itemsDone(fit).filter((i) =>
      context.places.some((p) => wordKey(p.name) === wordKey(i.place)),
    );
    const told = new Set<string>();
    return placed.flatMap((item, i) => {
      const before = placed[i - 1];
      if (!before || wordKey(before.place) === wordKey(item.place)) return [];
      const pair = [wordKey(before.place), wordKey(item.place)].toSorted().join("\n");
      const isTimed = context.travel.some(
        (t) => [wordKey(t.from), wordKey(t.to)].toSorted().join("\n") === pair,
      );
      if (isTimed || told.has(pair)) return [];
      told.add(pair);
      const way = { from: before.place, to: item.place, seconds };
      return [
        {
          itemId: item.id,
          words: `From ${before.place} to ${item.place} no time is planned.`,
          mends: [
            {
              words: `${seconds} s for the way`,
              edits: [
                {
                  kind: "setting" as const,
                  change: {
                    // A way is between places that the start has itself: those of the event become its own.
                    places: setting.places ?? context.places.map(({ name }) => ({ name, windows: [] })),
                    travel: [...(setting.travel ?? []), way],
                  },
                },
              ],
            },
          ],
        },
      ];
    });
  },
});
