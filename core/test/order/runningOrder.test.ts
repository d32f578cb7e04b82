import fc from "fast-check";
import { orderSlots } from "../../src/order/orderSlots";
import { expectedAt, isNear, type OrderCall, paceOf, withCall } from "../../src/order/runningOrder";

const at = (minute: number, second = 0) => new Date(Date.UTC(2026, 11, 5, 13, minute, second)).toISOString();
const minutesOf = (seconds: number | null) =>
  seconds === null ? null : (seconds - Date.parse(at(0)) / 1000) / 60;
const slots = orderSlots({ number: 1, at: at(0), count: 12, eachSeconds: 240, groupOf: 0, groupSeconds: 0 });
const call = (number: number, minute: number): OrderCall => ({ number, at: at(minute) });

describe("a list made from one number", () => {
  it("has everybody so far from it as they are apart, with each group's warm-up before it", () => {
    const list = orderSlots({
      number: 8,
      at: at(40),
      count: 13,
      eachSeconds: 240,
      groupOf: 6,
      groupSeconds: 360,
    });
    // 7 is the first of the second group, 13 of the third.
    expect(list.map((s) => minutesOf(Date.parse(s.at) / 1000))).toEqual([
      6, 10, 14, 18, 22, 26, 36, 40, 44, 48, 52, 56, 66,
    ]);
    expect(list.find((s) => s.number === 8)?.at).toBe(at(40));
  });
});

describe("who may stand in it", () => {
  it("is who starts within twelve hours of it, whatever the calendar says", () => {
    const night = orderSlots({
      number: 1,
      at: "2026-12-05T23:40:00Z",
      count: 3,
      eachSeconds: 600,
      groupOf: 0,
      groupSeconds: 0,
    });
    const near = (startsAt: string) => isNear({ slots: night }, startsAt);
    expect(near("2026-12-06T00:30:00Z")).toBe(true);
    expect(near("2026-12-05T11:40:00Z")).toBe(true);
    expect(near("2026-12-05T11:39:59Z")).toBe(false);
    expect(near("2026-12-06T12:00:00Z")).toBe(true);
    expect(near("2026-12-06T12:00:01Z")).toBe(false);
    expect(isNear({ slots: [] }, "2026-12-06T12:00:00Z")).toBe(false);
  });
});

describe("who is to be expected when", () => {
  it("is what the list says until somebody is called", () => {
    expect(minutesOf(expectedAt({ slots, calls: [] }, 5))).toBe(16);
    expect(paceOf({ slots, calls: [] })).toEqual({
      on: null,
      lateSeconds: 0,
      listedSeconds: 240,
      soFarSeconds: null,
    });
  });

  it("after one call they follow as listed from there; those before it are not expected any more", () => {
    const order = { slots, calls: [call(4, 20)] };
    expect([4, 5, 7].map((n) => minutesOf(expectedAt(order, n)))).toEqual([null, 24, 32]);
    expect(paceOf(order)).toMatchObject({ on: 4, lateSeconds: 480, soFarSeconds: null });
  });

  it("after two the average of today so far is used", () => {
    // From 2 to 6 took 24 minutes: six each.
    const order = { slots, calls: [call(2, 4), call(6, 28)] };
    expect(paceOf(order)).toMatchObject({ soFarSeconds: 360, lateSeconds: 480 });
    expect(minutesOf(expectedAt(order, 9))).toBe(28 + 18);
  });

  it("nobody goes before their time on the list, however fast it goes", () => {
    const order = { slots, calls: [call(1, 0), call(4, 6)] };
    expect(minutesOf(expectedAt(order, 5))).toBe(16);
    expect(paceOf(order).lateSeconds).toBe(-360);
  });

  it("a group's warm-up is waited for, and is no part of the pace", () => {
    const grouped = orderSlots({
      number: 1,
      at: at(0),
      count: 12,
      eachSeconds: 240,
      groupOf: 6,
      groupSeconds: 360,
    });
    // 7 on the list at 30; on at 40, so six minutes after 1 and 6 × 4 there were 10 more.
    const order = { slots: grouped, calls: [call(1, 0), call(5, 20)] };
    expect(paceOf(order)).toMatchObject({ soFarSeconds: 300 });
    // Two more at five minutes, and six of warm-up.
    expect(minutesOf(expectedAt(order, 7))).toBe(20 + 10 + 6);
    const after = { slots: grouped, calls: [call(1, 0), call(8, 41)] };
    expect(paceOf(after)).toMatchObject({ soFarSeconds: 300 });
  });

  it("a slip of the thumb neither doubles the day nor makes it go backwards", () => {
    const slip = { slots, calls: [call(1, 0), call(2, 59)] };
    expect(paceOf(slip).soFarSeconds).toBe(3 * 240);
    const order = (calls: OrderCall[]) => ({ slots, calls });
    const times = fc.array(fc.record({ number: fc.integer({ min: 1, max: 12 }), minute: fc.nat(120) }), {
      maxLength: 8,
    });
    fc.assert(
      fc.property(times, (said) => {
        const calls = said.reduce<OrderCall[]>(
          (sum, { number, minute }) => withCall(sum, call(number, minute)),
          [],
        );
        const expected = slots.map((s) => expectedAt(order(calls), s.number)).filter((e) => e !== null);
        for (const [i, one] of expected.entries()) expect(one).toBeGreaterThan(expected[i - 1] ?? 0);
        const on = calls.at(-1)?.number ?? 0;
        expect(expected).toHaveLength(12 - on);
      }),
    );
  });
});

it("a number called again takes back what was said of it and of later ones", () => {
  const calls = [call(1, 0), call(2, 4), call(5, 9)];
  expect(withCall(calls, call(3, 10))).toEqual([call(1, 0), call(2, 4), call(3, 10)]);
  expect(withCall(calls, call(2, 11))).toEqual([call(1, 0), call(2, 11)]);
});

it("a list of one number alone has the usual time for each", () => {
  const order = { slots: [{ number: 3, at: at(0) }], calls: [call(1, 5)] };
  expect(paceOf(order).listedSeconds).toBe(300);
  expect(minutesOf(expectedAt(order, 3))).toBe(15);
});
