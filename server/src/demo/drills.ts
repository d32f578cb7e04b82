import { randomUUID } from "node:crypto";
import type { PlainDose, Range, Rung } from "@tonodrome/core";
import type { DrillInput } from "@tonodrome/core/api";
import { demoDetails } from "./details";

const range = (floor: number, ideal: number, ceiling = ideal): Range => ({ floor, ideal, ceiling });

function time(
  floor: number,
  ideal: number,
  more: { step?: number; sides?: "one" | "both"; ceiling?: number } = {},
): PlainDose {
  return {
    kind: "time",
    seconds: range(floor, ideal, more.ceiling),
    step: more.step ?? 30,
    sides: more.sides ?? "one",
    changeoverSeconds: more.sides === "both" ? 10 : 0,
  };
}

function reps(
  sets: Range,
  count: Range,
  secondsPerRep: number,
  sides: "one" | "both",
  restSeconds: number,
): PlainDose {
  return { kind: "reps", sets, reps: count, secondsPerRep, sides, restSeconds };
}

function attempts(many: Range, secondsEach: number, restSeconds: number): PlainDose {
  return {
    kind: "attempts",
    attempts: many,
    secondsEach,
    sides: "one",
    rest: { kind: "fixed", seconds: restSeconds },
  };
}

function rung(
  label: string,
  intensity: number,
  dose: Rung["dose"],
  focus: string,
  restSeconds: number,
  chancePercent: number,
): Rung {
  return { id: randomUUID(), label, intensity, dose, focus, restSeconds, chancePercent };
}

type Line = [
  name: string,
  phase: DrillInput["phase"],
  priority: DrillInput["priority"],
  intensity: number,
  dose: DrillInput["dose"],
  place: string,
  focus: string,
];

const lines: Line[] = [
  [
    "Easy laps of the corridor",
    "raise",
    "essential",
    20,
    time(120, 300, { ceiling: 420 }),
    "Off-ice area",
    "Slow enough to talk all the way round",
  ],
  [
    "Skipping, soft feet",
    "raise",
    "useful",
    30,
    reps(range(1, 2), range(30, 50), 1, "one", 20),
    "Off-ice area",
    "Quiet landings, heels kiss the floor",
  ],
  ["Side steps and grapevine", "raise", "extra", 25, time(60, 90), "Off-ice area", "Hips stay level"],
  [
    "Leg swings",
    "mobilise",
    "essential",
    25,
    reps(range(1, 1), range(6, 10), 2, "both", 5),
    "Off-ice area",
    "Tall on the standing leg",
  ],
  [
    "Walking lunges",
    "mobilise",
    "useful",
    30,
    reps(range(1, 3), range(8, 8), 3, "one", 30),
    "Off-ice area",
    "Knee over the second toe",
  ],
  [
    "Shoulder circles and reach",
    "mobilise",
    "extra",
    20,
    time(30, 60, { step: 15 }),
    "Off-ice area",
    "Long neck, ribs quiet",
  ],
  [
    "Trunk turns with band",
    "mobilise",
    "useful",
    35,
    reps(range(1, 2), range(6, 8), 2, "both", 15),
    "Off-ice area",
    "Turn from the ribs, hips still",
  ],
  [
    "Landing holds",
    "mobilise",
    "essential",
    35,
    reps(range(1, 2), range(3, 5), 4, "both", 20),
    "Off-ice area",
    "Stick it, count two, free leg long",
  ],
  [
    "Backspin position on the floor",
    "mobilise",
    "useful",
    40,
    time(20, 45, { step: 5, sides: "both" }),
    "Off-ice area",
    "Ankles crossed, weight left of the line",
  ],
  [
    "Rotation jumps on the floor",
    "mobilise",
    "essential",
    50,
    attempts(range(3, 6), 8, 20),
    "Off-ice area",
    "Snap in, eyes level",
  ],
  [
    "Boots on",
    "kit",
    "essential",
    0,
    time(360, 480),
    "Changing room",
    "Left boot first, re-tie after one minute",
  ],
  ["Guards off, gloves, tissue", "kit", "extra", 0, time(30, 60), "Rink side", "Water within reach"],
  [
    "Edges and crossovers",
    "technical",
    "essential",
    35,
    time(60, 120),
    "Ice",
    "Knees soft, speed comes by itself",
  ],
  ["Three turns and rockers", "technical", "useful", 40, time(60, 90), "Ice", "Shoulders check every turn"],
  [
    "Waltz jump into back spin",
    "technical",
    "essential",
    50,
    attempts(range(2, 3), 12, 15),
    "Ice",
    "Free leg through, not around",
  ],
  [
    "Single jumps",
    "technical",
    "essential",
    55,
    attempts(range(2, 4), 10, 12),
    "Ice",
    "Hear the toe, then wait",
  ],
  [
    "Combination spin",
    "technical",
    "useful",
    55,
    attempts(range(1, 2), 20, 20),
    "Ice",
    "Centre it before the change",
  ],
  [
    "Double jumps",
    "technical",
    "essential",
    70,
    attempts(range(2, 4), 10, 15),
    "Ice",
    "Check the free leg before you pull in",
  ],
  [
    "Step sequence, half speed",
    "technical",
    "useful",
    60,
    attempts(range(1, 2), 30, 20),
    "Ice",
    "Breathe on the long edge",
  ],
  [
    "Axel with full entry",
    "technical",
    "useful",
    75,
    attempts(range(1, 3), 10, 20),
    "Ice",
    "Knee drives up, arms late",
  ],
  [
    "Double Lutz, step in",
    "technical",
    "useful",
    80,
    attempts(range(1, 3), 10, 25),
    "Ice",
    "Hold the outside edge to the pick",
  ],
  [
    "Jump ladder to the Lutz",
    "technical",
    "essential",
    82,
    {
      kind: "ladder",
      leastRungs: 2,
      rungs: [
        rung("Waltz jump", 35, attempts(range(2, 3), 10, 8), "Free leg through", 10, 99),
        rung("Single loop", 45, attempts(range(1, 2), 10, 8), "Square over the skating hip", 10, 98),
        rung("Single Axel", 60, attempts(range(1, 2), 10, 12), "Knee drives up, arms late", 15, 94),
        rung("Double Salchow", 72, attempts(range(1, 2), 10, 15), "Wait for the free leg", 20, 88),
        rung("Double Lutz", 82, attempts(range(1, 2), 10, 25), "Hold the outside edge", 30, 74),
      ],
    },
    "Ice",
    "One more only when the last was clean",
  ],
  [
    "Opening pass",
    "prime",
    "essential",
    90,
    attempts(range(1, 1, 2), 45, 60),
    "Ice",
    "First beat, first breath",
  ],
  [
    "Ten-second acceleration",
    "prime",
    "useful",
    75,
    attempts(range(1, 2), 10, 50),
    "Ice",
    "Push behind you, not beside",
  ],
  [
    "Music through, arms only",
    "prime",
    "extra",
    40,
    time(60, 120),
    "Rink side",
    "See the first three elements land",
  ],
];

/** The demo club's shelf: invented drills of a figure-skating warm-up, off the ice and on it. */
export const demoDrills: DrillInput[] = lines.map(
  ([name, phase, priority, intensity, dose, place, focus]) => ({
    name,
    phase,
    priority,
    intensity,
    dose,
    place,
    focus,
    ...(demoDetails[name] ? { details: demoDetails[name] } : {}),
  }),
);
