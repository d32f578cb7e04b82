import { randomUUID } from "node:crypto";
import { noDetails, noProfile, type PlanItem, plainEvent, usualSetting } from "@tonodrome/core";
import type { Start, StartInput } from "@tonodrome/core/api";
import type { Ask } from "./testServer";

export function planItem(name: string): PlanItem {
  return {
    id: randomUUID(),
    drillId: null,
    name,
    phase: "raise",
    priority: "essential",
    intensity: 20,
    dose: {
      kind: "time",
      seconds: { floor: 60, ideal: 120, ceiling: 180 },
      step: 30,
      sides: "one",
      changeoverSeconds: 0,
    },
    focus: "",
    place: "",
  };
}

/** What makes a drill of the shelf. */
export function drillInput(name: string) {
  const { id: _, drillId: __, ...drill } = planItem(name);
  return drill;
}

export function planBody(...names: string[]) {
  return { items: names.map(planItem), wait: { leastSeconds: 60, longestSeconds: 300 }, stepPoints: 20 };
}

/** A whole profile with something in every part of it. */
export const profile = {
  ...noProfile(),
  ageBand: "13-15" as const,
  usualReps: 120,
  protectedAreas: [{ area: "knee" as const, until: "2026-12-24" }],
  notes: "Sleeps badly before finals",
  scales: [
    {
      id: "77777777-7777-4777-8777-777777777777",
      name: "Jumps",
      kind: "grade" as const,
      items: [{ name: "Single", intensity: 40, chancePercent: 95 }],
    },
  ],
};

export const details = { ...noDetails(), areas: ["hip" as const], actions: ["jump"] };

export const eventInput = (name: string) => ({ ...plainEvent(name), actions: ["jump", "spin"] });

export const setting = {
  ...usualSetting(),
  indoors: false,
  temperature: 4,
  wind: "breeze" as const,
  order: 3,
};

/** A running order of six numbers, four minutes apart; the starts that are named have the numbers from 2 on. */
export const orderInput = (...startIds: string[]) => ({
  title: "Free skate",
  venue: "Hall",
  zone: "Europe/Vienna",
  slots: Array.from({ length: 6 }, (_, i) => ({
    number: i + 1,
    at: new Date(Date.parse("2098-06-01T12:26:00.000Z") + i * 240_000).toISOString(),
  })),
  starts: startIds.map((startId, i) => ({ startId, number: i + 2 })),
});

const START = "2098-06-01T12:30:00.000Z";

export const startInput = (athleteId: string) => ({
  athleteId,
  title: "Free skate",
  venue: "Hall",
  zone: "Europe/Vienna",
  startsAt: START,
  readyAt: "2098-06-01T11:45:00.000Z",
});

/** Makes an athlete and a start of theirs in the asker's club. */
export async function makeStart(server: { ask: Ask }, more: Partial<StartInput> = {}): Promise<Start> {
  const athlete = await server.ask("POST", "/api/:club/athletes", { name: "Ada Finch" });
  const start = await server.ask("POST", "/api/:club/starts", { ...startInput(athlete.body.id), ...more });
  if (start.status !== 201) throw new Error(JSON.stringify(start.body));
  return start.body;
}

/** The body that writes a start back, with changes. */
export function startWrite(start: Start, changes: object = {}) {
  const { id: _, plan: __, facts: ___, stamp: ____, order: _____, group: ______, athlete, ...write } = start;
  return { ...write, athleteId: athlete.id, ...changes };
}

/** A run of one drill, for a start at the time that `startInput` has, or another. */
export function runInput(startId: string, id: string = randomUUID(), startsAt = START) {
  const drill = {
    itemId: randomUUID(),
    name: "Laps",
    phase: "raise",
    intensity: 20,
    focus: "",
    place: "",
    words: "2:00",
    plannedSeconds: 120,
  };
  return {
    id,
    startId,
    plan: { drills: [drill], waitSeconds: 60, startsAt },
  };
}
