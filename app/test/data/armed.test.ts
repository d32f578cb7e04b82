import { arm, armed, forgetAlarms } from "~/data/device/armed";
import { ALARMS } from "~/early/keptKeys";

const kept = () => JSON.parse(localStorage.getItem(ALARMS) ?? "null");

beforeEach(forgetAlarms);

it("keeps which starts call here, each once, and tells of it", () => {
  const told: (readonly string[])[] = [];
  const end = armed.subscribe((ids) => told.push(ids));
  arm("a", true);
  arm("b", true);
  arm("a", true);
  expect(told).toEqual([["a"], ["a", "b"], ["b", "a"]]);
  expect(kept()).toEqual(["b", "a"]);
  arm("b", false);
  end();
  expect(kept()).toEqual(["a"]);
});

it("keeps the latest forty", () => {
  for (let i = 0; i < 50; i++) arm(String(i), true);
  expect(armed.getState()).toHaveLength(40);
  expect(armed.getState()[0]).toBe("10");
});

it("leaves nothing on the device where nothing calls", () => {
  arm("a", true);
  forgetAlarms();
  expect(armed.getState()).toEqual([]);
  expect(localStorage.getItem(ALARMS)).toBeNull();
});

it.each([
  ["a list with something else in it", '["a", 7]', ["a"]],
  ["no list", '{"a": 1}', []],
  ["no JSON", "[", []],
])("begins with what was kept: %s", (_, text, ids) => {
  localStorage.setItem(ALARMS, text);
  jest.isolateModules(() => {
    const again = require("~/data/device/armed");
    expect(again.armed.getState()).toEqual(ids);
  });
});
