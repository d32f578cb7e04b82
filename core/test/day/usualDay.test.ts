import { dayPlan } from "../../src/day/day";
import { dayStepSchema } from "../../src/day/step";
import { usualDay } from "../../src/day/usualDay";
import type { EventType } from "../../src/event/eventType";
import { zonedInstant } from "../../src/time/zone";
import { SPORTS } from "../sign/starters";

const HOUR = 60;
const travel = { usual: 25, bad: 40 };
const zone = "Europe/Vienna";

/** Every sport's day with a start at a time, its steps by their ids in minutes from the start; null where it does not hold. */
function dayAt(event: EventType | null, time: string, version: "usual" | "bad" = "bad", minutes = 36) {
  const { instant } = zonedInstant("2026-12-05", time, zone);
  const frame = { startsAt: instant, zone, warmUpSeconds: minutes * 60 };
  const steps = usualDay({ ...frame, event, travel });
  const plan = dayPlan({ ...frame, steps }, version);
  if (!plan.holds) return null;
  return new Map(
    plan.stands.map((s) => [s.step.id, { ...s, from: s.beginSeconds / 60, to: s.endSeconds / 60 }]),
  );
}

const TIMES = Array.from({ length: 27 }, (_, i) => {
  const minutes = 8 * HOUR + i * 30;
  return `${String(Math.floor(minutes / HOUR)).padStart(2, "0")}:${minutes % HOUR === 0 ? "00" : "30"}`;
});
const EVENTS = [null, ...SPORTS.map((s) => s.event)];

it("holds together for every sport and no event, from eight in the morning to nine in the evening", () => {
  for (const event of EVENTS)
    for (const time of TIMES) {
      const day = dayAt(event, time);
      expect([event?.name, time, day !== null]).toEqual([event?.name, time, true]);
    }
});

it("is one that a coach would sign: there in time, fed in time, slept enough, and nothing before the night is over", () => {
  for (const event of EVENTS)
    for (const time of TIMES) {
      const day = dayAt(event, time);
      const at = (id: string) => day?.get(id) ?? { from: Number.NaN, to: Number.NaN };
      const begin = at("warm-up").from;
      expect(at("travel").to).toBeLessThanOrEqual(-90);
      expect(at("snack").to).toBeLessThanOrEqual(begin - 60);
      expect(at("snack").from).toBeGreaterThanOrEqual(at("wake").to);
      expect(at("wake").from).toBeLessThanOrEqual(begin - 90);
      expect(at("sleep").to - at("sleep").from).toBeGreaterThanOrEqual(8 * HOUR);
      expect(at("sleep").to).toBeLessThanOrEqual(at("wake").from);
      expect(at("drink").from).toBeLessThanOrEqual(-12 * HOUR);
      // Nobody gets up in the night to drink, and whoever has come settles in.
      expect(at("drink").to).toBeLessThanOrEqual(at("sleep").from);
      expect(at("settle").from).toBe(at("travel").to);
      if (day?.has("meal")) expect(at("meal").to).toBeLessThanOrEqual(begin - 180);
      if (day?.has("kit")) {
        expect(at("kit").from).toBeGreaterThanOrEqual(at("travel").to);
        expect(at("kit").to).toBeLessThanOrEqual(begin);
      }
      expect(at("cool-down").from).toBeGreaterThanOrEqual(at("start").to);
      for (const point of event?.fixedPoints ?? [])
        expect([...(day?.values() ?? [])].find((s) => s.step.name === point.name)?.from).toBe(
          -point.minutesBefore,
        );
    }
});

it("has a main meal where the night leaves time for one, else a snack, and never less sleep than a night asks", () => {
  const meal = (time: string) => dayAt(null, time)?.has("meal");
  expect([meal("08:00"), meal("10:30"), meal("14:20"), meal("20:00")]).toEqual([false, true, true, true]);
  // A start before the night is over cannot be had: it is named, not hidden.
  expect(dayAt(null, "05:30")).toBeNull();
});

it("has them get up in the morning, whenever they start", () => {
  for (const event of EVENTS)
    for (const time of TIMES) {
      const [hours = 0, minutes = 0] = time.split(":").map(Number);
      const wake = hours * HOUR + minutes + (dayAt(event, time)?.get("wake")?.from ?? 0);
      expect([time, wake >= 4.5 * HOUR && wake <= 7 * HOUR]).toEqual([time, true]);
    }
});

it("is made of steps as they may be sent, as long as the event's own cool-down, with its kit where it has any", () => {
  for (const event of EVENTS) {
    const day = dayAt(event, "14:20", "usual");
    for (const { step } of day?.values() ?? []) expect(dayStepSchema.safeParse(step).success).toBe(true);
    expect(day?.has("kit")).toBe((event?.kit.length ?? 0) > 0);
    const coolDown = day?.get("cool-down");
    const minutes = (coolDown?.to ?? 0) - (coolDown?.from ?? 0);
    expect(minutes).toBe(event?.effort === "precision" ? 3 : event?.effort === "long-sustained" ? 8 : 10);
  }
});
