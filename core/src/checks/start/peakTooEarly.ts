import { formatMinus } from "../../time/clock";
import { topUpMend, topUpOf } from "../mends/topUp";
import { check } from "../terms/check";
import { isWork } from "../terms/doing";

/** The hardest effort long before the start, and nothing sharp after it. */
export const peakTooEarly = check({
  code: "peak-too-early",
  name: "Peak too early",
  severity: "hint",
  when: "The last hard effort is long before the start and nothing brings it back.",
  rests: "What one hard effort gives is mostly gone after some 20 min (Wilson 2013, Gouvêa 2013).",
  figures: {
    minutes: { value: 20, unit: "min", least: 5, most: 90, words: "Before the start" },
    effort: { value: 75, unit: "%", least: 50, most: 100, words: "Effort that counts as hard" },
  },
  find: (situation, { minutes, effort }) => {
    const last = situation.doings.filter((d) => isWork(d) && d.effort >= effort).at(-1);
    if (!last || last.toSeconds >= -minutes * 60) return [];
    return [
      {
        itemId: last.item.id,
        words: `${last.name} at ${formatMinus(last.fromSeconds)} is the last hard effort; what it gives is mostly gone by the start.`,
        mends: topUpMend(topUpOf(situation, 0)),
      },
    ];
  },
});
