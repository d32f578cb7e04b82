import { timed } from "../../made/situations";
import type { Cases } from "./cases";
import { jog, prime } from "./rows";

/** Cases of the checks of the start. */
export const start: Record<string, Cases> = {
  "cold-at-the-start": {
    fires: [
      { rows: [jog(900)], wait: { leastSeconds: 3600 } },
      { rows: [["Walk", "raise", 10, timed(300)]], setting: { temperature: 5 } },
    ],
    not: [
      { rows: [jog(900)], wait: { leastSeconds: 120 } },
      { rows: [], wait: { leastSeconds: 3600 } },
      { rows: [jog(900)], wait: { leastSeconds: 3600 }, setting: { temperature: 35, humidity: 60 } },
    ],
    mends: true,
  },
  "not-rested": {
    fires: [{ rows: [jog(), prime(85, 60)], wait: { leastSeconds: 299 } }],
    not: [
      { rows: [jog(), prime(85, 60)], wait: { leastSeconds: 300 } },
      { rows: [jog(), prime(84, 60)], wait: { leastSeconds: 0 } },
    ],
    mends: true,
  },
  "peak-too-early": {
    fires: [{ rows: [jog(), prime(75)], wait: { leastSeconds: 1201 } }],
    not: [
      {
        rows: [jog(), prime(75), jog(300), ["Spins", "technical", 75, timed(60)]],
        wait: { leastSeconds: 1000 },
      },
      { rows: [jog(), prime(75)], wait: { leastSeconds: 1200 } },
      { rows: [jog(), prime(75), ["Spins", "technical", 75, timed(60)]], wait: { leastSeconds: 1000 } },
      { rows: [jog(), prime(74)], wait: { leastSeconds: 1800 } },
    ],
  },
  "nothing-for-the-head": {
    fires: [
      {
        rows: [jog()],
        event: {},
        shelf: [["Breathe", "prime", 0, timed(60), { details: { purposes: ["mental"] } }]],
      },
    ],
    not: [
      { rows: [jog(), ["Breathe", "prime", 0, timed(60), { details: { purposes: ["mental"] } }]], event: {} },
      { rows: [jog(), ["Sit", "prime", 0, timed(60), { calm: "quiet" }]], event: {} },
      { rows: [jog()] },
    ],
    mends: true,
  },
  "no-time-to-change": {
    fires: [{ rows: [jog()], wait: { leastSeconds: 300 }, setting: { layers: true } }],
    not: [
      { rows: [jog()], wait: { leastSeconds: 300 }, setting: { layers: false } },
      { rows: [jog()], wait: { leastSeconds: 0 }, setting: { layers: true } },
      {
        rows: [jog(), ["Jacket off", "kit", 0, timed(60), { calm: "quiet" }]],
        wait: { leastSeconds: 300 },
        setting: { layers: true },
      },
    ],
    mends: true,
  },
};
