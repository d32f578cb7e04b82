import fc from "fast-check";
import { noDetails } from "../../src/drill/details";
import { fitPlan } from "../../src/fit/fit";
import type { PlanBody, PlanItem } from "../../src/plan/plan";
import { runClock } from "../../src/run/live/runClock";
import { type RunEvent, runEventSchema } from "../../src/run/log/runEvent";
import { runState } from "../../src/run/log/runState";
import { refitLine, refitRun } from "../../src/run/refit/refit";
import { remainderOf } from "../../src/run/refit/remainder";
import { runPlanOf, stepOfDrill } from "../../src/run/steps/freezeFit";
import { runPlanSchema } from "../../src/run/steps/runPlan";
import { fitContextSchema, openDay } from "../../src/venue/context";
import { anyPresses } from "../made/anyPresses";
import { drill, planOf } from "../made/generate";
import { realDay } from "../made/realDays";
import { checkSchedule } from "../proof/checkSchedule";

const START = Date.parse("2026-06-01T12:00:00.000Z");
const startsAt = new Date(START).toISOString();
const before = (seconds: number) => START - seconds * 1000;

let made = 0;
function press(kind: RunEvent["kind"], secondsBefore: number, more: object = {}): RunEvent {
  const id = `00000000-0000-4000-8000-${String(++made).padStart(12, "0")}`;
  return runEventSchema.parse({ id, at: new Date(before(secondsBefore)).toISOString(), kind, ...more });
}

const moved = (secondsBefore: number, by: number) =>
  press("start-moved", secondsBefore, { startsAt: new Date(START + by * 1000).toISOString() });

const runOf = (plan: PlanBody, seconds: number, context = openDay()) =>
  runPlanOf(fitPlan(plan, seconds, context), startsAt, { plan, context });

/** The steps that are to come once a re-fit is applied. */
function coming(run: ReturnType<typeof runOf>, events: RunEvent[], refit: ReturnType<typeof refitRun>) {
  if (!refit) throw new Error("there is something left");
  const { drills, waitSeconds, line } = refit;
  const state = runState(run, [...events, press("refit", -1e6, { drills, waitSeconds, line })]);
  return state.splits.filter((s) => s.outcome === "pending" && !s.drill.wait).map((s) => s.drill);
}

const reps = (sets: number) => ({
  dose: {
    kind: "reps" as const,
    sets: { floor: 1, ideal: sets, ceiling: sets },
    reps: { floor: 10, ideal: 10, ceiling: 10 },
    secondsPerRep: 3,
    sides: "one" as const,
    restSeconds: 30,
  },
});

