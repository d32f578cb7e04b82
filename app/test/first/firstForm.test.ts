import { startInputSchema } from "@tonodrome/core/api";
import { type FirstForm, firstFormAt, firstFormSchema, firstStartOf } from "~/features/first/firstForm";

const NOW = Date.parse("2026-11-28T08:02:30.000Z");
const ATHLETE = "6f1d1d7c-3b64-4b5e-9a55-5d2c7f0a9e41";
const of = { athleteId: ATHLETE, event: null, zone: "Europe/Vienna", now: NOW };
const form = (more: Partial<FirstForm> = {}): FirstForm => ({
  sports: [],
  athlete: "Odalys Brandt",
  date: "2026-11-28",
  time: "10:30",
  ...more,
});

it("proposes an hour from now, on a round five minutes of the device's clock", () => {
  expect(firstFormAt(NOW, "Europe/Vienna")).toMatchObject({ date: "2026-11-28", time: "10:05", sports: [] });
  // Late in the evening it is tomorrow.
  expect(firstFormAt(Date.parse("2026-11-28T22:20:00.000Z"), "Europe/Vienna")).toMatchObject({
    date: "2026-11-29",
    time: "00:20",
  });
});

it("asks for a name and a time", () => {
  expect(firstFormSchema.safeParse(form()).success).toBe(true);
  for (const wrong of [{ athlete: " " }, { time: "25:00" }, { date: "" }])
    expect(firstFormSchema.safeParse(form(wrong)).success).toBe(false);
});

it("gives three quarters of an hour before the start, or the whole minutes there are", () => {
  const long = firstStartOf(form(), of);
  expect(long).toMatchObject({ startsAt: "2026-11-28T09:30:00.000Z", readyAt: "2026-11-28T08:45:00.000Z" });
  expect(startInputSchema.safeParse({ id: ATHLETE, ...long }).success).toBe(true);
  expect(firstStartOf(form({ time: "09:20" }), of).readyAt).toBe("2026-11-28T08:03:00.000Z");
});

it("is called after the sport's event and starts in it", () => {
  const event = { id: "2b0f3f0e-64fb-4d9d-8f4a-1c1b1f2f3a4b", name: "Individual routine" };
  expect(firstStartOf(form(), { ...of, event })).toMatchObject({ title: event.name, eventId: event.id });
  expect(firstStartOf(form(), of)).toMatchObject({ title: "First start", eventId: null });
});
