import { spawnSync } from "node:child_process";
import { readFileSync } from "node:fs";
import path from "node:path";
import { bin, root, tonodrome } from "./tonodrome";

const example = path.join(root, "docs", "examples", "six-minutes.json");
const text = readFileSync(example, "utf8");

/** The example with something changed. */
const changed = (change: (file: ReturnType<typeof JSON.parse>) => void) => {
  const file = JSON.parse(text);
  change(file);
  return JSON.stringify(file);
};

it("fits a file and says what became of every drill, with 0 when it fits", () => {
  const { status, stdout } = tonodrome(["fit", example]);
  const answer = JSON.parse(stdout);
  expect(status).toBe(0);
  expect(answer).toMatchObject({ fits: true, availableSeconds: 2400, culprit: null });
  expect(answer.drills.map((d: { name: string }) => d.name)).toContain("Boots on");
  const ice = answer.drills.filter((d: { name: string }) => /jumps|Edges|pass/.test(d.name));
  for (const d of ice) {
    expect(d.beginSeconds).toBeGreaterThanOrEqual(-1200);
    expect(d.beginSeconds + d.seconds).toBeLessThanOrEqual(-840);
  }
});

it("reads standard input, takes another time, and ends with 1 and the reduced plan when it does not fit", () => {
  const { status, stdout } = tonodrome(["fit", "-", "--seconds", "1500"], text);
  const answer = JSON.parse(stdout);
  expect(status).toBe(1);
  expect(answer).toMatchObject({ fits: false, availableSeconds: 1500 });
  expect(answer.missingSeconds).toBeGreaterThan(0);
  expect(answer.drills.some((d: { verdict: string }) => d.verdict === "left-out")).toBe(true);
  const enough = tonodrome(["fit", "-", "--seconds", String(1500 + answer.missingSeconds)], text);
  expect(enough.status).toBe(0);
});

it("names the window when no time is enough", () => {
  const short = changed((f) => {
    f.context.places[2].windows[0].toSeconds = -1100;
  });
  const answer = JSON.parse(tonodrome(["fit", "-"], short).stdout);
  expect(answer.culprit).toMatch(/^Ice is the reason: it would have to open \d+:\d\d earlier\.$/);
  expect(tonodrome(["check", "-", "--table"], short)).toMatchObject({
    status: 1,
    stdout: expect.stringContaining("Ice"),
  });
});

it("prints a table", () => {
  const { stdout } = tonodrome(["fit", example, "--table"]);
  expect(stdout).toMatch(/begin\s+takes\s+drill\s+dose\s+why/);
  expect(stdout).toMatch(/−20:00|−19:\d\d/);
  expect(stdout.trimEnd().split("\n").at(-1)).toMatch(/^(fits|tight)/);
});

it.each([
  ["a floor above its ceiling", (f) => (f.plan.items[0].dose.seconds.floor = 999), /^plan\.items\.0\.dose/],
  [
    "a window that closes before it opens",
    (f) => (f.context.places[2].windows[0].toSeconds = -3000),
    /^context\.places\.2\.windows\.0\.toSeconds: .*closes before/,
  ],
  [
    "windows that overlap",
    (f) => f.context.places[2].windows.push({ fromSeconds: -1000, toSeconds: -500 }),
    /windows\.1\.fromSeconds: .*overlap/,
  ],
  [
    "a fixed point after the start",
    (f) => (f.context.points[0].toSeconds = 60),
    /^context\.points\.0\.toSeconds: .*after the start/,
  ],
  [
    "a way to a place that is not there",
    (f) => (f.context.travel[0].to = "Moon"),
    /^context\.travel\.0\.to: There is no place/,
  ],
  [
    "drills that must each follow the other",
    (f) => {
      f.plan.items[1].after = f.plan.items[2].id;
      f.plan.items[2].after = f.plan.items[1].id;
    },
    /^plan\.items\.1\.after: .*each follow the other/,
  ],
  [
    "thousands of drills",
    (f) => (f.plan.items = Array(5000).fill(f.plan.items[0])),
    /^plan\.items: A plan holds at most 90/,
  ],
  ["a horizon of a week", (f) => (f.availableSeconds = 7 * 86_400), /^availableSeconds: .*at most a day/],
  ["another version", (f) => (f.version = 2), /^version: This reads version 1/],
  ["a field that is not known", (f) => (f.plan.speed = 1), /^plan: .*speed/],
] as [string, (file: ReturnType<typeof JSON.parse>) => void, RegExp][])(
  "refuses %s with where and why, and 2",
  (_, change, words) => {
    const { status, stdout, stderr } = tonodrome(["fit", "-"], changed(change));
    expect(status).toBe(2);
    expect(stdout).toBe("");
    expect(stderr).toMatch(words);
  },
);

