import fc from "fast-check";
import { APPROACHES, approachOf } from "../../src/approach/approaches";
import { plainEvent } from "../../src/event/eventType";
import { fillPlan } from "../../src/fill/fillPlan";
import { judgedFill } from "../../src/fill/seek/judgedFill";
import { fitPlan } from "../../src/fit/fit";
import { allDoneSchema } from "../../src/rewarm/doneBefore";
import { doneIn } from "../../src/rewarm/doneIn";
import { REMEMBERED_SECONDS } from "../../src/rewarm/memory";
import { type RewarmFigures, rewarmAfter, shareOf } from "../../src/rewarm/rewarm";
import { wholeDay } from "../../src/rewarm/wholeDay";
import { roundLength } from "../../src/time/clock";
import { openDay } from "../../src/venue/context";
import { cases } from "../made/cases";
import { fillInput } from "../made/shelf";
import { doneBefore, type Made, made, timed } from "../made/situations";
import { SPORTS } from "../sign/starters";

const figures: RewarmFigures = { soon: 33, hour: 50, easy: 50 };
const minutes = (n: number) => [doneBefore(n)];

describe("how much is enough after another start", () => {
  it("is a third after 20 min, half after an hour, all but half the easy part after three hours", () => {
    const after = (n: number) => {
      const rewarm = rewarmAfter(minutes(n), figures);
      return rewarm && [rewarm.raise, rewarm.others];
    };
    expect(after(0)).toEqual([0.33, 0.33]);
    expect(after(20)).toEqual([0.33, 0.33]);
    expect(after(40)).toEqual([0.415, 0.415]);
    expect(after(60)).toEqual([0.5, 0.5]);
    expect(after(120)).toEqual([0.5, 0.75]);
    expect(after(180)).toEqual([0.5, 1]);
    expect(after(270)).toEqual([0.75, 1]);
    expect(after(359)?.[1]).toBe(1);
    expect(after(360)).toBeNull();
    expect(rewarmAfter([], figures)).toBeNull();
    // Three parts in ten are easy: half of those and all of the rest.
    const long = rewarmAfter(minutes(180), figures);
    expect(long && shareOf(long, 0.3)).toBeCloseTo(0.85, 9);
  });

  it("never shrinks with a longer rest, and goes by what ended last", () => {
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 359 }), fc.integer({ min: 0, max: 359 }), (a, b) => {
        const [shorter, longer] = [Math.min(a, b), Math.max(a, b)];
        const of = (n: number) => {
          const rewarm = rewarmAfter(minutes(n), figures);
          return rewarm ? shareOf(rewarm, 0.3) : 1;
        };
        expect(of(shorter)).toBeLessThanOrEqual(of(longer) + 1e-9);
        const both = rewarmAfter([doneBefore(longer), doneBefore(shorter, { name: "Last" })], figures);
        expect(both?.restSeconds).toBe(shorter * 60);
      }),
      cases(100),
    );
  });
});

it("what began first may end last: the rest is from there", () => {
  const long = doneBefore(10, { name: "Long practice", fromSeconds: -7200 });
  expect(rewarmAfter([long, doneBefore(30)], figures)).toMatchObject({
    after: "Long practice",
    restSeconds: 600,
  });
});

describe("the whole day", () => {
  const one = { effort: 0.4, share: 1, hold: null };

  it("is one life of the body without gap or overlap, and what is done now counts where the two meet", () => {
    const done = fc.array(
      fc.record({ from: fc.integer({ min: -7200, max: -10 }), long: fc.integer({ min: 1, max: 3000 }) }),
      { maxLength: 8 },
    );
    fc.assert(
      fc.property(done, fc.integer({ min: 60, max: 1800 }), (list, begin) => {
        const before = list
          .map(({ from, long }) => doneBefore(0, { fromSeconds: from, toSeconds: Math.min(0, from + long) }))
          .toSorted((a, b) => a.fromSeconds - b.fromSeconds);
        const pieces = [{ ...one, fromSeconds: -begin, toSeconds: 0 }];
        const whole = wholeDay(before, pieces);
        whole.forEach((piece, i) => {
          expect(piece.toSeconds).toBeGreaterThan(piece.fromSeconds);
          if (i > 0) expect(piece.fromSeconds).toBe(whole[i - 1]?.toSeconds);
        });
        expect(whole.at(-1)).toMatchObject({ toSeconds: 0, effort: 0.4 });
        // At any moment before what is done now somebody works just when something was being done.
        for (const at of [-7000.5, -3000.5, -1900.5]) {
          const isDone = before.some((d) => d.fromSeconds < at && at < d.toSeconds);
          const piece = whole.find((p) => p.fromSeconds < at && at < p.toSeconds);
          expect((piece?.effort ?? 0) > 0).toBe(isDone);
        }
      }),
      cases(100),
    );
  });

  it("is the plan alone where nothing was done before", () => {
    const pieces = [{ ...one, fromSeconds: -600, toSeconds: 0 }];
    expect(wholeDay([], pieces)).toEqual(pieces);
    expect(wholeDay([doneBefore(5)], [])).toHaveLength(2);
  });
});

