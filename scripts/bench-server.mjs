// How fast the server answers under load, and beside what; asserts nothing. `npm run bench:server`.
import { fork } from "node:child_process";
import { once } from "node:events";
import { rmSync } from "node:fs";
import path from "node:path";
import { run } from "./lib/command.mjs";
import { ensurePackages } from "./lib/install.mjs";
import { dataDir, inRoot, root } from "./lib/paths.mjs";
import { freePort } from "./lib/ports.mjs";
import { Cluster } from "./lib/postgres.mjs";
import { main } from "./lib/say.mjs";
import { freshSecret } from "./lib/secret.mjs";
import { ServerProcess } from "./lib/server.mjs";

const tsx = ["--import", "tsx"];

main(async () => {
  await ensurePackages();
  const home = path.join(dataDir, `bench-${process.pid}`);
  const cluster = await Cluster.prepare(home);
  await cluster.start();
  const [port, barePort] = [await freePort(), await freePort()];
  const env = { ...process.env, DATABASE_URL: cluster.url(), NODE_ENV: "production", LOG_LEVEL: "warn" };
  const server = new ServerProcess({
    ...env,
    TONODROME_SECRET: freshSecret(),
    TONODROME_WRITES_PER_MINUTE: "100000000",
    TONODROME_READS_PER_MINUTE: "100000000",
    TONODROME_ACCOUNTS_PER_HOUR: "1000",
    TONODROME_DEMO: "no",
    PORT: String(port),
  });
  const bare = fork(inRoot("server", "bench", "bare.ts"), [], {
    cwd: root,
    execArgv: tsx,
    env: { ...env, PORT: String(barePort) },
  });
  try {
    const failed = await server.start();
    if (failed) throw new Error(failed.message);
    await once(bare, "message");
    await run(process.execPath, [...tsx, inRoot("server", "bench", "growth.ts")], { env });
    await run(process.execPath, [...tsx, inRoot("server", "bench", "load.ts")], {
      env: {
        ...env,
        BENCH_URL: `http://127.0.0.1:${port}`,
        BENCH_BARE_URL: `http://127.0.0.1:${barePort}`,
      },
    });
    await run(process.execPath, [...tsx, inRoot("server", "bench", "season.ts")], {
      env: { ...env, BENCH_URL: `http://127.0.0.1:${port}`, BENCH_SERVER_PID: String(server.pid) },
    });
  } finally {
    bare.kill();
    await server.stop();
    await cluster.stop();
    cluster.remove();
    rmSync(home, { recursive: true, force: true });
  }
});