describe("what a re-fit says", () => {
  const plan = planOf([drill("Laps"), drill("Lunges", reps(3)), drill("Spins", { priority: "extra" })], {
    wait: { leastSeconds: 120, longestSeconds: 900 },
  });
  const run = runOf(plan, 420); // 60 + 150 + 60, wait 120, 30 s spare

  it("a start that moves up costs what matters least, in one line", () => {
    const events = [press("begin", 400), moved(380, -90)];
    const refit = refitRun(run, runState(run, events), before(380));
    expect(refit?.line).toBe("Lunges 3 → 2 sets, Spins 1:30 → 0:30.");
    expect(refit).toMatchObject({ state: "fits", missingSeconds: 0 });
    expect(coming(run, events, refit).map((d) => [d.name, d.plannedSeconds])).toEqual([
      ["Lunges", 90],
      ["Spins", 30],
    ]);
  });

  it("time that is won brings back what was left out, and a drill that was done is not done again", () => {
    const tight = runOf(plan, 185);
    expect(tight.drills.map((d) => d.name)).not.toContain("Spins");
    const events = [press("begin", 185), press("done", 180), moved(179, 300)];
    const refit = refitRun(tight, runState(tight, events), before(179));
    expect(refit?.line).toContain("Spins comes back");
    expect(coming(tight, events, refit).map((d) => d.name)).not.toContain("Laps");
  });

  it("says early that the essentials no longer fit, and by how much", () => {
    const essential = planOf(
      plan.items.map((i) => ({ ...i, priority: "essential" as const })),
      { wait: plan.wait },
    );
    const events = [press("begin", 420), moved(419, -230)];
    const refit = refitRun(runOf(essential, 420), runState(run, events), before(419));
    expect(refit?.state).toBe("short");
    expect(refit?.missingSeconds).toBeGreaterThan(0);
  });

  it("names two changes, and counts the others", () => {
    const items = plan.items;
    expect(refitLine(items, run.drills, run.drills.slice(0, 1))).toBe("Lunges left out, Spins left out.");
    expect(refitLine(items, run.drills, [])).toBe("Laps left out, Lunges left out and 1 more.");
  });

  it("says when only the wait changes, and nothing when nothing does", () => {
    const events = [press("begin", 420)];
    expect(refitRun(run, runState(run, events), before(419))?.line).toBe("");
    const later = runState(run, [...events, moved(419, 300)]);
    expect(refitRun(run, later, before(418))?.line).toMatch(/wait/);
  });

  it("has nothing to offer a run that is over, or that does not know what it was fitted from", () => {
    const { source: _, ...bare } = run;
    expect(refitRun(bare, runState(run, [press("begin", 420)]), before(400))).toBeNull();
    const ended = runState(run, [press("begin", 420), press("end", 400)]);
    expect(refitRun(run, ended, before(399))).toBeNull();
    expect(refitRun(run, runState(run, [press("begin", 420)]), before(-5))).toBeNull();
  });
});

