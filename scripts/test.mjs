// Every check there is, in one command from a fresh clone: `npm test`, or some of them: `npm test -- unit browser`.
import { existsSync } from "node:fs";
import { ensureBuilt } from "./lib/build.mjs";
import { run } from "./lib/command.mjs";
import { ensureDebian } from "./lib/debian.mjs";
import { ensurePackages } from "./lib/install.mjs";
import { inRoot } from "./lib/paths.mjs";
import { main, say } from "./lib/say.mjs";

const bin = (name) => inRoot("node_modules", ".bin", name);
const CHROMIUM = "/usr/bin/chromium";

/** Runs commands one after the other; true when all ended well. */
async function all(...commands) {
  for (const [name, ...args] of commands) if ((await run(bin(name), args)) !== 0) return false;
  return true;
}

const rooms = ["core", "cli", "server", "app", "e2e"];
const checks = {
  types: () => all(...rooms.map((room) => ["tsc", "-p", room])),
  lint: () => all(["biome", "check", "."]),
  arrows: async () => (await run(process.execPath, [inRoot("scripts", "arrows.mjs")])) === 0,
  unused: () => all(["knip"]),
  unit: () => all(["jest", "--selectProjects", "core", "cli", "app"]),
  api: () => all(["jest", "--selectProjects", "server"]),
  browser: async () => {
    await ensureDebian(() => (existsSync(CHROMIUM) ? CHROMIUM : null), "chromium", "Chromium");
    await ensureBuilt();
    return all(["playwright", "test", "--config", "e2e/playwright.config.ts"]);
  },
};

main(async () => {
  await ensurePackages();
  const wanted = process.argv.slice(2).filter((a) => a in checks);
  const results = [];
  for (const name of wanted.length > 0 ? wanted : Object.keys(checks)) {
    say(`\n── ${name}`);
    const began = Date.now();
    const ok = await checks[name]();
    results.push({ name, ok, seconds: Math.round((Date.now() - began) / 1000) });
  }
  say("\n── Summary");
  for (const { name, ok, seconds } of results)
    say(`${ok ? "passed" : "FAILED"}  ${name.padEnd(8)} ${seconds} s`);
  const failed = results.filter((r) => !r.ok).length;
  say(`\n${results.length - failed} passed, ${failed} failed`);
  if (failed > 0) process.exitCode = 1;
});
