let clock: typeof import("~/data/client/clock");
let wall = Date.parse("2026-06-01T12:00:00.000Z");
let steady = 1000;
let visible = true;

/** Time goes by, and the device's clock is set by as much more. */
const pass = (ms: number, set = 0) => {
  steady += ms;
  wall += ms + set;
};

beforeEach(() => {
  jest.spyOn(Date, "now").mockImplementation(() => wall);
  jest.spyOn(performance, "now").mockImplementation(() => steady);
  jest.spyOn(document, "visibilityState", "get").mockImplementation(() => (visible ? "visible" : "hidden"));
  visible = true;
  localStorage.clear();
  jest.isolateModules(() => {
    clock = require("~/data/client/clock");
  });
});
afterEach(() => jest.restoreAllMocks());

const see = (now: boolean) => {
  visible = now;
  document.dispatchEvent(new Event("visibilitychange"));
};

it("is the device's own while nothing else is known", () => {
  pass(1000);
  expect(clock.timeNow()).toBe(wall);
});

it("is corrected by the server's when that is minutes away, and not for a second or two", () => {
  const server = (off: number) => clock.hearServerTime(new Date(wall - off).toUTCString(), { wall, steady });
  server(2000);
  expect(clock.timeNow()).toBe(wall);
  server(180_000);
  expect(Math.abs(clock.timeNow() - (wall - 180_000))).toBeLessThanOrEqual(1000);
  server(0);
  expect(clock.timeNow()).toBe(wall);
  clock.hearServerTime(null, { wall, steady });
  clock.hearServerTime("no date", { wall, steady });
  expect(clock.timeNow()).toBe(wall);
});

it("tells by how much it was wrong, and knows it again after the page was closed, for half a day", () => {
  const told: number[] = [];
  clock.whenCorrected((by) => told.push(by));
  expect(clock.isTimeKnown()).toBe(false);
  clock.hearServerTime(new Date(wall - 600_000).toUTCString(), { wall, steady });
  expect(told).toHaveLength(1);
  expect(Math.abs((told[0] ?? 0) + 600_000)).toBeLessThanOrEqual(1000);
  expect(clock.isTimeKnown()).toBe(true);
  pass(61_000);
  expect(clock.isTimeKnown()).toBe(false);
  const again = () => {
    jest.isolateModules(() => {
      clock = require("~/data/client/clock");
    });
    return wall - clock.timeNow();
  };
  expect(Math.abs(again() - 600_000)).toBeLessThanOrEqual(1000);
  pass(13 * 3_600_000);
  expect(again()).toBe(0);
});

it("takes an answer for half way old", () => {
  const asked = { wall, steady };
  pass(8000);
  // Said in the middle of it.
  clock.hearServerTime(new Date(wall - 4000 - 180_000).toUTCString(), asked);
  expect(Math.abs(clock.timeNow() - (wall - 180_000))).toBeLessThanOrEqual(1000);
});

it("learns nothing from an answer that the device slept over", () => {
  const asked = { wall, steady };
  const date = new Date(wall).toUTCString();
  see(false);
  // Asleep: the steady count stood still.
  wall += 600_000;
  see(true);
  clock.hearServerTime(date, asked);
  expect(clock.isTimeKnown()).toBe(false);
  expect(clock.timeNow()).toBe(wall);
});

it("does not jump with a clock that is set while somebody looks, forward or back", () => {
  const began = clock.timeNow();
  for (const hour of [3_600_000, -7_200_000]) {
    pass(250, hour);
    clock.timeNow();
  }
  pass(500);
  expect(clock.timeNow() - began).toBe(1000);
});

it("believes the clock after a sleep in which nobody looked", () => {
  const began = clock.timeNow();
  see(false);
  // Asleep: the steady count stood still.
  wall += 600_000;
  see(true);
  expect(clock.timeNow() - began).toBe(600_000);
});

it("says what is wrong with it in words", () => {
  expect(clock.clockWords(0)).toBeNull();
  expect(clock.clockWords(45)).toBe("This device's clock is 45 s fast; the run is corrected for it.");
  expect(clock.clockWords(-600)).toBe("This device's clock is 10 min slow; the run is corrected for it.");
});
