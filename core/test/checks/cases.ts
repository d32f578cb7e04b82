import { ladder, type Made, type Row, reps, shelfId, timed } from "./made";

/** Situations in which a check speaks, and the nearest ones in which it does not, from the document. */
export interface Cases {
  fires: readonly Made[];
  not: readonly Made[];
  /** Whether the first of those that fire has a mend that does what it promises. */
  mends?: true;
}

const jog = (seconds = 600): Row => [
  "Jog",
  "raise",
  40,
  timed(seconds),
  { details: { areas: ["hip", "knee"] } },
];
const jump = (effort: number, amount = 10, more: Row[4] = {}): Row => [
  "Jump",
  "technical",
  effort,
  reps(amount),
  more,
];
const prime = (effort: number, seconds = 20, more: Row[4] = {}): Row => [
  "Sprint",
  "prime",
  effort,
  timed(seconds),
  more,
];
const jumps = { details: { actions: ["Jump"] } };
const boots: Row = [
  "Boots",
  "kit",
  0,
  timed(60),
  { details: { flags: ["no-condition", "venue-temperature"] } },
];
const explosive = (amount: number, sets = 1): Row => [
  "Hops",
  "mobilise",
  60,
  reps(amount, sets),
  { details: { flags: ["explosive"] } },
];
const held = (seconds: number): Row => [
  "Hold",
  "mobilise",
  10,
  timed(seconds),
  { details: { flags: ["static-hold"] } },
];
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
const climb = (...efforts: number[]): Row[] => efforts.map((e, i) => [`Jump ${i}`, "technical", e, reps(3)]);
const days = (n: number, ids: string[]) =>
  Array.from({ length: n }, (_, i) => ({ day: `2026-11-${26 - i}`, drillIds: ids, seconds: 1500 }));
const shelved = (row: Row, n: number): Row => [
  row[0],
  row[1],
  row[2],
  row[3],
  { ...row[4], drillId: shelfId(n) },
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

export const CASES: Record<string, Cases> = {
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
      { rows: [jog(), jump(86, 5, { details: { actions: ["Throw"], areas: ["elbow"] } })] },
    ],
    not: [
      { rows: [jog(), jump(40, 10, jumps), jump(61, 5, jumps)] },
      { rows: [jog(), jump(60, 5, jumps)] },
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
    ],
    not: [
      { rows: [jog(), prime(85)], approach: "even-stair", event: { targetLevel: 90 } },
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
    fires: [{ rows: climb(25, 45, 65, 24, 44, 60), stepPoints: 20 }],
    not: [
      { rows: climb(25, 45, 65, 25, 45, 60), stepPoints: 20 },
      { rows: climb(25, 45, 65, 24, 44), stepPoints: 20 },
      { rows: climb(25, 45, 65, 24, 44, 60), stepPoints: 20, approach: "needs-first" },
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
    fires: [{ rows: [jog(595)], event: { targetLevel: 80, effort: "short-hard" } }, { rows: [jog(235)] }],
    not: [
      { rows: [jog(600)], event: { targetLevel: 80, effort: "short-hard" } },
      { rows: [jog(595)], event: { targetLevel: 79, effort: "short-hard" } },
      { rows: [jog(595)], event: { targetLevel: 80, effort: "long-sustained" } },
      { rows: [jog(240)] },
      { rows: [] },
    ],
  },
  "not-needed": {
    fires: [{ rows: [jog(505), ["Swings", "mobilise", 30, timed(100)]], event: { targetLevel: 50 } }],
    not: [
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
    ],
    not: [
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
    ],
    mends: true,
  },
};
