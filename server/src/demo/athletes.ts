import { randomUUID } from "node:crypto";
import { type AthleteProfile, DAY_MS, noProfile, type ScaleItem } from "@tonodrome/core";

const jumps = (chances: (number | null)[]): ScaleItem[] =>
  ["Waltz jump", "Single loop", "Single Axel", "Double Salchow", "Double Lutz"].map((name, i) => ({
    name,
    intensity: [35, 45, 60, 72, 82][i] as number,
    chancePercent: chances[i] ?? null,
  }));

const spins: ScaleItem[] = [
  { name: "Upright spin", intensity: 30, chancePercent: 98 },
  { name: "Sit spin", intensity: 45, chancePercent: 92 },
  { name: "Combination spin", intensity: 60, chancePercent: 85 },
];

/**
 * What the demo's coaches know of their skaters, by name. All of it is invented.
 * @param eventIds the club's events by name
 */
export function demoProfiles(eventIds: Map<string, string>, now: Date): Record<string, AthleteProfile> {
  const scales = (chances: (number | null)[]) => [
    { id: randomUUID(), name: "Jumps", kind: "grade" as const, items: jumps(chances) },
    { id: randomUUID(), name: "Spins", kind: "grade" as const, items: spins },
  ];
  const events = (...names: string[]) =>
    names.map((name) => eventIds.get(name)).filter((id) => id !== undefined);
  const inTenDays = new Date(now.getTime() + 10 * DAY_MS).toISOString().slice(0, 10);
  const usual = { ...noProfile(), usualMinutes: 75, usualReps: 120, equipment: ["band"] };
  return {
    "Ilse Marrow": {
      ...usual,
      ageBand: "13-15",
      dominantSide: "left",
      eventIds: events("Short programme"),
      scales: scales([99, 97, 92, 78, 55]),
      approach: "even-stair",
    },
    "Tamsin Okoro-Vale": {
      ...usual,
      ageBand: "16-18",
      dominantSide: "left",
      eventIds: events("Short programme", "Free skate"),
      scales: scales([99, 98, 95, 90, 82]),
      recentLoad: "much",
      approach: "long-and-sharp",
      equipment: ["band", "rope"],
    },
    "Noor Whitlock": {
      ...usual,
      ageBand: "10-12",
      dominantSide: "right",
      eventIds: events("Free skate"),
      scales: scales([97, 90, 70, 30, null]),
      protectedAreas: [{ area: "calf", until: inTenDays }],
    },
    "Pia Sandgren": {
      ...usual,
      ageBand: "16-18",
      eventIds: events("Free skate"),
      scales: scales([99, 98, 94, 88, 74]),
      approach: "secure-finish",
    },
    "Bastian Thorne": {
      ...usual,
      ageBand: "adult",
      dominantSide: "left",
      eventIds: events("Short programme"),
      scales: scales([99, 99, 97, 94, 90]),
      recentLoad: "little",
    },
  };
}
