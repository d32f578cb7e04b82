import fc from "fast-check";
import { idealLevel, levelsOf } from "../../src/dose/levelsOf";
import { fillPlan } from "../../src/fill/fillPlan";
import { APPROACHES, approachOf, suitedFirst } from "../../src/fill/input/approaches";
import { obstacleTo } from "../../src/fill/input/usable";
import { fitPlan } from "../../src/fit/fit";
import { coverageOf } from "../../src/plan/coverage";
import { planBodySchema } from "../../src/plan/plan";
import { steepSteps } from "../../src/plan/stepRule";
import { ACTIONS, anyShelf, fillInput } from "../made/shelf";

const shelf = anyShelf(200);
const drillIds = (filled: ReturnType<typeof fillPlan>) => filled.body.items.map((i) => i.drillId);

const anyInput = fc
  .record({
    approach: fc.constantFrom(...APPROACHES),
    many: fc.integer({ min: 0, max: 120 }),
    shelfSeed: fc.integer({ min: 1, max: 99 }),
    seed: fc.integer({ min: 0, max: 2 ** 31 - 1 }),
    availableSeconds: fc.integer({ min: 0, max: 5400 }),
    actions: fc.subarray([...ACTIONS, "unheard of"]),
    targetLevel: fc.integer({ min: 20, max: 100 }),
    people: fc.integer({ min: 0, max: 2 }),
    equipment: fc.constantFrom([], ["mat"], ["rope", "mat"]),
    age: fc.constantFrom(null, 9, 16),
    spared: fc.subarray(["knee" as const, "shoulder" as const]),
  })
  .map(({ many, shelfSeed, actions, targetLevel, people, equipment, age, spared, ...more }) =>
    fillInput(anyShelf(many, shelfSeed), {
      ...more,
      event: { actions, areas: ["hip", "knee"], targetLevel },
      day: { people, spaces: [], equipment, own: [], age, spared },
    }),
  );

describe("every warm-up filled from an approach", () => {
  it("is a plan that can be saved, of drills that can be used, each with a reason", () => {
    fc.assert(
      fc.property(anyInput, (input) => {
        const { body } = fillPlan(input);
        expect(planBodySchema.parse(body)).toEqual(body);
        const byId = new Map(input.shelf.map((d) => [d.id, d]));
        for (const item of body.items) {
          const drill = byId.get(item.drillId as string);
          expect(drill && obstacleTo(drill, input.day)).toBeNull();
          expect(item.why).toMatch(/\.$/);
        }
        expect(new Set(body.items.map((i) => i.drillId)).size).toBe(body.items.length);
        expect(body.origin).toEqual({ approach: input.approach.id, seed: input.seed });
      }),
    );
  });

  it("climbs no more steeply than its approach, or says that the shelf has no step between", () => {
    fc.assert(
      fc.property(anyInput, (input) => {
        const { body, gaps } = fillPlan(input);
        if (steepSteps(body.items, body.stepPoints).length > 0)
          expect(gaps.join(" ")).toContain("has no step between");
      }),
      { numRuns: 500 },
    );
  });

  it("prepares every action of the event, or says which is left cold", () => {
    fc.assert(
      fc.property(anyInput, (input) => {
        const { body, gaps } = fillPlan(input);
        for (const { what, by } of coverageOf(body.items, { actions: input.event?.actions ?? [], areas: [] })
          .actions)
          if (by.length === 0) expect(gaps.join(" ")).toMatch(new RegExp(`${what}|no technical drill`));
      }),
    );
  });

  it("keeps every drill of another time that can be used, with as much time", () => {
    fc.assert(
      fc.property(anyInput, fc.integer({ min: 0, max: 999 }), (input, seed) => {
        const last = drillIds(fillPlan(input)) as string[];
        const same = drillIds(fillPlan({ ...input, seed, keep: last }));
        expect(last.filter((id) => !same.includes(id))).toEqual([]);
      }),
    );
  });

  it("is the same for the same seed", () => {
    fc.assert(
      fc.property(anyInput, (input) => {
        expect(drillIds(fillPlan(input))).toEqual(drillIds(fillPlan(input)));
      }),
    );
  });
});

it("another seed gives other drills of the same parts", () => {
  const [one, two] = [1, 2].map((seed) => fillPlan(fillInput(shelf, { seed })));
  expect(drillIds(one as never)).not.toEqual(drillIds(two as never));
  const parts = (f: typeof one) => [...new Set(f?.body.items.map((i) => i.phase))];
  expect(parts(one)).toEqual(parts(two));
});

it("keeps the drills of last time, and does without those of the version before", () => {
  const last = drillIds(fillPlan(fillInput(shelf, { seed: 5 }))) as string[];
  const same = drillIds(fillPlan(fillInput(shelf, { seed: 99, keep: last }))) as string[];
  expect(same.toSorted()).toEqual(last.toSorted());
  const other = drillIds(fillPlan(fillInput(shelf, { seed: 6, avoid: last }))) as string[];
  const shared = other.filter((id) => last.includes(id));
  expect(shared.length).toBeLessThan(last.length / 3);
});

