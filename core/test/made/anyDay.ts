import fc from "fast-check";
import { noDetails } from "../../src/drill/details";
import { withoutBrokenPairs } from "../../src/plan/order";
import type { PlanBody, PlanItem } from "../../src/plan/plan";
import { type FitContext, fitContextSchema } from "../../src/venue/context";
import { PHASES } from "../../src/words/phase";
import { PRIORITIES } from "../../src/words/priority";

/** Every time in these cases is a multiple of this many seconds, so that a brute force need try no other. */
export const GRID = 10;

/** How far before the start these cases go, seconds. */
export const SMALL_DAY = 160;

const PLACES = ["H\u00e4ll", "Rink", "Room"];

const tens = (least: number, most: number) => fc.integer({ min: least, max: most }).map((n) => n * GRID);
/** Missing once in so many. */
const maybe = <T>(of: fc.Arbitrary<T>, freq = 3) => fc.option(of, { nil: undefined, freq });

/** Missing more often than not. */
const seldom = <T>(...of: T[]) =>
  fc.oneof(
    { weight: 4, arbitrary: fc.constant(undefined) },
    { weight: 1, arbitrary: fc.constantFrom(...of) },
  );

function steps(most: number) {
  return fc
    .tuple(fc.integer({ min: 1, max: most }), fc.integer({ min: 0, max: 1 }), fc.integer({ min: 0, max: 1 }))
    .map(([floor, up, more]) => ({ floor, ideal: floor + up, ceiling: floor + up + more }));
}

const timed: fc.Arbitrary<PlanItem["dose"]> = steps(3).map((range) => ({
  kind: "time" as const,
  seconds: { floor: range.floor * GRID, ideal: range.ideal * GRID, ceiling: range.ceiling * GRID },
  step: GRID,
  sides: "one" as const,
  changeoverSeconds: 0,
}));

const tried: fc.Arbitrary<PlanItem["dose"]> = steps(2).map((attempts) => ({
  kind: "attempts" as const,
  attempts,
  secondsEach: GRID,
  sides: "one" as const,
  rest: { kind: "fixed" as const, seconds: 0 },
}));

/** In turn with a partner a single attempt takes twice as long and is work for half of it. */
const anyPartner = fc.constantFrom(undefined, undefined, {
  mode: "alternating" as const,
  changeoverSeconds: 0,
});

/** Rungs of one attempt or two, with rests within them and after them, alone or in turn with a partner. */
const laddered: fc.Arbitrary<PlanItem["dose"]> = fc
  .tuple(
    fc.constantFrom([20, 45], [30, 60, 90], [60, 75], [30, 75], [85, 90]),
    fc.constantFrom(0, GRID),
    fc.constantFrom(1, 1, 2),
    fc.constantFrom(0, GRID),
    anyPartner,
  )
  .map(([efforts, restSeconds, attempts, within, partner]) => ({
    kind: "ladder" as const,
    leastRungs: 1,
    rungs: efforts.map((intensity, i) => ({
      id: `00000000-0000-4000-9000-00000000000${i}`,
      label: "",
      intensity,
      dose: {
        kind: "attempts" as const,
        attempts: { floor: attempts, ideal: attempts, ceiling: attempts },
        secondsEach: GRID,
        sides: "one" as const,
        rest: { kind: "fixed" as const, seconds: within },
        ...(partner ? { partner } : {}),
      },
      focus: "",
      restSeconds,
    })),
  }));

interface Drawn {
  phase: PlanItem["phase"];
  priority: PlanItem["priority"];
  intensity: number;
  dose: PlanItem["dose"];
  place: string;
  flags: ("explosive" | "breather" | "no-condition")[];
  equipment: string[];
  alreadyOn: true | undefined;
  restAfter: PlanItem["restAfter"];
  free: true | undefined;
  follows: number | undefined;
  calm: PlanItem["calm"];
  wholePlace: true | undefined;
  /** For the head alone. */
  mental: true | undefined;
}

const anyDrawn: fc.Arbitrary<Drawn> = fc.record({
  phase: fc.constantFrom(...PHASES, "technical" as const, "raise" as const),
  priority: fc.constantFrom(...PRIORITIES),
  intensity: fc.constantFrom(20, 35, 45, 60, 75, 90, 90),
  dose: fc.oneof(
    { weight: 3, arbitrary: timed },
    { weight: 3, arbitrary: tried },
    { weight: 1, arbitrary: laddered },
  ),
  // The day's names in other spellings, and one that it does not know.
  place: fc.constantFrom("", ...PLACES, " rINK", "Ha\u0308ll", "Nowhere"),
  flags: fc.subarray(["explosive", "breather", "no-condition"] as const).map((f) => [...f]),
  equipment: fc.constantFrom([], ["Boots"], ["boots "], ["Glove"]),
  alreadyOn: seldom(true as const),
  restAfter: maybe(
    fc.oneof(
      fc.record({ kind: fc.constant("seconds" as const), seconds: tens(1, 4) }),
      fc.record({ kind: fc.constant("times" as const), times: fc.integer({ min: 1, max: 2 }) }),
    ),
  ),
  free: maybe(fc.constant(true as const)),
  follows: maybe(fc.nat({ max: 3 })),
  calm: seldom("quiet" as const, "keep-warm" as const),
  wholePlace: maybe(fc.constant(true as const)),
  mental: seldom(true as const),
});

