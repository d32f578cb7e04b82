import { worthOf } from "../../src/fit/model/worth";
import { drill } from "../made/generate";

it("stays exact for every mix of priorities in a plan of 90 drills", () => {
  for (let kit = 0; kit <= 90; kit += 9) {
    for (let essential = 0; kit + essential <= 90; essential += 9) {
      for (let useful = 0; kit + essential + useful <= 90; useful += 9) {
        const items = Array.from({ length: 90 }, (_, i) =>
          drill("n", {
            phase: i < kit ? "kit" : "raise",
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
    drill("must", { priority: "essential" }),
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
