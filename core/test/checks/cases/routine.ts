import { type Row, shelfId, timed } from "../../made/situations";
import type { Cases } from "./cases";
import { jog } from "./rows";

const days = (n: number, ids: string[]) =>
  Array.from({ length: n }, (_, i) => ({ day: `2026-11-${26 - i}`, drillIds: ids, seconds: 1500 }));
const shelved = (row: Row, n: number): Row => [
  row[0],
  row[1],
  row[2],
  row[3],
  { ...row[4], drillId: shelfId(n) },
];

/** Cases of the checks of the same again and again. */
export const routine: Record<string, Cases> = {
  "dull-day": {
    fires: [
      {
        rows: [
          shelved(
            [
              "Jog",
              "raise",
              40,
              { ...timed(1200), step: 60, seconds: { floor: 300, ideal: 1200, ceiling: 1200 } },
            ],
            0,
          ),
        ],
        setting: { day: 3 },
        earlier: days(2, [shelfId(0)]),
      },
    ],
    not: [
      { rows: [shelved(jog(1200), 0)], setting: { day: 2 }, earlier: days(2, [shelfId(0)]) },
      { rows: [shelved(jog(1195), 0)], setting: { day: 3 }, earlier: days(2, [shelfId(0)]) },
      { rows: [shelved(jog(1200), 0)], setting: { day: 3 }, earlier: days(1, [shelfId(0)]) },
      { rows: [shelved(jog(1200), 0)], setting: { day: 3 }, earlier: days(2, [shelfId(9)]) },
    ],
    mends: true,
  },
  "too-much-the-same": {
    fires: [
      {
        rows: [shelved(["Jog", "raise", 40, timed(300), { details: { purposes: ["raise"] } }], 9)],
        approach: "needs-first",
        earlier: days(5, [shelfId(9)]),
        shelf: [["Skips", "raise", 35, timed(300), { details: { purposes: ["raise"] } }]],
      },
      // In training drills vary, whatever the approach does before a competition.
      {
        rows: [shelved(["Jog", "raise", 40, timed(300), { details: { purposes: ["raise"] } }], 9)],
        approach: "even-stair",
        setting: { session: "hard" },
        earlier: days(5, [shelfId(9)]),
        shelf: [["Skips", "raise", 35, timed(300), { details: { purposes: ["raise"] } }]],
      },
    ],
    not: [
      { rows: [shelved(jog(), 9)], setting: { session: "easy" }, earlier: days(4, [shelfId(9)]) },
      { rows: [shelved(jog(), 9)], approach: "needs-first", earlier: days(4, [shelfId(9)]) },
      { rows: [shelved(jog(), 9)], approach: "even-stair", earlier: days(5, [shelfId(9)]) },
      { rows: [shelved(jog(), 9)], approach: "needs-first", earlier: days(5, [shelfId(8)]) },
    ],
    mends: true,
  },
  "new-on-the-day": {
    fires: [{ rows: [shelved(jog(), 9)], event: {}, approach: "even-stair", earlier: days(3, [shelfId(8)]) }],
    not: [
      { rows: [shelved(jog(), 8)], event: {}, approach: "even-stair", earlier: days(3, [shelfId(8)]) },
      { rows: [shelved(jog(), 9)], event: {}, approach: "even-stair", earlier: days(2, [shelfId(8)]) },
      { rows: [shelved(jog(), 9)], event: {}, approach: "needs-first", earlier: days(3, [shelfId(8)]) },
      { rows: [shelved(jog(), 9)], approach: "even-stair", earlier: days(3, [shelfId(8)]) },
      // Training is where what is new is tried.
      {
        rows: [shelved(jog(), 9)],
        event: {},
        approach: "even-stair",
        setting: { session: "hard" },
        earlier: days(3, [shelfId(8)]),
      },
    ],
    mends: true,
  },
};
