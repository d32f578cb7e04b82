import { type DayStep, dayPlan, dayStepSchema, usualDay } from "@tonodrome/core/day";
import { dayRows, daysApart } from "~/features/day/dayRows";

const frame = { startsAt: "2026-12-05T13:20:00.000Z", zone: "Europe/Vienna", warmUpSeconds: 2400 };

function rowsOf(steps: readonly DayStep[], more: object = {}) {
  const day = { ...frame, steps, ...more };
  return dayRows(day, dayPlan(day, "usual"), dayPlan(day, "bad"));
}

const usual = usualDay({ ...frame, event: null, travel: { usual: 25, bad: 40 } });

it("has the evening before and the day of the start, each step as it comes, both versions beside each other", () => {
  const parts = rowsOf(usual);
  expect(parts.map((p) => p.date)).toEqual(["2026-12-04", "2026-12-05"]);
  const rows = parts.flatMap((p) => p.rows);
  const begins = rows.map((r) => r.begins.usual as number);
  expect(begins).toEqual([...begins].sort((a, b) => a - b));
  const travel = rows.find((r) => r.step.id === "travel");
  expect((travel?.begins.usual as number) - (travel?.begins.bad as number)).toBe(15 * 60_000);
  const start = rows.find((r) => r.step.kind === "start");
  expect([start?.begins.usual, start?.isAfter]).toEqual([Date.parse(frame.startsAt), false]);
  expect(rows.find((r) => r.step.id === "cool-down")?.isAfter).toBe(true);
});

it("says how long nothing is to be done, from ten minutes on, and not across what goes on beside", () => {
  const step = (id: string, minutes: number, more: Partial<DayStep> = {}) =>
    dayStepSchema.parse({ id, name: id, kind: "other", minutes: { usual: minutes }, ...more });
  const at = (notAfter: string) => [{ kind: "clock" as const, edge: "begin" as const, day: 0, notAfter }];
  const rows = rowsOf([
    step("a", 10, { rules: at("12:00") }),
    step("aside", 60, { beside: true, rules: at("12:05") }),
    step("b", 10, { rules: at("12:30") }),
    step("c", 20, { rules: at("12:49") }),
    step("start", 0, { kind: "start" }),
  ]).flatMap((p) => p.rows);
  expect(rows.map((r) => [r.step.id, r.freeSeconds / 60])).toEqual([
    ["a", 20],
    ["aside", 0],
    ["b", 0],
    // 12:49 to 13:09; the start is at 14:20.
    ["c", 71],
    ["start", 0],
  ]);
});

it("in the order of the list and without times where it cannot hold; a bad version that cannot has none alone", () => {
  const early = (id: string, minutes: number) =>
    dayStepSchema.parse({
      ...{ id, name: id, kind: "other", minutes: { usual: minutes, bad: 90 } },
      rules: [{ kind: "clock", edge: "begin", day: 0, notBefore: "13:20" }],
    });
  const start = dayStepSchema.parse({ id: "start", name: "Start", kind: "start", minutes: { usual: 3 } });
  const [none] = rowsOf([early("late", 90), start]);
  expect([none?.date, none?.rows.map((r) => r.begins.usual)]).toEqual([null, [null, null]]);
  const [some] = rowsOf([early("late", 30), start]);
  expect(some?.rows[0]?.begins).toEqual({ usual: Date.parse("2026-12-05T12:50:00.000Z"), bad: null });
});

it.each([
  ["2026-12-05", "the day of the start"],
  ["2026-12-04", "the day before"],
  ["2026-12-03", "2 days before"],
  ["2026-12-06", "the day after"],
])("%s is %s", (date, words) => {
  expect(daysApart(date, "2026-12-05T22:30:00.000Z", "Europe/London")).toBe(words);
});
