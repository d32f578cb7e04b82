import { type Row, timed } from "../../made/situations";
import type { Cases } from "./cases";
import { jog, jump } from "./rows";

const boots: Row = [
  "Boots",
  "kit",
  0,
  timed(60),
  { details: { flags: ["no-condition", "venue-temperature"] } },
];
const windowed = (minutes: number) => ({
  places: [
    {
      name: "Ice",
      windows: [{ fromSeconds: -600 - minutes * 60, toSeconds: -600, room: "all" as const, turns: 1 }],
    },
  ],
});
const onIce = (name: string, seconds: number, priority: "useful" | "extra" = "useful"): Row => [
  name,
  "technical",
  30,
  timed(seconds),
  { place: "Ice", priority },
];
const twoPlaces = {
  places: [
    { name: "Hall", windows: [] },
    { name: "Ice", windows: [] },
  ],
};
const atPlaces: Row[] = [
  ["Jog", "raise", 40, timed(300), { place: "Hall" }],
  ["Edges", "technical", 30, timed(300), { place: "Ice" }],
];

/** Cases of the checks of the day. */
export const day: Record<string, Cases> = {
  "essentials-short": {
    fires: [{ rows: [jog(600)], seconds: 599 }],
    not: [{ rows: [jog(600)], seconds: 600 }],
  },
  "wait-too-long": {
    fires: [
      {
        rows: [["Jog", "raise", 40, timed(300), { place: "Ice" }]],
        context: windowed(10),
        wait: { longestSeconds: 599 },
      },
    ],
    not: [
      {
        rows: [["Jog", "raise", 40, timed(300), { place: "Ice" }]],
        context: windowed(10),
        wait: { longestSeconds: 600 },
      },
    ],
    mends: true,
  },
  "window-too-small": {
    fires: [{ rows: [onIce("Edges", 200), onIce("Spins", 165)], context: windowed(6) }],
    not: [
      { rows: [onIce("Edges", 200), onIce("Spins", 160)], context: windowed(6) },
      { rows: [onIce("Edges", 200), onIce("Spins", 165, "extra")], context: windowed(6) },
    ],
    mends: true,
  },
  "late-for-a-fixed-point": {
    fires: [
      {
        rows: [jog()],
        readySeconds: 1799,
        context: {
          points: [
            { name: "Call", fromSeconds: -1800, toSeconds: -1500, place: null, closesPractice: false },
          ],
        },
      },
    ],
    not: [
      {
        rows: [jog()],
        readySeconds: 1800,
        context: {
          points: [
            { name: "Call", fromSeconds: -1800, toSeconds: -1500, place: null, closesPractice: false },
          ],
        },
      },
      {
        rows: [jog()],
        readySeconds: 1500,
        context: {
          points: [
            { name: "Call", fromSeconds: -1800, toSeconds: -1500, place: null, closesPractice: false },
          ],
        },
      },
    ],
  },
  "change-not-timed": {
    fires: [{ rows: atPlaces, context: twoPlaces, setting: twoPlaces }],
    not: [
      { rows: atPlaces, context: { ...twoPlaces, travel: [{ from: "Ice", to: "hall", seconds: 0 }] } },
      { rows: atPlaces },
      { rows: [atPlaces[0] as Row], context: twoPlaces },
    ],
  },
  "kit-not-checked": {
    fires: [{ event: { kit: ["Boots", "Music"] }, setting: { kitReady: ["boots"] }, untilStart: 3600 }],
    not: [
      { event: { kit: ["Boots", "Music"] }, setting: { kitReady: ["boots", "music"] }, untilStart: 3600 },
      { event: { kit: ["Boots", "Music"] }, setting: { kitReady: ["boots"] }, untilStart: 3601 },
      { event: { kit: ["Boots", "Music"] }, setting: { kitReady: ["boots"] } },
      { event: { kit: ["Boots", "Music"] }, setting: { kitReady: ["boots"] }, untilStart: 0 },
    ],
    mends: true,
  },
  "not-at-the-venues-temperature": {
    fires: [{ rows: [boots, jog(1735), jump(30)] }],
    not: [
      { rows: [boots, jog(1740), jump(30)] },
      { rows: [["Boots", "kit", 0, timed(60)], jog(60), jump(30)] },
      { rows: [boots, jog(60)] },
    ],
    mends: true,
  },
  "asked-but-not-kept": {
    fires: [{ rows: [["Jog", "raise", 40, timed(300), { place: "Roof" }]], context: twoPlaces }],
    not: [{ rows: [["Jog", "raise", 40, timed(300), { place: "hall" }]], context: twoPlaces }],
  },
};
