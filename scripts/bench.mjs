// Prints what is fast and what is not; asserts nothing. `npm run bench`.

import { spawn } from "node:child_process";
import { once } from "node:events";
import { existsSync } from "node:fs";
import { setTimeout as sleep } from "node:timers/promises";
import { ensureBuilt, ensureEmptyBuilt } from "./lib/build.mjs";
import { run } from "./lib/command.mjs";
import { ensureDebian } from "./lib/debian.mjs";
import { ensurePackages } from "./lib/install.mjs";
import { inRoot } from "./lib/paths.mjs";
import { freePort } from "./lib/ports.mjs";
import { main } from "./lib/say.mjs";

const CHROMIUM = "/usr/bin/chromium";
const tsx = (...args) => run(process.execPath, ["--import", "tsx", ...args]);

main(async () => {
  await ensurePackages();
  await tsx(inRoot("core", "bench", "dose.ts"));
  await tsx(inRoot("core", "bench", "building.ts"));
  await tsx(inRoot("core", "bench", "fit.ts"));
  await tsx(inRoot("core", "bench", "solver.ts"));
  await tsx(inRoot("core", "bench", "run.ts"));
  await tsx(inRoot("core", "bench", "forecast.ts"));
  await tsx(inRoot("core", "bench", "checks.ts"));
  await ensureDebian(() => (existsSync(CHROMIUM) ? CHROMIUM : null), "chromium", "Chromium");
  await ensureBuilt();
  process.env.BENCH_EMPTY = await ensureEmptyBuilt();
  const port = await freePort();
  const server = spawn(process.execPath, [inRoot("scripts", "e2e-server.mjs")], {
    env: { ...process.env, PORT: String(port) },
    stdio: "inherit",
  });
  try {
    process.env.BENCH_URL = `http://127.0.0.1:${port}`;
    while (!(await fetch(`${process.env.BENCH_URL}/ready`).catch(() => null))) await sleep(200);
    await tsx(inRoot("e2e", "bench", "interface.ts"));
    await tsx(inRoot("e2e", "bench", "load.ts"));
  } finally {
    const gone = once(server, "exit");
    server.kill("SIGTERM");
    await gone;
  }
});
