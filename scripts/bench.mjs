// Prints what is fast and what is not; asserts nothing. `npm run bench`.

import { ensureBuilt, ensureEmptyBuilt } from "./lib/build.mjs";
import { ensureChromium } from "./lib/chromium.mjs";
import { run } from "./lib/command.mjs";
import { ensurePackages } from "./lib/install.mjs";
import { inRoot } from "./lib/paths.mjs";
import { main } from "./lib/say.mjs";
import { whileServed } from "./lib/served.mjs";

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
  await tsx(inRoot("core", "bench", "day.ts"));
  await tsx(inRoot("core", "bench", "lists.ts"));
  await ensureChromium();
  await ensureBuilt();
  const empty = await ensureEmptyBuilt();
  await whileServed({}, async (url) => {
    process.env.BENCH_URL = url;
    await tsx(inRoot("e2e", "bench", "interface.ts"));
    await whileServed({ TONODROME_WEB: empty }, async (emptyUrl) => {
      process.env.BENCH_EMPTY_URL = emptyUrl;
      await tsx(inRoot("e2e", "bench", "load.ts"));
    });
  });
});
