import { buildApp } from "./app";
import { readConfig } from "./config";
import { connect } from "./db/connect";
import { ensureLocalClub } from "./db/localClub";
import { migrate } from "./db/migrate";
import { seedDemo } from "./demo/seedDemo";

const config = readConfig(process.env);
const database = connect(config.databaseUrl);
await migrate(database.sequelize);
if (config.demo) await seedDemo(database, new Date());
else await ensureLocalClub(database);

const app = await buildApp(database, { webRoot: config.webRoot, logLevel: config.logLevel });

let stopping = false;
async function stop(): Promise<void> {
  if (stopping) return;
  stopping = true;
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
  process.send?.({ ready: true });
} catch (error) {
  const code = (error as NodeJS.ErrnoException).code;
  process.send?.({ failed: code ?? "unknown", message: (error as Error).message });
  console.error((error as Error).message);
  process.exit(1);
}
