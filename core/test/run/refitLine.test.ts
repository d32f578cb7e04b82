import type { PlanItem } from "../../src/plan/plan";
import { runState } from "../../src/run/log/runState";
import { refitRun } from "../../src/run/refit/refit";
import { refitChanges, refitLine } from "../../src/run/refit/refitLine";
import type { RunDrill } from "../../src/run/steps/runPlan";
import { drill, planOf } from "../made/generate";
import { before, coming, moved, press, reps, runOf } from "../made/refits";

describe("what a re-fit says", () => {
  const plan = planOf([drill("Laps"), drill("Lunges", reps(3)), drill("Spins", { priority: "extra" })], {
    wait: { leastSeconds: 120, longestSeconds: 900 },
  });
  const run = runOf(plan, 420); // 60 + 150 + 60, wait 120, 30 s spare

  it("a start that moves up costs what matters least, in one line", () => {
    const events = [press("begin", 400), moved(380, -90)];
    const refit = refitRun(run, runState(run, events), before(380));
    expect(refit?.line).toBe("Lunges 2 sets (was 3), Spins 0:30 (was 1:30).");
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

  it("names what it moves to another place, and what it comes after there", () => {
    const [laps, lunges, spins] = run.drills as [RunDrill, RunDrill, RunDrill];
    expect(refitChanges(plan.items, run.drills, run.drills)).toEqual([]);
    expect(refitLine(plan.items, run.drills, [laps, spins, lunges])).toMatch(
      /^(Spins now comes after Laps|Lunges now comes after Spins)\.$/,
    );
    expect(refitChanges(plan.items, run.drills, [spins, laps, lunges])).toEqual(["Spins now comes first"]);
    // What is left out has moved nobody.
    expect(refitChanges(plan.items, run.drills, [laps, spins])).toEqual(["Lunges left out"]);
    expect(refitChanges(plan.items, run.drills, [spins, laps])).toEqual([
      "Lunges left out",
      expect.stringMatching(/^(Spins now comes first|Laps now comes after Spins)$/),
    ]);
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
    "Spins 0:30 (was 1:00). 5 min to wait before Spins.",
  );
  expect(refitLine(items, [step(laps, 60), step(spins, 60)], waiting(119))).toBe("Spins 0:30 (was 1:00).");
  // One that was there already is not news.
  expect(refitLine(items, waiting(300), waiting(310))).toBe("");
});
