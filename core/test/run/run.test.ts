import fc from "fast-check";
import { usualSetting } from "../../src/conditions/setting";
import { noDetails } from "../../src/drill/details";
import { fitPlan } from "../../src/fit/fit";
import type { PlanItem } from "../../src/plan/plan";
import { automaticPress } from "../../src/run/live/automaticPress";
import { passedPoints } from "../../src/run/live/passedPoints";
import { runClock } from "../../src/run/live/runClock";
import { MOST_INSERTED, MOST_REFITS } from "../../src/run/log/applyEvent";
import { isRunOver } from "../../src/run/log/isOver";
import { type RunEvent, runEventSchema } from "../../src/run/log/runEvent";
import { runState } from "../../src/run/log/runState";
import { runSummary } from "../../src/run/log/runSummary";
import type { Split } from "../../src/run/log/state";
import { runPlanOf, stepOfDrill } from "../../src/run/steps/freezeFit";
import { type RunDrill, runPlanSchema } from "../../src/run/steps/runPlan";
import { type FitContext, fitContextSchema, openDay } from "../../src/venue/context";
import { drill, planOf } from "../made/generate";

const T0 = Date.parse("2026-06-01T12:00:00.000Z");
const startsAt = new Date(T0 + 600_000).toISOString();
const fit = fitPlan(
  planOf([drill("laps"), drill("swings"), drill("jumps")], {
    wait: { leastSeconds: 120, longestSeconds: 600 },
  }),
  300,
);
const plan = runPlanOf(fit, startsAt); // three drills of 60 s, 120 s of wait

let made = 0;
const id = () => `00000000-0000-4000-8000-${String(++made).padStart(12, "0")}`;
function press(kind: RunEvent["kind"], second: number, more: object = {}): RunEvent {
  return runEventSchema.parse({ id: id(), at: new Date(T0 + second * 1000).toISOString(), kind, ...more });
}
const at = (second: number) => T0 + second * 1000;

it("freezes a fit into a valid run, without the drills left out", () => {
  expect(runPlanSchema.parse(plan).drills.map((d) => d.plannedSeconds)).toEqual([60, 60, 60]);
  const short = runPlanOf(fitPlan(planOf([drill("a"), drill("b")]), 40), startsAt);
  expect(short.drills.map((d) => [d.name, d.plannedSeconds])).toEqual([["b", 30]]);
});

it("waits before the start as the fit does, also where the last drill is left out, and sums up no waits", () => {
  const body = planOf([drill("laps"), drill("skips", { priority: "extra" })], {
    wait: { leastSeconds: 120, longestSeconds: 600 },
  });
  const short = fitPlan(body, 170);
  expect(short.placements.at(-1)).toMatchObject({ verdict: "left-out" });
  const made = runPlanOf(short, startsAt);
  expect([made.drills.length, made.waitSeconds]).toEqual([1, short.waitSeconds]);
  const waits = {
    ...plan,
    drills: plan.drills.map((d, i) => (i === 1 ? { ...d, wait: { leastSeconds: 60 } } : d)),
  };
  expect(runSummary(waits, [])).toMatchObject({ drills: 2, plannedSeconds: 120 });
});

it("keeps of each step what drill it came from, and what it was like that day", () => {
  const drillId = "99999999-9999-4999-8999-999999999999";
  const hops = drill("hops", { drillId, details: { ...noDetails(), flags: ["explosive"] } });
  const conditions = { ...usualSetting(), temperature: 9, wet: true };
  const body = planOf([drill("laps"), hops]);
  const made = runPlanOf(fitPlan(body, 300), startsAt, { plan: body, context: openDay(), conditions });
  expect(made.drills.map((d) => [d.drillId, d.explosive])).toEqual([
    [undefined, undefined],
    [drillId, true],
  ]);
  expect(runPlanSchema.parse(made).conditions).toEqual({
    ...{ indoors: true, temperature: 9, wind: "calm", wet: true, day: 1, order: null, people: 1 },
  });
  expect(stepOfDrill({ ...hops, id: drillId }, id())).toMatchObject({ drillId, explosive: true });
});

