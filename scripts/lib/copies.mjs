import { existsSync, mkdtempSync, rmSync, writeFileSync } from "node:fs";
import os from "node:os";
import path from "node:path";
import { setTimeout as sleep } from "node:timers/promises";
import { claimOf } from "./claim.mjs";
import { run } from "./command.mjs";
import { askDatabase, Cluster } from "./postgres.mjs";
import { Stop, say } from "./say.mjs";

/** How often a database that is running is asked before it is said that it does not answer, once a second. */
const TRIES = 20;

/**
 * Connects to the database of a data folder: the one that a living start command runs, which is waited for and never
 * touched; or else its cluster, started for as long as `use` takes.
 * @param what what for, in words
 */
export async function withDatabase(home, what, use) {
  const program = await Cluster.programs();
  if (process.env.DATABASE_URL) return use(process.env.DATABASE_URL, program);
  const holder = claimOf(home);
  if (holder) return use(await runningDatabase(home, holder), program);
  const cluster = await Cluster.prepare(home, what);
  try {
    await cluster.start();
    return await use(cluster.url(), program);
  } finally {
    await cluster.stop();
  }
}

async function runningDatabase(home, holder) {
  let why = "it has not said where its database is";
  for (let tries = 0; tries < TRIES; tries++) {
    const url = Cluster.runningUrl(home);
    try {
      if (url) {
        await askDatabase(url, (ask) => ask("SELECT 1"));
        return url;
      }
    } catch (error) {
      why = error.message;
    }
    if (tries === 0) say(`${holder.what} is running; waiting for its database …`);
    await sleep(1000);
  }
  throw new Stop(
    `${holder.what} (process ${holder.pid}) is running, and its database does not answer: ${why}.`,
    "Try again in a moment. It was left alone.",
  );
}

/** Runs one of PostgreSQL's programs on a database; what opens it is in a file of its owner's alone, not in the process list. */
async function runOn(url, command, args) {
  const { hostname, port, username, password, pathname, searchParams } = new URL(url);
  const folder = mkdtempSync(path.join(os.tmpdir(), "tonodrome-pass-"));
  const passFile = path.join(folder, "pass");
  const escaped = decodeURIComponent(password).replace(/[\\:]/g, "\\$&");
  writeFileSync(passFile, `*:*:*:*:${escaped}\n`, { mode: 0o600 });
  try {
    return await run(command, args, {
      env: {
        ...process.env,
        PGHOST: decodeURIComponent(hostname) || searchParams.get("host") || "localhost",
        PGPORT: port || "5432",
        PGUSER: decodeURIComponent(username),
        PGDATABASE: decodeURIComponent(pathname.slice(1)),
        PGPASSFILE: passFile,
        ...(searchParams.get("sslmode") ? { PGSSLMODE: searchParams.get("sslmode") } : {}),
      },
    });
  } finally {
    rmSync(folder, { recursive: true, force: true });
  }
}

/** Writes everything that is stored into one file (pg_dump's custom format), as it is at one moment, for its owner alone. */
export async function backUp(url, program, file) {
  if (existsSync(file)) {
    throw new Stop(`${file} is there already.`, "Name another file; a backup is never written over.");
  }
  writeFileSync(file, "", { mode: 0o600, flag: "wx" });
  const code = await runOn(url, program("pg_dump"), ["--format=custom", "--no-owner", `--file=${file}`]);
  if (code === 0) return;
  rmSync(file, { force: true });
  throw new Stop("The backup was not made.", "pg_dump's own words are above.");
}

/**
 * Puts a backup into an empty database, all of it or nothing. What lets somebody in is not put back: an invitation, a
 * link or a session may have been withdrawn since the backup was made.
 */
export async function restore(url, program, file) {
  if (!existsSync(file)) throw new Stop(`There is no ${path.resolve(file)}.`, "Name the backup's file.");
  const code = await runOn(url, program("pg_restore"), [
    "--no-owner",
    "--single-transaction",
    "--exit-on-error",
    `--dbname=${new URL(url).pathname.slice(1)}`,
    file,
  ]);
  if (code !== 0) {
    throw new Stop(
      "The backup was not restored, and the database is as it was.",
      "pg_restore's own words are above. It has to be an empty database: move the data folder away first, or name another one with TONODROME_DATA or DATABASE_URL.",
    );
  }
  await askDatabase(url, endWhatOpens);
}

/**
 * Ends everything that lets somebody in by a secret. Which tables these are the database itself says: those that keep the
 * mark of a secret, so that one that comes later is among them.
 */
async function endWhatOpens(ask) {
  const tables = await ask(
    `SELECT table_name AS name, array_agg(column_name::text) AS columns FROM information_schema.columns
      WHERE table_schema = 'public' GROUP BY 1 HAVING 'token_hash' = ANY (array_agg(column_name::text)) ORDER BY 1`,
  );
  for (const { name, columns } of tables) {
    const unused = columns.includes("used_at") ? " AND used_at IS NULL" : "";
    await ask(
      columns.includes("withdrawn_at")
        ? `UPDATE "${name}" SET withdrawn_at = now() WHERE withdrawn_at IS NULL${unused}`
        : `DELETE FROM "${name}"`,
    );
  }
}
