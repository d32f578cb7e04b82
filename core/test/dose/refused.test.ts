import { type Dose, doseSchema } from "../../src/dose/dose";

const reps: Dose = {
  kind: "reps",
  sets: { floor: 1, ideal: 3, ceiling: 3 },
  reps: { floor: 4, ideal: 5, ceiling: 6 },
  secondsPerRep: 4,
  sides: "both",
  restSeconds: 30,
};

describe("what is refused", () => {
  const endless = ({ ceiling = 20, step = 5 }) => ({
    kind: "time",
    seconds: { floor: 5, ideal: 10, ceiling },
    step,
    sides: "one",
    changeoverSeconds: 0,
  });
  const rung = (dose: unknown = reps) => ({
    id: "11111111-1111-4111-8111-111111111111",
    label: "",
    intensity: 50,
    dose,
    focus: "",
    restSeconds: 0,
  });
  const counts = {
    kind: "counts",
    phrases: { floor: 1, ideal: 4, ceiling: 4 },
    counts: 8,
    beatsPerMinute: 120,
    sides: "one",
    changeoverSeconds: 0,
  };
  const gate = {
    kind: "gate",
    rule: { kind: "total" },
    hits: { floor: 2, ideal: 4, ceiling: 5 },
    chancePercent: 60,
    secondsEach: 10,
    restSeconds: 0,
    surePercent: 80,
    capSeconds: 120,
    sides: "one",
  };
  const range = { floor: 1, ideal: 1, ceiling: 1 };
  const circuit = { kind: "circuit", movements: [], rounds: range, restSeconds: 0, roundRestSeconds: 0 };
  const lengths = {
    kind: "lengths",
    rounds: range,
    lengths: range,
    metres: 25,
    secondsEach: 10,
    turnSeconds: 0,
    back: "none",
    walkSeconds: 0,
    restSeconds: 0,
  };
  const bad: [string, unknown, string][] = [
    ["a floor above the ideal", { ...reps, sets: { floor: 4, ideal: 3, ceiling: 5 } }, "sets.floor"],
    ["a ceiling below the ideal", { ...reps, sets: { floor: 1, ideal: 3, ceiling: 2 } }, "sets.ceiling"],
    ["no repetitions", { ...reps, reps: { floor: 0, ideal: 5, ceiling: 5 } }, "reps.floor"],
    ["a negative rest", { ...reps, restSeconds: -1 }, "restSeconds"],
    ["part of a repetition", { ...reps, reps: { floor: 1, ideal: 2.4, ceiling: 5 } }, "reps.ideal"],
    ["an enormous dose", { ...reps, reps: { floor: 1, ideal: 1e12, ceiling: 1e12 } }, "reps.ideal"],
    ["more choices than 60", { ...reps, reps: { floor: 1, ideal: 5, ceiling: 100 } }, "reps"],
    ["an unknown kind", { kind: "vibes" }, "kind"],
    ["500 beats a minute", { ...counts, beatsPerMinute: 500 }, "beatsPerMinute"],
    ["a chance of 0", { ...gate, chancePercent: 0 }, "chancePercent"],
    ["a chance of 100", { ...gate, chancePercent: 100 }, "chancePercent"],
    ["a cap below one try", { ...gate, capSeconds: 9 }, "capSeconds"],
    ["more hits than tries looked back on", { ...gate, rule: { kind: "of", window: 3 } }, "hits.ceiling"],
    ["a window too wide to compute", { ...gate, rule: { kind: "of", window: 40 } }, "rule.window"],
    ["a circuit of nothing", { ...circuit, movements: [] }, "movements"],
    [
      "a movement without a name",
      { ...circuit, movements: [{ name: " ", seconds: 20, metres: 0, breather: false }] },
      "movements.0.name",
    ],
    ["a length of nothing", { ...lengths, metres: 0 }, "metres"],
    ["an unknown field", { ...reps, extra: 1 }, ""],
    ["a ladder of nothing", { kind: "ladder", rungs: [], leastRungs: 1 }, "rungs"],
    ["more rungs asked for than there are", { kind: "ladder", rungs: [rung()], leastRungs: 2 }, "leastRungs"],
    ["two rungs of one id", { kind: "ladder", rungs: [rung(), rung()], leastRungs: 1 }, "rungs"],
    [
      "a rung's impossible dose",
      { kind: "ladder", rungs: [rung({ ...gate, chancePercent: 0 })], leastRungs: 1 },
      "rungs.0.dose.chancePercent",
    ],
    [
      "a rung of a thousand million levels",
      { kind: "ladder", rungs: [rung(endless({ ceiling: 2_000_000_000 }))], leastRungs: 1 },
      "rungs.0.dose.seconds.ceiling",
    ],
    [
      "a rung in steps of nothing",
      { kind: "ladder", rungs: [rung(endless({ step: 0 }))], leastRungs: 1 },
      "rungs.0.dose.step",
    ],
    [
      "a ladder in a ladder",
      { kind: "ladder", rungs: [rung({ kind: "ladder", rungs: [], leastRungs: 1 })], leastRungs: 1 },
      "rungs.0.dose.kind",
    ],
  ];
  it.each(bad)("%s", (_, dose, path) => {
    const answer = doseSchema.safeParse(dose);
    expect(answer.error?.issues.map((i) => i.path.join("."))).toContain(path);
  });
});
