import fc from "fast-check";
import { flooredLength, formatLength, formatMinus, spokenLength } from "../../src/time/clock";
import { isTimeZone, nearestInstant, wallClock, zonedInstant } from "../../src/time/zone";

it("writes lengths and minus times", () => {
  expect([0, 59.6, 250, 3600, 36_061].map(formatLength)).toEqual([
    "0:00",
    "1:00",
    "4:10",
    "1:00:00",
    "10:01:01",
  ]);
  expect([-750, 0, -0.2, 40].map(formatMinus)).toEqual(["−12:30", "0:00", "0:00", "+0:40"]);
  expect([45, 300, 250, 3600, 7200, 9000].map(spokenLength)).toEqual([
    "45 s",
    "5 min",
    "4:10 min",
    "60 min",
    "2 h",
    "2 h 30 min",
  ]);
});

it("writes lengths down to whole minutes, never below nothing", () => {
  expect([-5, 0, 59, 60, 3600, 6665, 172_799, 172_800, 200_000].map(flooredLength)).toEqual([
    "0 s",
    "0 s",
    "59 s",
    "1 min",
    "1 h",
    "1 h 51 min",
    "47 h 59 min",
    "2 days",
    "2 days",
  ]);
});

it("reads the venue's clock, summer and winter", () => {
  expect(zonedInstant("2026-06-01", "14:30", "Europe/Vienna")).toEqual({
    instant: "2026-06-01T12:30:00.000Z",
    kind: "once",
  });
  expect(zonedInstant("2026-12-31", "23:59", "America/St_Johns").instant).toBe("2027-01-01T03:29:00.000Z");
});

it("knows the hour that is skipped and the one that comes twice", () => {
  expect(zonedInstant("2026-03-29", "02:30", "Europe/Vienna").kind).toBe("never");
  expect(zonedInstant("2026-10-25", "02:30", "Europe/Vienna")).toEqual({
    instant: "2026-10-25T00:30:00.000Z",
    kind: "twice",
  });
  // Half-hour change.
  expect(zonedInstant("2026-04-05", "01:45", "Australia/Lord_Howe").kind).toBe("twice");
  expect(zonedInstant("2026-10-25", "03:30", "Europe/Vienna").kind).toBe("once");
});

it("says which part cannot be read", () => {
  expect(() => zonedInstant("2026-02-30", "10:00", "UTC")).toThrow(/calendar/);
  expect(() => zonedInstant("1.2.2026", "10:00", "UTC")).toThrow(/date/);
  expect(() => zonedInstant("2026-02-01", "24:00", "UTC")).toThrow(/time/);
  expect(() => zonedInstant("2026-02-01", "10:00", "Mars/Olympus")).toThrow(/zone/);
  expect([isTimeZone("Europe/Vienna"), isTimeZone(""), isTimeZone("Nowhere")]).toEqual([true, false, false]);
});

it("gives back the wall clock it was given, wherever it exists", () => {
  const zones = fc.constantFrom(
    "Europe/Vienna",
    "America/New_York",
    "Asia/Kathmandu",
    "Australia/Lord_Howe",
    "UTC",
  );
  const day = fc.date({ min: new Date("2020-01-01"), max: new Date("2035-01-01"), noInvalidDate: true });
  fc.assert(
    fc.property(zones, day, fc.integer({ min: 0, max: 1439 }), (zone, date, minute) => {
      const wanted = {
        date: date.toISOString().slice(0, 10),
        time: `${String(Math.floor(minute / 60)).padStart(2, "0")}:${String(minute % 60).padStart(2, "0")}`,
      };
      const { instant, kind } = zonedInstant(wanted.date, wanted.time, zone);
      if (kind !== "never") expect(wallClock(instant, zone)).toEqual(wanted);
    }),
  );
});

it("takes a clock time as the nearest one, over midnight too", () => {
  const late = zonedInstant("2026-06-01", "23:50", "Europe/Vienna").instant;
  expect(wallClock(nearestInstant("00:10", "Europe/Vienna", late), "Europe/Vienna")).toEqual({
    date: "2026-06-02",
    time: "00:10",
  });
  expect(wallClock(nearestInstant("23:40", "Europe/Vienna", late), "Europe/Vienna")).toEqual({
    date: "2026-06-01",
    time: "23:40",
  });
});
