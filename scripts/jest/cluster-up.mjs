import { rmSync } from "node:fs";
import path from "node:path";
import { ensureServerBuilt } from "../lib/buildServer.mjs";
import { dataDir } from "../lib/paths.mjs";
import { Cluster } from "../lib/postgres.mjs";
import { buildBundles } from "./bundles.mjs";

/** A PostgreSQL of the tests' own for the length of a Jest run. */
export default async function up(config, project) {
  await buildBundles(config, project);
  // What runs in a thread of its own is not Jest's to transform.
  await ensureServerBuilt();
  const home = path.join(dataDir, `test-${process.pid}`);
  const cluster = await Cluster.prepare(home);
  await cluster.start();
  process.env.TEST_DATABASE_URL = cluster.url();
  process.env.TEST_ADMIN_URL = cluster.adminUrl();
  globalThis.endTestCluster = async () => {
    await cluster.stop();
    cluster.remove();
    rmSync(home, { recursive: true, force: true });
  };
}
