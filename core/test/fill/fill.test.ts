import fc from "fast-check";
import { APPROACHES, approachOf, suitedFirst } from "../../src/approach/approaches";
import { noProfile } from "../../src/athlete/profile";
import { checkPlan } from "../../src/checks/checkPlan";
import { situationOf } from "../../src/checks/terms/situation";
import { usualSetting } from "../../src/conditions/setting";
import { idealLevel, levelsOf } from "../../src/dose/levelsOf";
import { plainEvent } from "../../src/event/eventType";
import { fillPlan } from "../../src/fill/fillPlan";
import type { FillInput } from "../../src/fill/input/fillInput";
import { judgedFill } from "../../src/fill/seek/judgedFill";
import { fitPlan } from "../../src/fit/fit";
import { coverageOf } from "../../src/plan/coverage";
import { planBodySchema } from "../../src/plan/plan";
import { circumstancesOn, obstacleTo } from "../../src/plan/usable";
import { openDay } from "../../src/venue/context";
import { cases, casesOf } from "../made/cases";
import { ACTIONS, anyShelf, fillInput } from "../made/shelf";
import { SPORTS } from "../sign/starters";

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
      event: { ...plainEvent("Made up"), actions, areas: ["hip", "knee"], targetLevel },
      setting: { ...usualSetting(), people, equipment: [...equipment] },
      athlete: {
        ...noProfile(),
        ageYears: age,
        protectedAreas: spared.map((area) => ({ area, until: null })),
      },
    }),
  );

/** Few plans are tried: what holds of the first holds of better ones. */
const FEW = { tries: 4 };

describe("every warm-up filled from an approach", () => {
  it("is a plan that can be saved, of drills that can be used, each with a reason", () => {
    fc.assert(
      fc.property(anyInput, (input) => {
        const { body } = fillPlan(input, FEW);
        expect(planBodySchema.parse(body)).toEqual(body);
        const byId = new Map(input.shelf.map((d) => [d.id, d]));
        const day = circumstancesOn(input.setting, input.athlete, input.day);
        for (const item of body.items) {
          const drill = byId.get(item.drillId as string);
          expect(drill && obstacleTo(drill, day)).toBeNull();
          expect(item.why).toMatch(/\.$/);
        }
        expect(body.origin).toMatchObject({ approach: input.approach.id, seed: input.seed });
      }),
      cases(100),
    );
  });

  it("keeps the limits of its approach and of the age, whatever the shelf", () => {
    fc.assert(
      fc.property(anyInput, (input) => {
        const { body } = fillPlan(input, FEW);
        const { items, wait } = body;
        const top = Math.min(100, (input.event?.targetLevel ?? 85) + input.approach.peakPoints);
        const age = input.athlete?.ageYears ?? null;
        const hardest = age === null || age >= 16 ? top : Math.min(top, age < 10 ? 70 : age < 13 ? 80 : 90);
        for (const i of items.filter((i) => i.phase === "technical" || i.phase === "prime"))
          expect(i.intensity).toBeLessThanOrEqual(Math.max(hardest, 5));
        expect(body.stepPoints).toBeLessThanOrEqual(input.approach.stepPoints);
        expect(wait.leastSeconds).toBeLessThanOrEqual(input.approach.wait.leastSeconds);
        expect(wait.shortestSeconds).toBeLessThanOrEqual(60);
        // Spare time means to begin later: nothing grows beyond what is wanted of it.
        const grown = (b: typeof body) =>
          fitPlan(b, 4 * 3600).placements.filter((p) => p.verdict === "lengthened");
        expect(grown(body)).toEqual([]);
        const work = fitPlan(body, 4 * 3600).placements.filter((p) => p.item.phase !== "kit" && !p.item.calm);
        expect(work.reduce((sum, p) => sum + p.spanSeconds, 0)).toBeLessThanOrEqual(
          input.approach.minutes.most * 60,
        );
      }),
      cases(100),
    );
  });

  it("prepares every action of the event, or says which is left cold", () => {
    fc.assert(
      fc.property(anyInput, (input) => {
        const { body, gaps } = fillPlan(input, { tries: 1 });
        for (const { what, by } of coverageOf(body.items, { actions: input.event?.actions ?? [], areas: [] })
          .actions)
          if (by.length === 0) expect(gaps.join(" ")).toMatch(new RegExp(`${what}|no technical drill`));
      }),
      cases(100),
    );
  });

  it("is the same for the same seed", () => {
    fc.assert(
      fc.property(anyInput, (input) => {
        expect(drillIds(fillPlan(input, FEW))).toEqual(drillIds(fillPlan(input, FEW)));
      }),
      cases(30),
    );
  });

  it("is never worse by the checks for being sought longer", () => {
    const grave = (input: FillInput, tries: number) => {
      const { body } = fillPlan(input, { tries });
      const { availableSeconds, context, athlete, event, setting, day, earlier } = input;
      const fit = fitPlan(body, availableSeconds, context);
      const found = checkPlan(
        situationOf({
          ...{ plan: body, fit, context, setting, athlete, event, day, earlier },
          ...{ readySeconds: null, untilStart: null, shelf: [], culprit: fit.culprit },
        }),
      );
      const many = (severity: string) => found.filter((f) => f.severity === severity).length;
      return (
        10_000 * many("stop") + 300 * (many("warn") - found.filter((f) => f.code === "action-cold").length)
      );
    };
    fc.assert(
      fc.property(anyInput, (input) => {
        const first = grave(input, 1);
        // A promise of the approach weighs less than a warning: what is saved of the one is never paid with the other.
        expect(grave(input, 12)).toBeLessThanOrEqual(first);
      }),
      cases(30),
    );
  });
});

