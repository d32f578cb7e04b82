import { readdirSync } from "node:fs";
import path from "node:path";

const SKIP = new Set(["node_modules", "dist", "dist.new", "dist.empty", ".expo"]);

/** Every file below a folder, in the order of names, but for what is made or installed there. */
export function* files(dir) {
  for (const entry of readdirSync(dir, { withFileTypes: true }).sort((a, b) => (a.name < b.name ? -1 : 1))) {
    if (SKIP.has(entry.name)) continue;
    const full = path.join(dir, entry.name);
    if (entry.isDirectory()) yield* files(full);
    else yield full;
  }
}
