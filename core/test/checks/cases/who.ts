import { ladder, reps, timed } from "../../made/situations";
import type { Cases } from "./cases";
import { explosive, jump } from "./rows";

/** Cases of the checks of who does it. */
export const who: Record<string, Cases> = {
  "nobody-for-it": {
    fires: [
      {
        rows: [["Mirror", "raise", 30, timed(300, { partner: { mode: "together", changeoverSeconds: 0 } })]],
        setting: { people: 0 },
      },
    ],
    not: [
      {
        rows: [["Mirror", "raise", 30, timed(300, { partner: { mode: "together", changeoverSeconds: 0 } })]],
        setting: { people: 1 },
      },
    ],
    mends: true,
  },
  "not-there": {
    fires: [
      {
        rows: [["Wall", "raise", 30, timed(300), { details: { space: "Wall" } }]],
        setting: { spaces: ["Lane"] },
      },
      {
        rows: [["Band", "raise", 30, timed(300), { details: { equipment: ["Band"] } }]],
        setting: { equipment: ["Rope"] },
      },
    ],
    not: [
      {
        rows: [["Wall", "raise", 30, timed(300), { details: { space: "Wall" } }]],
        setting: { spaces: ["wall"] },
      },
      { rows: [["Wall", "raise", 30, timed(300), { details: { space: "Wall" } }]] },
      {
        rows: [["Band", "raise", 30, timed(300), { details: { equipment: ["Band"] } }]],
        setting: { equipment: ["Rope"] },
        athlete: { equipment: ["band"] },
      },
    ],
    mends: true,
  },
  "too-young": {
    fires: [
      { rows: [jump(30, 5, { details: { leastAge: 14 } })], athlete: { ageBand: "13-15" } },
      { rows: [explosive(2)], athlete: { ageBand: "under-10" } },
      {
        rows: [["Lift", "technical", 30, reps(2), { details: { people: 2, loads: ["back"] } }]],
        athlete: { ageBand: "under-10" },
      },
    ],
    not: [
      { rows: [jump(30, 5, { details: { leastAge: 13 } })], athlete: { ageBand: "13-15" } },
      { rows: [jump(30, 5, { details: { leastAge: 14 } })] },
      { rows: [explosive(2)], athlete: { ageBand: "10-12" } },
      {
        rows: [["Lift", "technical", 30, reps(2), { details: { people: 2 } }]],
        athlete: { ageBand: "under-10" },
      },
    ],
    mends: true,
  },
  "too-hard-for-the-age": {
    fires: [
      { rows: [jump(71, 5)], athlete: { ageBand: "under-10" } },
      { rows: [jump(81, 5)], athlete: { ageBand: "10-12" } },
      { rows: [jump(91, 5)], athlete: { ageBand: "13-15" } },
      { rows: [jump(81, 5)], athlete: { ageBand: "13-15", ageYears: 12 } },
      { rows: [["Axel", "technical", 81, ladder([40, 5], [81, 2])]], athlete: { ageBand: "10-12" } },
    ],
    not: [
      { rows: [jump(70, 5)], athlete: { ageBand: "under-10" } },
      { rows: [jump(80, 5)], athlete: { ageBand: "10-12" } },
      { rows: [jump(90, 5)], athlete: { ageBand: "13-15" } },
      { rows: [jump(81, 5)], athlete: { ageBand: "10-12", ageYears: 13 } },
      { rows: [jump(100, 5)], athlete: { ageBand: "16-18" } },
      { rows: [jump(100, 5)] },
    ],
    mends: true,
  },
  "too-much-for-the-age": {
    fires: [
      { rows: [jump(50, 7)], athlete: { ageBand: "under-10" } },
      { rows: [jump(50, 9)], athlete: { ageBand: "10-12" } },
      { rows: [jump(50, 13)], athlete: { ageBand: "13-15" } },
      { rows: [["Rungs", "technical", 50, ladder([30, 5], [50, 7])]], athlete: { ageBand: "under-10" } },
    ],
    not: [
      { rows: [jump(50, 6)], athlete: { ageBand: "under-10" } },
      { rows: [jump(50, 8)], athlete: { ageBand: "10-12" } },
      { rows: [jump(50, 12)], athlete: { ageBand: "13-15" } },
      { rows: [jump(50, 13)], athlete: { ageBand: "16-18" } },
      { rows: [jump(50, 13)] },
      { rows: [["Swings", "mobilise", 30, reps(20)]], athlete: { ageBand: "under-10" } },
      // Rungs are counted by themselves.
      { rows: [["Rungs", "technical", 50, ladder([30, 5], [50, 6])]], athlete: { ageBand: "under-10" } },
    ],
    mends: true,
  },
  "sore-part-loaded": {
    fires: [
      {
        rows: [jump(61, 5, { details: { loads: ["knee"] } })],
        athlete: { protectedAreas: [{ area: "knee", until: "2026-11-27" }] },
      },
    ],
    not: [
      {
        rows: [jump(61, 5, { details: { loads: ["knee"] } })],
        athlete: { protectedAreas: [{ area: "knee", until: "2026-11-26" }] },
      },
      {
        rows: [jump(61, 5, { details: { loads: ["hip"] } })],
        athlete: { protectedAreas: [{ area: "knee", until: null }] },
      },
    ],
    mends: true,
  },
  "partner-not-matched": {
    fires: [{ rows: [["Lift", "technical", 40, reps(2), { details: { people: 2, loads: ["back"] } }]] }],
    not: [
      { rows: [["Lift", "technical", 39, reps(2), { details: { people: 2, loads: ["back"] } }]] },
      {
        rows: [
          ["Lift", "technical", 40, reps(2), { details: { people: 2, loads: ["back"], space: "Mats" } }],
        ],
      },
      { rows: [["Lift", "technical", 40, reps(2), { details: { loads: ["back"] } }]] },
    ],
    mends: true,
  },
};
