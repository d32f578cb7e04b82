import { readFileSync } from "node:fs";
import path from "node:path";
import ICAL from "ical.js";
import { root, tonodrome } from "./tonodrome";

describe("a day", () => {
  const file = path.join(root, "docs", "examples", "day.json");
  const dayText = readFileSync(file, "utf8");
  const dayChanged = (change: (day: ReturnType<typeof JSON.parse>) => void) => {
    const day = JSON.parse(dayText);
    change(day);
    return JSON.stringify(day);
  };

  it("is counted back from its start on the venue's clock, as usual and if it goes badly, with 0 where both hold", () => {
    const { status, stdout } = tonodrome(["day", file]);
    const { versions } = JSON.parse(stdout);
    const travel = (v: { steps: { id: string; begin: string }[] }) =>
      v.steps.find((s) => s.id === "travel")?.begin;
    // An hour and a half before 14:20, less 25 min on the road, or 40.
    expect([status, ...versions.map(travel)]).toEqual([0, "2026-12-05 12:25", "2026-12-05 12:10"]);
    expect(tonodrome(["day", "-", "--table"], dayText).stdout).toMatch(/2026-12-05 12:25 +12:50 +−1:55:00/);
  });

  it("ends with 1 and names what cannot hold together", () => {
    const late = dayChanged((day) => {
      day.steps[3].rules.push({ kind: "clock", edge: "begin", day: 0, notBefore: "11:30" });
    });
    const { status, stdout } = tonodrome(["day", "-"], late);
    const [usual] = JSON.parse(stdout).versions;
    expect([status, usual.holds, usual.contradiction.because.length]).toEqual([1, false, 3]);
    expect(usual.contradiction.words).toMatch(/^These cannot hold together, by .*Wake up/);
  });

  it("refuses what is no day, and names where: two starts, a step twice, rules of nothing, odd fields", () => {
    const faults = (change: (day: ReturnType<typeof JSON.parse>) => void) =>
      tonodrome(["day", "-"], dayChanged(change));
    const two = faults((day) => day.steps.push({ ...day.steps[9], id: "again" }));
    expect([two.status, two.stderr]).toEqual([2, "steps: A day has one step of the kind start, not 2.\n"]);
    const twice = faults((day) => day.steps.push({ ...day.steps[10] }));
    expect(twice.stderr).toBe("steps.11.id: Another step is called “cool-down”.\n");
    const nothing = faults((day) => {
      day.steps[3].rules[0].of = "nowhere";
      day.steps[4].rules[0].of = "breakfast";
    });
    expect(nothing.stderr).toBe(
      "steps.3.rules.0.of: There is no step “nowhere”.\nsteps.4.rules.0.of: A step has no rule to itself.\n",
    );
    expect(faults((day) => (day.zone = "Mars/Base")).stderr).toContain("zone: This time zone is not known");
    expect(faults((day) => (day.steps[0].colour = "red")).status).toBe(2);
    expect(faults((day) => (day.steps = [])).status).toBe(2);
    expect(tonodrome(["day", "-"], "{").status).toBe(2);
    expect(tonodrome(["day", "-", "--seconds", "5"], dayText).stderr).toBe("--seconds is not for day.\n");
  });
});

it("counts the usual day of an event back where a file has no steps of its own", () => {
  const file = {
    ...{ format: "tonodrome-day", version: 1, startsAt: "2026-12-05T13:20:00.000Z" },
    ...{ zone: "Europe/Vienna", warmUpSeconds: 2160, travel: { usual: 30, bad: 60 } },
  };
  const { status, stdout } = tonodrome(["day", "-"], JSON.stringify(file));
  const [usual, bad] = JSON.parse(stdout).versions;
  const begin = (v: { steps: { id: string; begin: string }[] }) =>
    v.steps.find((s) => s.id === "travel")?.begin;
  expect([status, begin(usual), begin(bad)]).toEqual([0, "2026-12-05 12:20", "2026-12-05 11:50"]);
  const odd = tonodrome(["day", "-"], JSON.stringify({ ...file, travel: { usual: 30, bad: 20 } }));
  expect(odd.stderr).toBe("travel.bad: If it goes badly it takes no less.\n");
});

describe("export", () => {
  const file = path.join(root, "docs", "examples", "day.json");

  it("writes a calendar that another library reads: every step at its time", () => {
    const { status, stdout } = tonodrome(["export", file, "--as", "ics"]);
    expect(status).toBe(0);
    const [usual] = JSON.parse(tonodrome(["day", file]).stdout).versions;
    const events = new ICAL.Component(ICAL.parse(stdout)).getAllSubcomponents("vevent");
    expect(events.map((e) => new ICAL.Event(e).startDate.toJSDate().getTime())).toEqual(
      usual.steps.map(
        (s: { beginSeconds: number }) => Date.parse("2026-12-05T13:20:00Z") + s.beginSeconds * 1000,
      ),
    );
  });

  it("writes the whole day as JSON, which reads as the same day again", () => {
    const day = {
      format: "tonodrome-day",
      version: 1,
      startsAt: "2026-12-05T13:20:00.000Z",
      title: "Ada, Short",
    };
    const short = JSON.stringify({ ...day, zone: "Europe/Vienna", warmUpSeconds: 2160 });
    const { status, stdout } = tonodrome(["export", "-", "--as", "json"], short);
    const whole = JSON.parse(stdout);
    expect([status, whole.title, whole.steps.length > 10]).toEqual([0, "Ada, Short", true]);
    expect(tonodrome(["day", "-"], stdout)).toEqual(tonodrome(["day", "-"], short));
    expect(tonodrome(["export", "-", "--as", "json"], stdout).stdout).toBe(stdout);
  });

  it("says what cannot hold together instead, and refuses what it cannot write", () => {
    const day = JSON.parse(readFileSync(file, "utf8"));
    day.steps[3].rules.push({ kind: "clock", edge: "begin", day: 0, notBefore: "14:00" });
    const late = tonodrome(["export", "-", "--as", "ics"], JSON.stringify(day));
    expect([late.status, late.stdout]).toEqual([1, ""]);
    expect(late.stderr).toMatch(/^These cannot hold together, by /);
    for (const args of [
      ["export", file],
      ["export", file, "--as", "doc"],
      ["day", file, "--as", "ics"],
    ]) {
      const { status, stdout, stderr } = tonodrome(args);
      expect([status, stdout]).toEqual([2, ""]);
      expect(stderr).toContain("--as");
    }
    expect(tonodrome(["export", "-", "--as", "ics"], "{").status).toBe(2);
  });
});