it("seeking never gives up the only drill that raises", () => {
  const outdoors = { ...usualSetting(), indoors: false, temperature: 2 };
  for (const [key, id, setting] of [
    ["table-tennis", "needs-first", usualSetting()],
    ["karate-forms", "circuit-first", outdoors],
    ["karate-forms", "compact", usualSetting()],
  ] as const) {
    const sport = SPORTS.find((s) => s.key === key) as (typeof SPORTS)[number];
    const input = fillInput(sport.shelf, {
      ...{ event: sport.event, approach: approachOf(id), setting, seed: 4, availableSeconds: 240 },
      ...(id === "compact" ? { kit: "on" as const } : {}),
    });
    const { placements } = fitPlan(fillPlan(input).body, 240);
    const raised = placements.filter((p) => p.level && p.item.phase === "raise" && !p.item.calm);
    expect([key, raised.length > 0]).toEqual([key, true]);
  }
});

it("another seed gives other drills of the same parts", () => {
  const [one, two] = [1, 2].map((seed) => fillPlan(fillInput(shelf, { seed }), FEW));
  expect(drillIds(one as never)).not.toEqual(drillIds(two as never));
  const parts = (f: typeof one) => [...new Set(f?.body.items.map((i) => i.phase))];
  expect(parts(one).slice(0, 3)).toEqual(parts(two).slice(0, 3));
});

it("keeps the drills of last time, and does without those of the version before", () => {
  const last = drillIds(fillPlan(fillInput(shelf, { seed: 5 }), FEW)) as string[];
  const same = drillIds(fillPlan(fillInput(shelf, { seed: 99, keep: last }), FEW)) as string[];
  expect(last.filter((id) => !same.includes(id)).length).toBeLessThanOrEqual(1);
  const other = drillIds(fillPlan(fillInput(shelf, { seed: 6, avoid: last }), FEW)) as string[];
  const shared = other.filter((id) => last.includes(id));
  expect(shared.length).toBeLessThan(last.length / 3);
});

it("never makes more essential than there is time for, and says when time is short", () => {
  fc.assert(
    fc.property(anyInput, (input) => {
      const { body, gaps } = fillPlan(input, FEW);
      const fit = fitPlan(body, input.availableSeconds);
      const kit = body.items.filter((i) => i.phase === "kit").length;
      if (kit === 0 && !fit.neverFits) expect(fit.missingSeconds).toBe(0);
      if (input.availableSeconds < 60 + input.approach.minutes.least * 60)
        expect(gaps.join(" ")).toContain("at least");
    }),
    cases(100),
  );
});

