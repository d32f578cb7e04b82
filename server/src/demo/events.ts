import type { EventType } from "@tonodrome/core";

const common = {
  effort: "short-hard" as const,
  targetLevel: 90,
  areas: ["hip", "groin", "knee", "ankle", "trunk", "shoulder"] as EventType["areas"],
  fixedPoints: [
    { name: "Check-in", minutesBefore: 60, minutesLong: 5, closesPractice: false },
    { name: "Call", minutesBefore: 3, minutesLong: 1, closesPractice: true },
  ],
  kit: ["boots", "guards", "music", "dress", "gloves"],
  places: ["Off-ice area", "Changing room", "Ice"],
};

/** The demo club's events. */
export const demoEvents: EventType[] = [
  {
    ...common,
    name: "Short programme",
    lengthSeconds: 160,
    actions: ["jump", "combination", "spin", "step sequence"],
  },
  { ...common, name: "Free skate", lengthSeconds: 210, actions: ["jump", "spin", "step sequence"] },
];
