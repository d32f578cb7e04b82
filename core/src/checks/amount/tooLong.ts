import { withoutGrowth } from "../../dose/atFloor";
import { spokenLength } from "../../time/clock";
import { check } from "../terms/check";
import { type Doing, isGeneral, isWork } from "../terms/doing";

/** General work without a break for too long, or more in all than the approach has. */
export const tooLong = check({
  code: "too-long",
  name: "Too long",
  severity: "warn",
  when: "General work goes on for too long without a break, or the whole is longer than the approach's most.",
  rests: "Past about 20 min of continuous work a general warm-up begins to cost more than it gives.",
  figures: {
    minutes: { value: 20, unit: "min", least: 5, most: 60, words: "Longest general work without a break" },
  },
  find: ({ plan, doings, approach, fit }, { minutes }) => {
    const longest = longestGeneral(doings);
    const general =
      longest > minutes * 60
        ? [
            {
              words: `${spokenLength(longest)} of general work without a break: past ${minutes} min it costs more than it gives.`,
              mends: [
                {
                  words: `At most ${minutes} min without a break`,
                  edits: [{ kind: "limits" as const, change: { generalMinutes: minutes } }],
                },
              ],
            },
          ]
        : [];
    const most = approach ? approach.minutes.most * 60 : Infinity;
    const work = doings.filter(isWork).reduce((sum, d) => sum + d.toSeconds - d.fromSeconds, 0);
    if (work <= most) return general;
    const grown = fit.placements.filter((p) => p.verdict === "lengthened").map((p) => p.item);
    const held = plan.items
      .filter((i) => grown.includes(i))
      .map((i) => ({
        kind: "change" as const,
        itemId: i.id,
        change: { dose: withoutGrowth(i.dose) },
      }));
    return [
      ...general,
      {
        words: `${spokenLength(work)} of drills; this approach has ${approach?.minutes.most} min at the most.`,
        mends: held.length > 0 ? [{ words: "Nothing beyond its target", edits: held }] : [],
      },
    ];
  },
});

/** Seconds of the longest stretch of general work that kit, a breather or the sport's own work does not end. */
function longestGeneral(doings: readonly Doing[]): number {
  let longest = 0;
  let now = 0;
  for (const doing of doings) {
    const goesOn = isGeneral(doing) && !doing.item.details?.flags.includes("breather");
    now = goesOn ? now + doing.toSeconds - doing.fromSeconds : 0;
    longest = Math.max(longest, now);
  }
  return longest;
}