it("says how many drills were left aside and why", () => {
  const { gaps } = fillPlan(
    fillInput(shelf, {
      setting: { ...usualSetting(), people: 0, equipment: ["mat"] },
      athlete: { ...noProfile(), ageYears: 11, protectedAreas: [{ area: "knee", until: null }] },
    }),
    { tries: 1 },
  );
  for (const words of ["need more people", "need equipment", "are for older athletes", "to be protected"])
    expect(gaps.join(" ")).toContain(words);
});

it("brings with it what the approach says of peak, rests, wait and length", () => {
  const filled = (id: (typeof APPROACHES)[number]["id"]) =>
    fillPlan(fillInput(shelf, { approach: approachOf(id), availableSeconds: 60 * 60 }), FEW).body;
  const top = (id: Parameters<typeof filled>[0]) =>
    Math.max(
      ...filled(id)
        .items.filter((i) => i.phase === "technical")
        .map((i) => i.intensity),
    );
  expect(top("calm-rhythm")).toBeLessThanOrEqual(70);
  expect(filled("long-and-sharp").wait).toMatchObject({ leastSeconds: 600, times: 5 });
  const minutes = (id: Parameters<typeof filled>[0]) => fitPlan(filled(id), 90 * 60).workSeconds / 60;
  expect(minutes("compact")).toBeLessThan(minutes("long-and-sharp") / 2);
});

it("single actions and ladders are one climb: a ladder is cut where something lies between its rungs", () => {
  const climbs = Array.from({ length: casesOf(30, 6) }, (_, seed) =>
    fillPlan(fillInput(anyShelf(200, seed + 1), { seed }), FEW).body.items.filter(
      (i) => i.phase === "technical",
    ),
  );
  for (const items of climbs) {
    const efforts = items.flatMap(({ dose, intensity }) =>
      dose.kind === "ladder" ? dose.rungs.map((r) => r.intensity) : [intensity],
    );
    expect(efforts).toEqual(efforts.toSorted((a, b) => a - b));
  }
  expect(climbs.flat().some((i) => i.why?.includes("Cut here"))).toBe(true);
});

it("secure finish ends on something sure", () => {
  const athlete = {
    ...noProfile(),
    scales: [
      {
        id: "00000000-0000-4000-8000-000000000001",
        name: "Jumps",
        kind: "content" as const,
        items: [{ name: "spin", intensity: 50, chancePercent: 20 }],
      },
    ],
  } as unknown as FillInput["athlete"];
  const { body } = fillPlan(
    fillInput(shelf, { approach: approachOf("secure-finish"), athlete, seed: 3 }),
    FEW,
  );
  const technical = body.items.filter((i) => i.phase === "technical");
  const efforts = technical.map((i) => i.intensity);
  expect(efforts.at(-1)).toBeLessThan(Math.max(...efforts));
  expect(technical.at(-1)?.why).toContain("secure");
});