it("refuses what is no JSON, too deep, too long, or reaches for a prototype, and calls that are none", () => {
  const refused = [
    tonodrome(["fit", "-"], "{"),
    tonodrome(["fit", "-"], "[".repeat(100_000) + "]".repeat(100_000)),
    tonodrome(["fit", "-"], `"${"x".repeat(4_100_000)}"`),
    tonodrome(["fit", "-"], text.replace('"format"', '"__proto__": {"format": 1}, "format"')),
    tonodrome(["fit", "nowhere.json"]),
    tonodrome(["fit", example, "--seconds", "soon"]),
    tonodrome(["fit", example, "--fast"]),
    tonodrome(["dance", example]),
    tonodrome(["fit"]),
  ];
  for (const { status, stdout, stderr } of refused) {
    expect({ status, stdout }).toEqual({ status: 2, stdout: "" });
    expect(stderr).not.toBe("");
    expect(stderr).not.toMatch(/\n\s+at /);
  }
});

it("answers for no drills at all", () => {
  const none = tonodrome(
    ["fit", "-"],
    changed((f) => (f.plan.items = [])),
  );
  expect(none.status).toBe(0);
  expect(JSON.parse(none.stdout)).toMatchObject({ fits: true, drills: [], beginSeconds: 0 });
});

it("says time as time, with the seconds, in the table too", () => {
  const { lastMoments } = JSON.parse(tonodrome(["fit", example]).stdout);
  const oneShort = ["--seconds", String(lastMoments.essentialsSeconds - 1)];
  expect(JSON.parse(tonodrome(["fit", example, ...oneShort]).stdout)).toMatchObject({
    missingSeconds: 1,
    culprit: null,
  });
  const table = tonodrome(["fit", example, "--table", ...oneShort]);
  expect(table.status).toBe(1);
  expect(table.stdout).toContain("does not fit: The essentials need 1 s more.");
  expect(tonodrome(["check", example, "--table", ...oneShort]).stdout).toContain(
    "stop: availableSeconds: The essentials need 1 s more.",
  );
});

it("says how far a wait is over the longest tolerated", () => {
  const patient = changed((f) => {
    f.plan.wait = { leastSeconds: 60, longestSeconds: 100 };
  });
  const answer = JSON.parse(tonodrome(["fit", "-"], patient).stdout);
  expect(answer).toMatchObject({ state: "tight", waitOverSeconds: answer.waitSeconds - 100 });
  expect(answer.waitOverSeconds).toBeGreaterThan(0);
  expect(tonodrome(["fit", "-", "--table"], patient).stdout).toContain("longer than tolerated");
});

it("warns of places that the day does not know and of limits that cannot be kept, with the path", () => {
  const strange = changed((f) => {
    f.plan.items[0].place = "Moon";
    f.plan.limits = { volumePercent: 20 };
    f.context.usualReps = 0;
  });
  const paths = ["plan.items.0.place", "plan.limits.volumePercent"];
  const { remarks } = JSON.parse(tonodrome(["fit", "-"], strange).stdout);
  expect(remarks.map((r: { path: string }) => r.path)).toEqual(paths);
  for (const command of [
    ["check", "-", "--table"],
    ["fit", "-", "--table"],
  ])
    for (const path of paths) expect(tonodrome(command, strange).stdout).toContain(`${path}: `);
});

