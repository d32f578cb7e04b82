import { COOL_AIR, coldBandOf } from "../../conditions/cold";
import { check } from "../terms/check";

/** Cold out of doors. */
export const coldOutdoors = check({
  code: "cold-outdoors",
  name: "Cold outdoors",
  severity: "warn",
  when: `It is ${COOL_AIR} °C or less out of doors and no warm layers are there; in hard frost always.`,
  rests:
    "Wind chill by the formula of 2001 and its frost bands; coaches begin indoors, longer and more gradually, in layers.",
  figures: {},
  find: ({ setting, doings }) => {
    const band = coldBandOf(setting);
    if (band === "none" || doings.length === 0) return [];
    const where = ["setting", "temperature"];
    if (band === "hard-frost")
      return [
        {
          severity: "stop" as const,
          where,
          words:
            "So cold in this wind that bare skin freezes within half an hour: stay indoors until the last minutes, cover face and hands, and follow the venue's rule.",
          mends: [],
        },
      ];
    if (setting.layers === true) return [];
    return [
      {
        where,
        words: `${setting.temperature} °C out of doors${band === "frost" ? ", and bare skin is numbed in this wind" : ""}: begin indoors, longer and more gradually, and keep layers on in the wait.`,
        mends: [
          { words: "Warm layers are there", edits: [{ kind: "setting", change: { layers: true } }] },
          {
            words: "It is indoors until the start",
            edits: [{ kind: "setting", change: { indoors: true } }],
          },
        ],
      },
    ];
  },
});
