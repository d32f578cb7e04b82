import { spawnSync } from "node:child_process";
import { existsSync, mkdtempSync, readFileSync, rmSync } from "node:fs";
import os from "node:os";
import path from "node:path";
import { expect, test } from "@playwright/test";
import { backUp, restore } from "../../scripts/lib/copies.mjs";
import { freePort } from "../../scripts/lib/ports.mjs";
import { Cluster } from "../../scripts/lib/postgres.mjs";
import { freshSecret } from "../../scripts/lib/secret.mjs";
import { ServerProcess } from "../../scripts/lib/server.mjs";

const root = path.resolve(import.meta.dirname, "../..");

/** Everything that is stored, as text, a line a row. */
function rows(url: string, psql: string): string {
  const ask = (sql: string) => spawnSync(psql, ["-tAc", sql, url], { encoding: "utf8" }).stdout;
  const tables = ask(
    "SELECT table_name FROM information_schema.tables WHERE table_schema = 'public' ORDER BY 1",
  );
  return tables
    .trim()
    .split("\n")
    .map((table) => `${table}\n${ask(`SELECT t::text FROM "${table}" t ORDER BY 1`)}`)
    .join("\n");
}

test("a backup restored into an empty cluster is the same to the last row, and serves", async () => {
  test.setTimeout(120_000);
  const home = mkdtempSync(path.join(os.tmpdir(), "tonodrome-backup-"));
  const [first, second] = [path.join(home, "first"), path.join(home, "second")];
  const file = path.join(home, "copy.dump");
  const program = await Cluster.programs();
  const clusters = [await Cluster.prepare(first), await Cluster.prepare(second)];
  const [from, to] = clusters as [Cluster, Cluster];
  const serve = async (cluster: Cluster) => {
    const port = await freePort();
    const server = new ServerProcess({
      DATABASE_URL: cluster.url(),
      TONODROME_SECRET: freshSecret(),
      PORT: String(port),
    });
    expect(await server.start()).toBeNull();
    return { server, base: `http://127.0.0.1:${port}/api` };
  };
  try {
    await from.start();
    const one = await serve(from);
    await fetch(`${one.base}/auth/sign-up`, {
      method: "POST",
      headers: { "content-type": "application/json" },
      body: JSON.stringify({
        name: "Vera Holt",
        email: "vera@example.org",
        password: "a long enough password",
        clubName: "Kept club",
      }),
    });
    // By the command itself, while the server runs.
    const command = spawnSync(process.execPath, ["scripts/backup.mjs", file], {
      cwd: root,
      encoding: "utf8",
      env: { ...process.env, TONODROME_DATA: first, DATABASE_URL: "" },
    });
    expect(command.stderr).toBe("");
    expect(command.stdout).toContain("Everything is in");
    await one.server.stop();
    const before = rows(from.url(), program("psql"));
    expect(before).toContain("Kept club");
    await expect(backUp(from.url(), program, file)).rejects.toThrow(/there already/);

    await to.start();
    await restore(to.url(), program, file);
    expect(rows(to.url(), program("psql"))).toBe(before);
    // A second time there is something in it: nothing is changed.
    await expect(restore(to.url(), program, file)).rejects.toThrow(/as it was/);
    expect(rows(to.url(), program("psql"))).toBe(before);

    const two = await serve(to);
    const signIn = await fetch(`${two.base}/auth/sign-in`, {
      method: "POST",
      headers: { "content-type": "application/json" },
      body: JSON.stringify({ email: "vera@example.org", password: "a long enough password" }),
    });
    expect(((await signIn.json()) as { clubs: object[] }).clubs).toMatchObject([{ name: "Kept club" }]);
    await two.server.stop();
    expect(existsSync(file)).toBe(true);
    expect(readFileSync(file).subarray(0, 5).toString()).toBe("PGDMP");
  } finally {
    for (const cluster of clusters) {
      await cluster.stop();
      cluster.remove();
    }
    rmSync(home, { recursive: true, force: true });
  }
});
