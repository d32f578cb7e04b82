import { doneBefore, reps, timed } from "../../made/situations";
import type { Cases } from "./cases";
import { jog, jump, jumps } from "./rows";

/** Cases of the checks of what is touched. */
export const cover: Record<string, Cases> = {
  "action-cold": {
    fires: [
      {
        rows: [jog(), jump(30, 10, { details: { actions: ["Spin"] } })],
        event: { actions: ["Jump"] },
        shelf: [["Small jumps", "technical", 30, reps(5), jumps]],
      },
    ],
    not: [
      { rows: [jog(), jump(30, 10, { details: { actions: ["jump "] } })], event: { actions: ["Jump"] } },
      { rows: [jog(), jump(30)], event: { actions: ["Jump"] } },
      // It was done an hour ago.
      {
        rows: [jog(), jump(30, 10, { details: { actions: ["Spin"] } })],
        event: { actions: ["Jump"] },
        before: [doneBefore(60, { actions: ["JUMP"] })],
      },
    ],
    mends: true,
  },
  "area-cold": {
    fires: [
      {
        rows: [jog()],
        event: { areas: ["shoulder"] },
        shelf: [["Arm swings", "mobilise", 20, timed(60), { details: { areas: ["shoulder"] } }]],
      },
    ],
    not: [{ rows: [jog()], event: { areas: ["hip"] } }, { rows: [jog()] }],
    mends: true,
  },
  "one-side-only": {
    fires: [{ rows: [jog(), ["Lunge", "mobilise", 30, timed(60, { sides: "dominant" })]] }],
    not: [
      { rows: [jog(), ["Lunge", "mobilise", 30, timed(60, { sides: "both" })]] },
      {
        rows: [
          jog(),
          ["Lunge", "mobilise", 30, timed(60, { sides: "dominant" })],
          ["Swing", "mobilise", 30, timed(60, { sides: "both" })],
        ],
      },
      { rows: [jog()] },
    ],
    mends: true,
  },
};
