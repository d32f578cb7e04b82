import { spawnSync } from "node:child_process";
import { existsSync, mkdtempSync, readFileSync, rmSync, statSync } from "node:fs";
import os from "node:os";
import path from "node:path";
import { expect, test } from "@playwright/test";
import { backUp, restore } from "../../../scripts/lib/copies.mjs";
import { freePort } from "../../../scripts/lib/ports.mjs";
import { askDatabase, Cluster } from "../../../scripts/lib/postgres.mjs";
import { freshSecret } from "../../../scripts/lib/secret.mjs";
import { ServerProcess } from "../../../scripts/lib/server.mjs";
import { signUp } from "../../signUp";

const root = path.resolve(import.meta.dirname, "../../..");

/** Tables of what lets somebody in: a restore brings none of it back to life. */
const OPENS = ["sessions", "invites", "shares", "calendars", "password_resets"];

/** Everything else that is stored, as text, a line a row. */
function rows(url: string): Promise<string> {
  return askDatabase(url, async (ask) => {
    const tables = await ask(
      "SELECT table_name AS name FROM information_schema.tables WHERE table_schema = 'public' ORDER BY 1",
    );
    const texts: string[] = [];
    for (const { name } of tables) {
      if (OPENS.includes(name)) continue;
      const found = await ask(`SELECT t::text AS row FROM "${name}" t ORDER BY 1`);
      texts.push(`${name}\n${found.map((f) => f.row).join("\n")}`);
    }
    return texts.join("\n");
  });
}

test("a backup restored into an empty cluster is the same to the last row, and serves", {
  tag: "@long",
}, async () => {
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
    const { clubId, cookie } = await signUp(one.base, "Kept club");
    const invited = await fetch(`${one.base}/clubs/${clubId}/invites`, {
      method: "POST",
      headers: { "content-type": "application/json", cookie },
      body: JSON.stringify({ role: "owner", athleteId: null }),
    });
    const { token } = (await invited.json()) as { token: string };
    const subscribed = await fetch(`${one.base}/clubs/${clubId}/calendars`, {
      method: "POST",
      headers: { "content-type": "application/json", cookie },
      body: JSON.stringify({ athleteId: null }),
    });
    const calendar = ((await subscribed.json()) as { token: string }).token;
    const opens = async (base: string) =>
      [await fetch(`${base}/invites/${token}`), await fetch(`${base}/calendars/${calendar}.ics`)].map(
        (answer) => answer.status,
      );
    expect(await opens(one.base)).toEqual([200, 200]);
    // By the command itself, while the server runs.
    const command = spawnSync(process.execPath, ["scripts/backup.mjs", file], {
      cwd: root,
      encoding: "utf8",
      env: { ...process.env, TONODROME_DATA: first, DATABASE_URL: "" },
    });
    expect(command.stderr).toBe("");
    expect(command.stdout).toContain("Everything is in");
    await one.server.stop();
    const before = await rows(from.url());
    expect(before).toContain("Kept club");
    await expect(backUp(from.url(), program, file)).rejects.toThrow(/there already/);

    await to.start();
    await restore(to.url(), program, file);
    expect(await rows(to.url())).toBe(before);
    // Whatever keeps a secret's mark is in the list above, and nothing in it is open.
    const open = await askDatabase(to.url(), async (ask) => {
      const found = await ask(
        "SELECT table_name AS name FROM information_schema.columns WHERE column_name = 'token_hash' ORDER BY 1",
      );
      expect(found.map((f) => f.name)).toEqual([...OPENS].sort());
      const counts =
        await ask(`SELECT (SELECT count(*) FROM sessions) + (SELECT count(*) FROM password_resets)
        + (SELECT count(*) FROM invites WHERE withdrawn_at IS NULL)
        + (SELECT count(*) FROM shares WHERE withdrawn_at IS NULL)
        + (SELECT count(*) FROM calendars WHERE withdrawn_at IS NULL) AS open`);
      return Number(counts[0]?.open);
    });
    expect(open).toBe(0);
    // A second time there is something in it: nothing is changed.
    await expect(restore(to.url(), program, file)).rejects.toThrow(/as it was/);
    expect(await rows(to.url())).toBe(before);

    const two = await serve(to);
    // What was withdrawn since the backup may be among these, so none of them opens anything.
    expect(await opens(two.base)).toEqual([410, 410]);
    expect((await fetch(`${two.base}/me`, { headers: { cookie } })).status).toBe(401);
    expect(statSync(file).mode & 0o077).toBe(0);
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