describe("what lies between two drills is a wait of its own:", () => {
  const rink = (windows: object[], more: object = {}) =>
    fitContextSchema.parse({
      places: [{ name: "Hall" }, { name: "Rink", windows }],
      travel: [{ from: "Hall", to: "Rink", seconds: 60 }],
      ...more,
    });
  const open = { fromSeconds: -300, toSeconds: -100 };
  const runOn = (first: Partial<PlanItem>, context: FitContext) =>
    runPlanOf(
      fitPlan(
        planOf([drill("laps", { place: "Hall", ...first }), drill("spins", { place: "Rink" })], {
          wait: { leastSeconds: 0, longestSeconds: 600 },
        }),
        900,
        context,
      ),
      startsAt,
    ).drills;

  it("a way and a rest go on at the same time, and neither can be hurried", () => {
    const [, wait] = runOn({ restAfter: { kind: "seconds", seconds: 90 } }, rink([open]));
    expect(wait).toMatchObject({ plannedSeconds: 90, wait: { leastSeconds: 90 } });
    expect(wait?.wait?.until).toBeUndefined();
  });

  it("of waiting for a time only the longer of way and rest is its least, and the rest is for the clock", () => {
    const call = { points: [{ name: "Call", fromSeconds: -400, toSeconds: -250 }] };
    const hall = [{ fromSeconds: -800, toSeconds: -500 }];
    const context = rink([open], call);
    const [, wait] = runOn(
      { restAfter: { kind: "seconds", seconds: 90 } },
      {
        ...context,
        places: [
          { name: "Hall", windows: [{ ...open, ...hall[0], room: "all", turns: 1 }] },
          ...context.places.slice(1),
        ],
      },
    );
    expect(wait?.wait?.leastSeconds).toBe(90);
    expect(wait?.plannedSeconds).toBeGreaterThan(150);
    expect(wait?.wait?.until).toBe(new Date(Date.parse(startsAt) - 190_000).toISOString());
  });

  it("waiting one's turn belongs to the drill", () => {
    const drills = runOn({}, rink([{ ...open, turns: 2 }]));
    expect(drills.at(-1)).toMatchObject({ name: "spins", plannedSeconds: 180 });
  });
});

describe("a run is over", () => {
  const HALF_DAY = 12 * 3600;
  const over = (second: number, ...events: RunEvent[]) => isRunOver(startsAt, events, at(second));

  it("when it was ended", () => {
    expect(over(20, press("begin", 0))).toBe(false);
    expect(over(20, press("begin", 0), press("end", 10))).toBe(true);
  });

  it("when nothing has been heard of it for half a day after its start", () => {
    expect(over(599 + HALF_DAY, press("begin", 0))).toBe(false);
    expect(over(600 + HALF_DAY, press("begin", 0))).toBe(true);
  });

  it("but not while somebody still presses, in whatever order the presses came", () => {
    const late = [press("done", 5000), press("begin", 0)];
    expect(over(600 + HALF_DAY, ...late)).toBe(false);
    expect(over(5000 + HALF_DAY, ...late)).toBe(true);
  });
});

describe("by itself", () => {
  const waiting = {
    status: "under-way" as const,
    index: 0,
    heldSince: null,
    splits: runState({ ...plan, drills: plan.drills.map((d) => ({ ...d, wait: { leastSeconds: 60 } })) }, [])
      .splits,
  };
  const ready = { ...waiting, status: "ready" as const };
  const clock = (remaining: number, ahead: number, untilStart = 300) => ({ remaining, ahead, untilStart });

  it("a wait ends when it is over, unless it is held", () => {
    expect(automaticPress(waiting, clock(1, 0), false)).toBeNull();
    expect(automaticPress(waiting, clock(0, 0), false)).toBe("done");
    expect(automaticPress({ ...waiting, heldSince: 1 }, clock(0, 0), false)).toBeNull();
    expect(automaticPress({ ...waiting, splits: runState(plan, []).splits }, clock(0, 0), false)).toBeNull();
  });

  it("a run begins when it is due and that is wished, but not a minute later, nor after the start", () => {
    expect(automaticPress(ready, clock(0, 1), true)).toBeNull();
    expect(automaticPress(ready, clock(0, 0), true)).toBe("begin");
    expect(automaticPress(ready, clock(0, -59), true)).toBe("begin");
    expect(automaticPress(ready, clock(0, -60), true)).toBeNull();
    expect(automaticPress(ready, clock(0, 0, 0), true)).toBeNull();
    expect(automaticPress(ready, clock(0, 0), false)).toBeNull();
  });
});

it("keeps planned and real time for each drill, held time apart", () => {
  const events = [
    press("begin", 0),
    press("done", 50),
    press("extend", 60, { seconds: 30 }),
    press("hold", 70),
    press("release", 90),
    press("done", 150),
    press("skip", 155),
  ];
  const state = runState(plan, events);
  expect(state.status).toBe("waiting");
  expect(state.splits.map((s) => [s.outcome, s.plannedSeconds, s.realSeconds, s.heldSeconds])).toEqual([
    ["done", 60, 50, 0],
    ["done", 60, 80, 20],
    ["skipped", 60, 5, 0],
  ]);
  expect(runSummary(plan, events)).toMatchObject({
    done: 2,
    skipped: 1,
    plannedSeconds: 180,
    realSeconds: 135,
  });
});

