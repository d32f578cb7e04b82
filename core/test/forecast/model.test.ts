import fc from "fast-check";
import { usualSetting } from "../../src/conditions/setting";
import { bandOf } from "../../src/forecast/answers/band";
import { curvesOf, DELAYS, forecastOf } from "../../src/forecast/forecast";
import { heldOf } from "../../src/forecast/model/heldStretches";
import { modelOf } from "../../src/forecast/model/model";
import { MIDDLE_PERSON, PARAMETER_NAMES, PARAMETERS } from "../../src/forecast/model/parameters";
import { people, valueAt } from "../../src/forecast/model/people";
import { joined, type Piece } from "../../src/forecast/model/piece";
import { type Surroundings, surroundingsOf } from "../../src/forecast/model/surroundings";
import { cases } from "../made/cases";
import { integrated } from "./integrate";
import { done, mild } from "./pieces";

const anyWork = fc.tuple(
  fc.integer({ min: 1, max: 40 }).map((n) => n / 4),
  fc.constantFrom(0, 10, 30, 40, 55, 70, 75, 85, 95, 100),
  fc.constantFrom(0, 0.2, 0.5, 1),
);
const anyPieces = fc
  .tuple(fc.array(anyWork, { maxLength: 12 }), fc.integer({ min: 0, max: 30 }))
  .map(([list, wait]) => done(list, wait));
const anyAround: fc.Arbitrary<Surroundings> = fc.record({
  temperature: fc.integer({ min: -30, max: 50 }),
  layers: fc.boolean(),
  wind: fc.constantFrom(0, 0.5, 1),
  wet: fc.boolean(),
  usualMinutes: fc.constantFrom(15, 60, 240),
  cost: fc.constantFrom(1, 1.3, 1.495),
  unknown: fc.constant([]),
});
const anyone = fc.constantFrom(...people, MIDDLE_PERSON);

