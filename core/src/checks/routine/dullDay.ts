import { atFloor } from "../../dose/atFloor";
import { check } from "../terms/check";
import { contentOf, sameContent } from "../terms/content";
import { isWork } from "../terms/doing";

/** The third day running with the same long plan. */
export const dullDay = check({
  code: "dull-day",
  name: "Dull day",
  severity: "hint",
  when: "It is the third day running or later with the same long warm-up.",
  rests:
    "The body gets used to daily work and is dull by the third to fifth day: shorter raise, livelier prime.",
  figures: {
    day: { value: 3, unit: "day", least: 2, most: 14, words: "From this day of competition on" },
    minutes: { value: 20, unit: "min", least: 5, most: 60, words: "Work from which it is long" },
  },
  find: ({ plan, doings, setting, earlier }, { day, minutes }) => {
    const work = doings.filter(isWork).reduce((sum, d) => sum + d.toSeconds - d.fromSeconds, 0);
    const same = earlier.slice(0, day - 1).filter((run) => sameContent(run.drillIds, contentOf(plan)));
    if (setting.day < day || work < minutes * 60 || same.length < day - 1) return [];
    const raise = plan.items.filter((i) => i.phase === "raise");
    return [
      {
        where: ["setting", "day"],
        words: `Day ${setting.day} with the same long warm-up: a shorter raise and a livelier prime wake a dull body.`,
        mends:
          raise.length > 0
            ? [
                {
                  words: "Raise at its shortest",
                  edits: raise.map((i) => ({
                    kind: "change" as const,
                    itemId: i.id,
                    change: { dose: atFloor(i.dose) },
                  })),
                },
              ]
            : [],
      },
    ];
  },
});
