import { noDetails } from "../../src/drill/details";
import type { PlanItem } from "../../src/plan/plan";
import type { RunEvent } from "../../src/run/log/runEvent";
import { runState } from "../../src/run/log/runState";
import { refitRun } from "../../src/run/refit/refit";
import { remainderOf } from "../../src/run/refit/remainder";
import { stepOfDrill } from "../../src/run/steps/freezeFit";
import { fitContextSchema, openDay } from "../../src/venue/context";
import { drill, planOf } from "../made/generate";
import { before, coming, moved, press, reps, runOf } from "../made/refits";

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

  it("of a gate that has begun the tries made are spent, not those that were planned", () => {
    const putts = drill("Putts", { phase: "technical", intensity: 50, priority: "essential" });
    const gate: PlanItem = {
      ...putts,
      dose: {
        kind: "gate",
        rule: { kind: "total" },
        hits: { floor: 6, ideal: 6, ceiling: 6 },
        chancePercent: 50,
        surePercent: 80,
        secondsEach: 5,
        restSeconds: 5,
        sides: "one",
        capSeconds: 300,
      },
    };
    const last = drill("Strokes", { phase: "technical", intensity: 50, ...reps(1), priority: "essential" });
    const run = runOf(planOf([gate, last], { limits: { volumePercent: 75 } }), 600, {
      ...openDay(),
      usualReps: 40,
    });
    const [first] = run.drills;
    expect(first?.actions).toBeGreaterThan(3);
    const presses = [press("begin", 600), press("hit", 590), press("miss", 580), press("hit", 570)];
    const spent = (...more: RunEvent[]) =>
      remainderOf(run, runState(run, [...presses, ...more]), before(550))?.context.spent;
    expect(spent()).toEqual({ volume: 3, explosive: 0 });
    // The next drill's ten, once it is under way.
    expect(spent(press("done", 560))).toEqual({ volume: 13, explosive: 0 });
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