describe("the model", () => {
  test("is what plain numerical integration comes to", () => {
    fc.assert(
      fc.property(
        anyPieces,
        anyone,
        anyAround,
        fc.integer({ min: -600, max: 2400 }),
        (pieces, who, around, at) => {
          const state = modelOf(pieces, who, around).at(at);
          const plain = integrated(pieces, who, around, at);
          expect(Math.abs(state.warmth - plain.warmth)).toBeLessThan(1e-6);
          expect(Math.abs(state.tiredness - plain.tiredness)).toBeLessThan(1e-6);
          expect(Math.abs(state.sharpness - plain.sharpness)).toBeLessThan(1e-6);
        },
      ),
      cases(40),
    );
  });

  test("is the same however a stretch is cut", () => {
    const cut = fc.tuple(anyPieces, fc.integer({ min: 2, max: 5 })).map(([pieces, n]) => ({
      pieces,
      cuts: joined(
        pieces.flatMap((p): Piece[] => {
          const each = (p.toSeconds - p.fromSeconds) / n;
          return Array.from({ length: n }, (_, i) => ({
            ...p,
            fromSeconds: p.fromSeconds + i * each,
            toSeconds: i === n - 1 ? p.toSeconds : p.fromSeconds + (i + 1) * each,
            hold: p.hold && { ...p.hold, seconds: p.hold.seconds / n },
          }));
        }),
      ),
    }));
    fc.assert(
      fc.property(cut, anyAround, ({ pieces, cuts }, around) => {
        const [one, other] = [forecastOf(pieces, around), forecastOf(cuts, around)];
        for (const lane of ["warmth", "sharpness", "tiredness", "readiness"] as const)
          expect(Math.abs(one.atStart[lane].middle - other.atStart[lane].middle)).toBeLessThan(1e-9);
      }),
      cases(200),
    );
  });

  test("colder is never warmer", () => {
    fc.assert(
      fc.property(
        anyPieces,
        anyone,
        anyAround,
        fc.integer({ min: -900, max: 1800 }),
        (pieces, who, around, at) => {
          const colder = { ...around, temperature: around.temperature - 7 };
          const warmth = modelOf(pieces, who, around).at(at).warmth;
          expect(modelOf(pieces, who, colder).at(at).warmth).toBeLessThanOrEqual(warmth + 1e-12);
        },
      ),
      cases(300),
    );
  });

  test("a longer wait is never warmer, where the air does not warm by itself", () => {
    fc.assert(
      fc.property(
        anyPieces,
        anyone,
        anyAround,
        fc.integer({ min: 0, max: 3000 }),
        (pieces, who, around, at) => {
          const model = modelOf(pieces, who, { ...around, temperature: Math.min(20, around.temperature) });
          // From rest in the cold it only goes down as well.
          expect(model.at(at + 60).warmth).toBeLessThanOrEqual(Math.max(0, model.at(at).warmth) + 1e-12);
        },
      ),
      cases(300),
    );
  });

  test("more hard work is never fresher at once", () => {
    fc.assert(
      fc.property(
        fc.array(anyWork, { maxLength: 8 }),
        anyWork,
        anyone,
        anyAround,
        (list, more, who, around) => {
          // The same work, then either nothing or more of it for as long.
          const before = done([...list, [more[0], 0]]);
          const after = done([...list, more]);
          const tired = (pieces: readonly Piece[]) => modelOf(pieces, who, around).at(0).tiredness;
          expect(tired(after)).toBeGreaterThanOrEqual(tired(before) - 1e-12);
        },
      ),
      cases(300),
    );
  });

  test("is continuous in the moment of the start", () => {
    fc.assert(
      fc.property(
        anyPieces,
        anyone,
        anyAround,
        fc.integer({ min: -1200, max: 1200 }),
        (pieces, who, around, at) => {
          const model = modelOf(pieces, who, around);
          const [a, b] = [model.at(at - 1e-4), model.at(at + 1e-4)];
          expect(Math.abs(a.warmth - b.warmth)).toBeLessThan(1e-4);
          expect(Math.abs(a.sharpness - b.sharpness)).toBeLessThan(1e-4);
          expect(Math.abs(a.tiredness - b.tiredness)).toBeLessThan(1e-4);
        },
      ),
      cases(300),
    );
  });

  test("a held stretch costs at once, a long one more, and is forgotten over ten minutes of moving", () => {
    const held = (seconds: number, moved: number) => {
      const stretch: Piece = {
        fromSeconds: -moved * 60 - seconds,
        toSeconds: -moved * 60,
        effort: 0.1,
        share: 1,
        hold: { seconds, areas: ["hamstring"] },
      };
      return modelOf([stretch, ...done([[moved, 30]])], MIDDLE_PERSON, mild).at(0).readiness;
    };
    const without = (seconds: number, moved: number) =>
      modelOf(
        [
          { fromSeconds: -moved * 60 - seconds, toSeconds: -moved * 60, effort: 0.1, share: 1, hold: null },
          ...done([[moved, 30]]),
        ],
        MIDDLE_PERSON,
        mild,
      ).at(0).readiness;
    const cost = (seconds: number, moved: number) => without(seconds, moved) - held(seconds, moved);
    expect(cost(60, 0)).toBeCloseTo(5, 6);
    expect(cost(30, 0)).toBeCloseTo(1, 6);
    expect(cost(60, 5)).toBeCloseTo(2.5, 6);
    expect(cost(60, 10)).toBeCloseTo(0, 6);
  });

  test("rest after a held stretch forgets nothing of it: only moving work does", () => {
    const hold = { seconds: 60, areas: ["hamstring" as const] };
    const stretch: Piece = { fromSeconds: -660, toSeconds: -600, effort: 0.1, share: 1, hold };
    const then = (effort: number, fromSeconds: number, toSeconds: number): Piece => ({
      ...{ fromSeconds, toSeconds, effort },
      ...{ share: effort > 0 ? 1 : 0, hold: null },
    });
    const left = (...after: Piece[]) => heldOf([stretch, ...after]).at(0);
    expect(left(then(0, -600, 0))).toBeCloseTo(left(), 9);
    expect(left(then(0.3, -600, -300), then(0, -300, 0))).toBeCloseTo(left() / 2, 9);
    // Another one held is no moving work either.
    const again = { ...stretch, fromSeconds: -600, toSeconds: -300, hold: { ...hold, seconds: 5 } };
    expect(left(again)).toBeCloseTo(left(), 9);
  });
});

