import {
  type FitContext,
  fitContextSchema,
  PHASES,
  type PlanBody,
  type PlanItem,
  PRIORITIES,
} from "../src/index";
import { random } from "../src/maths/random";

/**
 * A warm-up of this many drills as a coach might write it: all phases, all doses, odd seconds so that the grain is one
 * second, and a technical part that climbs.
 */
export function benchPlan(drills: number, seed = 1): PlanBody {
  const next = random(seed);
  const pick = (from: number, to: number) => from + Math.floor(next() * (to - from + 1));
  const items = Array.from({ length: drills }, (_, i): PlanItem => {
    const phase = PHASES[Math.min(4, 1 + Math.floor((i / drills) * 4))] ?? "raise";
    const technical = phase === "technical";
    return {
      id: `00000000-0000-4000-8000-${String(i).padStart(12, "0")}`,
      drillId: null,
      name: `Drill ${i + 1}`,
      phase,
      priority: PRIORITIES[pick(0, 2)] ?? "useful",
      intensity: technical ? Math.min(90, 30 + 5 * Math.floor(((i / drills) * 4 - 2) * 12)) : pick(4, 9) * 5,
      dose: doseOf(i, pick),
      focus: "Tall and quiet",
      place: "",
    };
  });
  return { items, wait: { leastSeconds: 300, longestSeconds: 900 }, stepPoints: 20 };
}

function doseOf(i: number, pick: (from: number, to: number) => number): PlanItem["dose"] {
  const sides = i % 2 === 0 ? "one" : "both";
  if (i % 3 === 0) {
    const floor = pick(30, 60);
    return {
      kind: "time",
      seconds: { floor, ideal: floor + 60, ceiling: floor + 120 },
      step: 15,
      sides,
      changeoverSeconds: 7,
    };
  }
  if (i % 3 === 1) {
    return {
      kind: "reps",
      sets: { floor: 1, ideal: 3, ceiling: 3 },
      reps: { floor: 4, ideal: 8, ceiling: 10 },
      secondsPerRep: pick(2, 3),
      sides,
      restSeconds: pick(5, 20),
    };
  }
  return {
    kind: "attempts",
    attempts: { floor: 2, ideal: 4, ceiling: 5 },
    secondsEach: pick(7, 15),
    sides: "one",
    rest: { kind: "multiple", times: 1.5 },
  };
}

/** The same plan on a day of two places: general work until 25 min before, the sport's own in a window of 25 min. */
export function twoPlaces(plan: PlanBody): { plan: PlanBody; context: FitContext } {
  const own = (item: PlanItem) => item.phase === "technical" || item.phase === "prime";
  return {
    plan: {
      ...plan,
      items: plan.items.map((item) => ({ ...item, place: own(item) ? "Rink" : "Hall" })),
    },
    context: fitContextSchema.parse({
      places: [
        { name: "Hall", windows: [{ fromSeconds: -43_200, toSeconds: -1500 }] },
        { name: "Rink", windows: [{ fromSeconds: -2400, toSeconds: -900 }] },
      ],
      travel: [{ from: "Hall", to: "Rink", seconds: 120 }],
    }),
  };
}
