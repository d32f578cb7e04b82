import { settingSchema, usualSetting } from "../../src/conditions/setting";
import { fitContextSchema } from "../../src/venue/context";
import { contextOf } from "../../src/venue/contextOf";

const startsAt = "2026-06-01T12:00:00.000Z";
const facts = {
  points: [{ name: "Call", minutesBefore: 10, minutesLong: 3, closesPractice: true, place: "Rink" }],
  places: ["Rink"],
  usualReps: 40,
};
const window = (opens: string, closes: string) => ({ opens, closes, room: "all" as const, turns: 1 });
const onIce = (...windows: ReturnType<typeof window>[]) => ({
  ...usualSetting(),
  places: [{ name: "Ice", windows }],
});

it("takes places and fixed points of the event, counted back from the start", () => {
  const context = contextOf({ startsAt, setting: usualSetting(), facts });
  expect(context).toEqual({
    places: [{ name: "Rink", windows: [] }],
    travel: [],
    points: [{ name: "Call", fromSeconds: -600, toSeconds: -420, place: "Rink", closesPractice: true }],
    startPlace: null,
    usualReps: 40,
  });
  expect(fitContextSchema.parse(context)).toEqual(context);
});

it("keeps windows at their time when the start moves", () => {
  const setting = onIce(window("2026-06-01T11:30:00.000Z", "2026-06-01T11:36:00.000Z"));
  const at = (iso: string) => contextOf({ startsAt: iso, setting, facts }).places[0]?.windows[0];
  expect(at(startsAt)).toMatchObject({ fromSeconds: -1800, toSeconds: -1440 });
  expect(at("2026-06-01T12:20:00.000Z")).toMatchObject({ fromSeconds: -3000, toSeconds: -2640 });
});

it("does not take a place whose windows are all on another day for one that is open all day", () => {
  const setting = onIce(window("2026-05-01T11:30:00.000Z", "2026-05-01T11:36:00.000Z"));
  const [place] = contextOf({ startsAt, setting, facts }).places;
  expect(place?.windows).toHaveLength(1);
  expect((place?.windows[0]?.toSeconds ?? 0) - (place?.windows[0]?.fromSeconds ?? 0)).toBe(1);
});

it("takes a fixed point at a place that is not there for one wherever the athlete is", () => {
  const [point] = contextOf({ startsAt, setting: onIce(), facts }).points;
  expect(point?.place).toBeNull();
});

it("refuses, with the path, windows that overlap and places that are not there", () => {
  const pathsOf = (setting: unknown) =>
    settingSchema.safeParse(setting).error?.issues.map((i) => i.path.join(".")) ?? [];
  const early = window("2026-06-01T11:00:00.000Z", "2026-06-01T11:30:00.000Z");
  const late = window("2026-06-01T11:20:00.000Z", "2026-06-01T11:40:00.000Z");
  expect(pathsOf(onIce(early, late))).toEqual(["places.0.windows.1.opens"]);
  expect(pathsOf(onIce(late, early))).toEqual(["places.0.windows.0.opens"]);
  expect(pathsOf(onIce(early, early))).toEqual(["places.0.windows.1.opens"]);
  expect(pathsOf(onIce(window(late.closes, late.opens)))).toEqual(["places.0.windows.0.closes"]);
  expect(pathsOf({ ...onIce(early), startPlace: "Moon" })).toEqual(["startPlace"]);
  expect(pathsOf({ ...onIce(early), travel: [{ from: "Ice", to: "ice", seconds: 5 }] })).toEqual([
    "travel.0.to",
  ]);
  expect(pathsOf(onIce(early))).toEqual([]);
});

it("knows each place once, no two windows of it at one time, and no place that is not there", () => {
  const wrong = (more: object) =>
    fitContextSchema.safeParse({ places: [{ name: "Ice" }, { name: "Hall" }], ...more }).error?.issues[0]
      ?.path;
  expect(wrong({})).toBeUndefined();
  expect(wrong({ places: [{ name: "Ice" }, { name: " ICE " }] })).toEqual(["places", 1, "name"]);
  const windows = [
    { fromSeconds: -900, toSeconds: -600 },
    { fromSeconds: -1200, toSeconds: -899 },
  ];
  expect(wrong({ places: [{ name: "Ice", windows }] })).toEqual(["places", 0, "windows", 0, "fromSeconds"]);
  expect(wrong({ startPlace: "Moon" })).toEqual(["startPlace"]);
  expect(wrong({ travel: [{ from: "Ice", to: "Moon", seconds: 60 }] })).toEqual(["travel", 0, "to"]);
});
