// Puts a backup into an empty database: `npm run restore -- FILE`, before the first `npm start`.
import { claimOf } from "./lib/claim.mjs";
import { restore, withDatabase } from "./lib/copies.mjs";
import { ensurePackages } from "./lib/install.mjs";
import { dataDir } from "./lib/paths.mjs";
import { main, Stop, say } from "./lib/say.mjs";

main(async () => {
  const file = process.argv[2];
  if (!file) throw new Stop("From where?", "Type: npm run restore -- FILE");
  if (!process.env.DATABASE_URL && claimOf(dataDir))
    throw new Stop("Tonodrome is running.", "Stop it with Ctrl-C, then run this again.");
  await ensurePackages();
  await withDatabase(dataDir, "A restore", (url, program) => restore(url, program, file));
  say(
    "Restored. Everybody signs in anew. Invitations, links and calendar addresses have to be made anew: some may have been withdrawn since the backup. npm start serves it.",
  );
});
