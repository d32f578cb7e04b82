import fc from "fast-check";
import { type DayStep, dayFileText, readDayFile, usualDay, withStep } from "../../src/doors/day";

const frame = { startsAt: "2026-12-05T13:20:00.000Z", zone: "Europe/Vienna", warmUpSeconds: 2425 };
const travel = { usual: 25, bad: 40 };

it("a day that is written reads as it was, whatever its steps", () => {
  const usual = usualDay({ ...frame, event: null, travel });
  const word = fc.constantFrom("Ada Finch", "北京 🤸🏽", 'a "b" \\c', "=1+1");
  fc.assert(
    fc.property(
      fc.array(fc.record({ name: word, usual: fc.nat(900), more: fc.nat(50), beside: fc.boolean() }), {
        maxLength: 8,
      }),
      fc.option(word, { nil: undefined }),
      (added, title) => {
        let steps: readonly DayStep[] = usual;
        for (const { name, usual: minutes, more, beside } of added) {
          const next = withStep(steps, "other", null);
          const change = { name, beside, list: [name], minutes: { usual: minutes, bad: minutes + more } };
          steps = next.steps.map((s) => (s.id === next.id ? { ...s, ...change } : s));
        }
        const day = { ...frame, travel, steps: [...steps], ...(title ? { title } : {}) };
        const read = readDayFile(dayFileText(day));
        if ("faults" in read) throw new Error(JSON.stringify(read.faults));
        expect(read.file).toEqual({ format: "tonodrome-day", version: 1, ...day });
      },
    ),
  );
});
