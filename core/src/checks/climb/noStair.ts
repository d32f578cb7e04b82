import { easyRound } from "../mends/easyRound";
import { check } from "../terms/check";
import { isOwn, isWork } from "../terms/doing";

/** An action met hard whose parts of the body nothing has moved before. */
export const noStair = check({
  code: "no-stair",
  name: "No stair of its own",
  severity: "warn",
  when: "An action is met above half effort and nothing before has moved the parts of the body it uses.",
  rests:
    "Coaches give an action that moves otherwise, as an overhead one after strokes from the ground, a small ladder of its own.",
  figures: {
    most: { value: 50, unit: "%", least: 20, most: 100, words: "Effort up to which it may be met first" },
  },
  find: ({ doings }, { most }) =>
    doings.flatMap((doing, i) => {
      const areas = doing.item.details?.areas ?? [];
      if (!isOwn(doing) || doing.effort <= most || areas.length === 0) return [];
      const moved = new Set(
        doings
          .slice(0, i)
          .filter(isWork)
          .flatMap((d) => d.item.details?.areas ?? []),
      );
      const isFirst = doings.findIndex((d) => d.item.id === doing.item.id && d.effort > most) === i;
      if (!isFirst || areas.some((a) => moved.has(a))) return [];
      return [
        {
          itemId: doing.item.id,
          words: `${doing.name} begins at ${doing.effort} %, and nothing before has moved the ${areas.join(", the ")}.`,
          mends: [easyRound(doing.item)],
        },
      ];
    }),
});