describe("what a re-fit keeps", () => {
  const rungs = [20, 40, 60, 80].map((intensity, i) => ({
    id: `00000000-0000-4000-9000-00000000000${i}`,
    label: "",
    intensity,
    dose: {
      kind: "attempts" as const,
      attempts: { floor: 1, ideal: 3, ceiling: 3 },
      secondsEach: 10,
      sides: "one" as const,
      rest: { kind: "fixed" as const, seconds: 0 },
    },
    focus: "",
    restSeconds: 20,
  }));
  const ladder: PlanItem = {
    ...drill("Jumps", { phase: "technical", intensity: 80, priority: "essential" }),
    dose: { kind: "ladder", rungs, leastRungs: 2 },
  };

  it("a ladder goes on with the rungs above, its steps and its top kept", () => {
    const plan = planOf([ladder], { wait: { leastSeconds: 60, longestSeconds: 600 } });
    const run = runOf(plan, 300);
    const events = [press("begin", 300), press("done", 250), moved(249, -80)];
    const refit = refitRun(run, runState(run, events), before(249));
    const efforts = coming(run, events, refit).map((d) => d.intensity);
    expect(efforts).toEqual([60, 80]);
    expect(refit?.line).toContain("The ladder keeps its top.");
  });

  it("the climb goes on from where it is: nothing steeper than the plan allows, also after other things", () => {
    const kit = drill("Skates on", { phase: "kit", priority: "essential" });
    const spin = drill("Spin", { phase: "technical", intensity: 30, priority: "essential" });
    const axel = drill("Axel", { phase: "technical", intensity: 70, priority: "essential" });
    const lutz = drill("Lutz", { phase: "technical", intensity: 50, priority: "useful" });
    const plan = planOf([spin, kit, lutz, axel]);
    const run = runOf(plan, 240);
    // Time for one of the two: the Axel would be a step of 40 from the spin.
    const events = [press("begin", 240), press("done", 180), moved(179, -55)];
    const refit = refitRun(run, runState(run, events), before(179));
    const names = coming(run, events, refit)
      .filter((d) => d.phase === "technical")
      .map((d) => d.name);
    expect(names).not.toEqual(["Axel"]);
  });

  it("what is free and was passed over comes back while its part goes on, and not after it", () => {
    const swings = drill("Swings", { free: true, priority: "extra" });
    const plan = planOf([swings, drill("Laps"), drill("Circles"), drill("Spin", { phase: "technical" })]);
    const run = runOf(plan, 150);
    expect(run.drills.map((d) => d.name)).not.toContain("Swings");
    const later = (events: RunEvent[]) =>
      coming(run, events, refitRun(run, runState(run, events), before(130))).map((d) => d.name);
    const begun = [press("begin", 150), moved(140, 600)];
    expect(later(begun)).toContain("Swings");
    const inSpin = [...begun, press("done", 139), press("done", 138)];
    expect(later(inSpin)).not.toContain("Swings");
  });

  it("what must follow a drill that was passed over does not come back without it", () => {
    const lift = drill("Lift", { priority: "extra" });
    const plan = planOf([
      drill("Laps"),
      lift,
      drill("Swings"),
      drill("Throw", { priority: "extra", after: lift.id }),
      drill("Spins", { priority: "extra" }),
    ]);
    const run = runOf(plan, 100);
    expect(run.drills.map((d) => d.name)).toEqual(["Laps", "Swings"]);
    const events = [press("begin", 100), press("done", 60), moved(50, 600)];
    const refit = refitRun(run, runState(run, events), before(50));
    expect(coming(run, events, refit).map((d) => d.name)).toEqual(["Spins"]);
  });

  it("what is under way is done all the same where its place has closed, and the rest has what that leaves", () => {
    const context = fitContextSchema.parse({
      places: [{ name: "Hall", windows: [{ fromSeconds: -900, toSeconds: -380 }] }],
    });
    const seconds = { floor: 30, ideal: 600, ceiling: 600 };
    const long = { kind: "time" as const, seconds, step: 10, sides: "one" as const, changeoverSeconds: 0 };
    const plan = planOf([drill("Laps", { place: "Hall" }), drill("Swings", { dose: long })], {
      wait: { leastSeconds: 0, longestSeconds: 600 },
    });
    const run = runOf(plan, 900, context);
    const [laps] = run.drills;
    const events = [press("begin", 400)];
    const now = 390;
    const left = (laps?.plannedSeconds ?? 0) - 10;
    expect(left).toBeGreaterThan(20);
    const refit = refitRun(run, runState(run, events), before(now));
    const [swings] = coming(run, events, refit);
    expect(swings?.name).toBe("Swings");
    expect(swings?.plannedSeconds).toBeLessThanOrEqual(now - left);
    expect(swings?.plannedSeconds).toBeGreaterThan(now - left - 10);
  });

  it("windows stay by the clock and the call moves with the start", () => {
    const context = fitContextSchema.parse({
      places: [{ name: "Ice", windows: [{ fromSeconds: -600, toSeconds: -400 }] }],
      points: [{ name: "Call", fromSeconds: -100, toSeconds: -60 }],
    });
    const plan = planOf([drill("Laps"), drill("Edges", { place: "Ice", priority: "essential" })]);
    const run = runOf(plan, 900, context);
    const later = runState(run, [press("begin", 800), moved(790, 120)]);
    const remainder = remainderOf(run, later, before(780));
    expect(remainder?.context.places[0]?.windows[0]).toMatchObject({ fromSeconds: -720, toSeconds: -520 });
    expect(remainder?.context.points[0]).toMatchObject({ fromSeconds: -100 });
    const gone = remainderOf(run, runState(run, [press("begin", 800), moved(300, 100_000)]), before(290));
    expect(gone?.context.places[0]?.windows).toHaveLength(1);
  });

  it("a drill that was put in stays, and steps that stay as they were are only named", () => {
    const plan = planOf([drill("Laps"), drill("Lunges", reps(3)), drill("Skips", { priority: "extra" })]);
    const run = runOf(plan, 400);
    const put = {
      ...(run.drills[0] as (typeof run.drills)[number]),
      itemId: "00000000-0000-4000-8000-0000000000aa",
      name: "Breath",
    };
    const events = [press("begin", 300), press("insert", 290, { drill: put }), moved(289, -60)];
    const refit = refitRun(run, runState(run, events), before(289));
    expect(coming(run, events, refit).map((d) => d.name)).toEqual(["Breath", "Lunges", "Skips"]);
    expect(refit?.drills.filter((d) => "same" in d).length).toBeGreaterThan(0);
    // Named still, when what brought it has been taken back.
    const first = press("refit", 280, { drills: refit?.drills, waitSeconds: 0, line: "" });
    const again = refitRun(run, runState(run, [...events, first]), before(279));
    const undone = [...events, first, press("undo", 275, { undoes: first.id })];
    expect(coming(run, undone, again).map((d) => d.name)).toEqual(["Breath", "Lunges", "Skips"]);
  });

  it("a ladder asks for as many rungs as are still missing of its least", () => {
    const plan = planOf([{ ...ladder, dose: { ...ladder.dose, leastRungs: 3 } as PlanItem["dose"] }]);
    const run = runOf(plan, 400);
    const left = (...events: RunEvent[]) => {
      const items = remainderOf(run, runState(run, [press("begin", 300), ...events]), before(200))?.plan
        .items;
      const dose = items?.find((item) => item.id === ladder.id)?.dose;
      return dose?.kind === "ladder" ? [dose.rungs.length, dose.leastRungs] : null;
    };
    // Of the rungs that there are the first is under way; the last one is not asked for twice.
    expect(left()).toEqual([rungs.length - 1, Math.min(rungs.length - 1, 2)]);
    expect(left(press("done", 250))).toEqual([rungs.length - 2, 1]);
  });

  it("what is under way owes its rest, and a wait under way what is left of its least", () => {
    const lunges = drill("Lunges", {
      ...reps(1),
      restAfter: { kind: "times", times: 2 },
      priority: "essential",
    });
    const plan = planOf([lunges, drill("Skips", { priority: "essential" })]);
    const run = runOf(plan, 400);
    const current = remainderOf(run, runState(run, [press("begin", 300)]), before(295))?.plan.items[0];
    // Ten repetitions of 3 s, twice that.
    expect(current?.restAfter).toEqual({ kind: "seconds", seconds: 60 });
    const resting = runState(run, [press("begin", 300), press("done", 270)]);
    expect(resting.splits[resting.index]?.drill.wait?.leastSeconds).toBe(60);
    // 20 s into it 40 s are left, and 30 s that were added.
    expect(remainderOf(run, resting, before(250))?.availableSeconds).toBe(210);
    const longer = runState(run, [
      press("begin", 300),
      press("done", 270),
      press("extend", 260, { seconds: 30 }),
    ]);
    expect(remainderOf(run, longer, before(250))?.availableSeconds).toBe(180);
  });

  it("the log of a long run stays small", () => {
    const items = Array.from({ length: 60 }, (_, i) => ({
      ...drill("x", {
        ...reps(3),
        focus: "Something to attend to, as coaches write it",
        priority: i % 3 ? "useful" : "essential",
      }),
      id: `00000000-0000-4000-8000-0000000001${String(i).padStart(2, "0")}`,
      name: `Drill number ${i}`,
    }));
    const plan = planOf(items);
    const run = runOf(plan, 5400);
    let events: RunEvent[] = [press("begin", 5400)];
    run.drills.forEach((d, i) => {
      const at = 5400 - (i + 1) * 80;
      events = [
        ...events,
        press("extend", at + 20, { of: d.itemId, seconds: 30 }),
        press("done", at, { of: d.itemId }),
      ];
      // The start moves every few minutes, and each time the rest is fitted anew.
      if (i % 6 !== 5) return;
      events.push(moved(at - 1, (i % 12) * 30));
      const refit = refitRun(run, runState(run, events), before(at - 2));
      if (refit)
        events.push(
          press("refit", at - 3, { drills: refit.drills, waitSeconds: refit.waitSeconds, line: refit.line }),
        );
    });
    const pulse = Array.from({ length: 90 }, (_, m) =>
      press("pulse", 5400 - m * 60, { everySeconds: 5, rates: Array(12).fill(140) }),
    );
    expect(JSON.stringify([...events, ...pulse]).length).toBeLessThan(100_000);
  });

  it("limits count what is spent", () => {
    const jumps = (n: number) =>
      drill(`Jumps${n}`, { phase: "technical", intensity: 50, ...reps(1), priority: "essential" });
    const limits = { volumePercent: 75, easyPercent: 10 };
    const plan = planOf([drill("Laps"), jumps(1), jumps(2), jumps(3)], { limits });
    const context = { ...openDay(), usualReps: 40 };
    const run = runOf(plan, 600, context);
    const begun = [press("begin", 600), press("done", 580), press("done", 560)];
    const left = (...more: RunEvent[]) => remainderOf(run, runState(run, [...begun, ...more]), before(550));
    // The ten of the set under way are as good as spent; the easy share is over.
    expect(left()?.plan.limits).toEqual({ volumePercent: 75 });
    expect(left()?.context.spent).toEqual({ volume: 20, explosive: 0 });
    // What is skipped is not spent; what is put in is, as it will be done whatever else is.
    expect(left(press("skip", 555))?.context.spent).toEqual({ volume: 20, explosive: 0 });
    const hops = drill("Hops", {
      phase: "prime",
      intensity: 80,
      ...reps(1),
      details: { ...noDetails(), flags: ["explosive"] },
    });
    const put = press("insert", 554, { drill: stepOfDrill(hops, "99999999-9999-4999-8999-999999999999") });
    expect(left(put)?.context.spent).toEqual({ volume: 30, explosive: 10 });
  });

  it("a limit that is used up stays used up", () => {
    const jumps = (n: number) =>
      drill(`Jumps${n}`, { phase: "technical", intensity: 50, ...reps(1), priority: "essential" });
    const plan = planOf([jumps(1), jumps(2)], { limits: { volumePercent: 20 } });
    const run = runOf(plan, 600, { ...openDay(), usualReps: 100 });
    const state = runState(run, [press("begin", 600), press("done", 580)]);
    const extra = press("insert", 570, {
      drill: stepOfDrill(jumps(3), "99999999-9999-4999-8999-999999999999"),
    });
    const refit = refitRun(run, runState(run, [press("begin", 600), extra, press("done", 560)]), before(550));
    // Ten done, ten put in: nothing is left for the second set.
    expect(refit?.line).toContain("Jumps2 left out");
    expect(refitRun(run, state, before(550))?.line).not.toContain("left out");
  });
});

