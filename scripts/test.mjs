// Every check there is, in one command from a fresh clone: `npm test`, or some of them: `npm test -- unit browser`.
import { existsSync } from "node:fs";
import { availableParallelism } from "node:os";
import { ensureBuilt } from "./lib/build.mjs";
import { ensureServerBuilt } from "./lib/buildServer.mjs";
import { run, runQuietly } from "./lib/command.mjs";
import { ensureDebian } from "./lib/debian.mjs";
import { ensurePackages } from "./lib/install.mjs";
import { inRoot } from "./lib/paths.mjs";
import { Cluster } from "./lib/postgres.mjs";
import { main, say } from "./lib/say.mjs";

const bin = (name) => inRoot("node_modules", ".bin", name);
const CHROMIUM = "/usr/bin/chromium";
const PROOF = "core/test/proof/";

const rooms = ["core", "cli", "server", "app", "e2e"];

/** What each check runs, one after the other. */
const checks = {
  types: () => rooms.map((room) => [bin("tsc"), "-p", room]),
  lint: () => [[bin("biome"), "check", "."]],
  arrows: () => [[process.execPath, inRoot("scripts", "arrows.mjs")]],
  unused: () => [[bin("knip")]],
  unit: () => [[bin("jest"), "--selectProjects", "core", "cli", "app", "--testPathIgnorePatterns", PROOF]],
  api: () => [[bin("jest"), "--selectProjects", "server"]],
  // Long: generated days against brute force and another solver, and lines broken one by one.
  proof: () => [[bin("jest"), "--selectProjects", "core", "--testPathPattern", PROOF]],
  browser: async () => {
    await ensureBuilt();
    return [[bin("playwright"), "test", "--config", "e2e/playwright.config.ts"]];
  },
};

/** What several checks need is made ready before they begin beside one another. */
async function prepare(names) {
  if (!names.includes("api") && !names.includes("browser")) return;
  await Cluster.programs();
  if (names.includes("browser"))
    await ensureDebian(() => (existsSync(CHROMIUM) ? CHROMIUM : null), "chromium", "Chromium");
  await ensureServerBuilt();
}

async function check(name, runCommand) {
  const began = Date.now();
  let ok = true;
  for (const [command, ...args] of await checks[name]()) if (ok) ok = (await runCommand(command, args)) === 0;
  return { name, ok, seconds: Math.round((Date.now() - began) / 1000) };
}

/** One check after the other, each shown as it goes. */
async function inTurn(names) {
  const results = [];
  for (const name of names) {
    say(`\n── ${name}`);
    results.push(await check(name, run));
  }
  return results;
}

/** The longest first, after what is told soonest; the browser, which mostly waits for clocks, goes beside them. */
const ORDER = ["browser", "lint", "arrows", "unused", "api", "proof", "unit", "types"];

/** Two at a time: what each said is shown when it is over, and of the first as it goes. */
async function twoAtATime(names) {
  const queue = ORDER.filter((name) => names.includes(name));
  const results = [];
  const first = queue[0];
  const lane = async () => {
    for (let name = queue.shift(); name; name = queue.shift()) {
      const said = [];
      const quietly = async (command, args) => {
        const { code, output } = await runQuietly(command, args);
        said.push(output);
        return code;
      };
      if (name === first) say(`\n── ${name}`);
      results.push(await check(name, name === first ? run : quietly));
      if (name !== first) say(`\n── ${name}\n${said.join("")}`);
    }
  };
  await Promise.all([lane(), lane()]);
  return results;
}

main(async () => {
  await ensurePackages();
  const asked = process.argv.slice(2).filter((a) => a in checks);
  const names = asked.length > 0 ? asked : Object.keys(checks);
  const began = Date.now();
  await prepare(names);
  const results = await (availableParallelism() > 1 ? twoAtATime(names) : inTurn(names));
  say("\n── Summary");
  for (const name of names) {
    const { ok, seconds } = results.find((r) => r.name === name);
    say(`${ok ? "passed" : "FAILED"}  ${name.padEnd(8)} ${seconds} s`);
  }
  const failed = results.filter((r) => !r.ok).length;
  say(`\n${results.length - failed} passed, ${failed} failed, ${Math.round((Date.now() - began) / 1000)} s`);
  if (failed > 0) process.exitCode = 1;
});
