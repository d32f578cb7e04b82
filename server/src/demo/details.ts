import { type BodyArea, type DrillDetails, type DrillFlag, noDetails, type Purpose } from "@tonodrome/core";

interface Known extends Partial<Omit<DrillDetails, "cues" | "easier" | "harder" | "instead">> {
  see?: string;
  feel?: string;
  listen?: string;
}

const FLOOR = "Dry, clear floor; nobody within reach.";
const KNEE = "Knee over the second toe, never falling in.";
const PATH = "Look round before every entry.";

const known = (
  purposes: Purpose[],
  areas: BodyArea[],
  loads: BodyArea[],
  fault: string,
  caution: string,
  more: Known = {},
): DrillDetails => {
  const { see = "", feel = "", listen = "", ...rest } = more;
  return {
    ...noDetails(),
    purposes,
    areas,
    loads,
    faults: [fault],
    cautions: [caution],
    cues: { see, feel, listen },
    ...rest,
  };
};

const explosive: DrillFlag[] = ["explosive"];
const ice = { space: "ice" };

/** What the demo's coaches know of their drills, by name. */
export const demoDetails: Record<string, DrillDetails> = {
  "Easy laps of the corridor": known(
    ["raise"],
    ["hip", "knee", "calf", "ankle"],
    [],
    "Starting too fast",
    "Breathing stays easy enough to talk.",
    { feel: "Shoulders drop with each breath out", listen: "Quiet feet" },
  ),
  "Skipping, soft feet": known(
    ["raise"],
    ["calf", "ankle", "wrist"],
    ["calf", "ankle"],
    "Jumping too high",
    FLOOR,
    { equipment: ["rope"], listen: "One even tick" },
  ),
  "Side steps and grapevine": known(
    ["raise", "coordinate"],
    ["hip", "groin", "ankle"],
    [],
    "Crossing the feet",
    FLOOR,
    { see: "Hips level", space: "open floor" },
  ),
  "Leg swings": known(
    ["mobilise"],
    ["hip", "hamstring", "groin"],
    ["hamstring"],
    "Higher than the back allows",
    FLOOR,
    {
      see: "Back stays straight",
    },
  ),
  "Walking lunges": known(
    ["mobilise", "activate"],
    ["hip", "thigh", "knee"],
    ["knee", "thigh"],
    "Knee falling in",
    KNEE,
    {
      feel: "Front of the hip opens",
    },
  ),
  "Shoulder circles and reach": known(
    ["mobilise"],
    ["shoulder", "neck"],
    ["shoulder"],
    "Arching the back",
    "Only within what is free of pain.",
    {
      feel: "Blade glides on the ribs",
    },
  ),
  "Trunk turns with band": known(
    ["activate"],
    ["trunk", "back"],
    ["trunk"],
    "Bending the elbows to cheat",
    "Look the band over for tears first.",
    {
      equipment: ["band"],
      see: "Hands in front of the breastbone",
    },
  ),
  "Landing holds": known(["activate"], ["knee", "ankle", "hip"], ["knee", "ankle"], "Stiff landing", KNEE, {
    listen: "One quiet sound",
  }),
  "Backspin position on the floor": known(
    ["activate"],
    ["trunk", "ankle", "hip"],
    ["ankle"],
    "Leaning back",
    FLOOR,
    {
      actions: ["spin"],
      feel: "Tight from heel to crown",
    },
  ),
  "Rotation jumps on the floor": known(
    ["activate", "coordinate"],
    ["calf", "knee", "ankle", "shoulder"],
    ["knee", "calf", "ankle"],
    "Turning the shoulders early",
    KNEE,
    {
      actions: ["jump"],
      flags: explosive,
      leastAge: 8,
    },
  ),
  "Boots on": known(["kit"], [], [], "Tying too tight at the top", "Check blades, laces and guards.", {
    feel: "Heel locked, toes free",
  }),
  "Guards off, gloves, tissue": known(["kit"], [], [], "Stepping on with guards", "Wipe the blade first."),
  "Edges and crossovers": known(
    ["technical"],
    ["hip", "groin", "ankle", "thigh"],
    ["groin"],
    "Kicking the free foot up",
    PATH,
    {
      ...ice,
      actions: ["step sequence"],
      realism: "alone",
    },
  ),
  "Three turns and rockers": known(
    ["technical"],
    ["ankle", "hip", "back"],
    ["ankle"],
    "Swinging the free leg",
    PATH,
    {
      ...ice,
      actions: ["step sequence"],
      realism: "alone",
    },
  ),
  "Waltz jump into back spin": known(
    ["technical"],
    ["hip", "knee", "ankle", "shoulder"],
    ["knee", "ankle"],
    "Kicking the free leg round",
    KNEE,
    {
      ...ice,
      actions: ["jump", "spin"],
      realism: "approach",
      feel: "Back spin already in the air",
    },
  ),
  "Single jumps": known(
    ["technical"],
    ["knee", "hip", "ankle", "calf"],
    ["knee", "ankle"],
    "Turning before the jump",
    KNEE,
    {
      ...ice,
      actions: ["jump"],
      realism: "approach",
      see: "Shoulders level in the air",
    },
  ),
  "Combination spin": known(
    ["technical"],
    ["thigh", "back", "ankle", "hip"],
    ["knee", "back"],
    "Hurrying the positions",
    PATH,
    {
      ...ice,
      actions: ["spin"],
      realism: "competition",
    },
  ),
  "Double jumps": known(
    ["technical"],
    ["knee", "hip", "ankle", "calf", "shoulder"],
    ["knee", "ankle", "calf"],
    "Pulling in too early",
    KNEE,
    {
      ...ice,
      actions: ["jump"],
      flags: explosive,
      realism: "approach",
      leastAge: 9,
    },
  ),
  "Step sequence, half speed": known(
    ["technical"],
    ["ankle", "hip", "knee", "back"],
    ["ankle"],
    "Rushing the easy part",
    PATH,
    {
      ...ice,
      actions: ["step sequence"],
      realism: "approach",
    },
  ),
  "Axel with full entry": known(
    ["technical"],
    ["knee", "hip", "ankle"],
    ["knee", "ankle"],
    "Dropping the shoulder",
    KNEE,
    {
      ...ice,
      actions: ["jump"],
      flags: explosive,
      realism: "competition",
    },
  ),
  "Double Lutz, step in": known(
    ["technical"],
    ["knee", "hip", "ankle", "calf"],
    ["knee", "ankle", "hip"],
    "Changing the edge",
    KNEE,
    {
      ...ice,
      actions: ["jump"],
      flags: explosive,
      realism: "competition",
      leastAge: 9,
    },
  ),
  "Jump ladder to the Lutz": known(
    ["technical"],
    ["knee", "hip", "ankle", "calf", "shoulder"],
    ["knee", "ankle", "calf"],
    "Leaving out the middle steps",
    KNEE,
    { ...ice, actions: ["jump"], flags: explosive, realism: "approach", leastAge: 9 },
  ),
  "Opening pass": known(["prime"], ["hip", "knee", "ankle"], ["knee", "ankle"], "Saving strength", PATH, {
    ...ice,
    actions: ["jump", "step sequence"],
    realism: "competition",
  }),
  "Ten-second acceleration": known(
    ["prime"],
    ["thigh", "hip", "groin"],
    ["groin", "thigh"],
    "Upright start",
    PATH,
    {
      ...ice,
      flags: explosive,
    },
  ),
  "Music through, arms only": known(["mental"], [], [], "Marking without seeing it", "Breathing stays easy."),
};

/** Which drill to take instead of which, by name. */
export const demoInstead: [drill: string, instead: string][] = [
  ["Walking lunges", "Leg swings"],
  ["Landing holds", "Backspin position on the floor"],
  ["Skipping, soft feet", "Side steps and grapevine"],
  ["Double Lutz, step in", "Double jumps"],
  ["Axel with full entry", "Single jumps"],
  ["Opening pass", "Ten-second acceleration"],
  ["Jump ladder to the Lutz", "Single jumps"],
];