it("whatever was pressed, the rest is fitted within every rule, and going on with it holds together", () => {
  fc.assert(
    fc.property(
      fc.integer({ min: 1, max: 60 }),
      anyPresses({ most: 25, over: 1800 }),
      fc.integer({ min: -900, max: 1200 }),
      (seed, presses, by) => {
        const { plan, day, availableSeconds } = realDay(12, seed);
        const run = runOf(plan, availableSeconds, day);
        if (run.drills.length === 0) return;
        expect(runPlanSchema.parse(run)).toEqual(run);
        const from = START - availableSeconds * 1000;
        const events = [...presses(from, run), moved(0, by)];
        const now = from + 1_900_000;
        const state = runState(run, events);
        const remainder = remainderOf(run, state, now);
        if (!remainder) return;
        const fit = fitPlan(remainder.plan, remainder.availableSeconds, remainder.context);
        const done = fit.placements.flatMap((p) =>
          p.level
            ? [
                {
                  id: p.item.id,
                  levelIndex: p.levelIndex,
                  beginSeconds: p.beginSeconds,
                  spanSeconds: p.spanSeconds,
                },
              ]
            : [],
        );
        expect(checkSchedule(remainder.plan, remainder.context, done, remainder.availableSeconds)).toEqual(
          [],
        );
        const refit = refitRun(run, state, now);
        if (!refit) throw new Error("there is a remainder");
        const id = "00000000-0000-4000-8000-999999999999";
        const applied = runEventSchema.parse({
          id,
          at: new Date(now).toISOString(),
          kind: "refit",
          drills: refit.drills,
          waitSeconds: refit.waitSeconds,
          line: refit.line,
          ...(refit.until ? { until: refit.until } : {}),
        });
        const after = runState(run, [...events, applied]);
        // What is over stays, nothing is there twice, and the drill under way is still under way.
        const over = (s: typeof state) =>
          s.splits.filter((x) => x.outcome === "done" || x.outcome === "skipped");
        expect(over(after)).toEqual(over(state));
        expect(new Set(after.splits.map((s) => s.key)).size).toBe(after.splits.length);
        if (state.status === "under-way")
          expect(after.splits[after.index]?.key).toBe(state.splits[state.index]?.key);
        // And it ends in time, unless the drill under way alone does not.
        if (remainder.currentId === null || done.some((d) => d.id === remainder.currentId))
          expect(runClock(after, now).ahead).toBeGreaterThanOrEqual(-1);
        // Taking it back leaves what was.
        const undo = runEventSchema.parse({
          id: id.replace(/9$/, "8"),
          at: applied.at,
          kind: "undo",
          undoes: id,
        });
        expect(runState(run, [...events, applied, undo])).toEqual(state);
      },
    ),
    { numRuns: 200 },
  );
});

