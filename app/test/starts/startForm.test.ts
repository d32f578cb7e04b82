import { startInputSchema } from "@tonodrome/core/api";
import {
  type StartForm,
  soonAt,
  startFormSchema,
  startInputOf,
  timeFault,
  timeNews,
  whenOf,
} from "~/features/starts/form/startForm";

const form: StartForm = {
  athleteId: "11111111-1111-4111-8111-111111111111",
  newAthlete: "",
  title: "Free skate",
  venue: "Hall",
  zone: "Europe/Vienna",
  date: "2026-06-01",
  time: "00:20",
  minutes: 45,
  eventId: "",
};

it("turns the venue's clock into instants, over midnight", () => {
  const input = startInputOf(form, form.athleteId);
  expect(startInputSchema.parse(input)).toEqual(input);
  expect([input.readyAt, input.startsAt]).toEqual(["2026-05-31T21:35:00.000Z", "2026-05-31T22:20:00.000Z"]);
});

it("knows a time that has passed, that comes twice, and cannot be fooled by half a time", () => {
  const now = Date.parse("2026-05-31T22:20:00.000Z");
  expect(timeNews(form, now).past).toBe(true);
  expect(timeNews(form, now - 1).past).toBe(false);
  expect(timeNews({ ...form, date: "2026-10-25", time: "02:30" }, now).hint).toContain("twice");
  expect(timeNews({ ...form, time: "" }, now)).toEqual({ past: false, hint: null });
});

describe("when a start is, changed in its own sheet,", () => {
  const now = { startsAt: "2026-05-31T22:20:00.000Z", readyAt: "2026-05-31T21:50:00.000Z" };
  const typed = { date: "2026-06-02", time: "14:20", zone: " Europe/Helsinki " };
  const at = Date.parse("2026-06-01T00:00:00.000Z");

  it("takes the time available and the time on the list with it", () => {
    expect(whenOf(typed, now, at)).toEqual({
      when: {
        startsAt: "2026-06-02T11:20:00.000Z",
        readyAt: "2026-06-02T10:50:00.000Z",
        listedAt: "2026-06-02T11:20:00.000Z",
        zone: "Europe/Helsinki",
      },
      fault: "",
      hint: null,
    });
  });

  it("says what cannot be, is past, or comes twice, and hands nothing on that the server would refuse", () => {
    const of = (more: Partial<typeof typed>) => whenOf({ ...typed, zone: "Europe/Vienna", ...more }, now, at);
    expect(of({ date: "2026-03-29", time: "02:30" })).toMatchObject({
      when: null,
      fault: expect.stringContaining("does not exist that night"),
    });
    for (const half of [{ date: "0020-06-02" }, { date: "" }, { time: "" }, { zone: "Europe/Nowhere" }])
      expect(of(half)).toMatchObject({ when: null, fault: expect.stringContaining("that there are") });
    expect(of({ date: "2026-05-30" }).hint).toBe("This time has passed.");
    expect(of({ date: "2026-10-25", time: "02:30" }).hint).toContain("comes twice");
  });
});

it.each([
  ["nobody chosen", { athleteId: "" }, "newAthlete"],
  ["an empty title", { title: "  " }, "title"],
  ["a title of 400 characters", { title: "x".repeat(400) }, "title"],
  ["an unknown zone", { zone: "Nowhere/Land" }, "zone"],
  ["no day", { date: "" }, "date"],
  ["no time", { time: "" }, "time"],
  ["a time that the clocks skip", { date: "2026-03-29", time: "02:30" }, "time"],
])("refuses %s and says where", (_, change, path) => {
  const answer = startFormSchema.safeParse({ ...form, ...change });
  expect(answer.error?.issues.map((i) => i.path[0])).toContain(path);
});

it("says what keeps a time from being that of a start, and proposes one an hour from now", () => {
  const now = Date.parse("2026-11-28T08:02:30.000Z");
  const at = (date: string, time: string) => timeFault({ date, time, zone: "Europe/Vienna" }, now);
  expect(at("2026-11-28", "09:02")).toBe("That time has passed at the venue. Give a later one.");
  expect(at("2026-11-28", "09:03")).toBeNull();
  expect(at("2027-03-28", "02:30")).toMatch(/^02:30 does not exist that night/);
  expect(soonAt(now, "Europe/Vienna")).toEqual({ date: "2026-11-28", time: "10:05" });
});
