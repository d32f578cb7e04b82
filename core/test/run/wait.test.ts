import { fitPlan } from "../../src/fit/fit";
import { BREATH, breathAt } from "../../src/run/live/breath";
import { waitPrompt } from "../../src/run/live/waitPrompt";
import { type RunEvent, runEventSchema } from "../../src/run/log/runEvent";
import { runState } from "../../src/run/log/runState";
import { runPlanOf, stepOfDrill } from "../../src/run/steps/freezeFit";
import { runDrillSchema } from "../../src/run/steps/runPlan";
import { fitContextSchema, openDay } from "../../src/venue/context";
import { drill, planOf } from "../made/generate";

const START = Date.parse("2026-06-01T12:00:00.000Z");
const startsAt = new Date(START).toISOString();
let made = 0;
const press = (kind: RunEvent["kind"], secondsBefore: number, more: object = {}): RunEvent =>
  runEventSchema.parse({
    id: `00000000-0000-4000-8000-${String(++made).padStart(12, "0")}`,
    at: new Date(START - secondsBefore * 1000).toISOString(),
    kind,
    ...more,
  });

const plan = planOf([drill("Spin", { phase: "technical", focus: "Hips over" })], {
  wait: { leastSeconds: 900, longestSeconds: 900 },
});
const runOn = (context = openDay(), kit: string[] = []) =>
  runPlanOf(fitPlan(plan, 1200, context), startsAt, { plan, context, kit });
const run = runOn();
const promptAt = (secondsBefore: number, of = run) =>
  waitPrompt(of, runState(of, [press("begin", 960), press("done", 900)]), START - secondsBefore * 1000);

it("warm clothes first, then something that keeps warm every three minutes", () => {
  expect(promptAt(899)).toMatchObject({ kind: "clothes", seconds: 29 });
  expect(promptAt(865)).toMatchObject({ kind: "easy", seconds: 145 });
  expect(promptAt(860)).toMatchObject({ kind: "easy", seconds: 140 });
  expect(promptAt(720)).toMatchObject({ kind: "keep-warm", seconds: 40 });
  expect(promptAt(670)).toMatchObject({ kind: "easy", seconds: 130 });
});

it("the routine with the cue last worked on, then kit, then nothing any more", () => {
  expect(promptAt(180)).toMatchObject({
    kind: "routine",
    words: "Breathe with the ink. One cue: Hips over",
    seconds: 120,
  });
  expect(promptAt(60)).toMatchObject({
    kind: "kit",
    words: "Clothes off, last look at the kit.",
    seconds: 60,
  });
  expect(promptAt(30, runOn(openDay(), ["Boots", "Tape"]))?.words).toContain("Boots, Tape");
  expect(promptAt(0)).toBeNull();
  expect(waitPrompt(run, runState(run, [press("begin", 960)]), START - 950_000)).toBeNull();
});

it("a fixed point when it is due", () => {
  const day = fitContextSchema.parse({ points: [{ name: "Call", fromSeconds: -300, toSeconds: -240 }] });
  const called = runOn(day);
  expect(promptAt(280, called)).toEqual({ kind: "point", words: "Call.", seconds: 40 });
  expect(promptAt(310, called)?.seconds).toBe(10);
});

it("breath is paced: in for four seconds, out for six", () => {
  expect(breathAt(0)).toEqual({ phase: "in", fill: 0, count: 1 });
  expect(breathAt(2)).toEqual({ phase: "in", fill: 0.5, count: 1 });
  expect(breathAt(7)).toEqual({ phase: "out", fill: 0.5, count: 1 });
  expect(breathAt(12).count).toBe(2);
  expect(breathAt(-3)).toMatchObject({ fill: 0, count: 1 });
  expect(60 / (BREATH.inSeconds + BREATH.outSeconds)).toBe(6);
});

it("a drill of the shelf becomes a step at its ideal", () => {
  const { id, drillId: _, priority: __, ...content } = drill("Skips");
  const step = stepOfDrill(content, id);
  expect(runDrillSchema.parse(step)).toEqual(step);
  expect(step).toMatchObject({ name: "Skips", plannedSeconds: 60, words: "1:00" });
});

