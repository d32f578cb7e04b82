import { spawn, spawnSync } from "node:child_process";
import { root } from "./paths.mjs";

/** Runs a command to its end with its output shown; resolves to its exit code. */
export function run(command, args, options = {}) {
  return new Promise((resolve, reject) => {
    const child = spawn(command, args, { cwd: root, stdio: "inherit", ...options });
    child.on("error", reject);
    child.on("exit", (code, signal) => resolve(signal ? 1 : code));
  });
}

/** Runs a command quietly; returns its trimmed output, or null when it failed. */
export function ask(command, args, options = {}) {
  const result = spawnSync(command, args, { encoding: "utf8", ...options });
  return result.status === 0 ? result.stdout.trim() : null;
}

export const isRoot = process.getuid?.() === 0;

/**
 * Runs a command to its end; resolves to its exit code and whatever it said.
 * @param aloud told every piece of that as it comes
 */
export function runQuietly(command, args, { aloud, ...options } = {}) {
  return new Promise((resolve, reject) => {
    const child = spawn(command, args, { cwd: root, stdio: ["ignore", "pipe", "pipe"], ...options });
    let output = "";
    const hear = (chunk) => {
      output += chunk;
      aloud?.(chunk);
    };
    child.stdout.setEncoding("utf8").on("data", hear);
    child.stderr.setEncoding("utf8").on("data", hear);
    child.on("error", reject);
    child.on("exit", (code, signal) => resolve({ code: signal ? 1 : code, output }));
  });
}
