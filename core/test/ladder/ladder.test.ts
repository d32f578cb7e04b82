import fc from "fast-check";
import { climbOf } from "../../src/dose/ladder/climb";
import { ladderDoseSchema, type Rung } from "../../src/dose/ladder/ladderDose";
import { idealOfLadder, ladderLevels } from "../../src/dose/ladder/ladderLevels";
import { levelsOf } from "../../src/dose/levelsOf";
import { fitAt } from "../../src/fit/fit";
import { profileOf } from "../../src/fit/profile";
import { generateLadder } from "../../src/ladder/generateLadder";
import { EASY_PERCENT, FIRST_WISH, type LadderWish, ladderShapeSchema } from "../../src/ladder/ladderWish";
import { runPlanOf } from "../../src/run/steps/freezeFit";
import { openDay } from "../../src/venue/context";
import { cases } from "../made/cases";
import { anyLadder, drill, planOf } from "../made/generate";

let made = 0;
const makeId = () => `00000000-0000-4000-8000-${String(made++).padStart(12, "0")}`;

const usual: LadderWish = { ...FIRST_WISH, seconds: 900, rest: { kind: "fixed", seconds: 20 } };

const grades = [
  { name: "Hop turn", intensity: 20, chancePercent: 99 },
  { name: "Single", intensity: 45, chancePercent: 95 },
  { name: "Double", intensity: 70, chancePercent: 92 },
  { name: "Triple", intensity: 90, chancePercent: 60 },
];

function ladder(wish: Partial<LadderWish> = {}) {
  const answer = generateLadder({ ...usual, ...wish }, makeId);
  if (!answer.ok) throw new Error(answer.message);
  return { ...answer, rungs: answer.dose.rungs, efforts: answer.dose.rungs.map((r) => r.intensity) };
}

const repsOf = (rung: Rung, end: "floor" | "ideal" = "ideal") => {
  const { dose } = rung;
  if (dose.kind === "attempts") return dose.attempts[end];
  if (dose.kind === "circuit") return dose.rounds[end] * dose.movements.length;
  return dose.kind === "gate" ? dose.hits[end] : 0;
};

const anyWish: fc.Arbitrary<LadderWish> = fc
  .record({
    shape: fc.constantFrom(...ladderShapeSchema.options),
    bottom: fc.integer({ min: 5, max: 60 }),
    rise: fc.integer({ min: 0, max: 80 }),
    stepPoints: fc.constantFrom(10, 15, 20, 30),
    easyReps: fc.integer({ min: 0, max: 15 }),
    seconds: fc.integer({ min: 30, max: 2400 }),
    secondsEach: fc.integer({ min: 1, max: 30 }),
    reps: fc.integer({ min: 1, max: 12 }),
    taperPercent: fc.integer({ min: 0, max: 100 }),
    rest: fc.constantFrom(
      { kind: "none" as const },
      { kind: "fixed" as const, seconds: 45 },
      { kind: "multiple" as const, times: 3 },
    ),
    labels: fc.constantFrom([], grades, grades.slice(0, 2)),
    hits: fc.integer({ min: 1, max: 5 }),
    chancePercent: fc.integer({ min: 20, max: 95 }),
  })
  .map(({ rise, ...wish }) => ({ ...wish, top: Math.min(100, wish.bottom + rise) }));

