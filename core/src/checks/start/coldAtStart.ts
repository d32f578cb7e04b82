import { heatBandOf } from "../../conditions/heat";
import type { Mend } from "../../plan/finding";
import { waitMends } from "../mends/shorterWait";
import { topUpMend, topUpOf } from "../mends/topUp";
import { check } from "../terms/check";
import type { Situation } from "../terms/situation";

/** Less than warm at the start for most people. */
export const coldAtStart = check({
  code: "cold-at-the-start",
  name: "Cold at the start",
  severity: "warn",
  when: "By the forecast most people would be less than warm at the start.",
  rests: "The forecast: muscle warmth by Saltin 1968, Bishop 2003, Mohr 2004; in heat it is not asked.",
  figures: {},
  find: (situation) => {
    const { forecast, doings, setting } = situation;
    const { warmth } = forecast.atStart.words;
    if (doings.length === 0 || warmth.grade === 0 || heatBandOf(setting) !== "none") return [];
    return [
      {
        words: `By the forecast most people would be less than warm at the start: ${warmth.word}.`,
        mends: [...topUpMend(topUpOf(situation, 0)), ...waitMends(situation), ...layers(situation)].slice(
          0,
          3,
        ),
      },
    ];
  },
});

function layers({ setting }: Situation): Mend[] {
  if (setting.layers === true) return [];
  return [{ words: "Warm layers on", edits: [{ kind: "setting", change: { layers: true } }] }];
}
