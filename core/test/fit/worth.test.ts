import { fitPlan } from "../../src/fit/fit";
import { worthOf } from "../../src/fit/model/worth";
import { drill, planOf } from "../made/generate";

it("stays exact for every mix of priorities in a plan of 90 drills", () => {
  for (let kit = 0; kit <= 90; kit += 9) {
    for (let essential = 0; kit + essential <= 90; essential += 9) {
      for (let useful = 0; kit + essential + useful <= 90; useful += 9) {
        const items = Array.from({ length: 90 }, (_, i) =>
          drill("n", {
            phase: i < kit ? "kit" : i === kit ? "raise" : "mobilise",
            priority: i < kit + essential ? "essential" : i < kit + essential + useful ? "useful" : "extra",
          }),
        );
        const { rows, wait } = worthOf(items);
        const most = (of: "high" | "low") =>
          rows.reduce((sum, row) => sum + Math.max(...row.map((w) => w[of])), 0);
        if (most("high") + wait > Number.MAX_SAFE_INTEGER || most("low") > Number.MAX_SAFE_INTEGER)
          throw new Error(`${kit} kit, ${essential} essential, ${useful} useful is beyond exact numbers`);
      }
    }
  }
});

it("weighs every rank above all below it together", () => {
  const items = [
    drill("kit", { phase: "kit", priority: "essential" }),
    drill("must", { priority: "essential", phase: "technical" }),
    ...Array.from({ length: 40 }, (_, i) => drill(`u${i}`)),
    ...Array.from({ length: 40 }, (_, i) => drill(`x${i}`, { priority: "extra" })),
  ];
  const { rows, wait } = worthOf(items);
  const high = (i: number, k: number) => rows[i]?.[k]?.high ?? 0;
  const top = (from: number) => rows.slice(from).reduce((sum, row) => sum + (row.at(-1)?.high ?? 0), 0);
  expect(high(0, 0)).toBeGreaterThan(high(1, 2) + wait + top(2));
  expect(high(1, 0)).toBeGreaterThan(wait + (high(1, 2) - high(1, 0)) + top(2));
  expect(wait).toBeGreaterThan(high(0, 1) - high(0, 0) + high(1, 2) - high(1, 0) + top(2));
  // No second of lacing is given up while any other drill is above its floor.
  expect(high(0, 1) - high(0, 0)).toBeGreaterThan(high(1, 2) - high(1, 0) + top(2));
  expect(high(1, 1) - high(1, 0)).toBeGreaterThan(top(2));
  expect(high(2, 0)).toBeGreaterThan(top(42));
});

it("what raises first is the last to go: it outweighs a change of kit and every other essential", () => {
  const items = [
    drill("kit", { phase: "kit", priority: "essential" }),
    drill("jog", { phase: "raise", priority: "essential" }),
    drill("skip", { phase: "raise", priority: "essential" }),
    ...Array.from({ length: 40 }, (_, i) => drill(`t${i}`, { phase: "technical", priority: "essential" })),
  ];
  const { rows, wait } = worthOf(items);
  const sum = (list: typeof rows) => list.reduce((all, row) => all + (row.at(-1)?.high ?? 0), 0);
  const [kit, jog, ...others] = rows;
  expect(jog?.[0]?.high).toBeGreaterThan(sum([kit ?? [], ...others]) + wait);
});

it("the first steps of a dose are worth most, so that two equals lose alike", () => {
  const range = { floor: 60, ideal: 180, ceiling: 300 };
  const dose = { kind: "time", seconds: range, step: 10, sides: "one", changeoverSeconds: 0 } as const;
  const [row] = worthOf([drill("a", { dose })]).rows;
  const steps = (from: number, to: number, of: "high" | "low") =>
    (row ?? []).slice(from + 1, to + 1).map((w, i) => w[of] - (row?.[from + i]?.[of] ?? 0));
  const towards = steps(0, 12, "high");
  expect(towards.every((s) => s > 0)).toBe(true);
  expect(towards[0]).toBeGreaterThan(4 * (towards.at(-1) as number));
  const beyond = steps(12, 24, "low");
  expect(beyond[0]).toBeGreaterThan(beyond.at(-1) as number);
  const equals = planOf([drill("a", { dose }), drill("b", { dose })], {
    wait: { leastSeconds: 0, longestSeconds: 0 },
  });
  for (const { spanSeconds } of fitPlan(equals, 240).placements)
    expect(Math.abs(spanSeconds - 120)).toBeLessThanOrEqual(10);
  // In proportion where one has further to go.
  const short = { ...dose, seconds: { floor: 30, ideal: 70, ceiling: 70 } };
  const unlike = planOf([drill("a", { dose }), drill("b", { dose: short })], {
    wait: { leastSeconds: 0, longestSeconds: 0 },
  });
  expect(fitPlan(unlike, 170).placements.map((p) => p.spanSeconds)).toEqual([120, 50]);
});