function itemsOf(drawn: readonly Drawn[]): PlanItem[] {
  const id = (i: number) => `00000000-0000-4000-8000-00000000000${i}`;
  const items = drawn.map((d, i): PlanItem => {
    const { flags, equipment, alreadyOn, follows, restAfter, free, calm, wholePlace, mental, ...rest } = d;
    const isKit = d.phase === "kit";
    const known = flags.length > 0 || mental || (isKit && equipment.length > 0);
    return {
      id: id(i),
      drillId: null,
      name: `Drill ${i}`,
      focus: "",
      ...rest,
      ...(known
        ? {
            details: {
              ...noDetails(),
              flags,
              equipment: isKit ? equipment : [],
              purposes: mental ? ["mental" as const] : [],
            },
          }
        : {}),
      ...(isKit && alreadyOn ? { alreadyOn } : {}),
      ...(restAfter ? { restAfter } : {}),
      ...(free ? { free } : {}),
      ...(calm ? { calm } : {}),
      ...(wholePlace ? { wholePlace } : {}),
      ...(follows !== undefined && follows < drawn.length && follows !== i ? { after: id(follows) } : {}),
    };
  });
  return withoutBrokenPairs(items);
}

const anyWindows = fc
  .uniqueArray(fc.integer({ min: -SMALL_DAY / GRID, max: 2 }), { maxLength: 4 })
  .map((ends) => ends.sort((a, b) => a - b))
  .chain((ends) => {
    const pairs = ends.flatMap((from, i) =>
      i % 2 === 0 && ends[i + 1] !== undefined ? [[from, ends[i + 1] as number]] : [],
    );
    return fc.tuple(
      ...pairs.map(([from, to]) =>
        fc.record({
          fromSeconds: fc.constant((from as number) * GRID),
          toSeconds: fc.constant((to as number) * GRID),
          room: fc.constantFrom("all" as const, "half" as const),
          turns: fc.constantFrom(1, 1, 2),
        }),
      ),
    );
  });

const anyPoint = fc
  .record({
    from: fc.integer({ min: 0, max: SMALL_DAY / GRID }),
    long: fc.integer({ min: 0, max: 3 }),
    place: fc.constantFrom(null, ...PLACES),
    closesPractice: fc.boolean(),
  })
  .map(({ from, long, place, closesPractice }) => ({
    name: "Check-in",
    fromSeconds: -(from + long) * GRID,
    toSeconds: -from * GRID,
    place,
    closesPractice,
  }));

/** Days with windows, ways and fixed points, each there or not. */
const anyContext: fc.Arbitrary<FitContext> = fc
  .record({
    windows: fc.tuple(anyWindows, anyWindows, fc.constant([])),
    ways: fc.tuple(tens(0, 3), tens(0, 3), tens(0, 3)),
    points: fc.array(anyPoint, { maxLength: 2 }),
    startPlace: fc.constantFrom(null, ...PLACES),
    usualReps: fc.constantFrom(0, 10),
    reached: maybe(fc.constantFrom(20, 45), 4),
    spent: maybe(
      fc.record({ volume: fc.integer({ min: 0, max: 4 }), explosive: fc.integer({ min: 0, max: 2 }) }),
      4,
    ),
  })
  .map(({ windows, ways, points, startPlace, usualReps, reached, spent }) =>
    fitContextSchema.parse({
      places: PLACES.map((name, i) => ({ name, windows: windows[i] })),
      travel: [
        { from: "H\u00e4ll", to: "Rink", seconds: ways[0] },
        { from: "Rink", to: "Room", seconds: ways[1] },
        { from: "Ha\u0308ll", to: "room", seconds: ways[2] },
      ].filter((t) => t.seconds > 0),
      points,
      startPlace,
      usualReps,
      ...(reached === undefined ? {} : { reached }),
      ...(spent === undefined ? {} : { spent }),
    }),
  );

