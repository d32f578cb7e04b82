import { existsSync, mkdirSync, readFileSync, rmSync, writeFileSync } from "node:fs";
import path from "node:path";
import { isRoot } from "./command.mjs";
import { Stop } from "./say.mjs";

/*
 * A data folder has one master: whoever starts, stops or prepares its database holds the claim to it, and nobody else
 * does any of these while they live.
 */

const fileOf = (home) => path.join(home, "claim");

/** When a process began, as the system counts it: a number that comes again is another process. */
function beganAt(pid) {
  try {
    const stat = readFileSync(`/proc/${pid}/stat`, "utf8");
    // The program's name, in brackets, may hold anything.
    return stat.slice(stat.lastIndexOf(")") + 2).split(" ")[19] ?? null;
  } catch {
    return null;
  }
}

/**
 * Who holds the claim to a data folder at this moment.
 * @returns the process and what it does; null for nobody, also where who held it is gone
 */
export function claimOf(home) {
  const file = fileOf(home);
  if (!existsSync(file)) return null;
  try {
    const { pid, began, what } = JSON.parse(readFileSync(file, "utf8"));
    return beganAt(pid) === began ? { pid, what } : null;
  } catch {
    return null;
  }
}

/** Makes a folder that only its owner looks into; as root the database's own user has to get through it. */
export function makeHome(home) {
  mkdirSync(home, { recursive: true, mode: isRoot ? 0o711 : 0o700 });
}

/**
 * Takes the claim to a data folder for this process, for as long as it lives.
 * @param what what for, in words
 * @returns what gives it back
 * @throws Stop when another process holds it
 */
export function claim(home, what) {
  makeHome(home);
  const holder = claimOf(home);
  if (holder?.pid === process.pid) return () => undefined;
  if (holder) {
    throw new Stop(
      `This data folder is in use: ${holder.what} (process ${holder.pid}) has it.`,
      `Use that one, or end it first: kill ${holder.pid}`,
    );
  }
  rmSync(fileOf(home), { force: true });
  const mine = JSON.stringify({ pid: process.pid, began: beganAt(process.pid), what });
  try {
    writeFileSync(fileOf(home), mine, { mode: 0o600, flag: "wx" });
  } catch (error) {
    if (error.code === "EEXIST")
      throw new Stop("Another process took this data folder just now.", "Try again.");
    throw error;
  }
  return () => {
    if (claimOf(home)?.pid === process.pid) rmSync(fileOf(home), { force: true });
  };
}
