import { modelOf } from "../../src/forecast/model/model";
import { MIDDLE_PERSON } from "../../src/forecast/model/parameters";
import { done, mild, usualWarmUp } from "./pieces";

// What is known of people, from docs/forecast.md; the margins are those of the document.

const middle = (pieces: ReturnType<typeof done>, around = mild) => modelOf(pieces, MIDDLE_PERSON, around);

describe("facts that the model must give", () => {
  test("fifteen minutes at 60 % warm by 2.3 to 3.1 °C, half of it in the first five", () => {
    const model = middle(done([[15, 60]]));
    const after = model.at(0).warmth;
    expect(after).toBeGreaterThanOrEqual(2.3);
    expect(after).toBeLessThanOrEqual(3.1);
    expect(model.at(-600).warmth).toBeGreaterThanOrEqual(after / 2);
  });

  test("fifteen minutes of sitting after twenty at 70 % take 1.0 to 1.6 °C", () => {
    const model = middle(done([[20, 70]]));
    const lost = model.at(0).warmth - model.at(900).warmth;
    expect(lost).toBeGreaterThanOrEqual(1);
    expect(lost).toBeLessThanOrEqual(1.6);
  });

  test.each([5, 6, 7, 8])(
    "readiness %i min after a usual warm-up is higher than at once, and than later",
    (wait) => {
      const model = middle(usualWarmUp());
      const ready = (minutes: number) => model.at(minutes * 60).readiness;
      for (const other of [0, 12, 20, 30]) expect(ready(wait)).toBeGreaterThan(ready(other));
    },
  );

  test("sharpness peaks 3 to 8 min after one effort, and is mostly gone after 20", () => {
    const model = middle(done([[0.5, 95]]));
    const sharp = Array.from({ length: 41 }, (_, m) => model.at(m * 30).sharpness);
    const peak = Math.max(...sharp);
    const at = sharp.indexOf(peak) / 2;
    expect(at).toBeGreaterThanOrEqual(3);
    expect(at).toBeLessThanOrEqual(8);
    expect(model.at(1200).sharpness).toBeLessThan(peak / 3);
  });

  test("of 30 s flat out less than half of the cost is left after 1.5 min, about an eighth after 6", () => {
    const model = middle(done([[0.5, 100]]));
    const cost = model.at(0).tiredness;
    expect(100 * cost).toBeGreaterThanOrEqual(3);
    expect(100 * cost).toBeLessThanOrEqual(4);
    expect(model.at(90).tiredness).toBeLessThan(cost / 2);
    expect(model.at(360).tiredness / cost).toBeGreaterThan(0.08);
    expect(model.at(360).tiredness / cost).toBeLessThan(0.17);
  });

  test("ten exhausting minutes cost 12 to 15 %", () => {
    const cost = 100 * middle(done([[10, 92]])).at(0).tiredness;
    expect(cost).toBeGreaterThanOrEqual(12);
    expect(cost).toBeLessThanOrEqual(15);
  });

  test("in wind at 0 °C the same warm-up is less warm, and loses more by waiting", () => {
    const cold = middle(usualWarmUp(5), { ...mild, temperature: 0, wind: 1 });
    const warm = middle(usualWarmUp(5));
    const lost = (m: typeof cold) => m.at(0).warmth - m.at(600).warmth;
    expect(cold.at(0).warmth).toBeLessThan(warm.at(0).warmth);
    expect(lost(cold)).toBeGreaterThan(lost(warm));
  });
});