/** A small plan and a small day, with rules of every kind. */
export function anyDay(most: number): fc.Arbitrary<{ plan: PlanBody; day: FitContext }> {
  return fc
    .record({
      drawn: fc.array(anyDrawn, { minLength: 1, maxLength: most }),
      day: anyContext,
      leastSeconds: tens(0, 3),
      longer: tens(0, 6),
      times: maybe(fc.integer({ min: 1, max: 3 })),
      stepPoints: fc.constantFrom(10, 20, 30, 100),
      limits: maybe(
        fc.record({
          generalMinutes: maybe(fc.constant(1)),
          volumePercent: maybe(fc.constantFrom(20, 40)),
          explosiveReps: maybe(fc.integer({ min: 0, max: 3 })),
          easyPercent: maybe(fc.constantFrom(30, 50, 70)),
        }),
        4,
      ),
    })
    .map(({ drawn, day, leastSeconds, longer, times, stepPoints, limits }) => ({
      day,
      plan: {
        items: itemsOf(drawn),
        wait: { leastSeconds, longestSeconds: leastSeconds + longer, ...(times ? { times } : {}) },
        stepPoints,
        ...(limits ? { limits: JSON.parse(JSON.stringify(limits)) } : {}),
      },
    }));
}

/** The same with few rules but tight limits on totals, and long drills, so that the limits bind. */
export function anyLimitedDay(most: number): fc.Arbitrary<{ plan: PlanBody; day: FitContext }> {
  const long = fc.constantFrom(10, 30, 40).map((floor): PlanItem["dose"] => ({
    kind: "time",
    seconds: { floor, ideal: floor + 2 * GRID, ceiling: floor + 2 * GRID },
    step: 2 * GRID,
    sides: "one",
    changeoverSeconds: 0,
  }));
  const drawn = fc
    .tuple(
      anyDrawn,
      long,
      fc.boolean(),
      fc.constantFrom("raise" as const, "mobilise" as const, "technical" as const),
    )
    .map(([d, dose, takesLong, phase]) => ({
      ...d,
      phase,
      place: "",
      calm: undefined,
      restAfter: undefined,
      dose: takesLong ? dose : d.dose,
    }));
  return fc
    .record({
      drawn: fc.array(drawn, { minLength: 2, maxLength: most }),
      generalMinutes: maybe(fc.constant(1), 4),
      explosiveReps: maybe(fc.constantFrom(0, 1)),
      easyPercent: maybe(fc.constantFrom(30, 50)),
    })
    .map(({ drawn: items, ...limits }) => ({
      day: fitContextSchema.parse({}),
      plan: {
        items: itemsOf(items),
        wait: { leastSeconds: 0, longestSeconds: 60 },
        stepPoints: 30,
        limits: JSON.parse(JSON.stringify(limits)),
      },
    }));
}

/** Days without rules of place on which kit guards hard drills, of which several owe rest together. */
export function anyHardDay(most: number): fc.Arbitrary<{ plan: PlanBody; day: FitContext }> {
  const drawn = fc
    .tuple(
      anyDrawn,
      fc.constantFrom("kit" as const, "kit" as const, "prime" as const, "technical" as const),
      fc.boolean(),
      seldom("no-condition" as const, "explosive" as const),
    )
    .map(
      ([d, phase, isHard, flag]): Drawn => ({
        ...d,
        phase,
        intensity: isHard ? 90 : d.intensity,
        place: d.wholePlace ? d.place : "",
        wholePlace: undefined,
        follows: undefined,
        restAfter: d.free ? d.restAfter : undefined,
        free: undefined,
        flags: flag ? [flag] : [],
      }),
    );
  return fc
    .record({
      drawn: fc.array(drawn, { minLength: 2, maxLength: most }),
      times: fc.integer({ min: 1, max: 3 }),
      longer: tens(0, 6),
    })
    .map(({ drawn: items, times, longer }) => ({
      day: fitContextSchema.parse({ places: PLACES.map((name) => ({ name })) }),
      plan: {
        items: itemsOf(items),
        wait: { leastSeconds: 0, longestSeconds: longer, times },
        stepPoints: 100,
      },
    }));
}

/** Days without rules of place on which efforts rise and fall from one drill to the next, of every part, with equals among them. */
export function anyClimb(most: number): fc.Arbitrary<{ plan: PlanBody; day: FitContext }> {
  const drawn = fc.tuple(anyDrawn, fc.constantFrom(...PHASES), seldom("breather" as const), steps(3)).map(
    ([d, phase, flag, attempts]): Drawn => ({
      ...d,
      phase,
      place: "",
      wholePlace: undefined,
      alreadyOn: undefined,
      follows: undefined,
      restAfter: undefined,
      free: undefined,
      flags: flag ? [flag, "no-condition"] : ["no-condition"],
      dose:
        d.dose.kind === "ladder"
          ? d.dose
          : {
              kind: "attempts",
              attempts,
              secondsEach: GRID,
              sides: "one",
              rest: { kind: "fixed", seconds: 0 },
            },
    }),
  );
  return fc
    .record({
      drawn: fc.array(drawn, { minLength: most, maxLength: most }),
      stepPoints: fc.constantFrom(10, 20, 30),
    })
    .map(({ drawn: items, stepPoints }) => ({
      day: fitContextSchema.parse({}),
      plan: { items: itemsOf(items), wait: { leastSeconds: 0, longestSeconds: SMALL_DAY }, stepPoints },
    }));
}
