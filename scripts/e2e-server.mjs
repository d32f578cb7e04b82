// The real server on a database of its own with fresh demo data, for the browser tests. Ends when it is told to.
import { rmSync } from "node:fs";
import path from "node:path";
import { dataDir, inRoot } from "./lib/paths.mjs";
import { Cluster } from "./lib/postgres.mjs";
import { main } from "./lib/say.mjs";
import { ServerProcess } from "./lib/server.mjs";

main(async () => {
  const home = path.join(dataDir, `e2e-${process.pid}`);
  const cluster = await Cluster.prepare(home);
  await cluster.start();
  const server = new ServerProcess({
    DATABASE_URL: cluster.url(),
    PORT: process.env.PORT,
    TONODROME_WEB: inRoot("app", "dist"),
  });
  const end = async () => {
    await server.stop();
    await cluster.stop();
    cluster.remove();
    rmSync(home, { recursive: true, force: true });
    process.exit(0);
  };
  process.on("SIGTERM", end);
  process.on("SIGINT", end);
  const failed = await server.start();
  if (failed) throw new Error(failed.message);
});
