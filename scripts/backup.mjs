// Everything that is stored, in one file: `npm run backup -- FILE`. The application may be running.
import { existsSync, readFileSync } from "node:fs";
import path from "node:path";
import { backUp, withDatabase } from "./lib/copies.mjs";
import { ensurePackages } from "./lib/install.mjs";
import { dataDir } from "./lib/paths.mjs";
import { main, Stop, say } from "./lib/say.mjs";

main(async () => {
  const file = process.argv[2];
  if (!file) throw new Stop("Where to?", "Type: npm run backup -- FILE");
  await ensurePackages();
  await withDatabase(dataDir, "A backup", (url, program) => backUp(url, program, file));
  say(
    `Everything is in ${path.resolve(file)}. It holds names of people: keep it where only you can read it.`,
  );
  const secret = path.join(dataDir, "secret");
  if (existsSync(secret) && readFileSync(secret, "utf8"))
    say("Sessions are signed by a key that is not in it: after a restore people sign in anew.");
});
