import fc from "fast-check";
import { simulatedStrap } from "../../src/simulated/heartRate";
import { simulatedList, simulatedOrder } from "../../src/simulated/runningOrder";

const LISTED = "2026-06-01T12:00:00.000Z";
const NOON = Date.parse(LISTED);
const hall = { listedAt: LISTED, venue: "Ice hall", zone: "UTC" };

describe("a running order that is not there", () => {
  const anySecond = fc.integer({ min: -21_600, max: 21_600 });

  it("says the same for the same seed, never earlier than the list, and fewer and fewer before", () => {
    fc.assert(
      fc.property(fc.nat(9999), anySecond, anySecond, (seed, listed, second) => {
        const list = simulatedList(seed, hall);
        const at = NOON + listed * 1000;
        const now = NOON + second * 1000;
        const news = simulatedOrder(list, at, now);
        expect(simulatedOrder(simulatedList(seed, hall), at, now)).toEqual(news);
        expect(news.simulated).toBe(true);
        expect(Date.parse(news.startsAt) - at).toBe(news.lateSeconds * 1000);
        expect(news.lateSeconds).toBeGreaterThanOrEqual(0);
        expect(simulatedOrder(list, at, now + 60_000).before).toBeLessThanOrEqual(news.before);
      }),
    );
  });

  it("moves all of one list together: nobody overtakes who is listed a slot before", () => {
    fc.assert(
      fc.property(
        fc.nat(9999),
        anySecond,
        fc.integer({ min: 420, max: 9000 }),
        anySecond,
        (seed, a, after, n) => {
          const list = simulatedList(seed, hall);
          const expected = (listed: number) =>
            Date.parse(simulatedOrder(list, NOON + listed * 1000, NOON + n * 1000).startsAt);
          // Somebody may take a little less than listed; the order stays.
          expect(expected(a + after)).toBeGreaterThan(expected(a));
        },
      ),
    );
  });

  it("is one list for a place and a day of its own clock, and another for any other", () => {
    const of = (more: object) => simulatedList(7, { ...hall, ...more });
    expect(of({ listedAt: "2026-06-01T18:30:00.000Z", venue: " ice HALL" })).toEqual(of({}));
    // After midnight it is still the day before's competition.
    const vienna = (listedAt: string) => of({ listedAt, zone: "Europe/Vienna" });
    expect(vienna("2026-06-01T23:30:00.000Z")).toEqual(vienna("2026-06-01T12:00:00.000Z"));
    expect(vienna("2026-06-02T12:00:00.000Z")).not.toEqual(vienna("2026-06-01T12:00:00.000Z"));
    for (const more of [{ venue: "Pool" }, { listedAt: "2026-06-02T12:00:00.000Z" }])
      expect(of(more).seed).not.toBe(of({}).seed);
  });

  it("is on time before it has begun, and late by minutes on many a day", () => {
    const late = Array.from(
      { length: 200 },
      (_, seed) => simulatedOrder(simulatedList(seed, hall), NOON, NOON).lateSeconds,
    );
    const { opens } = simulatedList(1, hall);
    expect(simulatedOrder(simulatedList(1, hall), NOON, opens - 1000)).toMatchObject({
      lateSeconds: 0,
      before: 68,
    });
    expect(late.filter((s) => s > 120).length).toBeGreaterThan(60);
    expect(Math.max(...late)).toBeLessThan(3600);
  });
});

describe("a heart-rate strap that is not there", () => {
  const after = (seconds: number, intensity: number, seed = 1) => {
    const strap = simulatedStrap(seed);
    return Array.from({ length: seconds }, () => strap(intensity, 1));
  };
  const settled = (rates: (number | null)[]) => rates.slice(-60).filter((r): r is number => r !== null);

  it("follows the intensity, up faster than down", () => {
    const hard = settled(after(300, 90));
    const easy = settled(after(300, 20));
    expect(Math.min(...hard)).toBeGreaterThan(Math.max(...easy) + 40);
    const strap = simulatedStrap(3);
    for (let s = 0; s < 300; s++) strap(90, 1);
    const resting = Array.from({ length: 35 }, () => strap(0, 1)).filter((r) => r !== null);
    expect(resting.at(-1)).toBeGreaterThan(110);
  });

  it("loses contact now and then, and is the same for the same seed", () => {
    const rates = after(3600, 50, 7);
    const lost = rates.filter((r) => r === null).length / rates.length;
    expect(lost).toBeGreaterThan(0.01);
    expect(lost).toBeLessThan(0.2);
    expect(after(3600, 50, 7)).toEqual(rates);
  });
});
