import fc from "fast-check";
import { fitPlan } from "../../src/fit/fit";
import { runTimeline } from "../../src/run/live/runTimeline";
import type { RunEvent } from "../../src/run/log/runEvent";
import { runState } from "../../src/run/log/runState";
import { runPlanOf } from "../../src/run/steps/freezeFit";
import { fitTimeline } from "../../src/timeline/fitTimeline";
import { byItem, idleBefore, type Segment, waitBeforeStart } from "../../src/timeline/segment";
import { anyRun } from "../made/anyRun";
import { cases } from "../made/cases";
import { realDay } from "../made/realDays";

const START = "2026-06-01T12:00:00.000Z";
const startsAt = Date.parse(START);

/** Days with ladders, partners, places, windows and fixed points. */
const days = Array.from({ length: 40 }, (_, seed) => realDay(12 + (seed % 10), seed));

const follow = (segments: readonly Segment[]) =>
  segments.every(
    (s, i) => s.toSeconds > s.fromSeconds && (i === 0 || segments[i - 1]?.toSeconds === s.fromSeconds),
  );

it("fills a fit from its first drill to the start, and says of every drill when it is done", () => {
  for (const { plan, day: context, availableSeconds } of days) {
    const fit = fitPlan(plan, availableSeconds, context);
    const segments = fitTimeline(fit);
    expect(follow(segments)).toBe(true);
    if (segments.length === 0) continue;
    expect(segments.at(-1)?.toSeconds).toBe(0);
    const done = byItem(segments).filter(([first]) => first?.kind === "drill");
    expect(done.map((g) => [g[0]?.itemId, g[0]?.fromSeconds, g.at(-1)?.toSeconds])).toEqual(
      fit.placements
        .filter((p) => p.spanSeconds > 0)
        .map((p) => [p.item.id, p.beginSeconds, p.beginSeconds + p.spanSeconds]),
    );
    const idle = segments.filter((s) => s.kind === "idle");
    expect(idle.map((s) => [s.fromSeconds, s.toSeconds, s.reasons])).toEqual(
      fit.idle.map((i) => [i.fromSeconds, i.toSeconds, i.reasons]),
    );
  }
});

it("has a run that begins when its fit does, and keeps to it, as the fit has it", () => {
  for (const { plan, day: context, availableSeconds } of days) {
    const fit = fitPlan(plan, availableSeconds, context);
    const expected = fitTimeline(fit).map((s) => [s.key, s.kind, s.fromSeconds, s.toSeconds, s.intensity]);
    const run = runPlanOf(fit, START);
    if (run.drills.length === 0) continue;
    const begin = startsAt + fit.beginSeconds * 1000;
    const events: RunEvent[] = [
      { id: "00000000-0000-4000-8000-000000000001", at: new Date(begin).toISOString(), kind: "begin" },
    ];
    const seen = (now: number) =>
      runTimeline(runState(run, events), now).map((s) => [
        s.key,
        s.kind,
        s.fromSeconds,
        s.toSeconds,
        s.intensity,
      ]);
    expect(seen(begin)).toEqual(expected);
    let at = begin;
    run.drills.forEach(({ plannedSeconds }, n) => {
      at += plannedSeconds * 1000;
      const id = `00000000-0000-4000-8001-${String(n).padStart(12, "0")}`;
      events.push({ id, at: new Date(at).toISOString(), kind: "done" });
    });
    expect(seen(at)).toEqual(expected);
  }
});

it("never has two things at once, whatever was pressed, and ends with the start where it is not reached yet", () => {
  fc.assert(
    fc.property(anyRun, fc.integer({ min: 0, max: 400 }), ({ plan, events }, second) => {
      const state = runState(plan, events);
      const now = Date.parse(plan.startsAt) - 3_600_000 + second * 1000;
      const segments = runTimeline(state, now);
      segments.forEach((s, i) => {
        expect(s.toSeconds).toBeGreaterThan(s.fromSeconds);
        if (i > 0) expect(s.fromSeconds).toBeCloseTo(segments[i - 1]?.toSeconds ?? Number.NaN, 6);
      });
      const last = segments.at(-1);
      if (state.status === "under-way" && last) expect(last.toSeconds).toBeGreaterThanOrEqual(0);
      expect(segments.filter((s) => s.outcome === "under-way").length).toBeLessThanOrEqual(1);
      // What is passed by is not to come any more.
      expect(state.splits.slice(0, state.index).some((s) => s.outcome === "pending")).toBe(false);
    }),
    cases(100),
  );
});

it("has what was held among what it took, and what was left at once not at all", () => {
  const { plan, day, availableSeconds } = days[0] as (typeof days)[number];
  const run = runPlanOf(fitPlan(plan, availableSeconds, day), START);
  const press = (kind: "begin" | "hold" | "release" | "done" | "skip", second: number) => ({
    id: `00000000-0000-4000-8002-${String(second).padStart(12, "0")}`,
    at: new Date(startsAt - 3_600_000 + second * 1000).toISOString(),
    kind,
  });
  const events = [press("begin", 0), press("hold", 10), press("release", 30), press("done", 70)];
  const skipped = { ...press("skip", 70), id: "00000000-0000-4000-8003-000000000000" };
  const segments = runTimeline(runState(run, [...events, skipped]), startsAt - 3_500_000);
  expect(segments[0]).toMatchObject({ fromSeconds: -3600, toSeconds: -3530, outcome: "done" });
  expect(segments[1]).toMatchObject({ fromSeconds: -3530, outcome: "under-way" });
  expect(segments.some((s) => s.outcome === "skipped")).toBe(false);
});

it("finds the idle time before a drill, and the wait before the start", () => {
  const {
    plan,
    day: context,
    availableSeconds,
  } = days.find(({ plan, day: context, availableSeconds }) =>
    fitPlan(plan, availableSeconds, context).idle.some((i) => i.toSeconds < 0),
  ) as (typeof days)[number];
  const fit = fitPlan(plan, availableSeconds, context);
  const segments = fitTimeline(fit);
  const [gap] = fit.idle;
  const after = fit.placements.find((p) => p.level && p.beginSeconds === gap?.toSeconds);
  expect(idleBefore(segments, after?.item.id ?? "")?.fromSeconds).toBe(gap?.fromSeconds);
  expect(idleBefore(segments, fit.placements.find((p) => p.level)?.item.id ?? "")).toBeUndefined();
  expect(waitBeforeStart(segments)?.fromSeconds).toBe(fit.idle.find((i) => i.toSeconds === 0)?.fromSeconds);
  expect(waitBeforeStart(segments.slice(0, 1))).toBeUndefined();
});
