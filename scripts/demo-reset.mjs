// Takes the demo club away and lays it anew; other clubs are left alone.
import { existsSync, readFileSync } from "node:fs";
import path from "node:path";
import { run } from "./lib/command.mjs";
import { ensurePackages } from "./lib/install.mjs";
import { dataDir, inRoot } from "./lib/paths.mjs";
import { Cluster } from "./lib/postgres.mjs";
import { main, Stop, say } from "./lib/say.mjs";
import { ensureSecret } from "./lib/secret.mjs";

main(async () => {
  const pidFile = path.join(dataDir, "start.pid");
  const pid = existsSync(pidFile) ? readFileSync(pidFile, "utf8") : null;
  if (pid && existsSync(`/proc/${pid}`)) {
    throw new Stop("Tonodrome is running.", "Stop it with Ctrl-C, then run this again.");
  }
  await ensurePackages();
  const cluster = process.env.DATABASE_URL ? null : await Cluster.prepare(dataDir);
  await cluster?.start();
  try {
    const code = await run(
      process.execPath,
      ["--import", "tsx", inRoot("server", "src", "demo", "reset.ts")],
      {
        env: {
          ...process.env,
          DATABASE_URL: process.env.DATABASE_URL || cluster.url(),
          TONODROME_SECRET: ensureSecret(dataDir),
        },
      },
    );
    if (code !== 0) throw new Stop("The demo could not be reset.", "The reason is above.");
    say("The demo is as new.");
  } finally {
    await cluster?.stop();
  }
});
