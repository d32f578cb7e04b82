import fc from "fast-check";
import { fitPlan } from "../../src/fit/fit";
import { runClock } from "../../src/run/live/runClock";
import { runEventSchema } from "../../src/run/log/runEvent";
import { runState } from "../../src/run/log/runState";
import { refitRun } from "../../src/run/refit/refit";
import { remainderOf } from "../../src/run/refit/remainder";
import { runPlanSchema } from "../../src/run/steps/runPlan";
import { anyPresses } from "../made/anyPresses";
import { cases } from "../made/cases";
import { realDay } from "../made/realDays";
import { moved, runOf, START } from "../made/refits";
import { checkSchedule } from "../proof/checkSchedule";

it("whatever was pressed, the rest is fitted within every rule, and going on with it holds together", () => {
  fc.assert(
    fc.property(
      fc.integer({ min: 1, max: 60 }),
      anyPresses({ most: 25, over: 1800 }),
      fc.integer({ min: -900, max: 1200 }),
      (seed, presses, by) => {
        const { plan, day, availableSeconds } = realDay(12, seed);
        const run = runOf(plan, availableSeconds, day);
        if (run.drills.length === 0) return;
        expect(runPlanSchema.parse(run)).toEqual(run);
        const from = START - availableSeconds * 1000;
        const events = [...presses(from, run), moved(0, by)];
        const now = from + 1_900_000;
        const state = runState(run, events);
        const remainder = remainderOf(run, state, now);
        if (!remainder) return;
        const fit = fitPlan(remainder.plan, remainder.availableSeconds, remainder.context);
        const done = fit.placements.flatMap((p) =>
          p.level
            ? [
                {
                  id: p.item.id,
                  levelIndex: p.levelIndex,
                  beginSeconds: p.beginSeconds,
                  spanSeconds: p.spanSeconds,
                },
              ]
            : [],
        );
        expect(checkSchedule(remainder.plan, remainder.context, done, remainder.availableSeconds)).toEqual(
          [],
        );
        const refit = refitRun(run, state, now);
        if (!refit) throw new Error("there is a remainder");
        const id = "00000000-0000-4000-8000-999999999999";
        const applied = runEventSchema.parse({
          id,
          at: new Date(now).toISOString(),
          kind: "refit",
          drills: refit.drills,
          waitSeconds: refit.waitSeconds,
          line: refit.line,
          ...(refit.until ? { until: refit.until } : {}),
        });
        const after = runState(run, [...events, applied]);
        // What is over stays, nothing is there twice, and the drill under way is still under way.
        const over = (s: typeof state) =>
          s.splits.filter((x) => x.outcome === "done" || x.outcome === "skipped");
        expect(over(after)).toEqual(over(state));
        expect(new Set(after.splits.map((s) => s.key)).size).toBe(after.splits.length);
        if (state.status === "under-way")
          expect(after.splits[after.index]?.key).toBe(state.splits[state.index]?.key);
        // And it ends in time, unless the drill or the way under way alone does not.
        const isUnderWay = remainder.currentId !== null;
        if (isUnderWay ? done.some((d) => d.id === remainder.currentId) : remainder.availableSeconds >= 0)
          expect(runClock(after, now).ahead).toBeGreaterThanOrEqual(-1);
        // Taking it back leaves what was.
        const undo = runEventSchema.parse({
          id: id.replace(/9$/, "8"),
          at: applied.at,
          kind: "undo",
          undoes: id,
        });
        expect(runState(run, [...events, applied, undo])).toEqual(state);
      },
    ),
    cases(200),
  );
});