describe("what it goes by", () => {
  const weather = { ...usualSetting(), temperature: 5, wind: "strong" as const, wet: true };

  test("indoors there is neither wind nor wet; little training and the third day running cost more", () => {
    expect(surroundingsOf({ ...weather, indoors: true }, null)).toMatchObject({
      wind: 0,
      wet: false,
      cost: 1,
    });
    expect(surroundingsOf({ ...weather, indoors: false }, null)).toMatchObject({ wind: 1, wet: true });
    expect(surroundingsOf({ ...weather, indoors: false, wind: "breeze" }, null).wind).toBe(0.5);
    const cost = (recentLoad: "little" | "usual" | "much", day: number) =>
      surroundingsOf({ ...weather, day }, { recentLoad, usualMinutes: 90 }).cost;
    expect([cost("usual", 2), cost("much", 1), cost("little", 1), cost("usual", 3)]).toEqual([
      1, 1, 1.3, 1.15,
    ]);
    expect(cost("little", 4)).toBeCloseTo(1.495, 9);
  });

  test("what is not known is said, and what cannot be is taken as the nearest that can", () => {
    const usual = (usualMinutes: number) => surroundingsOf(weather, { recentLoad: "usual", usualMinutes });
    expect([usual(0), usual(3), usual(90), usual(600)].map((s) => s.usualMinutes)).toEqual([60, 15, 90, 240]);
    expect(usual(0).unknown).toContain("An ordinary session is not known: 60 min taken.");
    expect(usual(90).unknown.join()).not.toContain("session");
    expect(surroundingsOf({ ...weather, temperature: null }, null)).toMatchObject({ temperature: 20 });
  });

  test("more warmth than full gives no more", () => {
    const { warmth, sharpness, tiredness, readiness } = modelOf(done([[40, 100]]), MIDDLE_PERSON, mild).at(0);
    expect(warmth).toBeGreaterThan(MIDDLE_PERSON.full);
    expect(readiness).toBeCloseTo(100 * (MIDDLE_PERSON.sTop * sharpness - tiredness), 9);
  });

  test("a band goes from the 10th percentile over the median to the 90th", () => {
    const values = Array.from({ length: 101 }, (_, i) => 100 - i);
    expect(bandOf(values)).toEqual({ low: 10, middle: 50, high: 90 });
    expect(bandOf([3])).toEqual({ low: 3, middle: 3, high: 3 });
  });
});

describe("people in general", () => {
  test("a tenth lie below each range and a tenth above, and none turns negative", () => {
    for (const name of PARAMETER_NAMES) {
      const range = PARAMETERS[name];
      expect(valueAt(range, 0.1)).toBeCloseTo(range.low, 9);
      expect(valueAt(range, 0.5)).toBeCloseTo(range.middle, 9);
      expect(valueAt(range, 0.9)).toBeCloseTo(range.high, 9);
      const values = people.map((p) => p[name]);
      expect(Math.min(...values)).toBeGreaterThan(0);
      const below = values.filter((v) => v < range.low).length;
      expect(below).toBeGreaterThanOrEqual(5);
      expect(below).toBeLessThanOrEqual(8);
    }
  });
});

describe("the forecast", () => {
  test("gives figures for anything, with the middle inside its band", () => {
    fc.assert(
      fc.property(anyPieces, anyAround, (pieces, around) => {
        const forecast = forecastOf(pieces, around);
        const states = [
          forecast.atStart,
          ...forecast.delays.map((d) => d.state),
          ...curvesOf(pieces, around, [-600, -1, 0, 36000]).map((c) => c.state),
        ];
        // One expectation a run: a million of them take half a minute.
        const wrong = states.filter((state) => {
          const bands = (["warmth", "sharpness", "tiredness", "readiness"] as const).map(
            (lane) => state[lane],
          );
          const isSound = bands.every(
            ({ low, middle, high }) =>
              [low, middle, high].every(Number.isFinite) && low <= middle && middle <= high,
          );
          const { sharpness, tiredness } = state;
          return !isSound || sharpness.low < -1e-12 || sharpness.high > 1 || tiredness.low < 0;
        });
        expect(wrong).toEqual([]);
        expect(forecast.delays.map((d) => d.delaySeconds)).toEqual(DELAYS);
      }),
      cases(1000),
    );
  });

  test("says both words where most people span two, and one where they do not", () => {
    const ready = forecastOf(
      done(
        [
          [14, 50],
          [0.3, 92],
        ],
        4,
      ),
      mild,
    );
    expect(ready.atStart.words.warmth).toEqual({ word: "warm", grade: 0 });
    expect(ready.atStart.words.tiredness.word).toBe("fresh");
    const waited = forecastOf(
      done(
        [
          [12, 60],
          [4, 70],
        ],
        25,
      ),
      mild,
    );
    expect(waited.atStart.words.warmth.word).toBe("warm or cooling");
    expect(waited.atStart.words.sharpness.word).toBe("not sharp");
    const nothing = forecastOf([], mild);
    expect(nothing.atStart.words.warmth.word).toBe("cold");
    expect(nothing.best).toBeNull();
  });

  test("knows what goes first, and the wait that suits", () => {
    const forecast = forecastOf(
      done(
        [
          [12, 60],
          [4, 70],
          [0.5, 95],
        ],
        5,
      ),
      mild,
    );
    expect(forecast.first?.lane).toBe("sharpness");
    expect(forecast.first?.afterSeconds).toBeGreaterThan(120);
    expect(forecast.best?.isNear).toBe(true);
    const late = forecastOf(
      done(
        [
          [12, 60],
          [4, 70],
          [0.5, 95],
        ],
        40,
      ),
      mild,
    );
    expect(late.best?.isNear).toBe(false);
    expect(late.best?.wait).toEqual(forecast.best?.wait);
  });
});