describe("what earlier starts had the body do", () => {
  const { shelf, event } = SPORTS[2] as (typeof SPORTS)[number];
  const availableSeconds = 2100;
  const filled = fillPlan(fillInput(shelf, { event, availableSeconds, approach: approachOf("even-stair") }), {
    tries: 1,
  }).body;
  const fit = fitPlan(filled, availableSeconds, openDay());

  it("is their drills and the events, so long before the later start, and can be sent", () => {
    const agoSeconds = 7200;
    const done = doneIn([{ title: "Heat", fit, event, agoSeconds }]);
    expect(allDoneSchema.parse(done)).toEqual(done);
    const last = done.at(-1);
    expect(last).toMatchObject({
      name: "Heat",
      fromSeconds: -7200,
      toSeconds: -7200 + event.lengthSeconds,
      effort: event.targetLevel,
    });
    expect(last?.actions).toEqual(event.actions);
    expect(done[0]?.fromSeconds).toBe(fit.beginSeconds - agoSeconds);
    expect(done.every((d) => d.effort > 0)).toBe(true);
  });

  it("takes most events where nobody said which, and forgets what is half a day ago", () => {
    const { lengthSeconds, targetLevel } = plainEvent("Heat");
    const [event] = doneIn([
      { title: "Heat", fit: { ...fit, placements: [] }, event: null, agoSeconds: 900 },
    ]);
    expect(event).toMatchObject({ toSeconds: lengthSeconds - 900, effort: targetLevel });
    expect(doneIn([{ title: "Heat", fit, event: null, agoSeconds: REMEMBERED_SECONDS + 1 }])).toEqual([]);
  });

  it("makes the forecast warmer soon after, and hardly differs after four hours", () => {
    const row = { rows: [["Walk", "raise", 25, timed(120)]] } satisfies Made;
    const warmth = (of: Made) => made(of).forecast.atStart.warmth.middle;
    const alone = warmth(row);
    expect(warmth({ ...row, before: minutes(15) })).toBeGreaterThan(alone + 0.2);
    expect(Math.abs(warmth({ ...row, before: minutes(240) }) - alone)).toBeLessThan(0.1);
  });

  it.each(APPROACHES.filter((a) => a.id !== "compact").map((a) => [a.id, a] as const))(
    "%s: what is filled after it is shorter the shorter the rest, in the same climb, with nothing to stop for",
    (_, approach) => {
      const rests = [20, 60, 180];
      const work = rests.map((rest) => {
        const before = doneIn([{ title: "Heat", fit, event, agoSeconds: rest * 60 + event.lengthSeconds }]);
        const input = fillInput(shelf, {
          approach,
          event,
          before,
          availableSeconds: Math.min(2400, rest * 60),
        });
        const { body, gaps } = fillPlan(input, { tries: 12 });
        const { found, work } = judgedFill(body, input);
        expect(found.filter((f) => f.severity === "stop")).toEqual([]);
        expect(gaps.filter((g) => g.startsWith("A re-warm, because Heat ends"))).toHaveLength(1);
        return work.reduce((sum, d) => sum + d.toSeconds - d.fromSeconds, 0);
      });
      expect(work).toEqual(work.toSorted((a, b) => a - b));
      expect(work[0]).toBeLessThan(0.6 * (work[2] as number));
    },
  );

  it("begins ladders higher where their action is fresh, and says so", () => {
    const trampoline = SPORTS[4] as (typeof SPORTS)[number];
    const of = (rest: number) => {
      const [event, agoSeconds] = [trampoline.event, rest * 60 + trampoline.event.lengthSeconds];
      const before = doneIn([{ title: "Heat", fit: { ...fit, placements: [] }, event, agoSeconds }]);
      const input = fillInput(trampoline.shelf, {
        ...{ approach: approachOf("secure-finish"), event, before, availableSeconds: 2400 },
      });
      return fillPlan(input, { tries: 4 }).body.items.filter((i) => i.dose.kind === "ladder");
    };
    const lowest = (rest: number) =>
      Math.min(...of(rest).map((i) => (i.dose.kind === "ladder" ? (i.dose.rungs[0]?.intensity ?? 0) : 0)));
    expect(lowest(60)).toBeGreaterThan(lowest(150));
    expect(of(60).some((i) => i.why?.includes("Begins higher"))).toBe(true);
    expect(of(150).some((i) => i.why?.includes("Begins higher"))).toBe(false);
  });
});

test("about how long it is", () => {
  expect([40, 2400, 3600, 3900, 7080, 7200, 8130].map(roundLength)).toEqual([
    ...["1 min", "40 min", "1 h", "1 h 5 min", "1 h 58 min", "2 h", "2 h 15 min"],
  ]);
});
