import type { CurvePoint } from "@tonodrome/core/forecast";
import { EARLIEST, LATEST, momentsOf, POINTS, stateIf } from "~/features/forecast/lanes";
import { toLookAt } from "~/features/judge/severity";

it("counts stops apart from what is only to be looked at", () => {
  const found = (...list: ("stop" | "warn" | "hint")[]) => toLookAt(list.map((severity) => ({ severity })));
  expect(found()).toBe("nothing to look at");
  expect(found("warn", "hint")).toBe("2 to look at");
  expect(found("stop")).toBe("1 stop");
  expect(found("stop", "stop", "hint")).toBe("2 stops, 1 to look at");
});

it("draws evenly from the first drill to the latest start, and knows the state at every minute it may be moved to", () => {
  const { grid, starts } = momentsOf(-1800);
  expect([grid.length, grid[0], grid.at(-1)]).toEqual([POINTS, -1800, LATEST * 60]);
  const steps = grid.slice(1).map((at, i) => at - (grid[i] as number));
  expect(Math.max(...steps) - Math.min(...steps)).toBeLessThan(1e-6);
  expect([starts[0], starts.at(-1)]).toEqual([EARLIEST * 60, LATEST * 60]);
  const points = [...grid, ...starts].map((atSeconds) => ({
    atSeconds,
    state: { atSeconds },
  })) as CurvePoint[];
  for (const minutes of [EARLIEST, 0, 17, LATEST])
    expect(stateIf(points, minutes)?.atSeconds).toBe(minutes * 60);
  expect(stateIf(points, LATEST + 1)).toBeNull();
  // An empty plan begins with the earliest start there is.
  expect(momentsOf(0).grid[0]).toBe(EARLIEST * 60);
});