describe("every generated ladder", () => {
  it("keeps its rules, fits its time, and says what it gave up", () => {
    fc.assert(
      fc.property(anyWish, (wish) => {
        const answer = generateLadder(wish, makeId);
        if (!answer.ok) {
          expect(answer.message.length).toBeGreaterThan(10);
          return;
        }
        const { dose } = answer;
        expect(ladderDoseSchema.parse(dose)).toEqual(dose);
        const ideal = ladderLevels(dose)[idealOfLadder(dose)];
        expect(ideal?.seconds).toBeLessThanOrEqual(wish.seconds);
        const efforts = dose.rungs.map((r) => r.intensity);
        expect(Math.max(...efforts)).toBeLessThanOrEqual(wish.top);
        for (let i = 1; i < efforts.length; i++)
          expect((efforts[i] as number) - (efforts[i - 1] as number)).toBeLessThanOrEqual(wish.stepPoints);
        // Easy repetitions come first, at the ideal and however much is squeezed out.
        const firstHard = efforts.findIndex((e) => e > EASY_PERCENT);
        if (firstHard > 0) {
          const easy = dose.rungs.slice(0, firstHard);
          for (const end of ["floor", "ideal"] as const)
            expect(easy.reduce((n, r) => n + repsOf(r, end), 0)).toBeGreaterThanOrEqual(wish.easyReps);
        }
        if (Math.max(...efforts) < wish.top && wish.shape !== "confidence")
          expect(answer.gaveUp.join(" ")).toContain("The top came down");
      }),
      cases(600),
    );
  });

  it("never has more of what is harder, within one climb", () => {
    fc.assert(
      fc.property(anyWish, (wish) => {
        const answer = generateLadder({ ...wish, shape: "even" }, makeId);
        if (!answer.ok) return;
        const reps = answer.dose.rungs.map((r) => repsOf(r));
        for (let i = 1; i < reps.length; i++) expect(reps[i]).toBeLessThanOrEqual(reps[i - 1] as number);
      }),
    );
  });

  it("gets no shorter with more time", () => {
    fc.assert(
      fc.property(anyWish, fc.integer({ min: 1, max: 600 }), (wish, more) => {
        const [less, longer] = [wish.seconds, wish.seconds + more].map((seconds) =>
          generateLadder({ ...wish, seconds }, makeId),
        );
        if (!less?.ok) return;
        expect(longer?.ok && longer.dose.rungs.length >= less.dose.rungs.length).toBe(true);
      }),
    );
  });
});

describe("shapes", () => {
  it("an even climb has equal steps, easy repetitions first and fewer towards the top", () => {
    const { efforts, rungs, gaveUp } = ladder();
    expect(efforts).toEqual([15, 33, 50, 68, 85]);
    expect(rungs.map((r) => repsOf(r))).toEqual([6, 5, 4, 3, 2]);
    expect(gaveUp).toEqual([]);
  });

  it("a short time takes repetitions first, then the top", () => {
    const full = ladder();
    const fewer = ladder({ seconds: full.seconds - 30 });
    expect(fewer.efforts).toEqual(full.efforts);
    expect(fewer.gaveUp).toEqual(["17 repetitions (wanted 20)."]);
    const lower = ladder({ seconds: 170 });
    expect(lower.efforts.at(-1)).toBeLessThan(85);
    expect(lower.gaveUp[0]).toMatch(/^The top came down from 85 to \d+ %\.$/);
  });

  it("confidence alternates two easy levels, climbs without a rest, rests, and ends on what succeeds", () => {
    const { rungs } = ladder({ shape: "confidence", labels: grades, top: 90, seconds: 1800 });
    expect(rungs[0]?.dose).toMatchObject({ kind: "circuit", rounds: { ideal: 5 } });
    const climb = rungs.slice(1, -1);
    expect(climb.map((r) => r.restSeconds)).toEqual([...climb.slice(1).map(() => 0), 180]);
    expect(rungs.at(-1)).toMatchObject({
      label: "Double",
      intensity: 70,
      chancePercent: 92,
      dose: { attempts: { ideal: 2 } },
    });
  });

  it("confidence says so when nothing on the scale is sure enough", () => {
    const unsure = grades.map((g) => ({ ...g, chancePercent: 50 }));
    expect(ladder({ shape: "confidence", labels: unsure, seconds: 1800 }).gaveUp.join()).toContain(
      "by effort alone",
    );
  });

  it("targets keeps to one target until its hits, then changes", () => {
    const { rungs } = ladder({ shape: "targets", seconds: 3000 });
    const names = rungs.map((r) => r.label);
    expect(names.indexOf("Second target")).toBe(names.lastIndexOf("First target") + 1);
    expect(rungs.every((r) => r.dose.kind === "gate")).toBe(true);
  });

  it("distances goes from soft to fast at each, and skips none", () => {
    const { rungs } = ladder({ shape: "distances", seconds: 3000, top: 70, stepPoints: 30 });
    expect([...new Set(rungs.map((r) => r.label))]).toEqual(["Near", "Middle", "Far"]);
    for (const name of ["Near", "Middle", "Far"])
      expect(rungs.filter((r) => r.label === name).map((r) => r.intensity)).toEqual([15, 43, 70]);
  });

  it("realism passes through every stage in order", () => {
    const { rungs } = ladder({ shape: "realism", seconds: 3000 });
    expect([...new Set(rungs.map((r) => r.label))]).toEqual([
      "Standing, self-fed",
      "With the approach",
      "Answering a feed",
      "As in competition",
    ]);
  });

  it("both in turn takes twice as long", () => {
    const rest = { kind: "none" } as const;
    expect(ladder({ shape: "partners", rest, seconds: 3000 }).seconds).toBe(2 * ladder({ rest }).seconds);
  });
});

