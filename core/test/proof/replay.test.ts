import fc from "fast-check";
import { runState } from "../../src/run/log/runState";
import type { RunState } from "../../src/run/log/state";
import { elapsedSeconds } from "../../src/run/log/stepChange";
import { anyRun } from "../made/anyRun";
import { cases } from "../made/cases";
import { type Replayed, replayRun } from "./replayRun";

const ms = (seconds: number | null) => (seconds === null ? null : Math.round(seconds * 1000) / 1000);

/** What the replay says, in the words of the proof. */
function said(state: RunState): Replayed {
  const FATES = { pending: "to-come", "under-way": "now", done: "done", skipped: "skipped" };
  return {
    phase: state.status,
    now: state.splits.find((s) => s.outcome === "under-way")?.key ?? null,
    steps: state.splits.map((s) => ({
      key: s.key,
      fate: FATES[s.outcome],
      took: ms(s.realSeconds),
      held: ms(s.heldSeconds) as number,
      longer: s.extendedSeconds,
      tries: s.tries,
      until: s.drill.wait?.until ?? null,
    })),
    begun: state.beganAt,
    over: state.endedAt,
    waitFrom: state.status === "waiting" ? state.waitingSince : null,
    start: state.startsAt,
    fittedFor: state.fittedFor,
    wait: state.waitSeconds,
    answers: state.rating,
    ahead: state.clockAhead,
    canUndo: state.undoable.map((e) => e.id),
  };
}

const RUNS = { ...cases(3000), seed: 20_261_127 };

it("replays every run as the document says", () => {
  fc.assert(
    fc.property(anyRun, ({ plan, events }) => {
      const state = runState(plan, events);
      expect(said(state)).toEqual(replayRun(plan, events));
      // Where it stands is the step under way, and nowhere else.
      if (state.status === "under-way") expect(state.splits[state.index]?.outcome).toBe("under-way");
    }),
    RUNS,
  );
});

it("knows at every moment what the step under way has taken so far", () => {
  fc.assert(
    fc.property(anyRun, fc.integer({ min: 61, max: 90 }), ({ plan, events }, later) => {
      const state = runState(plan, events);
      if (state.status !== "under-way") return;
      const now = Date.parse("2026-06-01T11:00:00.000Z") + later * 1000;
      const done = {
        id: "00000000-0000-4000-8000-000000000999",
        at: new Date(now).toISOString(),
        kind: "done",
      };
      const after = replayRun(plan, [...events, done as never]);
      const key = state.splits[state.index]?.key;
      expect(ms(elapsedSeconds(state, now))).toBe(after.steps.find((s) => s.key === key)?.took);
    }),
    RUNS,
  );
});
