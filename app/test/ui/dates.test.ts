import { clockTime, dayName, deviceZone, foreignZone } from "~/ui/dates";
import { toneClasses, toneOf } from "~/ui/tone";

const now = Date.parse("2026-06-01T21:30:00.000Z");

it("names days by the venue's calendar, not the device's", () => {
  const justAfterMidnightInVienna = "2026-06-01T22:10:00.000Z";
  expect(dayName(justAfterMidnightInVienna, "Europe/Vienna", now)).toBe("Tomorrow");
  expect(dayName(justAfterMidnightInVienna, "UTC", now)).toBe("Today");
  expect(dayName("2026-05-31T12:00:00.000Z", "UTC", now)).toBe("Yesterday");
  expect(dayName("2026-06-09T12:00:00.000Z", "UTC", now)).toContain("9");
});

it("writes the venue's clock, and its city when it is not the device's zone", () => {
  expect(clockTime("2026-06-01T22:00:00.000Z", "Europe/Vienna")).toBe("00:00");
  expect(clockTime(now, "Asia/Kathmandu")).toBe("03:15");
  expect(foreignZone(deviceZone())).toBeNull();
  expect(foreignZone("America/St_Johns")).toBe("St Johns");
});

it("draws intensity as seven tones from pale to full", () => {
  expect([0, 14, 15, 50, 90, 100].map(toneOf)).toEqual([1, 1, 2, 4, 7, 7]);
  expect(toneClasses(50)).toEqual({ fill: "bg-tone-4", text: "text-on-tone-4" });
});
