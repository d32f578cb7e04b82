import { noDetails } from "../../src/drill/details";
import { fitPlan } from "../../src/fit/fit";
import { kitNeeded, kitStateOf, withKitState } from "../../src/plan/kit";
import type { PlanItem } from "../../src/plan/plan";
import { runPlanOf } from "../../src/run/steps/freezeFit";
import { openDay } from "../../src/venue/context";
import { drill, planOf } from "../made/generate";

const kit = (name: string, equipment: string[], more: Partial<PlanItem> = {}) =>
  drill(name, { phase: "kit", priority: "useful", details: { ...noDetails(), equipment }, ...more });
const ice = (name: string, more: Partial<PlanItem> = {}) =>
  drill(name, { phase: "technical", priority: "essential", ...more });

const boots = kit("Boots on", ["Boots"]);
const jumps = ice("Jumps");
const kept = (items: PlanItem[], seconds: number) =>
  fitPlan(planOf(items), seconds)
    .placements.filter((p) => p.level)
    .map((p) => p.item.name);

it("what needs boots is not done without boots, whatever the priorities say", () => {
  // Boots take 30 s at least, and so do the jumps.
  expect(kept([boots, jumps], 59)).toEqual(["Boots on"]);
  expect(kept([boots, jumps], 60)).toEqual(["Boots on", "Jumps"]);
  expect(kept([boots, jumps], 29)).toEqual([]);
  expect(fitPlan(planOf([boots, jumps]), 59)).toMatchObject({ state: "short", missingSeconds: 1 });
});

it("a coach who says that they are on already has the time for the jumps, and no step in the run", () => {
  const on = { ...boots, alreadyOn: true as const };
  expect(kept([on, jumps], 30)).toEqual(["Boots on", "Jumps"]);
  const fit = fitPlan(planOf([on, jumps]), 60);
  expect(fit.placements[0]).toMatchObject({ verdict: "kept", spanSeconds: 0, beginSeconds: -60 });
  expect(fit.workSeconds).toBe(60);
  const run = runPlanOf(fit, "2026-06-01T12:00:00.000Z");
  expect(run.drills.map((d) => d.name)).toEqual(["Jumps"]);
});

it("guards until the next change of the same kit; calm things and kit that nothing depends on are left alone", () => {
  const off = kit("Boots off", ["boots "]);
  const gloves = kit("Gloves", ["Gloves"]);
  const check = kit("Bag check", [], { details: { ...noDetails(), flags: ["no-condition"] } });
  const breath = ice("Breathing", { calm: "quiet" });
  const items = [check, boots, jumps, gloves, ice("Spins"), breath, off, ice("Hops")];
  expect(kitNeeded(items)).toEqual([[], [], [1], [], [1, 3], [], [], [3, 6]]);
});

it("takes two changes of one name for one kit, however it is spelled", () => {
  const first = drill("Slip-ons", { phase: "kit" });
  const again = { ...drill("again", { phase: "kit" }), name: " slip-ONS" };
  expect(kitNeeded([first, jumps, again, ice("Spins")])).toEqual([[], [0], [], [2]]);
});

it("what is on already still parts what it stands between", () => {
  const on = kit("Shoes on", ["Shoes"], { alreadyOn: true });
  const long = drill("Long", { priority: "essential" });
  const free = drill("Free", { priority: "essential", free: true });
  const day = {
    ...openDay(),
    places: [
      { name: "Hall", windows: [{ fromSeconds: -300, toSeconds: -270, room: "all" as const, turns: 1 }] },
    ],
  };
  // Only before the other would there be room for it, and it may not go there.
  const items = [long, on, { ...free, place: "Hall" }];
  expect(fitPlan(planOf([{ ...long }, { ...free, place: "Hall" }]), 300, day).state).not.toBe("short");
  expect(fitPlan(planOf(items), 300, day)).toMatchObject({ state: "short" });
});

it("says how it stands with kit, and what changes for another answer", () => {
  const changed = (state: Parameters<typeof withKitState>[1]) => ({
    ...boots,
    ...withKitState(boots, state),
  });
  for (const state of ["needed", "on", "loose"] as const) expect(kitStateOf(changed(state))).toBe(state);
  expect(changed("loose").details).toMatchObject({ equipment: ["Boots"], flags: ["no-condition"] });
  expect(withKitState(changed("loose"), "needed").details?.flags).toEqual([]);
});