it("names a long wait that it puts in, whatever else changes", () => {
  const items = [drill("Laps"), drill("Spins")];
  const step = (item: PlanItem, plannedSeconds: number, wait?: { leastSeconds: number }) => ({
    ...{
      itemId: item.id,
      name: item.name,
      phase: item.phase,
      intensity: 30,
      focus: "",
      place: "",
      words: "",
    },
    plannedSeconds,
    ...(wait ? { wait } : {}),
  });
  const [laps, spins] = items as [PlanItem, PlanItem];
  const waiting = (seconds: number) => [
    step(laps, 60),
    step(laps, seconds, { leastSeconds: 0 }),
    step(spins, 30),
  ];
  expect(refitLine(items, [step(laps, 60), step(spins, 60)], waiting(300))).toBe(
    "Spins 1:00 → 0:30. 5 min to wait before Spins.",
  );
  expect(refitLine(items, [step(laps, 60), step(spins, 60)], waiting(119))).toBe("Spins 1:00 → 0:30.");
  // One that was there already is not news.
  expect(refitLine(items, waiting(300), waiting(310))).toBe("");
});

it("puts no time in hand inside a ladder: its next rung follows, and the time comes after", () => {
  const rungs = [30, 45, 60].map((intensity, i) => ({
    id: `00000000-0000-4000-9000-00000000000${i}`,
    label: "",
    intensity,
    dose: {
      kind: "time" as const,
      seconds: { floor: 60, ideal: 60, ceiling: 60 },
      step: 5,
      sides: "one" as const,
      changeoverSeconds: 0,
    },
    focus: "",
    restSeconds: 0,
  }));
  const climb = drill("Jumps", { phase: "technical", dose: { kind: "ladder", leastRungs: 1, rungs } });
  const plan = planOf([climb, drill("Spins", { phase: "prime", intensity: 60 })]);
  const run = runOf(plan, 600);
  const refit = refitRun(run, runState(run, [press("begin", 590)]), before(570));
  const names = refit?.drills.map((d) => ("same" in d ? d.same.slice(-2) : d.wait ? "wait" : d.name));
  // Two rungs, then the wait, then the spins.
  expect(names?.indexOf("wait")).toBe(2);
  expect(names).toHaveLength(4);
});
