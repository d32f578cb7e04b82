import type { Cases } from "./cases";
import { jog } from "./rows";

/** Cases of the checks of the weather. */
export const weather: Record<string, Cases> = {
  heat: {
    fires: [
      { rows: [jog(100)], setting: { temperature: 30, humidity: 40, indoors: false, sun: "sun" } },
      { rows: [jog(301)], setting: { temperature: 31, humidity: 40, indoors: false, sun: "shade" } },
      { rows: [jog(100)], setting: { temperature: 40, humidity: 60 } },
    ],
    not: [
      { rows: [jog(100)], setting: { temperature: 30, humidity: 40, indoors: false, sun: "shade" } },
      { rows: [jog(300)], setting: { temperature: 31, humidity: 40, indoors: false, sun: "shade" } },
      { rows: [jog(100)], setting: { temperature: 22, humidity: 40, indoors: false, sun: "sun" } },
      { rows: [jog(100)], setting: { temperature: null, indoors: false, sun: "sun" } },
    ],
    mends: true,
  },
  "cold-outdoors": {
    fires: [
      { rows: [jog()], setting: { temperature: 10, indoors: false } },
      { rows: [jog()], setting: { temperature: -25, wind: "strong", indoors: false, layers: true } },
    ],
    not: [
      { rows: [jog()], setting: { temperature: 11, indoors: false } },
      { rows: [jog()], setting: { temperature: 10, indoors: true } },
      { rows: [jog()], setting: { temperature: 10, indoors: false, layers: true } },
    ],
    mends: true,
  },
  wet: {
    fires: [{ rows: [jog()], setting: { wet: true, indoors: false } }],
    not: [
      { rows: [jog()], setting: { wet: true, indoors: true } },
      { rows: [jog()], setting: { wet: false, indoors: false } },
      { rows: [jog()], setting: { wet: true, indoors: false, layers: true } },
    ],
    mends: true,
  },
};