it("tells what is left, the start, and ahead or behind", () => {
  const events = [press("begin", 0), press("done", 30)];
  const state = runState(plan, events);
  // 570 s to the start at 30 s; 60 + 60 of drills and 120 of wait are needed.
  expect(runClock(state, at(30))).toEqual({
    elapsed: 0,
    remaining: 60,
    filled: 0,
    untilStart: 570,
    ahead: 330,
  });
  expect(runClock(state, at(120))).toMatchObject({ remaining: -30, filled: 1, ahead: 480 - 60 - 120 });
  const longer = runState(plan, [...events, press("extend", 40, { seconds: 30 })]);
  expect(runClock(longer, at(75))).toMatchObject({ remaining: 45, filled: 0.5 });
});

it("waits until a time, but never shorter than what cannot be hurried, also when it begins late", () => {
  const [laps, swings, jumps] = plan.drills as [RunDrill, RunDrill, RunDrill];
  const wait = { leastSeconds: 40, until: new Date(at(100)).toISOString() };
  const waits = { ...plan, drills: [laps, { ...swings, wait }, jumps] };
  const seen = (begun: number, now: number) =>
    runClock(runState(waits, [press("begin", 0), press("done", begun)]), at(now));
  expect(seen(30, 50)).toMatchObject({ remaining: 50, ahead: 600 - 100 - 60 - 120 });
  expect(seen(80, 90)).toMatchObject({ remaining: 30, ahead: 600 - 120 - 60 - 120 });
  expect(seen(110, 120).remaining).toBe(30);
  // Before it begins it is early by as much as there is until it is to begin, whatever is waited for later.
  expect(runClock(runState(waits, []), at(0)).ahead).toBe(600 - 180 - 120);
  expect(runClock(runState(waits, []), at(310)).ahead).toBe(-10);
  // One still to come, too.
  expect(runClock(runState(waits, [press("begin", 0)]), at(0)).ahead).toBe(600 - 100 - 60 - 120);
  expect(runClock(runState(waits, [press("begin", 90)]), at(90)).ahead).toBe(600 - 190 - 60 - 120);
});

it("knows which fixed points a jump would pass by", () => {
  const [laps, swings, jumps] = plan.drills as [RunDrill, RunDrill, RunDrill];
  const wait = { leastSeconds: 60 };
  const called = {
    ...plan,
    drills: [
      laps,
      { ...swings, name: "Call", wait },
      { ...swings, name: "Rest", wait, itemId: jumps.itemId },
      jumps,
    ],
  };
  const state = (...events: RunEvent[]) => runState(called, [press("begin", 0), ...events]);
  const passed = (now: ReturnType<typeof runState>, to: number) =>
    passedPoints(now, now.splits[to] as Split, ["Call", "Check-in"]);
  expect(passed(state(), 3)).toEqual(["Call"]);
  expect(passed(state(), 1)).toEqual([]);
  // Over it is passed by nobody, and going back passes nothing.
  expect(passed(state(press("done", 10), press("done", 70)), 3)).toEqual([]);
  expect(passed(state(press("done", 10), press("done", 70), press("done", 90)), 0)).toEqual([]);
});

it("adds up what was held in a step, and a step that is over stays so when one jumps past it", () => {
  const [laps, swings, jumps] = plan.drills.map((d) => d.itemId);
  const held = [
    press("begin", 0),
    press("hold", 5),
    press("release", 15),
    press("hold", 20),
    press("release", 40),
  ];
  expect(runState(plan, held).splits[0]?.heldSeconds).toBe(30);
  const state = runState(plan, [
    press("begin", 0),
    press("done", 10),
    press("done", 30),
    press("jump", 40, { to: laps }),
    press("jump", 50, { to: jumps }),
  ]);
  expect(state.splits.map((s) => [s.key, s.outcome, s.realSeconds])).toEqual([
    [laps, "skipped", 20],
    [swings, "done", 20],
    [jumps, "under-way", null],
  ]);
});

it("lets the last ten presses be taken back, and no more", () => {
  const more = Array.from({ length: 12 }, (_, i) => press("extend", i + 1, { seconds: 30 }));
  const { undoable } = runState(plan, [press("begin", 0), ...more]);
  expect(undoable.map((e) => e.id)).toEqual(more.slice(2).map((e) => e.id));
});