it("reads a byte-order mark over, and answers what is no number, no UTF-8, or turns the direction of text", () => {
  expect(tonodrome(["fit", "-"], `\ufeff${text}`).status).toBe(0);
  for (const seconds of [["--seconds", "-5"], ["--seconds=-5"], ["--seconds", "1e3"], ["--seconds", ""]])
    expect(tonodrome(["fit", example, ...seconds])).toMatchObject({
      status: 2,
      stdout: "",
      stderr: expect.stringMatching(/^--seconds: “.*” is not a whole number of seconds from 0 to 86400\.\n$/),
    });
  expect(tonodrome(["fit", example, "--seconds"])).toMatchObject({ status: 2, stdout: "" });
  const latin = spawnSync(process.execPath, [bin, "fit", "-"], { input: Buffer.from([0x7b, 0xe4, 0x7d]) });
  expect(latin.status).toBe(2);
  expect(String(latin.stderr)).toContain("is not UTF-8");
  const turned = changed((f) => {
    f.plan.items[0].name = "Laps \u202egnihtyna";
  });
  expect(tonodrome(["fit", "-"], turned)).toMatchObject({
    status: 2,
    stderr: expect.stringMatching(/^plan\.items\.0\.name: /),
  });
});

it("keeps the columns of a table straight under wide characters and accents of their own", () => {
  const named = changed((f) => {
    f.plan.items[0].name = "準備運動";
    f.plan.items[1].name = "Spru\u0308nge 🤸";
  });
  const lines = tonodrome(["fit", "-", "--table"], named).stdout.split("\n");
  const dose = (lines[0] ?? "").indexOf("dose");
  const begins = (name: string, at: number) => {
    const line = lines.find((l) => l.includes(name)) ?? "";
    return line.slice(at - 2, at) === "  " && line[at] !== " " && line[at] !== undefined;
  };
  // Four characters eight columns wide; a letter and its mark are one, a figure two columns and two units of code.
  expect(begins("準備運動", dose - 4)).toBe(true);
  expect(begins("Spru\u0308nge", dose + 1)).toBe(true);
});

