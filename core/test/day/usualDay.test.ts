import { previousStart } from "../../src/day/betweenStarts";
import { dayPlan } from "../../src/day/day";
import { dayStepSchema, MOST_LINES } from "../../src/day/step";
import { usualDay } from "../../src/day/usualDay";
import type { EventType } from "../../src/event/eventType";
import { HOUR_MINUTES } from "../../src/time/units";
import { zonedInstant } from "../../src/time/zone";
import { SPORTS } from "../sign/starters";

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
  const minutes = 8 * HOUR_MINUTES + i * 30;
  return `${String(Math.floor(minutes / HOUR_MINUTES)).padStart(2, "0")}:${minutes % HOUR_MINUTES === 0 ? "00" : "30"}`;
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
      expect(at("sleep").to - at("sleep").from).toBeGreaterThanOrEqual(8 * HOUR_MINUTES);
      expect(at("sleep").to).toBeLessThanOrEqual(at("wake").from);
      expect(at("drink").from).toBeLessThanOrEqual(-12 * HOUR_MINUTES);
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

it("leaves nobody without food for half a day, and has two meals never straight after each other", () => {
  for (const event of EVENTS)
    for (const time of TIMES) {
      const day = dayAt(event, time, "usual");
      const meals = [...(day?.values() ?? [])]
        .filter((s) => s.step.kind === "eat")
        .sort((a, b) => a.from - b.from);
      const begin = day?.get("warm-up")?.from ?? Number.NaN;
      const pauses = [day?.get("wake")?.to ?? Number.NaN, ...meals.map((m) => m.to)].map(
        (from, i) => (meals[i]?.from ?? begin) - from,
      );
      expect([event?.name, time, pauses.every((p) => p <= 8 * HOUR_MINUTES)]).toEqual([
        event?.name,
        time,
        true,
      ]);
      const between = meals.slice(1).map((m, i) => m.from - (meals[i]?.to ?? Number.NaN));
      expect([event?.name, time, between.every((p) => p >= HOUR_MINUTES)]).toEqual([event?.name, time, true]);
    }
});

it("has breakfast where the main meal is long after getting up, and something at midday for an evening's start", () => {
  const eaten = (time: string) =>
    [...(dayAt(null, time)?.values() ?? [])].filter((s) => s.step.kind === "eat").map((s) => s.step.id);
  expect([eaten("10:30"), eaten("14:20"), eaten("20:00")]).toEqual([
    ["meal", "snack"],
    ["breakfast", "meal", "snack"],
    ["breakfast", "midday", "meal", "snack"],
  ]);
});

