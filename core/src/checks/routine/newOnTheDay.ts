import { wantsSame } from "../../conditions/sessionKind";
import { insteadOf } from "../mends/instead";
import { check } from "../terms/check";

/** A drill never run before, on the day, where the approach keeps to the same. */
export const newOnTheDay = check({
  code: "new-on-the-day",
  name: "New on the day",
  severity: "hint",
  when: "A drill was never run before by this athlete, before a competition, where the approach keeps to the same.",
  rests: "One school does the same routine every time, so that nothing is new on the day.",
  figures: {
    runs: { value: 3, unit: "warm-ups", least: 1, most: 30, words: "In the log, so that it can be told" },
  },
  find: (situation, { runs }) => {
    const { plan, approach, earlier, event, setting } = situation;
    if (!event || !wantsSame(setting, approach?.sides.variety) || earlier.length < runs) return [];
    const known = new Set(earlier.flatMap((run) => run.drillIds));
    return plan.items.flatMap((item) => {
      if (item.phase === "kit" || !item.drillId || known.has(item.drillId)) return [];
      const usual = situation.shelf.filter((d) => d.id !== undefined && known.has(d.id));
      return [
        {
          itemId: item.id,
          words: `${item.name} was never run before: this approach has nothing new on the day.`,
          mends: insteadOf({ ...situation, shelf: usual }, item),
        },
      ];
    });
  },
});
