// The checks, in one command from a fresh clone: `npm test`, or some of them: `npm test -- unit browser`. `npm run test:long` is
// what takes too long to wait for: all generated cases, every starter filled for every age and length, the solver's mutants.
import { readFileSync } from "node:fs";
import { availableParallelism } from "node:os";
import { ensureBuilt } from "./lib/build.mjs";
import { ensureServerBuilt } from "./lib/buildServer.mjs";
import { ensureChromium } from "./lib/chromium.mjs";
import { runQuietly } from "./lib/command.mjs";
import { files } from "./lib/files.mjs";
import { ensurePackages } from "./lib/install.mjs";
import { inRoot } from "./lib/paths.mjs";
import { Cluster } from "./lib/postgres.mjs";
import { main, say } from "./lib/say.mjs";

const bin = (name) => inRoot("node_modules", ".bin", name);
const hall = (...args) => [process.execPath, inRoot("scripts", "hall.mjs"), ...args];
/** Jest with every processor. */
const jest = [bin("jest"), "-w", String(availableParallelism())];
const stories = (...args) => [bin("playwright"), "test", "--config", "e2e/playwright.config.ts", ...args];
/** Long: generated days against brute force and another solver, and every starter filled and judged. */
const PROOF = "core/test/(?:proof|sign)/";
/** The solver's lines, broken one by one. */
const MUTANTS = "core/test/proof/mutants";

/** The tests of some rooms that try more cases in the long run than in `npm test`. */
const withCases = (...of) => {
  const tests = of
    .flatMap((room) => [...files(inRoot(room, "test"))])
    .filter((file) => /\.test\.tsx?$/.test(file) && readFileSync(file, "utf8").includes('made/cases"'));
  return ["--testPathPattern", `(?:${tests.map((file) => file.slice(inRoot().length + 1)).join("|")})$`];
};

const rooms = ["core", "cli", "server", "app", "e2e"];

/** What each check of `npm test` runs, one after the other. */
const SHORT = {
  build: async () => {
    await ensureBuilt();
    return [];
  },
  types: () => rooms.map((room) => [bin("tsc"), "-p", room]),
  lint: () => [
    [bin("biome"), "check", "."],
    [process.execPath, inRoot("scripts", "mutantLines.mjs")],
    [process.execPath, inRoot("server", "openapi", "lint.mjs")],
  ],
  arrows: () => [[process.execPath, inRoot("scripts", "arrows.mjs")]],
  unused: () => [[bin("knip")]],
  unit: () => [
    [...jest, "--selectProjects", "core", "cli", "app", "app-plain", "--testPathIgnorePatterns", PROOF],
  ],
  api: () => [[...jest, "--selectProjects", "server"]],
  // A sample of the long proofs.
  proof: () => [
    [...jest, "--selectProjects", "core", "--testPathPattern", PROOF, "--testPathIgnorePatterns", MUTANTS],
  ],
  // Competition days, always the same ones.
  hall: () => [hall("--seed", "1", "--courses", "6")],
  browser: async () => {
    await ensureBuilt();
    return [stories("--grep-invert", "@long")];
  },
};

/** What each check of `npm run test:long` runs. */
const LONG = {
  stories: async () => {
    await ensureBuilt();
    return [stories("--grep", "@long")];
  },
  cases: () => [[...jest, "--selectProjects", "core", "app-plain", ...withCases("core", "app")]],
  fuzz: () => [[...jest, "--selectProjects", "server", ...withCases("server")]],
  mutants: () => [[...jest, "--selectProjects", "core", "--testPathPattern", MUTANTS]],
  // More competition days, always the same ones: what lands is refused for its own faults only. New ones are drawn by hand.
  hall: () => [hall("--seed", "100", "--courses", "30")],
};

const isLong = process.argv.includes("--long");
const checks = isLong ? LONG : SHORT;
if (isLong) process.env.TONODROME_TESTS = "long";

