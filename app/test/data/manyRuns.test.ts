import { runState } from "@tonodrome/core";
import type { Run } from "@tonodrome/core/api";
import { runDevice } from "~/test/made/device";
import { makeStart, twoMinutePlan } from "~/test/made/makeStart";
import { casesOf } from "../../../core/test/made/cases";

const start = makeStart({}, twoMinutePlan);

const device = runDevice(start);
const { begin, kept } = device;

/** Runs, so many at a time. */
const RUNS_AT_A_TIME = 50;
const BATCHES = Math.ceil(casesOf(400) / RUNS_AT_A_TIME);

it("many runs, pressed at random, offline at times, sent twice and out of order: both sides agree on every one", async () => {
  let seed = 20_261_126;
  const chance = () => {
    seed = (seed * 1_103_515_245 + 12_345) % 2 ** 31;
    return seed / 2 ** 31;
  };
  const any = <T>(of: readonly T[]): T => of[Math.floor(chance() * of.length)] as T;
  let pressed = 0;
  for (let batch = 0; batch < BATCHES; batch++) {
    const ids = Array.from({ length: RUNS_AT_A_TIME }, begin);
    const made = new Map(ids.map((id) => [id, 0]));
    for (const id of ids) {
      device.runs.pressRun(id, { kind: "begin" });
      made.set(id, 1);
    }
    for (let spell = 0; spell < 6; spell++) {
      device.server.up = chance() > 0.3;
      device.server.losesAnswers = chance() < 0.3;
      device.server.reorders = chance() < 0.5;
      for (let n = 0; n < RUNS_AT_A_TIME * 2; n++) {
        const id = any(ids);
        device.runs.pressRun(id, anyPress(chance));
        made.set(id, (made.get(id) ?? 0) + 1);
        pressed++;
      }
      await jest.advanceTimersByTimeAsync(Math.floor(chance() * 5000));
      // The phone's browser is killed and opened again.
      if (chance() < 0.3) device.reopen();
    }
    Object.assign(device.server, { up: true, losesAnswers: false, reorders: false });
    void device.runs.sendAll();
    await jest.advanceTimersByTimeAsync(60_000);
    for (const id of ids) {
      const { run } = JSON.parse(localStorage.getItem(`run:${id}`) ?? "");
      const here = kept(id);
      const there = device.server.runs.get(id) as Run;
      expect(there.events).toHaveLength(made.get(id) ?? 0);
      expect(new Set(there.events.map((e) => e.id)).size).toBe(there.events.length);
      expect(runState(there.plan, there.events)).toEqual(runState(run.plan, here.events));
      expect(here.recorded).toHaveLength(here.events.length);
      localStorage.removeItem(`run:${id}`);
    }
    device.server.runs.clear();
    device.reopen();
  }
  expect(pressed).toBe(BATCHES * RUNS_AT_A_TIME * 2 * 6);
}, 600_000);

function anyPress(chance: () => number): Parameters<typeof device.runs.pressRun>[1] {
  const startsAt = new Date(Date.parse(start.startsAt) + Math.floor(chance() * 600) * 1000).toISOString();
  const presses = [
    { kind: "done" },
    { kind: "skip" },
    { kind: "extend", seconds: 30 },
    { kind: "hold" },
    { kind: "release" },
    { kind: "back" },
    { kind: "hit" },
    { kind: "start-moved", startsAt },
  ] as const;
  return presses[Math.floor(chance() * presses.length)] as Parameters<typeof device.runs.pressRun>[1];
}
