import { noDetails } from "../../src/drill/details";
import { remarksOn } from "../../src/fit/explain/remarks";
import { fitPlan } from "../../src/fit/fit";
import { type FitContext, fitContextSchema, openDay } from "../../src/venue/context";
import { pathText } from "../../src/words/fault";
import { drill, planOf } from "../made/generate";

const dayWith = (more: Partial<FitContext>) =>
  fitContextSchema.parse({ ...openDay(), places: [{ name: "Eisst\u00e4tte" }], ...more });

it("names a place that the day does not know, with the path", () => {
  const plan = planOf([drill("Laps", { place: "Hall" }), drill("Spins", { place: "" })]);
  expect(remarksOn(plan, dayWith({}))).toEqual([
    expect.objectContaining({
      code: "unknown-place",
      where: ["plan", "items", 0, "place"],
      itemId: plan.items[0]?.id,
      words: expect.stringContaining("no place “Hall”"),
    }),
  ]);
  // Once for a place, however it is spelled and however many drills name it.
  const many = planOf(["Hall", " hall", "Yard"].map((place, i) => drill(`Laps ${i}`, { place })));
  expect(remarksOn(many, dayWith({})).map((r) => [r.where[2], r.words.split(":")[0]])).toEqual([
    [0, "Laps 0 and 1 more"],
    [2, "Laps 2"],
  ]);
  // A day that names none has nothing to compare with.
  expect(remarksOn(plan, openDay())).toEqual([]);
});

it("takes composed and decomposed letters, case and spaces for one spelling, in the fit too", () => {
  const spelled = "  EISSTA\u0308TTE ";
  const plan = planOf([drill("Laps", { place: spelled, priority: "essential" })]);
  const closed = dayWith({
    places: [
      {
        name: "Eisst\u00e4tte",
        windows: [{ fromSeconds: -300, toSeconds: -200, room: "all", turns: 1 }],
      },
    ],
  });
  expect(remarksOn(plan, closed)).toEqual([]);
  expect(fitPlan(plan, 900, closed).placements[0]).toMatchObject({ beginSeconds: -290, spanSeconds: 90 });
  expect(() =>
    fitContextSchema.parse({
      ...openDay(),
      places: [{ name: "Eisst\u00e4tte" }, { name: "eissta\u0308tte" }],
    }),
  ).toThrow("Two places have this name");
});

it("says when a limit cannot be kept: no usual session, or actions that nobody has counted", () => {
  const timed = drill("Footwork", { phase: "technical" });
  const explosive = drill("Hops", { details: { ...noDetails(), flags: ["explosive"] } });
  const limits = { volumePercent: 20, explosiveReps: 5 };
  const paths = (usualReps: number, items = [timed, explosive]) =>
    remarksOn(planOf(items, { limits }), { ...openDay(), usualReps }).map((r) => pathText(r.where));
  expect(paths(0)).toEqual(["plan.limits.volumePercent", "plan.items.1.dose"]);
  expect(paths(100)).toEqual(["plan.items.0.dose", "plan.items.1.dose"]);
  const counted = [timed, explosive].map((i) => ({
    ...i,
    dose: { ...i.dose, secondsPerAction: 5 } as typeof i.dose,
  }));
  expect(paths(100, counted)).toEqual([]);
  expect(remarksOn(planOf([timed, explosive]), openDay())).toEqual([]);
});

it("counts what is done by time or in a circuit once it is known: 60 s of one every 5 s are twelve", () => {
  const timed = drill("Footwork", { phase: "technical" });
  const every = { ...timed, dose: { ...timed.dose, secondsPerAction: 5 } as typeof timed.dose };
  const kept = (usualReps: number) =>
    fitPlan(planOf([every], { limits: { volumePercent: 20 } }), 600, { ...openDay(), usualReps })
      .placements[0]?.spanSeconds;
  expect(kept(60)).toBe(60);
  expect(kept(59)).toBe(30);
  expect(kept(29)).toBe(0);
});
