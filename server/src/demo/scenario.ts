/** The demo's people, places and competition day. All of it is invented. */
export const demoClub = "Aldermere Figure Skating Club";
/** Where the demo's starts are. */
export const demoVenue = "Aldermere Ice Hall";

/** A start of the demo. */
export interface DemoStart {
  athlete: string;
  title: string;
  /** Which of the club's events it is. */
  event: string;
  /** Place in the running order of the group; null where there is none. */
  order: number | null;
  /** What of the kit has been checked. */
  kitReady: string[];
  /** Minutes from the moment the demo day is laid to the start. */
  inMinutes: number;
  availableMinutes: number;
  /** Names of drills on the shelf, in order. */
  drills: string[];
  wait: { leastSeconds: number; longestSeconds: number };
  /** The six minutes on the ice that the group shares, when they begin: minutes before the start. */
  iceMinutesBefore?: number;
}

/** Minutes from one place of the hall to another. */
export const demoWays = [
  { from: "Off-ice area", to: "Changing room", seconds: 60 },
  { from: "Changing room", to: "Ice", seconds: 60 },
  { from: "Off-ice area", to: "Ice", seconds: 90 },
];

/** How long a group has the ice to itself, minutes. */
export const ICE_MINUTES = 6;

const offIce = [
  "Easy laps of the corridor",
  "Leg swings",
  "Walking lunges",
  "Trunk turns with band",
  "Landing holds",
  "Rotation jumps on the floor",
  "Boots on",
];

/** Who starts in the demo. */
export const demoAthletes = [
  "Ilse Marrow",
  "Tamsin Okoro-Vale",
  "Noor Whitlock",
  "Pia Sandgren",
  "Bastian Thorne",
];

/** One regional competition day. The last to skate waits long after the shared six minutes on the ice. */
export const demoStarts: DemoStart[] = [
  {
    athlete: "Ilse Marrow",
    title: "Short programme, group 2, skates 1st",
    event: "Short programme",
    order: 1,
    kitReady: ["boots", "guards", "music", "dress", "gloves"],
    inMinutes: 52,
    availableMinutes: 45,
    drills: [
      ...offIce,
      "Edges and crossovers",
      "Waltz jump into back spin",
      "Combination spin",
      "Double jumps",
      "Opening pass",
    ],
    wait: { leastSeconds: 180, longestSeconds: 600 },
  },
  {
    athlete: "Tamsin Okoro-Vale",
    title: "Short programme, group 2, skates 6th",
    event: "Short programme",
    order: 6,
    kitReady: ["boots", "guards", "music"],
    inMinutes: 83,
    availableMinutes: 40,
    drills: [
      ...offIce,
      "Skipping, soft feet",
      "Edges and crossovers",
      "Three turns and rockers",
      "Single jumps",
      "Double jumps",
      "Axel with full entry",
      "Opening pass",
      "Music through, arms only",
    ],
    wait: { leastSeconds: 600, longestSeconds: 1800 },
    iceMinutesBefore: 25,
  },
  {
    athlete: "Noor Whitlock",
    title: "Novice free skate",
    event: "Free skate",
    order: null,
    kitReady: ["boots"],
    inMinutes: 140,
    availableMinutes: 30,
    drills: [
      "Easy laps of the corridor",
      "Side steps and grapevine",
      "Leg swings",
      "Landing holds",
      "Rotation jumps on the floor",
      "Boots on",
      "Edges and crossovers",
      "Waltz jump into back spin",
      "Single jumps",
      "Ten-second acceleration",
    ],
    wait: { leastSeconds: 240, longestSeconds: 600 },
  },
  {
    athlete: "Pia Sandgren",
    title: "Junior free skate",
    event: "Free skate",
    order: null,
    kitReady: [],
    inMinutes: 195,
    availableMinutes: 31,
    drills: [
      ...offIce,
      "Edges and crossovers",
      "Three turns and rockers",
      "Step sequence, half speed",
      "Jump ladder to the Lutz",
      "Opening pass",
    ],
    wait: { leastSeconds: 300, longestSeconds: 900 },
  },
  {
    athlete: "Bastian Thorne",
    title: "Senior short programme",
    event: "Short programme",
    order: null,
    kitReady: ["boots", "guards", "music", "dress", "gloves"],
    inMinutes: 260,
    availableMinutes: 15,
    drills: [
      "Easy laps of the corridor",
      "Leg swings",
      "Rotation jumps on the floor",
      "Boots on",
      "Edges and crossovers",
      "Waltz jump into back spin",
      "Double jumps",
      "Opening pass",
    ],
    wait: { leastSeconds: 180, longestSeconds: 600 },
  },
];