it("has them get up in the morning, whenever they start", () => {
  for (const event of EVENTS)
    for (const time of TIMES) {
      const [hours = 0, minutes = 0] = time.split(":").map(Number);
      const wake = hours * HOUR_MINUTES + minutes + (dayAt(event, time)?.get("wake")?.from ?? 0);
      expect([time, wake >= 4.5 * HOUR_MINUTES && wake <= 7 * HOUR_MINUTES]).toEqual([time, true]);
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

it("of a start after midnight began the morning before: nobody goes to bed and starts in the same night", () => {
  for (const event of EVENTS)
    for (const time of ["00:00", "00:40", "01:30", "03:30"]) {
      const day = dayAt(event, time);
      const start = Number(time.slice(0, 2)) * HOUR_MINUTES + Number(time.slice(3));
      const clock = (id: string, edge: "from" | "to" = "from") =>
        start + (day?.get(id)?.[edge] ?? Number.NaN);
      // On the clock of the day before.
      expect([
        event?.name,
        time,
        clock("wake") + 24 * HOUR_MINUTES >= 4.5 * HOUR_MINUTES,
        clock("wake") + 24 * HOUR_MINUTES <= 7 * HOUR_MINUTES,
      ]).toEqual([...[event?.name, time], ...[true, true]]);
      expect(clock("midday") + 24 * HOUR_MINUTES).toBeLessThanOrEqual(13.5 * HOUR_MINUTES);
      expect(clock("sleep", "to")).toBeLessThanOrEqual(clock("wake"));
    }
});

describe("between two starts of a day", () => {
  const first = (event: EventType | null) => ({ startsAt: "2026-12-05T12:00:00.000Z", event });
  /** The second start so many minutes after the first, its re-warm 15 min long; minutes from the first. */
  function between(minutes: number, event: EventType | null = null) {
    const startsAt = new Date(Date.parse(first(null).startsAt) + minutes * 60_000).toISOString();
    const frame = { startsAt, zone, warmUpSeconds: 900 };
    const steps = usualDay({ ...frame, event, travel, previous: first(event) });
    const plan = dayPlan({ ...frame, steps }, "bad");
    if (!plan.holds) throw new Error(`${minutes} min: it does not hold.`);
    return plan.stands.map((s) => [s.step.name, s.beginSeconds / 60 + minutes] as const);
  }

  it("food by the time there is, rest straight before the re-warm, nothing of the evening before", () => {
    // 10 min cool-down, 10 min dry clothes.
    expect(between(180)).toEqual([
      ["Meal", 20],
      ["Rest, warm and dry", 145],
      ["Re-warm", 165],
      ["Start", 180],
      ["Cool down", 180],
      ["Dry clothes, a drink", 190],
    ]);
    expect(between(90).slice(0, 3)).toEqual([
      ["Snack", 20],
      ["Rest, warm and dry", 55],
      ["Re-warm", 75],
    ]);
    expect(between(50).map(([name]) => name)[0]).toBe("Re-warm");
  });

  it("holds for every sport, and nothing begins before the first is over and one is dry", () => {
    for (const event of EVENTS)
      for (const gap of [45, 60, 90, 120, 150, 240, 420]) {
        const over = Math.ceil((event?.lengthSeconds ?? 0) / 60) + 3 + 10;
        const early = between(over + gap, event).filter(([name, at]) => {
          const isPoint = event?.fixedPoints.some((p) => p.name === name);
          return !isPoint && at < over;
        });
        expect([event?.name, gap, early]).toEqual([event?.name, gap, []]);
      }
  });

  it("is the day of a later start on the same day at the venue, by the last one before it", () => {
    const at = (startsAt: string) => ({ startsAt });
    const day = { startsAt: "2026-12-05T14:00:00.000Z", zone };
    const list = [
      at("2026-12-05T09:00:00.000Z"),
      at("2026-12-05T12:00:00.000Z"),
      at("2026-12-05T15:00:00.000Z"),
    ];
    expect(previousStart(day, list)?.startsAt).toBe("2026-12-05T12:00:00.000Z");
    // 23:30 the day before at the venue, though the same day in UTC's own calendar is not asked.
    expect(previousStart(day, [at("2026-12-04T22:30:00.000Z")])).toBeNull();
    expect(previousStart(day, [at("2026-12-04T23:30:00.000Z")])).not.toBeNull();
    expect(
      previousStart({ ...day, startsAt: "2026-12-05T00:30:00.000Z" }, [at("2026-12-04T23:30:00.000Z")]),
    ).not.toBeNull();
  });

  it("goes on past midnight where there is no night between: the calendar does not part them", () => {
    const late = { startsAt: "2026-12-05T21:30:00.000Z" };
    const night = { startsAt: "2026-12-05T23:40:00.000Z", zone };
    expect(previousStart(night, [late])).toBe(late);
    // Six hours are a short night.
    expect(previousStart({ ...night, startsAt: "2026-12-06T03:30:00.000Z" }, [late])).toBeNull();
    expect(previousStart({ ...night, startsAt: "2026-12-06T03:29:00.000Z" }, [late])).toBe(late);
    const frame = { ...night, warmUpSeconds: 900 };
    const steps = usualDay({ ...frame, event: null, travel, previous: { ...late, event: null } });
    const plan = dayPlan({ ...frame, steps }, "bad");
    expect(plan.holds && plan.stands.map((s) => s.step.name)).not.toContain("Sleep");
    expect(plan.holds && plan.stands.every((s) => s.beginSeconds > -7800)).toBe(true);
  });
});

it("packs at most what a list may have, each thing once", () => {
  const things = Array.from({ length: 60 }, (_, i) => `Thing ${i}`);
  const day = usualDay({
    ...{ startsAt: "2026-12-05T13:20:00.000Z", zone: "Europe/Vienna", warmUpSeconds: 2400 },
    ...{ event: null, travel: { usual: 25, bad: 40 }, equipment: [...things, "thing 3", "Drink"] },
  });
  const longest = day.reduce((most, { list }) => (list.length > most.length ? list : most), [] as string[]);
  expect(longest).toHaveLength(MOST_LINES);
  expect(new Set(longest.map((line) => line.toLowerCase())).size).toBe(MOST_LINES);
  for (const step of day) expect(dayStepSchema.safeParse(step).success).toBe(true);
});