it.each([
  ["a top below the bottom", { bottom: 60, top: 40, easyReps: 0 }, "top"],
  ["easy repetitions with nothing easy", { bottom: 50 }, "bottom"],
  ["less time than one repetition", { seconds: 5 }, "seconds"],
  ["a chance of 100", { shape: "targets", chancePercent: 100 }, "chancePercent"],
  ["steps of nothing", { stepPoints: 0 }, "stepPoints"],
  [
    "more rungs than a ladder has",
    {
      shape: "distances",
      bottom: 10,
      top: 100,
      stepPoints: 5,
      labels: Array.from({ length: 20 }, (_, i) => ({
        name: `Line ${i}`,
        intensity: i,
        chancePercent: null,
      })),
    },
    "stepPoints",
  ],
] as [string, Partial<LadderWish>, string][])("%s is refused by name", (_, wish, path) => {
  expect(generateLadder({ ...usual, ...wish }, makeId)).toMatchObject({
    ok: false,
    path,
    message: expect.stringMatching(/\.$/),
  });
});

describe("a ladder under a squeeze", () => {
  it("loses repetitions from the top down before its top, and stays a stair", () => {
    fc.assert(
      fc.property(anyLadder, (dose) => {
        const levels = ladderLevels(dose);
        const ideal = idealOfLadder(dose);
        levels.forEach((level, k) => {
          const rungs = level.rungs ?? [];
          expect(rungs.map((r) => r.id)).toEqual(dose.rungs.slice(0, rungs.length).map((r) => r.id));
          expect(rungs.length).toBeGreaterThanOrEqual(dose.leastRungs);
          if (k >= ideal) expect(rungs).toHaveLength(dose.rungs.length);
        });
      }),
    );
  });

  it("is kept within the plan's step rule by the fit, entering and leaving", () => {
    const { dose } = ladder({ bottom: 15, top: 85, stepPoints: 20 });
    const items = [
      drill("easy", { phase: "technical", intensity: 10, priority: "essential" }),
      { ...drill("ladder", { phase: "technical", intensity: 85, priority: "essential" }), dose },
      drill("full", { phase: "technical", intensity: 100 }),
    ];
    const plan = planOf(items);
    const table = profileOf(plan, openDay(), 2000);
    const long = fitAt(table, 2000);
    expect(long.placements.map((p) => p.level !== null)).toEqual([true, true, true]);
    for (let available = 0; available <= 600; available += 10) {
      const [, climbed, full] = fitAt(table, available).placements;
      if (!climbed?.level || !full?.level) continue;
      expect(100 - climbOf(climbed.item, climbed.level).to).toBeLessThanOrEqual(20);
    }
    // Steps inside it that the plan does not allow are not climbed.
    const strict = fitAt(profileOf({ ...plan, stepPoints: 10 }, openDay(), 2000), 2000);
    const top = strict.placements[1]?.level?.rungs?.at(-1)?.intensity ?? 0;
    expect(top).toBe(0);
  });

  it("is run rung by rung, each with what to attend to", () => {
    const { dose } = ladder();
    const item = { ...drill("Serve", { phase: "technical", focus: "Tall" }), name: "Serve ladder", dose };
    const rungs = dose.rungs.with(1, { ...(dose.rungs[1] as Rung), focus: "Loose wrist", label: "Middle" });
    const plan = planOf([{ ...item, dose: { ...dose, rungs } }]);
    const fit = fitAt(profileOf(plan, openDay(), 3000), 3000);
    const run = runPlanOf(fit, "2026-06-01T12:00:00.000Z");
    expect(run.drills.map((d) => d.name).slice(0, 2)).toEqual([
      "Serve ladder: 15 %",
      "Serve ladder: Middle, 33 %",
    ]);
    expect(run.drills.map((d) => d.focus).slice(0, 2)).toEqual(["Tall", "Loose wrist"]);
    expect(run.drills.reduce((n, d) => n + d.plannedSeconds, 0)).toBe(fit.workSeconds);
    expect(levelsOf(dose).length).toBeLessThanOrEqual(60);
  });
});
