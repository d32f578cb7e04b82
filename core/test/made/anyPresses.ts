import fc from "fast-check";
import { type RunEvent, runEventSchema } from "../../src/run/log/runEvent";
import { type RunPlan, stepKey } from "../../src/run/steps/runPlan";

const KINDS = [
  "done",
  "done",
  "done",
  "skip",
  "extend",
  "hold",
  "release",
  "back",
  "jump",
  "hit",
  "miss",
  "undo",
] as const;

/**
 * Presses as they come in a hall: a beginning, then anything, some of it meant for steps that are over or not yet there.
 * @param over they are spread over so many seconds
 * @returns what makes them for a run, from a moment in milliseconds since the epoch on
 */
export function anyPresses({ most, over }: { most: number; over: number }) {
  return fc
    .array(
      fc.record({
        kind: fc.constantFrom(...KINDS),
        second: fc.integer({ min: 1, max: over }),
        which: fc.nat(),
        named: fc.boolean(),
        id: fc.uuid({ version: 4 }),
      }),
      { maxLength: most },
    )
    .map((list) => (from: number, run: RunPlan): RunEvent[] => {
      const at = (second: number) => new Date(from + second * 1000).toISOString();
      const keys = run.drills.map(stepKey);
      const key = (which: number) => keys[which % keys.length] as string;
      const begin = runEventSchema.parse({
        id: "00000000-0000-4000-8000-000000000001",
        at: at(0),
        kind: "begin",
      });
      const presses = list.map(({ kind, second, which, named, id }, n) => {
        const of = named ? { of: key(which) } : {};
        const more = {
          ...(kind === "extend" ? { seconds: 30 } : {}),
          ...(kind === "jump" ? { to: key(which) } : {}),
          ...(kind === "undo" ? { undoes: list[which % Math.max(1, n)]?.id ?? id } : {}),
          ...(["hold", "release", "jump", "undo"].includes(kind) ? {} : of),
        };
        return runEventSchema.parse({ id, at: at(second), kind, ...more });
      });
      return [begin, ...presses];
    });
}