describe("presses", () => {
  const drills = planOf([drill("a"), drill("b"), drill("c"), drill("d")]);
  const four = runPlanOf(fitPlan(drills, 400), startsAt, { plan: drills, context: openDay() });
  const keys = four.drills.map((d) => d.itemId);
  const outcomes = (events: RunEvent[]) => runState(four, events).splits.map((s) => s.outcome);

  it("back goes on with the drill before where it was, and the one under way comes again", () => {
    const events = [press("begin", 400), press("done", 340), press("back", 320)];
    const state = runState(four, events);
    expect(outcomes(events)).toEqual(["under-way", "pending", "pending", "pending"]);
    // 60 s had passed of it; 10 s more.
    const done = runState(four, [...events, press("done", 310)]);
    expect(done.splits[0]?.realSeconds).toBe(70);
    expect(state.index).toBe(0);
    expect(runState(four, [press("begin", 400), press("back", 390)]).index).toBe(0);
  });

  it("jump skips what lies between, and forward or back goes on where that was", () => {
    const forward = [press("begin", 400), press("jump", 380, { to: keys[2] })];
    expect(outcomes(forward)).toEqual(["skipped", "skipped", "under-way", "pending"]);
    const again = [...forward, press("jump", 370, { to: keys[0] }), press("done", 360)];
    expect(outcomes(again)).toEqual(["done", "skipped", "under-way", "pending"]);
    expect(runState(four, again).splits[0]?.realSeconds).toBe(30);
    expect(outcomes([press("begin", 400), press("jump", 390, { to: "nowhere" })])[0]).toBe("under-way");
  });

  it("a drill put in comes straight after the one under way, and goes on a run that was waiting", () => {
    const { id: _, drillId: __, priority: ___, ...content } = drill("e");
    const e = stepOfDrill(content, "00000000-0000-4000-8000-0000000000ee");
    const state = runState(four, [
      press("begin", 400),
      press("insert", 390, { drill: e }),
      press("insert", 389, { drill: e }),
    ]);
    expect(state.splits.map((s) => s.drill.name)).toEqual(["a", "e", "b", "c", "d"]);
    const all = [press("begin", 400), ...[390, 380, 370, 360].map((s) => press("done", s))];
    const late = runState(four, [...all, press("insert", 300, { drill: e })]);
    expect([late.status, late.splits[late.index]?.drill.name]).toEqual(["under-way", "e"]);
  });

  it("a press meant for a step that another phone has left does not count", () => {
    const of = { of: keys[0] };
    const both = [press("begin", 400), press("done", 350, of), press("done", 349, of)];
    expect(outcomes(both)).toEqual(["done", "under-way", "pending", "pending"]);
    // Presses of an earlier version do not say what they are meant for.
    expect(outcomes([press("begin", 400), press("done", 350), press("done", 349)])[1]).toBe("done");
  });

  it("any of the last ten can be taken back, and no more", () => {
    const events = [
      press("begin", 400),
      ...Array.from({ length: 12 }, (_, i) => press("extend", 390 - i, { seconds: 30 })),
    ];
    const { undoable, splits } = runState(four, events);
    expect(undoable).toEqual(events.slice(3));
    const one = press("undo", 300, { undoes: events[5]?.id });
    expect(runState(four, [...events, one]).splits[0]?.extendedSeconds).toBe(
      (splits[0]?.extendedSeconds ?? 0) - 30,
    );
  });

  it("keeps what the clock was, and the latest answers after the start", () => {
    const rated = [
      press("clock", 400, { aheadSeconds: 180 }),
      press("begin", 399),
      press("end", 0),
      press("rating", -10, { ready: 3, first: "Fell", note: "" }),
      press("rating", -20, { ready: 4, first: "Axel held", note: "Loud hall" }),
    ];
    expect(runState(four, rated)).toMatchObject({
      clockAhead: 180,
      rating: { ready: 4, first: "Axel held", note: "Loud hall" },
    });
  });
});

describe("a gate", () => {
  const gate = (rule: object, hits: number, sides: "one" | "both") =>
    drill("Gate", {
      phase: "technical",
      dose: {
        kind: "gate",
        rule,
        hits: { floor: hits, ideal: hits, ceiling: hits },
        chancePercent: 60,
        secondsEach: 5,
        restSeconds: 0,
        surePercent: 80,
        capSeconds: 120,
        sides,
      } as never,
    });
  const runFor = (rule: object, hits: number, sides: "one" | "both" = "one") => {
    const of = planOf([gate(rule, hits, sides), drill("Next")]);
    return runPlanOf(fitPlan(of, 900), startsAt, { plan: of, context: openDay() });
  };
  const pressed = (of: ReturnType<typeof runFor>, tries: string) =>
    runState(of, [
      press("begin", 900),
      ...[...tries].map((t, i) => press(t === "+" ? "hit" : "miss", 890 - i)),
    ]);

  it.each([
    ["3 in all", { kind: "total" }, 3, "+-+-+", "+-+--"],
    ["2 in a row", { kind: "row" }, 2, "+-++", "+-+-+-"],
    ["2 of the last 3", { kind: "of", window: 3 }, 2, "+--+-+", "+--+--"],
  ])("%s opens and goes on by itself, and not before", (_, rule, hits, opens, stays) => {
    const of = runFor(rule, hits);
    expect(pressed(of, opens)).toMatchObject({
      index: 1,
      splits: [{ outcome: "done" }, { outcome: "under-way" }],
    });
    expect(pressed(of, stays).index).toBe(0);
  });

  it("is opened side by side, and its tries are kept", () => {
    const of = runFor({ kind: "row" }, 2, "both");
    expect(pressed(of, "++")).toMatchObject({ index: 0 });
    expect(pressed(of, "++-++").splits[0]).toMatchObject({
      outcome: "done",
      tries: [true, true, false, true, true],
    });
    // Taking back the hit that opened it goes back to it.
    const events = [
      press("begin", 900),
      press("hit", 890),
      press("hit", 880),
      press("hit", 870),
      press("hit", 860),
    ];
    const back = runState(of, [...events, press("undo", 850, { undoes: events[4]?.id })]);
    expect([back.index, back.splits[0]?.tries.length]).toEqual([0, 3]);
  });
});
