import fc from "fast-check";
import { kitThere, listStands, mergeTicks, type Tick, tickSchema } from "../src/lists/tick";
import { cases } from "./made/cases";

const DEVICES = ["11111111-1111-4111-8111-111111111111", "22222222-2222-4222-8222-222222222222"] as const;

const tick = (line: string, minute: number, isOn: boolean, device: 0 | 1 = 0): Tick => ({
  step: "pack",
  line,
  isOn,
  at: new Date(Date.UTC(2026, 10, 28, 20, minute)).toISOString(),
  by: DEVICES[device],
});

it("the later press counts; of two at the same moment one and the same, whoever asks", () => {
  expect(mergeTicks([tick("Skates", 1, true)], [tick("Skates", 2, false)])).toEqual([
    tick("Skates", 2, false),
  ]);
  const both = [tick("Skates", 1, true, 0), tick("Skates", 1, false, 1)] as const;
  expect(mergeTicks([both[0]], [both[1]])).toEqual([both[1]]);
  expect(mergeTicks([both[1]], [both[0]])).toEqual([both[1]]);
  // An instant may be written in more than one way.
  const later = { ...tick("Skates", 1, false), at: "2026-11-28T22:30:00.000+02:00" };
  expect(mergeTicks([tick("Skates", 1, true)], [later])).toEqual([later]);
});

it("a list has its lines in order, each ticked off or not; what was ticked and is no line any more is nothing", () => {
  const steps = [
    { id: "wake", name: "Wake", list: [] },
    { id: "pack", name: "Pack", list: ["Skates", "Dress"] },
    { id: "kit", name: "Kit", list: ["Skates"] },
  ];
  expect(listStands(steps, [tick("Dress", 1, true), tick("Gone", 1, true)])).toEqual([
    {
      step: "pack",
      name: "Pack",
      lines: [
        { line: "Skates", isOn: false },
        { line: "Dress", isOn: true },
      ],
    },
    { step: "kit", name: "Kit", lines: [{ line: "Skates", isOn: false }] },
  ]);
});

/*
 * Two phones and a server. Each press is known to its phone at once; messages come when they come, in any order, again
 * and again, or not until the end.
 */
it("two phones, offline and reordered, agree once everything has come: 1,000 courses", () => {
  const press = fc.record({
    phone: fc.constantFrom(0 as const, 1 as const),
    line: fc.constantFrom("Skates", "Dress", "Drink"),
    isOn: fc.boolean(),
    /** Phones' clocks are not one clock. */
    minute: fc.nat(12),
  });
  const step = fc.oneof(
    { weight: 3, arbitrary: fc.record({ do: fc.constant("press" as const), press }) },
    {
      weight: 2,
      arbitrary: fc.record({ do: fc.constant("send" as const), phone: fc.nat(1), which: fc.nat(30) }),
    },
    { weight: 1, arbitrary: fc.record({ do: fc.constant("read" as const), phone: fc.nat(1) }) },
  );
  fc.assert(
    fc.property(fc.array(step, { maxLength: 40 }), (course) => {
      const pressed: Tick[][] = [[], []];
      const known: Tick[][] = [[], []];
      let server: Tick[] = [];
      for (const s of course) {
        if (s.do === "press") {
          const made = tick(s.press.line, s.press.minute, s.press.isOn, s.press.phone);
          pressed[s.press.phone]?.push(made);
          known[s.press.phone] = mergeTicks(known[s.press.phone] ?? [], [made]);
        } else if (s.do === "send") {
          const own = pressed[s.phone] ?? [];
          const one = own[s.which % Math.max(1, own.length)];
          if (one) server = mergeTicks(server, [one]);
        } else known[s.phone] = mergeTicks(known[s.phone] ?? [], server);
      }
      for (const own of pressed) server = mergeTicks(own.toReversed(), server);
      const seen = known.map((own) => mergeTicks(own, server));
      expect(seen[0]).toEqual(seen[1]);
      expect(seen[0]).toEqual(server);
      // Told in its own words: of each line nothing was pressed later than what counts.
      for (const line of new Set(pressed.flat().map((t) => t.line))) {
        const latest = pressed
          .flat()
          .filter((t) => t.line === line)
          .map((t) => t.at)
          .sort()
          .at(-1);
        expect(server.find((t) => t.line === line)?.at).toBe(latest);
      }
    }),
    cases(1000),
  );
});

it.each([
  ["no words", { line: "" }],
  ["a step that is none", { step: "Pack it" }],
  ["no device", { by: "me" }],
  ["no time", { at: "now" }],
])("is refused with %s", (_, more) => {
  expect(tickSchema.safeParse({ ...tick("Skates", 1, true), ...more }).success).toBe(false);
});

it("of the kit is there what was ticked on arrival, on whichever phone last; of the rest what the start says", () => {
  const by = ["11111111-1111-4111-8111-111111111111", "22222222-2222-4222-8222-222222222222"] as const;
  const at = (second: number) => new Date(Date.UTC(2026, 5, 1, 12, 0, second)).toISOString();
  const tick = (line: string, second: number, isOn: boolean, step = "kit", who = 0): Tick => ({
    ...{ step, line, isOn, at: at(second), by: by[who] as string },
  });
  const kit = ["Boots", "Guards", "Music"];
  expect(kitThere(kit, ["guards"], [])).toEqual(["Guards"]);
  expect(kitThere(kit, ["Guards"], [tick("Boots", 1, true), tick("Guards", 2, false)])).toEqual(["Boots"]);
  // Packed is not there.
  expect(kitThere(kit, [], [tick("Boots", 1, true, "pack")])).toEqual([]);
  expect(kitThere(kit, [], [tick("Boots", 3, false, "kit", 1), tick("Boots", 1, true)])).toEqual([]);
});