describe("judging", () => {
  const judged = path.join(root, "docs", "examples", "judged.json");

  it("forecasts with words and bands, curves, slips and what would bring it back", () => {
    const { status, stdout } = tonodrome(["forecast", judged]);
    const answer = JSON.parse(stdout);
    expect([0, 1]).toContain(status);
    expect(status === 0).toBe(answer.atStart.warmth.word === "warm");
    expect(answer.delays.map((d: { delaySeconds: number }) => d.delaySeconds)).toEqual([
      -300, 300, 600, 1200, 2400,
    ]);
    for (const point of [answer.atStart, ...answer.delays, ...answer.curves])
      for (const lane of ["warmth", "sharpness", "tiredness", "readiness"]) {
        expect(point[lane].low).toBeLessThanOrEqual(point[lane].middle);
        expect(point[lane].middle).toBeLessThanOrEqual(point[lane].high);
      }
    expect(answer.curves.length).toBeGreaterThan(30);
    expect(answer.parameters.cooling).toMatchObject({ middle: 28, low: 20, high: 42 });
    expect(tonodrome(["forecast", judged]).stdout).toBe(stdout);
  });

  it("prints the forecast as a table, with what is not known", () => {
    const { stdout } = tonodrome(["forecast", example, "--table"]);
    expect(stdout).toMatch(/^start +warmth +sharpness +tiredness$/m);
    expect(stdout).toMatch(/^on time +/m);
    expect(stdout).toMatch(/^\+20:00 +/m);
    expect(stdout).toContain("The temperature is not known: 20 °C taken.");
    expect(stdout).toContain("gives no medical advice");
  });

  it("checks, and mends what it is told to", () => {
    const { status, stdout } = tonodrome(["check", judged]);
    const findings = JSON.parse(stdout);
    expect(status).toBe(1);
    expect(findings[0]).toMatchObject({
      severity: expect.stringMatching(/stop|warn/),
      code: expect.any(String),
    });
    const mendable = findings.find((f: { mends: string[] }) => f.mends.length > 0);
    const fixed = tonodrome(["check", judged, "--fix", mendable.code]);
    expect(fixed.status).toBe(0);
    const left = JSON.parse(tonodrome(["check", "-"], fixed.stdout).stdout);
    expect(
      left.filter((f: { code: string; mends: string[] }) => f.code === mendable.code && f.mends.length > 0),
    ).toEqual([]);
    expect(left.length).toBeLessThan(findings.length);
  });

  it("ends with 0 where there are only hints, and refuses a check there is none of", () => {
    const calm = changed((f) => {
      f.plan.items = f.plan.items.slice(0, 1);
      f.plan.items[0].dose = {
        kind: "time",
        seconds: { floor: 600, ideal: 600, ceiling: 600 },
        step: 5,
        sides: "one",
        changeoverSeconds: 0,
      };
      f.plan.items[0].intensity = 40;
      f.plan.items[0].place = "";
      f.plan.wait = { leastSeconds: 60, longestSeconds: 900 };
      f.context = undefined;
    });
    expect(tonodrome(["check", "-"], calm)).toMatchObject({ status: 0, stdout: "[]\n" });
    expect(tonodrome(["check", "-", "--table"], calm).stdout).toBe("Nothing to say against it.\n");
    expect(tonodrome(["check", judged, "--fix", "too-tall"])).toMatchObject({
      status: 2,
      stderr: expect.stringContaining("There is no check “too-tall”"),
    });
    expect(tonodrome(["forecast", judged, "--fix", "wet"]).status).toBe(2);
    expect(tonodrome(["check", "-", "--fix", "wet"], calm)).toMatchObject({ status: 2, stdout: "" });
  });

  it("names the field of what cannot be: humidity without temperature, heat that is none, a figure there is none of", () => {
    const faulty = (change: (file: ReturnType<typeof JSON.parse>) => void) => {
      const file = JSON.parse(readFileSync(judged, "utf8"));
      change(file);
      return tonodrome(["forecast", "-"], JSON.stringify(file));
    };
    const cases: [string, (file: ReturnType<typeof JSON.parse>) => void][] = [
      [
        "setting.humidity: Give the temperature",
        (f) => Object.assign(f.setting, { temperature: null, humidity: 50 }),
      ],
      ["setting.temperature: The temperature is", (f) => Object.assign(f.setting, { temperature: 51 })],
      ["setting.humidity: Humidity is", (f) => Object.assign(f.setting, { humidity: 101 })],
      [
        "figures.0.figure: ",
        (f) => Object.assign(f, { figures: [{ check: "wet", figure: "most", value: 1 }] }),
      ],
      ["athlete.ageBand", (f) => Object.assign(f.athlete, { ageBand: "ninety" })],
    ];
    for (const [words, change] of cases)
      expect(faulty(change)).toMatchObject({ status: 2, stdout: "", stderr: expect.stringContaining(words) });
  });

  it("answers for a plan of kit alone, of nothing, and of ninety drills", () => {
    const answers = [
      (f: ReturnType<typeof JSON.parse>) =>
        Object.assign(f.plan, { items: f.plan.items.filter((i: { phase: string }) => i.phase === "kit") }),
      (f: ReturnType<typeof JSON.parse>) => Object.assign(f.plan, { items: [] }),
      (f: ReturnType<typeof JSON.parse>) => {
        const [first] = f.plan.items;
        f.plan.items = Array.from({ length: 90 }, (_, n) => ({
          ...first,
          id: `40000000-0000-4000-8000-${String(n).padStart(12, "0")}`,
          place: "",
        }));
      },
    ].map((change) => tonodrome(["forecast", "-"], changed(change)));
    for (const { status, stdout } of answers) {
      expect([0, 1]).toContain(status);
      expect(JSON.parse(stdout).atStart.readiness.middle).toEqual(expect.any(Number));
    }
    expect(JSON.parse(answers[1]?.stdout ?? "").line).toBeNull();
  });
});