it("never makes more essential than there is time for at the floors, and says when time is short", () => {
  fc.assert(
    fc.property(anyInput, (input) => {
      const { body, gaps } = fillPlan(input);
      const fit = fitPlan(body, input.availableSeconds);
      const kit = body.items.filter((i) => i.phase === "kit").length;
      if (kit === 0 && !fit.neverFits) expect(fit.missingSeconds).toBe(0);
      if (input.availableSeconds < input.approach.wait.leastSeconds + 240)
        expect(gaps.join(" ")).toContain("at least");
    }),
  );
});

it("says how many drills were left aside and why", () => {
  const day = { people: 0, spaces: [], equipment: ["mat"], own: [], age: 9, spared: ["knee" as const] };
  const { gaps } = fillPlan(fillInput(shelf, { day }));
  for (const words of ["need more people", "need equipment", "are for older athletes", "to be spared"])
    expect(gaps.join(" ")).toContain(words);
});

it("brings with it what the approach says of peak, rests, wait and length", () => {
  const filled = (id: (typeof APPROACHES)[number]["id"]) =>
    fillPlan(fillInput(shelf, { approach: approachOf(id) })).body;
  const top = (id: Parameters<typeof filled>[0]) =>
    Math.max(
      ...filled(id)
        .items.filter((i) => i.phase === "technical")
        .map((i) => i.intensity),
    );
  expect(top("calm-rhythm")).toBeLessThanOrEqual(70);
  expect(top("even-stair")).toBeGreaterThan(70);
  expect(filled("long-and-sharp").wait.leastSeconds).toBe(600);
  const minutes = (id: Parameters<typeof filled>[0]) => fitPlan(filled(id), 90 * 60).workSeconds / 60;
  expect(minutes("compact")).toBeLessThan(minutes("long-and-sharp") / 2);
  const hard = filled("long-and-sharp").items.find((i) => i.phase === "prime")?.dose;
  expect(hard?.kind === "attempts" && hard.rest).toMatchObject({ kind: "fixed" });
  expect(hard?.kind === "attempts" && hard.rest.kind === "fixed" && hard.rest.seconds).toBeGreaterThanOrEqual(
    60,
  );
});

it("needs first puts what is least sure as early as the climb allows, secure finish something sure last", () => {
  const scale = [{ name: "spin", intensity: 50, chancePercent: 20 }];
  const technical = (id: "needs-first" | "secure-finish" | "even-stair") =>
    fillPlan(fillInput(shelf, { approach: approachOf(id), scale, seed: 3 })).body.items.filter(
      (i) => i.phase === "technical",
    );
  const efforts = technical("secure-finish").map((i) => i.intensity);
  expect(efforts.at(-1)).toBeLessThan(Math.max(...efforts));
  expect(technical("secure-finish").at(-1)?.why).toContain("secure");
  const stair = technical("even-stair")
    .filter((i) => i.dose.kind !== "ladder")
    .map((i) => i.intensity);
  expect(stair).toEqual(stair.toSorted((a, b) => a - b));
});

it("makes the raise longer in the cold and shorter in the heat, primes once when it is hot, and says so", () => {
  const of = (weather?: { heat: "none" | "hot"; cold: "none" | "cool" }) =>
    fillPlan(
      fillInput(shelf, {
        approach: approachOf("even-stair"),
        availableSeconds: 3600,
        ...(weather ? { weather } : {}),
      }),
    );
  const raise = (filled: ReturnType<typeof fillPlan>) =>
    filled.body.items
      .filter((i) => i.phase === "raise")
      .reduce((sum, i) => sum + (levelsOf(i.dose)[idealLevel(i.dose)]?.seconds ?? 0), 0);
  const efforts = (filled: ReturnType<typeof fillPlan>) =>
    filled.body.items.filter((i) => i.phase === "prime" && i.intensity > 50).length;
  const [mild, cold, hot] = [
    of({ heat: "none", cold: "none" }),
    of({ heat: "none", cold: "cool" }),
    of({ heat: "hot", cold: "none" }),
  ];
  expect(mild.body.items.map((i) => i.drillId)).toEqual(of().body.items.map((i) => i.drillId));
  expect(raise(cold)).toBeGreaterThan(raise(mild));
  expect(raise(hot)).toBeLessThan(raise(mild));
  expect(efforts(hot)).toBeLessThanOrEqual(1);
  expect(cold.gaps.join()).toContain("half as long again");
  expect(hot.gaps.join()).toContain("shade");
});

it("offers what suits an event first, and every approach takes a side in every question", () => {
  expect(suitedFirst("short-explosive")[0]?.suits).toContain("short-explosive");
  expect(suitedFirst(null)).toEqual(APPROACHES);
  for (const { portions, minutes } of APPROACHES) {
    expect(Object.values(portions).reduce((a, b) => a + b, 0)).toBeCloseTo(1);
    expect(minutes.least < minutes.usual && minutes.usual < minutes.most).toBe(true);
  }
});
