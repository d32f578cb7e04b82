import { alarmsOf } from "../../src/day/alarms";
import { usualDay } from "../../src/day/usualDay";

const frame = { startsAt: "2026-12-05T13:20:00.000Z", zone: "Europe/Vienna", warmUpSeconds: 2400 };
const steps = usualDay({ ...frame, event: null, travel: { usual: 25, bad: 40 } });
const notBegunBefore = (notBefore: string) => ({
  kind: "clock" as const,
  edge: "begin" as const,
  day: 0,
  notBefore,
});
const minutesBefore = (at: number) => (Date.parse(frame.startsAt) - at) / 60_000;

it("calls to leave and to begin, each when it begins, in order", () => {
  const alarms = alarmsOf({ ...frame, steps });
  expect(alarms.map((a) => a.words)).toEqual([
    expect.stringMatching(/^Leave now/),
    ...alarms.slice(1).map((a) => a.words),
  ]);
  expect(alarms.at(-1)).toMatchObject({ words: "Begin the warm-up now" });
  expect(minutesBefore(alarms.at(-1)?.at ?? 0)).toBe(40);
  expect(alarms.map((a) => a.at)).toEqual(alarms.map((a) => a.at).sort((a, b) => a - b));
});

it("calls in the order of the clock, whatever order the steps stand in", () => {
  const check = {
    ...(steps.find((s) => s.kind === "travel") as (typeof steps)[number]),
    ...{ id: "kit-check", name: "Kit check", kind: "check-in" as const, beside: true },
    ...{
      minutes: { usual: 5 },
      rules: [{ kind: "before", edge: "begin", leastMinutes: 600, mostMinutes: 600 }],
    },
  };
  // It goes on beside the others, ten hours before the start, and stands last.
  const rules = check.rules.map((rule) => ({ ...rule, ofEdge: "begin", of: "start" }));
  const alarms = alarmsOf({ ...frame, steps: [...steps, { ...check, rules } as (typeof steps)[number]] });
  expect(alarms[0]).toMatchObject({ words: "Now: Kit check" });
  expect(minutesBefore(alarms[0]?.at ?? 0)).toBe(600);
  expect(alarms.map((a) => a.at)).toEqual(alarms.map((a) => a.at).toSorted((a, b) => a - b));
});

it("moves with the start, as another call", () => {
  const later = alarmsOf({ ...frame, startsAt: "2026-12-05T13:40:00.000Z", steps });
  const before = alarmsOf({ ...frame, steps });
  expect(later.map((a, i) => a.at - (before[i]?.at ?? 0))).toEqual(before.map(() => 20 * 60_000));
  expect(later.some((a) => before.some((b) => b.key === a.key))).toBe(false);
});

it("is the same call while the warm-up is late, whatever is left of it", () => {
  const keys = (warmUpSeconds: number) => alarmsOf({ ...frame, warmUpSeconds, steps }).map((a) => a.key);
  expect(keys(2340)).toEqual(keys(2400));
  // With hardly anything left the day does not hold together any more.
  const tight = steps.map((s) => (s.kind === "travel" ? { ...s, rules: [notBegunBefore("15:00")] } : s));
  const late = alarmsOf({ ...frame, steps: tight as typeof steps });
  expect(late).toHaveLength(1);
  expect(keys(2400)).toContain(late[0]?.key);
});

it("of a day that cannot hold together still calls to begin", () => {
  const impossible = steps.map((s) => (s.kind === "travel" ? { ...s, rules: [notBegunBefore("14:00")] } : s));
  const alarms = alarmsOf({ ...frame, steps: impossible as typeof steps });
  expect(alarms.map((a) => a.words)).toEqual(["Begin the warm-up now"]);
});
