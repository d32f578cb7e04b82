import { doneBefore, ladder, type Row, reps, timed } from "../../made/situations";
import type { Cases } from "./cases";
import { jog, jump, jumps, prime } from "./rows";

const gate = (chancePercent: number, tries = 1): Row => [
  "Target",
  "technical",
  30,
  {
    kind: "gate",
    rule: { kind: "total" },
    hits: { floor: 1, ideal: 1, ceiling: 1 },
    chancePercent,
    secondsEach: 10,
    restSeconds: 0,
    surePercent: 80,
    capSeconds: 10 * tries,
    sides: "one",
  },
];
const climbing = (...efforts: number[]): Row[] =>
  efforts.map((e, i) => [`Jump ${i}`, "technical", e, reps(3)]);

/** Cases of the checks of the climb. */
export const climb: Record<string, Cases> = {
  "step-too-steep": {
    fires: [
      { rows: [jog(), jump(30), ["Axel", "technical", 51, reps(5)]], stepPoints: 20 },
      { rows: [["Axel", "technical", 51, ladder([30, 5], [51, 5])]], stepPoints: 20 },
    ],
    not: [
      { rows: [jog(), jump(30), ["Axel", "technical", 50, reps(5)]], stepPoints: 20 },
      { rows: [["Axel", "technical", 50, ladder([30, 5], [50, 5])]], stepPoints: 20 },
    ],
    mends: true,
  },
  "straight-to-hard": {
    fires: [
      { rows: [jog(), jump(40, 9, jumps), jump(61, 5, jumps)] },
      // Easy work on another action does not count for this one.
      { rows: [jog(), jump(40, 30, { details: { actions: ["Spin"] } }), jump(61, 5, jumps)] },
      { rows: [jog(), jump(41, 30, jumps), jump(61, 5, jumps)] },
      // Done so long ago that it counts no more.
      { rows: [jog(), jump(61, 5, jumps)], before: [doneBefore(91, { actions: ["Jump"] })] },
      { rows: [jog(), jump(61, 5, jumps)], before: [doneBefore(90, { actions: ["Spin"] })] },
      { rows: [jog(), jump(86, 5, { details: { actions: ["Throw"], areas: ["elbow"] } })] },
    ],
    not: [
      { rows: [jog(), jump(40, 10, jumps), jump(61, 5, jumps)] },
      { rows: [jog(), jump(60, 5, jumps)] },
      { rows: [jog(), jump(61, 5, jumps)], before: [doneBefore(90, { actions: ["Jump"] })] },
      { rows: [["Axel", "technical", 80, ladder([30, 10], [80, 3])]] },
    ],
    mends: true,
  },
  "no-stair": {
    fires: [{ rows: [jog(), jump(51, 5, { details: { areas: ["shoulder"] } })] }],
    not: [
      { rows: [jog(), jump(50, 5, { details: { areas: ["shoulder"] } })] },
      { rows: [jog(), jump(51, 5, { details: { areas: ["knee"] } })] },
      { rows: [jog(), jump(51, 5)] },
    ],
    mends: true,
  },
  "brain-before-warm": {
    fires: [
      {
        rows: [
          jog(179),
          ["Steps", "mobilise", 20, timed(60), { details: { purposes: ["coordinate"] } }],
          ["Swings", "mobilise", 20, timed(120)],
        ],
      },
    ],
    not: [
      { rows: [jog(180), ["Steps", "mobilise", 20, timed(60), { details: { purposes: ["coordinate"] } }]] },
      { rows: [["Steps", "mobilise", 20, timed(60)]] },
    ],
    mends: true,
  },
  "stage-skipped": {
    fires: [
      {
        rows: [jump(30, 5, { details: { distance: "near" } }), jump(40, 5, { details: { distance: "far" } })],
        shelf: [["Middle", "technical", 35, reps(5), { details: { distance: "middle" } }]],
      },
      {
        rows: [
          jump(30, 5, { details: { realism: "alone" } }),
          jump(40, 5, { details: { realism: "competition" } }),
        ],
      },
    ],
    not: [
      {
        rows: [
          jump(30, 5, { details: { distance: "near" } }),
          jump(35, 5, { details: { distance: "middle" } }),
          jump(40, 5, { details: { distance: "far" } }),
        ],
      },
      { rows: [jump(40, 5, { details: { distance: "far" } })] },
      {
        rows: [
          jump(30, 5, { details: { realism: "alone" } }),
          jump(35, 5, { details: { realism: "feed" } }),
          jump(40, 5, { details: { realism: "competition" } }),
        ],
      },
    ],
    mends: true,
  },
  "never-at-level": {
    fires: [
      {
        rows: [jog(), prime(84)],
        approach: "even-stair",
        event: { targetLevel: 90 },
        shelf: [["Fast one", "prime", 88, timed(20)]],
      },
      // As far as the age goes, and no further.
      {
        rows: [jog(), prime(74)],
        approach: "even-stair",
        event: { targetLevel: 90 },
        athlete: { ageBand: "10-12" },
        shelf: [["Fast one", "prime", 80, timed(20)]],
      },
    ],
    not: [
      {
        rows: [jog(), prime(75)],
        approach: "even-stair",
        event: { targetLevel: 90 },
        athlete: { ageBand: "10-12" },
      },
      { rows: [jog(), prime(85)], approach: "even-stair", event: { targetLevel: 90 } },
      {
        rows: [jog(), prime(70)],
        approach: "even-stair",
        event: { targetLevel: 90, actions: ["Jump"] },
        before: [doneBefore(60, { actions: ["Jump"] })],
      },
      { rows: [jog(), prime(70)], approach: "compact", event: { targetLevel: 90 } },
      { rows: [jog(), prime(70)], event: { targetLevel: 90 } },
      { rows: [], approach: "even-stair", event: { targetLevel: 90 } },
    ],
    mends: true,
  },
  "above-asked": {
    fires: [
      { rows: [jog(), prime(91)], event: { targetLevel: 90 } },
      { rows: [jog(), prime(96)], event: { targetLevel: 90 }, approach: "long-and-sharp" },
    ],
    not: [
      { rows: [jog(), prime(90)], event: { targetLevel: 90 } },
      { rows: [jog(), prime(95)], event: { targetLevel: 90 }, approach: "long-and-sharp" },
      { rows: [jog(), prime(91)] },
    ],
    mends: true,
  },
  "down-and-up": {
    fires: [{ rows: climbing(25, 45, 65, 24, 44, 60), stepPoints: 20 }],
    not: [
      { rows: climbing(25, 45, 65, 25, 45, 60), stepPoints: 20 },
      { rows: climbing(25, 45, 65, 24, 44), stepPoints: 20 },
      { rows: climbing(25, 45, 65, 24, 44, 60), stepPoints: 20, approach: "needs-first" },
    ],
    mends: true,
  },
  "will-not-open": { fires: [{ rows: [gate(49)] }], not: [{ rows: [gate(50)] }, { rows: [gate(49, 2)] }] },
  "nothing-to-attend-to": {
    fires: [
      { rows: [jump(30, 5, { focus: "", details: { cues: { see: "", feel: "Tall hips", listen: "" } } })] },
    ],
    not: [{ rows: [jump(30, 5)] }, { rows: [["Jog", "raise", 40, timed(300), { focus: "" }]] }],
    mends: true,
  },
};
