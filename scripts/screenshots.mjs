// Takes the pictures in docs/screenshots from fresh demo data: `npm run screenshots`, then look at each of them.
import { spawn } from "node:child_process";
import { once } from "node:events";
import { setTimeout as sleep } from "node:timers/promises";
import { ensureBuilt } from "./lib/build.mjs";
import { run } from "./lib/command.mjs";
import { ensurePackages } from "./lib/install.mjs";
import { inRoot } from "./lib/paths.mjs";
import { freePort } from "./lib/ports.mjs";
import { main } from "./lib/say.mjs";

main(async () => {
  await ensurePackages();
  await ensureBuilt();
  const port = await freePort();
  const url = `http://127.0.0.1:${port}`;
  const server = spawn(process.execPath, [inRoot("scripts", "e2e-server.mjs")], {
    env: { ...process.env, PORT: String(port) },
    stdio: "inherit",
  });
  try {
    while (!(await fetch(`${url}/ready`).catch(() => null))) await sleep(200);
    await run(
      process.execPath,
      ["--import", "tsx", inRoot("e2e", "screenshots.ts"), ...process.argv.slice(2)],
      {
        env: { ...process.env, SHOTS_URL: url, SHOTS_DIR: inRoot("docs", "screenshots") },
      },
    );
  } finally {
    const gone = once(server, "exit");
    server.kill("SIGTERM");
    await gone;
  }
});
