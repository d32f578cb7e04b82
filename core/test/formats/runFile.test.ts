import fc from "fast-check";
import { readRunFile, runFileText, runInTableOf } from "../../src/formats/runFile";
import { runSummary } from "../../src/run/log/runSummary";
import { anyRun } from "../made/anyRun";
import { cases } from "../made/cases";

const about = {
  athlete: "Mira Lind",
  title: "Final",
  venue: "",
  zone: "Europe/Vienna",
  startsAt: "2026-06-01T12:00:00.000Z",
};

it("any run is read as it was written, and comes to the same in the log", () => {
  fc.assert(
    fc.property(anyRun, ({ plan, events }) => {
      const each = [...new Map(events.map((e) => [e.id, e])).values()];
      const read = readRunFile(runFileText({ ...about, plan, events: each }));
      if ("faults" in read) throw new Error(JSON.stringify(read.faults));
      expect(read.file).toEqual({ format: "tonodrome-run", version: 1, ...about, plan, events: each });
      expect(runInTableOf(read.file)).toEqual({ ...about, ...runSummary(plan, each) });
    }),
    cases(100),
  );
});

it("with a press twice, or a field that is none, is refused and says where", () => {
  const [run] = fc.sample(
    anyRun.filter((r) => r.events.length > 0),
    { numRuns: 1, seed: 1 },
  );
  if (!run) throw new Error();
  const [event] = run.events;
  const twice = readRunFile(runFileText({ ...about, plan: run.plan, events: [event, event] as never }));
  expect("faults" in twice && twice.faults.map((f) => f.path[0])).toEqual(["events"]);
  const odd = readRunFile(runFileText({ ...about, plan: run.plan, events: [], zone: "Mars" }));
  expect("faults" in odd && odd.faults.map((f) => f.path[0])).toEqual(["zone"]);
});