describe("the weather", () => {
  const outdoors = { ...usualSetting(), indoors: false };
  const fencing = SPORTS.find((s) => s.key === "fencing") as (typeof SPORTS)[number];
  const of = (setting: FillInput["setting"], more: Partial<FillInput> = {}) =>
    fillPlan(fillInput(fencing.shelf, { event: fencing.event, availableSeconds: 2400, setting, ...more }), {
      tries: 1,
    });
  const raise = ({ body }: ReturnType<typeof fillPlan>) =>
    body.items
      .filter((i) => i.phase === "raise")
      .reduce((sum, i) => sum + (levelsOf(i.dose)[idealLevel(i.dose)]?.seconds ?? 0), 0);
  const mild = of({ ...outdoors, temperature: 18 });
  const cold = of({ ...outdoors, temperature: 2, layers: true });
  const hot = of({ ...outdoors, temperature: 36, humidity: 60 });

  it("makes the raise longer in the cold and shorter in heat, primes once when it is hot, and says so", () => {
    expect(raise(cold)).toBeGreaterThan(raise(mild));
    expect(raise(hot)).toBeLessThan(raise(mild));
    expect(hot.body.items.filter((i) => i.phase === "prime" && i.intensity > 50).length).toBeLessThanOrEqual(
      1,
    );
    expect(cold.gaps.join()).toContain("half as long again");
    expect(hot.gaps.join()).toContain("shade");
  });

  it("puts shade and a drink into the wait in heat, and taking layers off in the cold", () => {
    const names = ({ body }: typeof hot) => body.items.filter((i) => i.calm).map((i) => i.name);
    expect(names(hot)).toContain("Shade, drink and cool");
    expect(names(cold)).toContain("Warm layers off");
    expect(names(mild).some((n) => /Shade|layers/.test(n))).toBe(false);
  });

  it("does general work where there is a roof or shade", () => {
    const places = [
      { name: "Field", windows: [] },
      { name: "Tent", windows: [], cover: "shade" as const },
      { name: "Hall", windows: [], cover: "indoors" as const },
    ];
    const context = { ...openDay(), places: places.map(({ name }) => ({ name, windows: [] })) };
    const where = (filled: typeof hot) => [
      ...new Set(filled.body.items.filter((i) => i.phase === "raise").map((i) => i.place)),
    ];
    expect(where(of({ ...outdoors, temperature: 2, places }, { context }))).toEqual(["Hall"]);
    expect(where(of({ ...outdoors, temperature: 36, humidity: 60, places }, { context }))).toEqual(["Tent"]);
    // In fair weather a place that the day does not know is none; where it knows none, it is the coach's word.
    expect(where(of({ ...outdoors, temperature: 18, places }, { context }))).toEqual([""]);
    expect(where(of({ ...outdoors, temperature: 18 }))).toEqual(["Off the field of play"]);
  });

  it("offers shorter approaches first in heat, and not the shortest in the cold", () => {
    const order = (setting: FillInput["setting"]) =>
      suitedFirst("long-sustained", setting).map((a) => a.sides.length);
    expect(order({ ...outdoors, temperature: 36, humidity: 60 })[0]).toBe("compact");
    expect(order({ ...outdoors, temperature: 2 })[0]).toBe("standard");
  });
});

it("of a shelf of several sports it takes the event's own", () => {
  for (const sport of SPORTS) {
    const mixed = [...new Map(SPORTS.flatMap((s) => s.shelf).map((d) => [d.id, d])).values()];
    const { body } = fillPlan(fillInput(mixed, { event: sport.event, availableSeconds: 1800 }), FEW);
    const others = new Set(SPORTS.filter((s) => s !== sport).flatMap((s) => s.own.map((d) => d.id)));
    expect(body.items.filter((i) => others.has(i.drillId ?? "")).map((i) => i.name)).toEqual([]);
    expect(body.items.some((i) => i.phase === "technical")).toBe(true);
  }
});

it("kit that takes longer than there is stands as done already, and says so", () => {
  const skating = SPORTS.find((s) => s.key === "figure-skating");
  const { body, gaps } = fillPlan(
    fillInput(skating?.shelf ?? [], { event: skating?.event ?? null, availableSeconds: 480 }),
    FEW,
  );
  expect(body.items.find((i) => i.phase === "kit")?.alreadyOn).toBe(true);
  expect(gaps.join()).toContain("stands as done already");
});

