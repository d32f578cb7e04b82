import { createHash } from "node:crypto";
import { existsSync, readFileSync, writeFileSync } from "node:fs";
import { run } from "./command.mjs";
import { inRoot } from "./paths.mjs";
import { Stop, say } from "./say.mjs";

const MARK = inRoot("node_modules", ".tonodrome-lock");

/** Installs the npm packages when the lock file is not the one they were installed from. */
export async function ensurePackages() {
  const [major, minor] = process.versions.node.split(".").map(Number);
  if (major < 20 || (major === 20 && minor < 17)) {
    throw new Stop(
      `Node.js ${process.versions.node} is too old for Tonodrome.`,
      "Install Node.js 20.17 or newer and start again.",
    );
  }
  const lock = createHash("sha256")
    .update(readFileSync(inRoot("package-lock.json")))
    .digest("hex");
  if (existsSync(MARK) && readFileSync(MARK, "utf8") === lock) return;
  say("Installing packages (a minute or two the first time) …");
  const code = await run("npm", ["ci", "--no-audit", "--no-fund", "--loglevel=error"]);
  if (code !== 0) {
    throw new Stop(
      "The packages could not be installed; npm's own words are above.",
      "Check the connection to the package registry and the free disk space, then run the same command again.",
    );
  }
  writeFileSync(MARK, lock);
}
