import { doneBefore, type Row, reps, timed } from "../../made/situations";
import type { Cases } from "./cases";
import { explosive, jog, jump, prime } from "./rows";

const held = (seconds: number): Row => [
  "Hold",
  "mobilise",
  10,
  timed(seconds),
  { details: { flags: ["static-hold"] } },
];

/** Cases of the checks of how much there is. */
export const amount: Record<string, Cases> = {
  "too-little-easy": {
    fires: [{ rows: [jog(490), ["Fast", "mobilise", 41, timed(510)]] }],
    not: [
      { rows: [jog(500), ["Fast", "mobilise", 41, timed(500)]] },
      { rows: [["Boots", "kit", 0, timed(500)]] },
    ],
  },
  "too-long": {
    fires: [
      {
        rows: [
          [
            "Jog",
            "raise",
            40,
            { ...timed(600), step: 60, seconds: { floor: 300, ideal: 600, ceiling: 600 } },
          ],
          ["Swings", "mobilise", 30, timed(605)],
        ],
      },
      { rows: [jog(400), jump(30, 161), jog(0 + 60)], approach: "compact" },
    ],
    not: [
      { rows: [jog(600), ["Swings", "mobilise", 30, timed(600)]] },
      { rows: [jog(600), jump(30, 5), ["Swings", "mobilise", 30, timed(605)]] },
      {
        rows: [
          jog(600),
          ["Walk", "raise", 15, timed(60), { details: { flags: ["breather"] } }],
          ["Swings", "mobilise", 30, timed(605)],
        ],
      },
    ],
    mends: true,
  },
  "too-short": {
    fires: [
      { rows: [jog(565)], event: { targetLevel: 80, effort: "short-hard" } },
      { rows: [jog(205)] },
      // An hour after another start half of the floor is enough.
      { rows: [jog(265)], event: { targetLevel: 80, effort: "short-hard" }, before: [doneBefore(60)] },
    ],
    not: [
      { rows: [jog(575)], event: { targetLevel: 80, effort: "short-hard" } },
      { rows: [jog(565)], event: { targetLevel: 79, effort: "short-hard" } },
      { rows: [jog(565)], event: { targetLevel: 80, effort: "long-sustained" } },
      { rows: [jog(215)] },
      { rows: [jog(275)], event: { targetLevel: 80, effort: "short-hard" }, before: [doneBefore(60)] },
      { rows: [] },
    ],
  },
  "more-than-a-re-warm": {
    fires: [
      // Even stair: 22 min, of which a quarter is easy. After 20 min a third is 7:16 min and half as much again 10:53 min.
      { rows: [jog(660)], approach: "even-stair", before: [doneBefore(20)] },
      { rows: [jog(660)], approach: "even-stair", before: [doneBefore(5)] },
      // Compact: 12 min at the usual, and what takes 10 min is never too much.
      { rows: [jog(605)], approach: "compact", before: [doneBefore(20)] },
      // After an hour half: 11 min, and half as much again 16:30 min.
      { rows: [jog(995)], approach: "even-stair", before: [doneBefore(60)] },
      { rows: [jog(1725)], approach: "even-stair", before: [doneBefore(180)] },
    ],
    not: [
      { rows: [jog(660)], before: [doneBefore(20)] },
      { rows: [jog(660)], approach: "even-stair" },
      { rows: [jog(600)], approach: "compact", before: [doneBefore(20)] },
      { rows: [jog(650)], approach: "even-stair", before: [doneBefore(20)] },
      { rows: [jog(985)], approach: "even-stair", before: [doneBefore(60)] },
      { rows: [jog(1700)], approach: "even-stair", before: [doneBefore(180)] },
      { rows: [jog(1740)], approach: "even-stair", before: [doneBefore(360)] },
    ],
  },
  "not-needed": {
    fires: [
      { rows: [jog(505), ["Swings", "mobilise", 30, timed(100)]], event: { targetLevel: 50 } },
      // An easy session, whatever is done in it.
      { rows: [jog(505), ["Swings", "mobilise", 30, timed(100)]], setting: { session: "easy" } },
    ],
    not: [
      { rows: [jog(500), ["Swings", "mobilise", 30, timed(100)]], setting: { session: "easy" } },
      { rows: [jog(505), ["Swings", "mobilise", 30, timed(100)]], setting: { session: "hard" } },
      { rows: [jog(500), ["Swings", "mobilise", 30, timed(100)]], event: { targetLevel: 50 } },
      { rows: [jog(505), ["Swings", "mobilise", 30, timed(100)]], event: { targetLevel: 51 } },
    ],
    mends: true,
  },
  "long-hold-late": {
    fires: [{ rows: [jog(), held(60), ["Swings", "mobilise", 30, timed(895)]] }],
    not: [
      { rows: [jog(), held(60), ["Swings", "mobilise", 30, timed(905)]] },
      { rows: [jog(), held(55), ["Swings", "mobilise", 30, timed(895)]] },
      { rows: [jog(), ["Hold", "mobilise", 10, timed(60)], ["Swings", "mobilise", 30, timed(895)]] },
    ],
    mends: true,
  },
  "too-explosive": {
    fires: [
      {
        rows: [
          [
            "Hops",
            "mobilise",
            60,
            { ...reps(16), reps: { floor: 5, ideal: 16, ceiling: 16 } },
            { details: { flags: ["explosive"] } },
          ],
        ],
      },
      { rows: [explosive(11)], athlete: { ageBand: "13-15" } },
      { rows: [explosive(7)], athlete: { ageBand: "10-12" } },
      { rows: [explosive(1, 4)] },
    ],
    not: [
      { rows: [explosive(15)] },
      { rows: [explosive(15)], athlete: { ageBand: "16-18" } },
      { rows: [explosive(10)], athlete: { ageBand: "13-15" } },
      { rows: [explosive(6)], athlete: { ageBand: "10-12" } },
      { rows: [explosive(1, 3)] },
      { rows: [["Hops", "mobilise", 60, reps(16)]] },
    ],
    mends: true,
  },
  "too-much-volume": {
    fires: [
      { rows: [jump(30, 21)], athlete: { usualReps: 100 } },
      { rows: [jump(30, 16)], athlete: { usualReps: 100, recentLoad: "little" } },
    ],
    not: [
      { rows: [jump(30, 20)], athlete: { usualReps: 100 } },
      { rows: [jump(30, 15)], athlete: { usualReps: 100, recentLoad: "little" } },
      { rows: [jump(30, 21)], athlete: {} },
    ],
  },
  "no-breather": {
    fires: [{ rows: [jog(), prime(80, 20, { restAfter: { kind: "seconds", seconds: 59 } }), prime(80)] }],
    not: [
      { rows: [jog(), prime(80, 20, { restAfter: { kind: "seconds", seconds: 60 } }), prime(80)] },
      { rows: [jog(), prime(79), prime(80)] },
      { rows: [jog(), prime(80), prime(79)] },
    ],
    mends: true,
  },
  "near-limit-too-soon": {
    fires: [
      {
        rows: [jog(), prime(90, 20, { restAfter: { kind: "seconds", seconds: 179 } }), prime(90)],
        approach: "secure-finish",
      },
    ],
    not: [
      {
        rows: [jog(), prime(90, 20, { restAfter: { kind: "seconds", seconds: 180 } }), prime(90)],
        approach: "secure-finish",
      },
      { rows: [jog(), prime(89), prime(90)], approach: "secure-finish" },
      { rows: [jog(), prime(90), prime(90)], approach: "even-stair" },
    ],
    mends: true,
  },
};