/** What several checks need is made ready before they begin beside one another. */
async function prepare(names) {
  if (!names.some((name) => ["api", "browser", "fuzz", "hall", "stories"].includes(name))) return;
  await Cluster.programs();
  if (names.includes("browser") || names.includes("stories")) await ensureChromium();
  await ensureServerBuilt();
}

/** Runs a check to its end, heard only where it is asked to be. */
async function check(name, aloud) {
  const began = Date.now();
  let ok = true;
  let output = "";
  for (const [command, ...args] of await checks[name]()) {
    if (!ok) break;
    const done = await runQuietly(command, args, { aloud });
    ok = done.code === 0;
    output += done.output;
  }
  return { name, ok, output, seconds: Math.round((Date.now() - began) / 1000) };
}

/** Told of what goes on in a few lines: how a check began and ended, and all that it said where it failed. */
function tell({ name, ok, output, seconds }, isTold) {
  const sums = output.match(/^(?:Tests: .*|Test Suites: .*|\s*\d+ passed.*)$/gm) ?? [];
  if (ok)
    say(
      `── ${name}: passed in ${seconds} s${sums.map((line) => `; ${line.trim().replace(/ +/g, " ")}`).join("")}`,
    );
  else say(`\n── ${name}: FAILED after ${seconds} s\n${isTold ? "" : output}`);
}

/** So many tests, or files of them, are told of at a time: enough to see that it goes on. */
const AT_A_TIME = 25;

/** Counts what is done of a check, and says so now and then. */
function progressOf(name) {
  let done = 0;
  return (piece) => {
    const before = Math.floor(done / AT_A_TIME);
    done += piece.match(/^\s*(?:✓|✘|PASS|FAIL)\b|^\s*[✓✘]/gm)?.length ?? 0;
    if (Math.floor(done / AT_A_TIME) > before) say(`   ${name}: ${done} done`);
  };
}

/** What failed within a check, by name, as its own report has it. */
function failedIn({ output }) {
  const lines = output.match(/^ *(?:●|✘|error |.*: error TS).*$/gm) ?? [];
  return [...new Set(lines.map((line) => line.trim()))].filter((line) => line !== "● Console").slice(0, 30);
}

/** One check after the other, each shown as it goes. */
async function inTurn(names) {
  const results = [];
  for (const name of names) {
    say(`\n── ${name}`);
    const result = await check(name, (piece) => process.stdout.write(piece));
    tell(result, true);
    results.push(result);
  }
  return results;
}

/** What uses one processor, and is done two at a time; the rest has both to itself, which is sooner than beside one another. */
const SMALL = ["types", "lint", "arrows", "unused", "build"];

/** So many checks at a time, each in a line: all that one said is shown only where it failed. */
async function inLanes(names, lanes) {
  const queue = [...names];
  const results = [];
  const lane = async () => {
    for (let name = queue.shift(); name; name = queue.shift()) {
      say(`── ${name} …`);
      const result = await check(name, progressOf(name));
      tell(result, false);
      results.push(result);
    }
  };
  await Promise.all(Array.from({ length: lanes }, lane));
  return results;
}

main(async () => {
  await ensurePackages();
  const asked = process.argv.slice(2).filter((a) => a in checks);
  const names = asked.length > 0 ? asked : Object.keys(checks);
  const began = Date.now();
  await prepare(names);
  const results =
    names.length === 1
      ? await inTurn(names)
      : [
          ...(await inLanes(
            names.filter((name) => SMALL.includes(name)),
            Math.min(2, availableParallelism()),
          )),
          ...(await inLanes(
            names.filter((name) => !SMALL.includes(name)),
            1,
          )),
        ];
  say("\n── Summary");
  for (const name of names) {
    const result = results.find((r) => r.name === name);
    const { ok, seconds } = result;
    say(`${ok ? "passed" : "FAILED"}  ${name.padEnd(8)} ${seconds} s`);
    if (!ok) for (const line of failedIn(result)) say(`          ${line}`);
  }
  const failed = results.filter((r) => !r.ok).length;
  say(`\n${results.length - failed} passed, ${failed} failed, ${Math.round((Date.now() - began) / 1000)} s`);
  if (failed > 0) process.exitCode = 1;
});
