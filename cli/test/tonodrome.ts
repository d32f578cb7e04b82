import { spawnSync } from "node:child_process";
import path from "node:path";

export const root = path.join(__dirname, "..", "..");
/** The built command line. */
export const bin = path.join(root, "cli", "bin", "tonodrome.mjs");

/** Runs the built command line as a shell would. */
export function tonodrome(args: string[], input = "") {
  const { status, stdout, stderr } = spawnSync(process.execPath, [bin, ...args], { input, encoding: "utf8" });
  return { status, stdout, stderr };
}
