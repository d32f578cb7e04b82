// The real thing on a database of its own with fresh demo data, for the browser tests: two servers behind a
// round-robin, so that whatever one of them kept to itself would be missed. Ends when it is told to.
import { rmSync } from "node:fs";
import path from "node:path";
import { dataDir, inRoot } from "./lib/paths.mjs";
import { freePort } from "./lib/ports.mjs";
import { Cluster } from "./lib/postgres.mjs";
import { roundRobin } from "./lib/roundRobin.mjs";
import { main } from "./lib/say.mjs";
import { freshSecret } from "./lib/secret.mjs";
import { ServerProcess } from "./lib/server.mjs";

const SERVERS = 2;

main(async () => {
  const home = path.join(dataDir, `e2e-${process.pid}`);
  const cluster = await Cluster.prepare(home);
  await cluster.start();
  const secret = freshSecret();
  const servers = [];
  const targets = [];
  const end = async () => {
    await Promise.all(servers.map((server) => server.stop()));
    await cluster.stop();
    cluster.remove();
    rmSync(home, { recursive: true, force: true });
    process.exit(0);
  };
  process.on("SIGTERM", end);
  process.on("SIGINT", end);
  for (let i = 0; i < SERVERS; i++) {
    const port = await freePort();
    const server = new ServerProcess({
      DATABASE_URL: cluster.url(),
      TONODROME_SECRET: secret,
      TONODROME_TRUST_PROXY: "1",
      TONODROME_WRITES_PER_MINUTE: "100000",
      TONODROME_READS_PER_MINUTE: "100000",
      TONODROME_DEMOS_PER_HOUR: "1000",
      TONODROME_ACCOUNTS_PER_HOUR: "1000",
      // The browser's clock is in the tests' hands, and runs ahead of this one.
      TONODROME_PRESS_AHEAD_SECONDS: "86400",
      PORT: String(port),
      TONODROME_WEB: process.env.TONODROME_WEB ?? inRoot("app", "dist"),
    });
    servers.push(server);
    targets.push(`http://127.0.0.1:${port}`);
    const failed = await server.start();
    if (failed) throw new Error(failed.message);
  }
  await roundRobin(Number(process.env.PORT), targets);
});
