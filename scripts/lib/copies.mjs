import { existsSync } from "node:fs";
import path from "node:path";
import { run } from "./command.mjs";
import { Cluster } from "./postgres.mjs";
import { Stop } from "./say.mjs";

/** Connects to the database that `npm start` uses, starting its cluster for as long as `use` takes when it is not running. */
export async function withDatabase(home, use) {
  if (process.env.DATABASE_URL) return use(process.env.DATABASE_URL, await Cluster.programs());
  const cluster = await Cluster.prepare(home);
  await cluster.start();
  try {
    return await use(cluster.url(), await Cluster.programs());
  } finally {
    await cluster.stop();
  }
}

/** Writes everything that is stored into one file (pg_dump's custom format), as it is at one moment. */
export async function backUp(url, program, file) {
  if (existsSync(file)) {
    throw new Stop(`${file} is there already.`, "Name another file; a backup is never written over.");
  }
  const code = await run(program("pg_dump"), ["--format=custom", "--no-owner", `--file=${file}`, url]);
  if (code !== 0) throw new Stop("The backup was not made.", "pg_dump's own words are above.");
}

/** Puts a backup into an empty database, all of it or nothing. */
export async function restore(url, program, file) {
  if (!existsSync(file)) throw new Stop(`There is no ${path.resolve(file)}.`, "Name the backup's file.");
  const code = await run(program("pg_restore"), [
    "--no-owner",
    "--single-transaction",
    "--exit-on-error",
    `--dbname=${url}`,
    file,
  ]);
  if (code !== 0) {
    throw new Stop(
      "The backup was not restored, and the database is as it was.",
      "pg_restore's own words are above. It has to be an empty database: move the data folder away first, or name another one with TONODROME_DATA or DATABASE_URL.",
    );
  }
}
