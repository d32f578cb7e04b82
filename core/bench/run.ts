// What a live run costs: replaying it, fitting its rest anew, and the size of its log. `npm run bench`.

import { fitPlan } from "../src/fit/fit";
import type { RunEvent } from "../src/run/log/runEvent";
import { runState } from "../src/run/log/runState";
import { refitRun } from "../src/run/refit/refit";
import { runPlanOf } from "../src/run/steps/freezeFit";
import { openDay } from "../src/venue/context";
import { median } from "./median";
import { benchPlan, twoPlaces } from "./plans";

const START = Date.parse("2026-06-01T12:00:00.000Z");

/** A run of so many drills that is half over, each drill ended with a press. */
function halfRun(drills: number, two: boolean) {
  const { plan, context } = two
    ? twoPlaces(benchPlan(drills))
    : { plan: benchPlan(drills), context: openDay() };
  const run = runPlanOf(fitPlan(plan, 5400, context), new Date(START).toISOString(), { plan, context });
  const events: RunEvent[] = [];
  let at = START - 5_400_000;
  const press = (more: object) => {
    const id = `00000000-0000-4000-8000-${String(events.length).padStart(12, "0")}`;
    events.push({ id, at: new Date(at).toISOString(), ...more } as RunEvent);
  };
  press({ kind: "begin" });
  for (const { itemId, plannedSeconds } of run.drills.slice(0, run.drills.length / 2)) {
    at += plannedSeconds * 1000;
    press({ kind: "done", of: itemId });
  }
  press({ kind: "start-moved", startsAt: new Date(START - 300_000).toISOString() });
  return { run, events, now: at + 1000 };
}

console.log("\nlive run, median of 41, ms         replay   re-fit   log kB");
for (const [drills, two] of [
  [30, false],
  [30, true],
  [60, false],
  [60, true],
] as const) {
  const { run, events, now } = halfRun(drills, two);
  const state = runState(run, events);
  const replay = median(41, () => runState(run, events));
  const refit = median(41, () => refitRun(run, state, now));
  const kilobytes = JSON.stringify(events).length / 1000;
  const name = `${drills} drills, ${two ? "two places" : "one place"}`;
  console.log(
    `${name.padEnd(33)}${replay.toFixed(2).padStart(8)}${refit.toFixed(1).padStart(9)}${kilobytes.toFixed(1).padStart(9)}`,
  );
}

/** A log as long as the server takes: of one kind of press, and of all of them by turns. */
const MOST_PRESSES = 10_000;
const WAYS: Record<string, (n: number, keys: string[]) => object> = {
  "drills put in": (n) => ({
    kind: "insert",
    drill: { ...halfRun(30, false).run.drills[0], itemId: `put-in-${n}` },
  }),
  "done and back": (n) => ({ kind: n % 2 ? "back" : "done" }),
  jumps: (n, keys) => ({ kind: "jump", to: keys[(n * 7) % keys.length] }),
  "re-fits": (n, keys) => ({
    kind: "refit",
    drills: keys.map((same) => ({ same })),
    waitSeconds: n % 600,
    line: "",
  }),
  undone: (n) => (n % 2 ? { kind: "undo", undoes: `p${n - 1}` } : { kind: "hold" }),
  pulses: () => ({ kind: "pulse", everySeconds: 5, rates: [120] }),
};

console.log(`\na log of ${MOST_PRESSES} presses, median of 5, ms`);
const { run: long } = halfRun(60, false);
const keys = long.drills.map((d) => (d.wait ? `${d.itemId}~` : d.itemId));
const mixed = Object.values(WAYS);
for (const [name, make] of Object.entries({
  ...WAYS,
  "all by turns": (n: number, k: string[]) =>
    (mixed[n % mixed.length] as (n: number, k: string[]) => object)(n, k),
})) {
  const events = Array.from({ length: MOST_PRESSES }, (_, n) => ({
    id: `p${n}`,
    at: new Date(START - 5_400_000 + n * 100).toISOString(),
    ...(n === 0 ? { kind: "begin" } : make(n, keys)),
  })) as RunEvent[];
  const ms = median(5, () => runState(long, events));
  console.log(`${name.padEnd(33)}${ms.toFixed(1).padStart(8)}`);
}
