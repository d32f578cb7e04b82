import { fileURLToPath } from "node:url";
import { makeOwnerLink, ownerlessClubs } from "./access/session/ownerLink";
import { buildApp } from "./app";
import { connect } from "./db/connect";
import { migrate } from "./db/migrate";
import { prepareDemo } from "./demo/demoRows";
import { readConfig } from "./process/config";
import { keepPurged } from "./upkeep/purge";

/** Requests that are not answered this long after the server was told to stop are given up, milliseconds. */
const PATIENCE_MS = 10_000;

const config = readConfig(process.env);
await migrate(config.databaseUrl);
const database = connect(config.databaseUrl, config.poolSize);
if (config.demos > 0) prepareDemo();

const app = await buildApp(database, {
  ...config,
  log: { level: config.logLevel },
  importWorker: fileURLToPath(new URL("./importWorker.js", import.meta.url)),
  worker: fileURLToPath(new URL("./worker.js", import.meta.url)),
});
const endPurging = keepPurged(database);

let stopping = false;
async function stop(): Promise<void> {
  if (stopping) return;
  stopping = true;
  setTimeout(() => process.exit(1), PATIENCE_MS).unref();
  endPurging();
  await app.close();
  await database.sequelize.close();
  process.exit(0);
}
process.on("SIGTERM", stop);
process.on("SIGINT", stop);
// The start script holds the other end: when it is gone, however it went, so are we.
process.on("disconnect", stop);

try {
  await app.listen({ port: config.port, host: config.host });
  const ownerLinks: { club: string; path: string }[] = [];
  for (const { id, name } of await ownerlessClubs(database)) {
    ownerLinks.push({ club: name, path: await makeOwnerLink(database, id) });
  }
  process.send?.({ ready: true, ownerLinks });
} catch (error) {
  const code = (error as NodeJS.ErrnoException).code;
  process.send?.({ failed: code ?? "unknown", message: (error as Error).message });
  console.error((error as Error).message);
  process.exit(1);
}
