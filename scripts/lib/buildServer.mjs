import { createHash } from "node:crypto";
import { existsSync, readFileSync, renameSync, rmSync, writeFileSync } from "node:fs";
import path from "node:path";
import { files } from "./files.mjs";
import { inRoot } from "./paths.mjs";
import { Stop } from "./say.mjs";

const DIST = inRoot("server", "dist");
const MARK = path.join(DIST, ".sources");

/** What runs by itself, by the name that it is built under. */
const ENTRIES = {
  main: "main.ts",
  importWorker: "clubFile/importWorker.ts",
  worker: "threads/worker.ts",
  access: "access/operator.ts",
  clearDemos: "demo/reset.ts",
};

function sourcesHash() {
  const hash = createHash("sha256");
  for (const file of [
    inRoot("package-lock.json"),
    inRoot("docs", "openapi.json"),
    ...files(inRoot("server", "src")),
    ...files(inRoot("core", "src")),
  ]) {
    if (/\.test\.ts$/.test(file)) continue;
    hash.update(`${path.relative(inRoot(), file)}\n`).update(readFileSync(file));
  }
  return hash.digest("hex");
}

/** Builds the server into plain JavaScript for Node.js when its sources are not the ones it was last built from. */
export async function ensureServerBuilt() {
  const sources = sourcesHash();
  if (existsSync(MARK) && readFileSync(MARK, "utf8") === sources) return;
  const { build } = await import("esbuild");
  const { dependencies } = JSON.parse(readFileSync(inRoot("server", "package.json"), "utf8"));
  // The core is source of ours; everything else is there at run time.
  const external = Object.keys(dependencies).filter((name) => !name.startsWith("@tonodrome/"));
  const fresh = `${DIST}.new-${process.pid}`;
  rmSync(fresh, { recursive: true, force: true });
  try {
    await build({
      entryPoints: Object.fromEntries(
        Object.entries(ENTRIES).map(([name, file]) => [name, inRoot("server", "src", file)]),
      ),
      outdir: fresh,
      bundle: true,
      splitting: true,
      format: "esm",
      platform: "node",
      target: "node20",
      sourcemap: "linked",
      external: external.flatMap((name) => [name, `${name}/*`]),
      logLevel: "error",
    });
  } catch {
    throw new Stop("The server could not be built; the reason is above.", "Mend it and start again.");
  }
  writeFileSync(path.join(fresh, ".sources"), sources);
  rmSync(DIST, { recursive: true, force: true });
  renameSync(fresh, DIST);
}
