import fc from "fast-check";
import { simulatedStrap } from "./heartRate";
import { simulatedOrder } from "./runningOrder";

const LISTED = Date.parse("2026-06-01T12:00:00.000Z");

describe("a running order that is not there", () => {
  it("says the same for the same seed, never earlier than the list, and fewer and fewer before", () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 0, max: 9999 }),
        fc.integer({ min: -6000, max: 3600 }),
        (seed, second) => {
          const now = LISTED + second * 1000;
          const news = simulatedOrder(seed, LISTED, now);
          expect(simulatedOrder(seed, LISTED, now)).toEqual(news);
          expect(news.simulated).toBe(true);
          expect(Date.parse(news.startsAt) - LISTED).toBe(news.lateSeconds * 1000);
          expect(news.lateSeconds).toBeGreaterThanOrEqual(0);
          expect(simulatedOrder(seed, LISTED, now + 60_000).before).toBeLessThanOrEqual(news.before);
        },
      ),
    );
  });

  it("is on time before it has begun, and late by minutes on many a day", () => {
    const late = Array.from({ length: 200 }, (_, seed) => simulatedOrder(seed, LISTED, LISTED).lateSeconds);
    expect(simulatedOrder(1, LISTED, LISTED - 7_200_000)).toMatchObject({ lateSeconds: 0, before: 12 });
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