describe("whether the kit is on", () => {
  const trampoline = SPORTS.find((s) => s.key === "trampoline") as (typeof SPORTS)[number];
  const of = (kit: FillInput["kit"], minutes: number) =>
    fillPlan(
      fillInput(trampoline.shelf, {
        event: trampoline.event,
        availableSeconds: minutes * 60,
        kit: kit ?? null,
      }),
      { tries: 1 },
    );
  const kitOf = ({ body }: ReturnType<typeof fillPlan>) => body.items.find((i) => i.phase === "kit");
  const worked = ({ body }: ReturnType<typeof fillPlan>, minutes: number) => {
    const { placements } = fitPlan(body, minutes * 60);
    return placements.reduce((sum, p) => sum + (p.item.phase === "kit" ? 0 : p.spanSeconds), 0);
  };

  it("is as somebody says it: still to put on it has its time, on already it has none", () => {
    expect(kitOf(of(null, 5))?.alreadyOn).toBe(true);
    expect(kitOf(of("to-do", 5))?.alreadyOn).toBeUndefined();
    const todo = fitPlan(of("to-do", 5).body, 300).placements.find((p) => p.item.phase === "kit");
    expect(todo?.spanSeconds).toBeGreaterThan(0);
    expect(kitOf(of(null, 15))?.alreadyOn).toBeUndefined();
    expect(kitOf(of("on", 15))?.alreadyOn).toBe(true);
    expect(worked(of("on", 15), 15)).toBeGreaterThan(worked(of("to-do", 15), 15));
    expect(of("on", 15).gaps.join()).toContain("as you said");
  });
});

it("keeps warm through a long wait, and the start is warm by the forecast", () => {
  const diving = SPORTS.find((s) => s.key === "springboard-diving") as (typeof SPORTS)[number];
  const input = fillInput(diving.shelf, {
    event: diving.event,
    approach: approachOf("long-and-sharp"),
    availableSeconds: 2100,
  });
  const cold = (body: ReturnType<typeof fillPlan>["body"]) =>
    judgedFill(body, input).found.some((f) => f.code === "cold-at-the-start");
  expect(cold(fillPlan(input, { tries: 1 }).body)).toBe(true);
  const { body } = fillPlan(input);
  expect(cold(body)).toBe(false);
  const warm = body.items.filter((i) => i.calm === "keep-warm");
  expect(warm.map((i) => i.phase)).toEqual(["raise"]);
  expect(warm[0]?.why).toContain("Keeps warm");
});

it("gives the young fewer of each of the sport's own, by the figures of the check", () => {
  for (const sport of SPORTS)
    for (const [age, most] of [
      [8, 6],
      [11, 8],
      [14, 12],
    ] as const) {
      const input = fillInput(sport.shelf, {
        event: sport.event,
        athlete: { ...noProfile(), ageYears: age },
        availableSeconds: 1800,
      });
      const own = fillPlan(input, { tries: 1 }).body.items.filter((i) =>
        ["technical", "prime"].includes(i.phase),
      );
      const reps = own.flatMap(({ dose }) => {
        const level = levelsOf(dose)[idealLevel(dose)];
        return (level?.rungs ?? [level]).map((of) => of?.actions ?? 0);
      });
      expect(Math.max(0, ...reps)).toBeLessThanOrEqual(most);
    }
  const more = fillInput(SPORTS[1]?.shelf ?? [], {
    event: SPORTS[1]?.event ?? null,
    athlete: { ...noProfile(), ageYears: 11 },
    figures: [{ check: "too-much-for-the-age", figure: "under13", value: 3 }],
  });
  const actions = fillPlan(more, { tries: 1 }).body.items.flatMap(({ phase, dose }) =>
    phase === "technical" && dose.kind !== "ladder" ? [levelsOf(dose)[idealLevel(dose)]?.actions ?? 0] : [],
  );
  expect(actions.length).toBeGreaterThan(0);
  expect(Math.max(...actions)).toBeLessThanOrEqual(3);
});

it("offers what suits an event first, and every approach takes a side in every question", () => {
  expect(suitedFirst("short-explosive")[0]?.suits).toContain("short-explosive");
  expect(suitedFirst(null)).toEqual(APPROACHES);
  // With the time for it nobody is sent out with the shortest, and without it nobody with a long one.
  const usual = (minutes: number) => suitedFirst("precision", null, minutes)[0]?.minutes.usual;
  expect([usual(8), usual(20), usual(45)]).toEqual([9, 20, 25]);
  for (const { portions, minutes } of APPROACHES) {
    expect(Object.values(portions).reduce((a, b) => a + b, 0)).toBeCloseTo(1);
    expect(minutes.least < minutes.usual && minutes.usual < minutes.most).toBe(true);
  }
});
