import { noDetails } from "../../src/drill/details";
import { random } from "../../src/maths/random";
import { withoutBrokenPairs } from "../../src/plan/order";
import type { PlanBody, PlanItem } from "../../src/plan/plan";
import { type FitContext, fitContextSchema } from "../../src/venue/context";
import type { Phase } from "../../src/words/phase";

/** A warm-up and a day as they are met with: a hall, a changing room, and a place with windows; rests, ways, limits. */
export interface RealDay {
  plan: PlanBody;
  day: FitContext;
  availableSeconds: number;
}

const PART: [Phase, number][] = [
  ["raise", 0.15],
  ["mobilise", 0.45],
  ["kit", 0.5],
  ["technical", 0.9],
  ["prime", 1],
];

/** The same day for the same seed. Every drill has a place, and its place in the order. */
export function realDay(drills: number, seed: number): RealDay {
  const next = random(seed);
  const pick = (from: number, to: number) => from + Math.floor(next() * (to - from + 1));
  const one = <T>(of: readonly T[]): T => of[pick(0, of.length - 1)] as T;
  const availableSeconds = pick(drills, drills * 3) * 60;
  const items = Array.from({ length: drills }, (_, i): PlanItem => {
    const share = i / drills;
    const phase = PART.find(([, until]) => share < until)?.[0] ?? "prime";
    const technical = phase === "technical";
    const intensity = technical
      ? Math.min(95, 25 + 5 * Math.floor(((share - 0.5) / 0.4) * 13))
      : phase === "prime"
        ? one([85, 90, 95])
        : one([20, 30, 35, 45]);
    return {
      id: `00000000-0000-4000-8000-${String(i).padStart(12, "0")}`,
      drillId: null,
      name: `Drill ${i}`,
      phase,
      priority: one(["essential", "useful", "useful", "extra"] as const),
      intensity,
      dose:
        technical && i % 7 === 3
          ? ladder(pick, intensity, i)
          : technical || phase === "prime"
            ? attempts(pick)
            : timed(pick),
      focus: "",
      place: phase === "kit" ? "Room" : technical || phase === "prime" ? "Rink" : "Hall",
      ...detailsOf(phase, next() < 0.15 ? [one(["explosive", "breather"] as const)] : [], one),
      ...(technical && next() < 0.2 ? { restAfter: { kind: "times" as const, times: pick(1, 2) } } : {}),
      ...(next() < 0.08 && i > 0
        ? { after: `00000000-0000-4000-8000-${String(pick(0, i - 1)).padStart(12, "0")}` }
        : {}),
    };
  });
  const opens = -pick(Math.floor(availableSeconds / 240), Math.floor(availableSeconds / 110)) * 60;
  const closes = Math.min(-120, opens + pick(6, 30) * 60);
  const call = pick(1, 4) * 60;
  const [toRoom, toRink] = [pick(0, 2) * 30, pick(1, 3) * 30];
  return {
    availableSeconds,
    plan: {
      items: withoutBrokenPairs(items),
      wait: {
        leastSeconds: pick(1, 4) * 60,
        longestSeconds: pick(8, 20) * 60,
        ...(next() < 0.5 ? { times: pick(1, 3) } : {}),
      },
      stepPoints: one([15, 20, 25]),
      limits: {
        ...(next() < 0.4 ? { generalMinutes: pick(5, 12) } : {}),
        ...(next() < 0.4 ? { volumePercent: pick(10, 30) } : {}),
        ...(next() < 0.3 ? { explosiveReps: pick(2, 8) } : {}),
        ...(next() < 0.4 ? { easyPercent: pick(30, 55) } : {}),
      },
    },
    day: fitContextSchema.parse({
      places: [
        { name: "Hall", windows: next() < 0.5 ? [] : [{ fromSeconds: -86_400, toSeconds: closes }] },
        { name: "Room" },
        {
          name: "Rink",
          windows: [
            ...(next() < 0.5 ? [{ fromSeconds: opens - 1800, toSeconds: opens - 600 }] : []),
            { fromSeconds: opens, toSeconds: closes },
          ],
        },
      ],
      travel: [
        { from: "Hall", to: "Room", seconds: toRoom },
        { from: "Room", to: "Rink", seconds: toRink },
        { from: "Hall", to: "Rink", seconds: toRoom + toRink },
      ],
      points: [
        { name: "Check-in", fromSeconds: opens - pick(2, 9) * 60, toSeconds: opens - 60 },
        { name: "Call", fromSeconds: -call, toSeconds: -call + 60, closesPractice: true },
      ],
      startPlace: one([null, "Rink"]),
      usualReps: pick(40, 200),
    }),
  };
}

/** Kit is boots, gloves or a thing that nothing depends on. */
function detailsOf(
  phase: Phase,
  flags: ("explosive" | "breather" | "no-condition")[],
  one: <T>(of: readonly T[]) => T,
): Pick<PlanItem, "details"> {
  if (phase === "kit") {
    const equipment = one([["Boots"], ["Boots"], ["Gloves"], []]);
    return { details: { ...noDetails(), equipment, flags: equipment.length > 0 ? flags : ["no-condition"] } };
  }
  return flags.length > 0 ? { details: { ...noDetails(), flags } } : {};
}

function timed(pick: (from: number, to: number) => number): PlanItem["dose"] {
  const floor = pick(2, 6) * 10;
  const ideal = floor + pick(0, 4) * 15;
  return {
    kind: "time",
    seconds: { floor, ideal, ceiling: ideal + pick(0, 2) * 15 },
    step: 15,
    sides: "one",
    changeoverSeconds: 0,
  };
}

/** Two rungs from an effort up, each of attempts with rests within, one of them in turn with a partner. */
function ladder(pick: (from: number, to: number) => number, intensity: number, i: number): PlanItem["dose"] {
  return {
    kind: "ladder",
    leastRungs: 1,
    rungs: [0, 10].map((more, r) => ({
      id: `00000000-0000-4000-9000-${String(i * 10 + r).padStart(12, "0")}`,
      label: "",
      intensity: Math.min(100, intensity + more),
      dose: {
        kind: "attempts",
        attempts: { floor: 1, ideal: 2, ceiling: 2 },
        secondsEach: pick(6, 15),
        sides: "one",
        rest: { kind: "fixed", seconds: pick(0, 20) },
        ...(r === 1 ? { partner: { mode: "alternating" as const, changeoverSeconds: 0 } } : {}),
      },
      focus: "",
      restSeconds: pick(0, 30),
    })),
  };
}

function attempts(pick: (from: number, to: number) => number): PlanItem["dose"] {
  const floor = pick(1, 2);
  const ideal = floor + pick(0, 3);
  return {
    kind: "attempts",
    attempts: { floor, ideal, ceiling: ideal + pick(0, 1) },
    secondsEach: pick(6, 15),
    sides: "one",
    rest: { kind: "fixed", seconds: pick(0, 20) },
  };
}
