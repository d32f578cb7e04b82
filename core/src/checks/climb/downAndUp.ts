import { check } from "../terms/check";

/** The climb falls a long way and rises again. */
export const downAndUp = check({
  code: "down-and-up",
  name: "Down and up again",
  severity: "hint",
  when: "The climb falls by more than two steps and rises again, outside a school that wants it.",
  rests:
    "Single actions and ladders are one climb, except where what needs work goes first or what is secure comes last.",
  figures: {
    steps: { value: 2, unit: "steps", least: 1, most: 5, words: "Steps of the plan that it may fall by" },
  },
  find: ({ plan, approach, doings }, { steps }) => {
    if (approach && approach.sides.order !== "easy-to-hard") return [];
    const climb = doings.filter((d) => d.item.phase === "technical");
    let top = climb[0];
    for (const [i, doing] of climb.entries()) {
      if (top && doing.effort >= top.effort) top = doing;
      const fall = (top?.effort ?? 0) - doing.effort;
      const rises = climb.slice(i + 1).some((d) => d.effort > doing.effort + plan.stepPoints);
      if (!top || fall <= steps * plan.stepPoints || !rises || doing.item.id === top.item.id) continue;
      const first = climb.find((d) => d.effort > doing.effort && d.item.id !== doing.item.id);
      return [
        {
          itemId: doing.item.id,
          words: `${doing.name} is ${fall} points below ${top.name} before it, and then it rises again.`,
          mends: first
            ? [
                {
                  words: "Earlier, where it is one climb",
                  edits: [{ kind: "move", itemId: doing.item.id, before: first.item.id }],
                },
              ]
            : [],
        },
      ];
    }
    return [];
  },
});
