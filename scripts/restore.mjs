// Puts a backup into an empty database: `npm run restore -- FILE`, before the first `npm start`.
import { existsSync, readFileSync } from "node:fs";
import path from "node:path";
import { restore, withDatabase } from "./lib/copies.mjs";
import { dataDir } from "./lib/paths.mjs";
import { main, Stop, say } from "./lib/say.mjs";

main(async () => {
  const file = process.argv[2];
  if (!file) throw new Stop("From where?", "Type: npm run restore -- FILE");
  const pidFile = path.join(dataDir, "start.pid");
  if (
    !process.env.DATABASE_URL &&
    existsSync(pidFile) &&
    existsSync(`/proc/${readFileSync(pidFile, "utf8")}`)
  ) {
    throw new Stop("Tonodrome is running.", "Stop it with Ctrl-C, then run this again.");
  }
  await withDatabase(dataDir, (url, program) => restore(url, program, file));
  say("Restored. npm start serves it.");
});
