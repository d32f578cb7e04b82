import { ensureServerBuilt } from "./buildServer.mjs";
import { run } from "./command.mjs";
import { withDatabase } from "./copies.mjs";
import { ensurePackages } from "./install.mjs";
import { dataDir, inRoot } from "./paths.mjs";
import { ensureSecret } from "./secret.mjs";

/**
 * Runs one of the server's own commands on the database that `npm start` uses, whether that is running or not.
 * @returns its exit code
 */
export async function runServerCommand(name, args, what) {
  await ensurePackages();
  await ensureServerBuilt();
  return withDatabase(dataDir, what, (url) =>
    run(process.execPath, [inRoot("server", "dist", `${name}.js`), ...args], {
      env: { ...process.env, DATABASE_URL: url, TONODROME_SECRET: ensureSecret(dataDir) },
    }),
  );
}
