import fc from "fast-check";
import { type Called, calledSchema } from "../../src/drill/called";
import { noDetails } from "../../src/drill/details";
import { fitPlan } from "../../src/fit/fit";
import { callAt, callsOf, callWords } from "../../src/run/live/calls";
import { cueBetween, cueLook } from "../../src/run/live/cues";
import { runClock } from "../../src/run/live/runClock";
import { runState } from "../../src/run/log/runState";
import { runPlanOf, stepOfDrill } from "../../src/run/steps/freezeFit";
import { drill, planOf } from "../made/generate";

const moves = ["star jumps", "touch the floor", "spin", "hop"];
const anyCalled: fc.Arbitrary<Called> = fc
  .record({
    counts: fc.array(fc.integer({ min: 1, max: 12 }), { minLength: 1, maxLength: 4 }),
    gapFrom: fc.integer({ min: 3, max: 30 }),
    more: fc.integer({ min: 0, max: 30 }),
  })
  .map(({ counts, gapFrom, more }) => ({
    movements: counts.map((c, i) => ({ name: moves[i] as string, counts: c })),
    ...{ gapFrom, gapTo: gapFrom + more },
  }));

it("calls keep their gaps, are over in time, never twice running the same, and the same for the same seed", () => {
  fc.assert(
    fc.property(anyCalled, fc.integer({ min: 10, max: 900 }), fc.string(), (called, seconds, seed) => {
      expect(calledSchema.parse(called)).toEqual(called);
      const calls = callsOf(called, seconds, seed);
      expect(callsOf(called, seconds, seed)).toEqual(calls);
      let free = 0;
      calls.forEach((call, i) => {
        expect(call.at - free).toBeGreaterThanOrEqual(called.gapFrom);
        expect(call.at - free).toBeLessThanOrEqual(called.gapTo);
        expect(called.movements[call.number - 1]).toEqual({ name: call.name, counts: call.counts });
        if (called.movements.length > 1) expect(call.number).not.toBe(calls[i - 1]?.number);
        free = call.at + call.counts;
      });
      expect(free).toBeLessThanOrEqual(seconds);
      // Nothing that surely fits is left out at the end.
      const longest = Math.max(...called.movements.map((m) => m.counts));
      expect(seconds - free).toBeLessThan(called.gapTo + longest + 1);
    }),
  );
});

it("over many runs the calls are uneven, and each movement comes about as often", () => {
  const called = { movements: moves.map((name) => ({ name, counts: 8 })), gapFrom: 5, gapTo: 20 };
  const all = Array.from({ length: 200 }, (_, i) => callsOf(called, 600, `run ${i}`)).flat();
  const many = moves.map((_, i) => all.filter((c) => c.number === i + 1).length);
  expect(Math.min(...many) / Math.max(...many)).toBeGreaterThan(0.9);
  const firsts = new Set(Array.from({ length: 200 }, (_, i) => callsOf(called, 600, `run ${i}`)[0]?.at));
  expect(firsts.size).toBe(16);
});

it("a movement without a name, ten of them, one twice, or gaps the wrong way round are refused", () => {
  const put = (more: object) =>
    calledSchema.safeParse({ movements: [{ name: "hop", counts: 4 }], gapFrom: 5, gapTo: 9, ...more })
      .success;
  const many = (n: number) => Array.from({ length: n }, (_, i) => ({ name: `move ${i}`, counts: 4 }));
  expect(put({})).toBe(true);
  expect(put({ movements: [] })).toBe(false);
  expect(put({ movements: many(9) })).toBe(true);
  expect(put({ movements: many(10) })).toBe(false);
  expect(
    put({
      movements: [
        { name: "Hop", counts: 4 },
        { name: "hop", counts: 2 },
      ],
    }),
  ).toBe(false);
  expect(put({ gapFrom: 10 })).toBe(false);
});

describe("in a run", () => {
  const called: Called = { movements: [{ name: "star jumps", counts: 4 }], gapFrom: 10, gapTo: 10 };
  const laps = drill("Laps", { details: { ...noDetails(), called } });
  const START = Date.parse("2026-06-01T12:00:00.000Z");
  const plan = runPlanOf(fitPlan(planOf([laps]), 200), new Date(START).toISOString());
  const began = START - 200_000;
  const id = "00000000-0000-4000-8000-000000000001";
  const state = runState(plan, [{ id, at: new Date(began).toISOString(), kind: "begin" }]);
  const look = (second: number) => cueLook(state, runClock(state, began + second * 1000), "a run");

  it("a drill keeps what is called in it, from the plan and from the shelf", () => {
    expect(plan.drills[0]?.called).toEqual(called);
    expect(stepOfDrill(laps, id).called).toEqual(called);
  });

  it("what is called stands there for its counts, one after the other, and then nothing", () => {
    const split = state.splits[0];
    if (!split) throw new Error("there is a step");
    const at = (second: number) => callAt(split, second, "a run");
    expect([at(9.9), at(14), at(23.9)]).toEqual([null, null, null]);
    expect([at(10)?.count, at(11)?.count, at(13.9)?.count, at(24)?.count]).toEqual([1, 2, 4, 1]);
    expect(callWords({ number: 1, name: "star jumps" })).toBe("1, star jumps");
  });

  it("the phone says it once, when it is called", () => {
    expect(cueBetween(look(9.5), look(10.5))).toEqual({ tone: "part", words: "1, star jumps" });
    expect(cueBetween(look(10.5), look(11.5))).toBeNull();
    expect(cueBetween(look(13.5), look(14.5))).toBeNull();
    expect(cueBetween(look(23.5), look(24.5))).toEqual({ tone: "part", words: "1, star jumps" });
  });
});
