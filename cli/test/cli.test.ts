import { spawnSync } from "node:child_process";
import { readFileSync } from "node:fs";
import path from "node:path";
import { schemaText } from "../src/schemaText";

const root = path.join(__dirname, "..", "..");
const bin = path.join(root, "cli", "bin", "tonodrome.mjs");
const example = path.join(root, "docs", "examples", "six-minutes.json");
const text = readFileSync(example, "utf8");

function tonodrome(args: string[], input = "") {
  const { status, stdout, stderr } = spawnSync(process.execPath, [bin, ...args], { input, encoding: "utf8" });
  return { status, stdout, stderr };
}

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
  expect(tonodrome(["check", "-"], short)).toMatchObject({
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
  ["a floor above its ceiling", (f) => (f.plan.items[0].dose.seconds.floor = 999), /^plan\.items\[0\]\.dose/],
  [
    "a window that closes before it opens",
    (f) => (f.context.places[2].windows[0].toSeconds = -3000),
    /^context\.places\[2\]\.windows\[0\]\.toSeconds: .*closes before/,
  ],
  [
    "windows that overlap",
    (f) => f.context.places[2].windows.push({ fromSeconds: -1000, toSeconds: -500 }),
    /windows\[1\]\.fromSeconds: .*overlap/,
  ],
  [
    "a fixed point after the start",
    (f) => (f.context.points[0].toSeconds = 60),
    /^context\.points\[0\]\.toSeconds: .*after the start/,
  ],
  [
    "a way to a place that is not there",
    (f) => (f.context.travel[0].to = "Moon"),
    /^context\.travel\[0\]\.to: There is no place/,
  ],
  [
    "drills that must each follow the other",
    (f) => {
      f.plan.items[1].after = f.plan.items[2].id;
      f.plan.items[2].after = f.plan.items[1].id;
    },
    /^plan\.items\[1\]\.after: .*each follow the other/,
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

it("is published as JSON Schema as it is read: npm run schema", () => {
  expect(readFileSync(path.join(root, "docs", "schema", "fit.schema.json"), "utf8")).toBe(schemaText());
});
