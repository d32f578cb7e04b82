import fc from "fast-check";
import { problemOf } from "../../src/fit/model/problemOf";
import { solve, solveAt } from "../../src/fit/search/solve";
import { anyClimb, anyDay, anyHardDay, GRID, SMALL_DAY } from "../made/anyDay";
import { cases } from "../made/cases";
import { realDay } from "../made/realDays";
import { bruteFit, rankOf } from "./bruteFit";
import { checkSchedule, type Done, waitsTooLong } from "./checkSchedule";

const RUNS = Number(process.env.RUNS ?? 1000);

it("equals the brute force", () => {
  fc.assert(
    fc.property(
      fc.oneof(anyDay(3), anyHardDay(3), anyClimb(3)),
      fc.integer({ min: 0, max: SMALL_DAY / GRID }),
      ({ plan, day }, tens) => {
        const available = tens * GRID;
        const problem = problemOf(plan, day);
        const solution = solve(problem);
        const one = solveAt(problemOf(plan, day, { horizon: available }));
        const at = solution.begins.findLastIndex((b) => b >= -available);
        const steps = solution.stepsOf(at);
        const done: Done[] = steps.map((s) => ({
          id: problem.drills[s.drill]?.item.id as string,
          levelIndex: s.level,
          beginSeconds: s.begin,
          spanSeconds: s.span,
        }));
        expect(one.stepsOf(one.begins.length - 1)).toEqual(steps);
        // However it goes about limits on totals: dropping what cannot come to enough, in one go or rank by rank.
        const here = problemOf(plan, day, { horizon: available });
        for (const many of [Infinity, 0]) {
          const other = solveAt(here, undefined, { few: 0, many });
          expect(other.stepsOf(other.begins.length - 1)).toEqual(steps);
        }
        expect(checkSchedule(plan, day, done, available)).toEqual([]);
        const levels = plan.items.map((i) => done.find((d) => d.id === i.id)?.levelIndex ?? -1);
        const best = bruteFit(plan, day, available, GRID);
        expect({
          rank: rankOf(plan, levels, !waitsTooLong(plan, done)),
          begin: done[0]?.beginSeconds ?? 0,
        }).toEqual({
          rank: best.rank,
          begin: best.beginSeconds,
        });
      },
    ),
    cases(RUNS),
  );
});

it("tells how far it is: more and more, and all of it only where nothing limits a total", () => {
  for (const [seed, isLimited] of [
    [1, false],
    [5, true],
  ] as const) {
    const { plan, day, availableSeconds } = realDay(30, seed);
    expect(Object.keys(plan.limits ?? {}).length > 0).toBe(isLimited);
    for (const run of [solve, solveAt]) {
      const shares: number[] = [];
      run(problemOf(plan, day, { horizon: availableSeconds }), (share) => shares.push(share));
      expect(shares.length).toBeGreaterThan(5);
      expect(shares).toEqual([...shares].sort((a, b) => a - b));
      expect((shares.at(-1) ?? 0) < 1).toBe(isLimited);
    }
  }
});
