import { approachOf } from "../../src/approach/approaches";
import { usualSetting } from "../../src/conditions/setting";
import type { Dose } from "../../src/dose/dose";
import type { PlainDose } from "../../src/dose/kinds/plainDose";
import { noDetails } from "../../src/drill/details";
import { plainEvent } from "../../src/event/eventType";
import type { FillDrill, FillInput } from "../../src/fill/input/fillInput";
import { random } from "../../src/maths/random";
import { openDay } from "../../src/venue/context";
import { BODY_AREAS } from "../../src/words/bodyArea";
import type { Phase } from "../../src/words/phase";
import type { Purpose } from "../../src/words/purpose";

const PARTS: readonly [Phase, Purpose, number, number][] = [
  ["raise", "raise", 10, 40],
  ["mobilise", "mobilise", 10, 45],
  ["mobilise", "activate", 25, 50],
  ["technical", "technical", 15, 85],
  ["technical", "technical", 15, 85],
  ["technical", "technical", 15, 85],
  ["prime", "prime", 75, 95],
];

export const ACTIONS: readonly string[] = ["jump", "spin", "step", "lift", "throw", "roll"];

const idOf = (n: number, last = 0) =>
  `00000000-0000-4000-8000-${String(last).padStart(4, "0")}${String(n).padStart(8, "0")}`;

const attempts = (ideal: number, secondsEach: number, both: boolean): PlainDose => ({
  kind: "attempts",
  attempts: { floor: 1, ideal, ceiling: 5 },
  secondsEach,
  sides: both ? "both" : "one",
  rest: { kind: "fixed", seconds: 10 },
});

/** Two to five rungs, some of them steep. */
function anyLadder(seed: number): Dose {
  const next = random(seed);
  const rungs = 2 + Math.floor(next() * 4);
  const step = 6 + Math.floor(next() * 20);
  const first = 10 + Math.floor(next() * 40);
  return {
    kind: "ladder",
    leastRungs: 1,
    rungs: Array.from({ length: rungs }, (_, r) => ({
      id: idOf(seed, r + 1),
      label: "",
      intensity: Math.min(100, first + r * step),
      dose: { ...attempts(1, 8, false), attempts: { floor: 1, ideal: 1, ceiling: 1 } },
      focus: "",
      restSeconds: 5,
    })),
  };
}

/** A shelf of so many drills of every part, each different, for tests and benches. */
export function anyShelf(many: number, seed = 1): FillDrill[] {
  const next = random(seed);
  const pick = (from: number, to: number) => from + Math.floor(next() * (to - from + 1));
  const some = <T>(list: readonly T[], most: number) => [
    ...new Set(Array.from({ length: pick(1, most) }, () => list[pick(0, list.length - 1)] as T)),
  ];
  return Array.from({ length: many }, (_, i): FillDrill => {
    const [phase, purpose, low, high] = PARTS[i % PARTS.length] as (typeof PARTS)[number];
    const id = idOf(i);
    const dose = i % 14 === 4 ? anyLadder(seed + i) : attempts(pick(2, 4), pick(8, 20), i % 3 === 0);
    const effort = pick(low, high);
    return {
      id,
      name: `${phase} ${i}`,
      phase,
      priority: "useful",
      intensity: dose.kind === "ladder" ? (dose.rungs.at(-1)?.intensity ?? effort) : effort,
      dose,
      focus: "Tall",
      place: "",
      details: {
        ...noDetails(),
        purposes: [purpose],
        areas: some(BODY_AREAS, 4),
        loads: some(BODY_AREAS, 2),
        actions: phase === "technical" ? some(ACTIONS, 2) : [],
        equipment: i % 11 === 0 ? ["rope"] : [],
        people: i % 13 === 0 ? 2 : 1,
        leastAge: i % 17 === 0 ? 14 : 0,
      },
    };
  });
}

/** What a fill asks for, with everything there and nobody sore. */
export function fillInput(shelf: readonly FillDrill[], more: Partial<FillInput> = {}): FillInput {
  let made = 0;
  return {
    approach: approachOf("even-stair"),
    shelf,
    event: { ...plainEvent("Made up"), actions: ["jump", "spin"], areas: ["hip", "knee", "ankle"] },
    athlete: null,
    setting: usualSetting(),
    day: "2026-11-27",
    context: openDay(),
    figures: [],
    earlier: [],
    availableSeconds: 45 * 60,
    seed: 1,
    keep: [],
    avoid: [],
    makeId: () => `00000000-0000-4000-9000-${String(made++).padStart(12, "0")}`,
    ...more,
  };
}
