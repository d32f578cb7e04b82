#!/usr/bin/env node
// The command line: bundled when its sources are newer than the bundle, so that it starts at once afterwards.
import { existsSync, mkdirSync, readdirSync, renameSync, statSync } from "node:fs";
import path from "node:path";
import { fileURLToPath, pathToFileURL } from "node:url";

const here = path.dirname(path.dirname(fileURLToPath(import.meta.url)));
const core = path.join(path.dirname(here), "core", "src");
const bundle = path.join(here, "dist", "tonodrome.mjs");

/** When any file in a folder was last changed, milliseconds since the epoch. */
function newest(dir) {
  return readdirSync(dir, { withFileTypes: true }).reduce((latest, entry) => {
    const full = path.join(dir, entry.name);
    return Math.max(latest, entry.isDirectory() ? newest(full) : statSync(full).mtimeMs);
  }, 0);
}

const isStale =
  !existsSync(bundle) || statSync(bundle).mtimeMs < Math.max(newest(path.join(here, "src")), newest(core));
if (isStale) {
  const { buildSync } = await import("esbuild");
  mkdirSync(path.dirname(bundle), { recursive: true });
  // Under a name of its own first, so that two at once never read half of it.
  const fresh = `${bundle}.${process.pid}.mjs`;
  buildSync({
    entryPoints: [path.join(here, "src", "main.ts")],
    outfile: fresh,
    bundle: true,
    platform: "node",
    format: "esm",
    target: "node20",
    minify: true,
    logLevel: "error",
  });
  renameSync(fresh, bundle);
}
const { main } = await import(pathToFileURL(bundle));
process.exitCode = await main(process.argv.slice(2), process);