it("stands still on hold while the start comes nearer", () => {
  const state = runState(plan, [press("begin", 0), press("hold", 20)]);
  expect(runClock(state, at(80))).toMatchObject({ elapsed: 20, remaining: 40, untilStart: 520 });
});

it("follows a start that moves, and behind is negative", () => {
  const state = runState(plan, [
    press("begin", 0),
    press("start-moved", 5, { startsAt: new Date(at(200)).toISOString() }),
  ]);
  expect(runClock(state, at(10))).toMatchObject({ untilStart: 190, ahead: 190 - 50 - 120 - 120 });
});

it("undo takes a press back as if it had never been", () => {
  const begin = press("begin", 0);
  const done = press("done", 40);
  const before = runState(plan, [begin]);
  const events = [begin, done];
  expect(runState(plan, events).undoable).toEqual([done]);
  const undone = runState(plan, [...events, press("undo", 45, { undoes: done.id })]);
  expect(undone).toEqual(before);
  expect(undone.undoable).toEqual([]);
});

it("an undo cannot take back the beginning or the end", () => {
  const [begin, end] = [press("begin", 0), press("end", 10)];
  const state = runState(plan, [
    begin,
    end,
    press("undo", 11, { undoes: begin.id }),
    press("undo", 12, { undoes: end.id }),
  ]);
  expect([state.status, state.endedAt, state.splits[0]?.realSeconds]).toEqual(["ended", at(10), 10]);
});

it("presses that make no sense change nothing", () => {
  const begin = press("begin", 10);
  const base = runState(plan, [begin]);
  const odd = [press("done", 0), press("release", 12), press("begin", 13)];
  expect(runState(plan, [begin, ...odd])).toEqual(base);
});

it("does not care in which order events arrive, or whether twice", () => {
  const kinds = fc.constantFrom("begin", "done", "skip", "hold", "release", "end" as const);
  const presses = fc.array(fc.tuple(kinds, fc.integer({ min: 0, max: 400 })), { maxLength: 14 });
  fc.assert(
    fc.property(presses, fc.infiniteStream(fc.nat()), (list, random) => {
      const events = list.map(([kind, second]) => press(kind, second));
      const undo = events.filter((_, i) => i % 4 === 3).map((e) => press("undo", 401, { undoes: e.id }));
      const all = [...events, ...undo];
      const key = new Map([...all, ...all].map((e) => [e, random.next().value]));
      const shuffled = [...all, ...all].sort((a, b) => (key.get(a) ?? 0) - (key.get(b) ?? 0));
      expect(runState(plan, shuffled)).toEqual(runState(plan, all));
    }),
  );
});

it("never gives a drill negative time, whatever is pressed", () => {
  const kinds = fc.constantFrom("done", "skip", "hold", "release" as const);
  fc.assert(
    fc.property(fc.array(fc.tuple(kinds, fc.integer({ min: 0, max: 99 }))), (list) => {
      const state = runState(plan, [press("begin", 0), ...list.map(([k, s]) => press(k, s))]);
      for (const split of state.splits) {
        expect(split.realSeconds ?? 0).toBeGreaterThanOrEqual(0);
        expect(split.heldSeconds).toBeGreaterThanOrEqual(0);
      }
    }),
  );
});

it("takes so many drills put in and no more, however often one is put in again, and so many re-fits", () => {
  const [first] = plan.drills;
  const insert = (second: number) =>
    press("insert", second, { drill: { ...first, itemId: id(), name: `Extra ${second}` } });
  const begun = press("begin", 0);
  const many = Array.from({ length: MOST_INSERTED + 50 }, (_, i) => insert(i + 1));
  expect(runState(plan, [begun, ...many]).splits).toHaveLength(plan.drills.length + MOST_INSERTED);
  // The same one again counts as a try, and brings nothing.
  const again = Array.from({ length: MOST_INSERTED }, (_, i) =>
    press("insert", i + 1, { drill: { ...first, itemId: first?.itemId } }),
  );
  const late = insert(MOST_INSERTED + 5);
  expect(runState(plan, [begun, ...again, late]).splits).toHaveLength(plan.drills.length);
  const refit = (second: number) => press("refit", second, { drills: [], waitSeconds: second, line: "" });
  const refits = Array.from({ length: MOST_REFITS + 20 }, (_, i) => refit(i + 1));
  expect(runState(plan, [begun, ...refits])).toMatchObject({ waitSeconds: MOST_REFITS });
});
