import fc from "fast-check";
import ICAL from "ical.js";
import { dayPlan } from "../../src/day/day";
import { withStep } from "../../src/day/editing";
import type { DayStep } from "../../src/day/step";
import { usualDay } from "../../src/day/usualDay";
import { dayCalendar } from "../../src/formats/dayCalendar";
import { cases } from "../made/cases";

const frame = { startsAt: "2026-12-05T13:20:00.000Z", zone: "Europe/Vienna", warmUpSeconds: 2425 };
const steps = usualDay({ ...frame, event: null, travel: { usual: 25, bad: 40 } });
const of = {
  ...frame,
  steps,
  id: "11111111-1111-4111-8111-111111111111",
  title: "Ada Finch, Short",
  venue: "Hall",
  sequence: 7,
  madeAt: "2026-12-01T08:00:00.000Z",
};

/** What another library than the one that wrote it reads. */
function read(text: string | null) {
  const calendar = new ICAL.Component(ICAL.parse(text ?? ""));
  return calendar.getAllSubcomponents("vevent").map((component) => {
    const event = new ICAL.Event(component);
    const alarms = component.getAllSubcomponents("valarm");
    return {
      uid: event.uid,
      summary: event.summary,
      location: event.location,
      description: event.description,
      sequence: event.sequence,
      begins: event.startDate.toJSDate().getTime(),
      ends: event.endDate.toJSDate().getTime(),
      zone: event.startDate.zone.tzid,
      alarms: alarms.map((a) => [
        a.getFirstPropertyValue("action"),
        String(a.getFirstPropertyValue("trigger")),
      ]),
    };
  });
}

it("every step is an event of its own with an id that stays, at its time in UTC, read by another library", () => {
  const events = read(dayCalendar(of));
  const plan = dayPlan(of, "usual");
  if (!plan.holds) throw new Error("It does not hold.");
  const zero = Date.parse(of.startsAt);
  expect(events.map(({ uid, begins, ends, zone }) => ({ uid, begins, ends, zone }))).toEqual(
    plan.stands.map((s) => ({
      uid: `${s.step.id}.${of.id}@tonodrome`,
      begins: zero + s.beginSeconds * 1000,
      ends: zero + s.endSeconds * 1000,
      zone: "UTC",
    })),
  );
  expect(events.map((e) => e.sequence)).toEqual(steps.map(() => 7));
  const travel = events.find((e) => e.uid.startsWith("travel."));
  expect(travel).toMatchObject({ summary: "On the way (Ada Finch, Short)", location: "Hall" });
  // 14:20 there, 90 min before it, 25 min long or 40.
  expect(travel?.description).toMatch(/^At the venue: 12:25\nIf it goes badly: 12:10/);
});

it("calls when to leave and when to begin, and at nothing else", () => {
  const events = read(dayCalendar(of));
  const calling = events.filter((e) => e.alarms.length > 0);
  expect(calling.map((e) => e.uid.split(".")[0])).toEqual(["travel", "warm-up"]);
  for (const e of calling) expect(e.alarms[0]?.[0]).toBe("DISPLAY");
});

it("a second file of the same day has the same ids, and a higher number once it changed", () => {
  const moved = { ...of, startsAt: "2026-12-05T13:40:00.000Z", sequence: 8 };
  const [first, second] = [read(dayCalendar(of)), read(dayCalendar(moved))];
  expect(second.map((e) => e.uid)).toEqual(first.map((e) => e.uid));
  expect(second[0]?.sequence).toBe(8);
});

it("there is none of a day that cannot hold together", () => {
  const early = steps.map(
    (s): DayStep =>
      s.id === "travel"
        ? { ...s, rules: [...s.rules, { kind: "clock", edge: "begin", day: 0, notBefore: "14:00" }] }
        : s,
  );
  expect(dayCalendar({ ...of, steps: early })).toBeNull();
});

it("whatever is written in it: lines of at most 75 octets with CRLF, and read back as it was", () => {
  const text = fc.oneof(
    fc.string({ unit: "grapheme", minLength: 1, maxLength: 80 }),
    fc.constantFrom('a;b,c\\d:e"f', "BEGIN:VEVENT", "=1+1", "北京 🤸🏽 ".repeat(15), "ß".repeat(79)),
  );
  fc.assert(
    fc.property(text, text, text, (title, name, note) => {
      // As a form would let it through: no line breaks, nothing that cannot be seen.
      const clean = (s: string) => s.replace(/[\p{Cc}\p{Cf}\p{Cs}\p{Zl}\p{Zp}]/gu, "").trim() || "x";
      const added = withStep(steps, "other", "settle");
      const own = added.steps.map((s) =>
        s.id === added.id ? { ...s, name: clean(name), note: clean(note) } : s,
      );
      const written = dayCalendar({ ...of, title: clean(title), steps: own }) ?? "";
      const lines = written.split("\r\n");
      expect(written).not.toMatch(/[^\r]\n/);
      for (const line of lines) expect(Buffer.byteLength(line)).toBeLessThanOrEqual(75);
      const event = read(written).find((e) => e.uid.startsWith(`${added.id}.`));
      expect(event?.summary).toBe(`${clean(name)} (${clean(title)})`);
      expect(event?.description.split("\n")[0]).toBe(clean(note));
    }),
    cases(100),
  );
});
