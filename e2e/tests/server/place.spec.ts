import { spawn, spawnSync } from "node:child_process";
import { once } from "node:events";
import {
  chmodSync,
  chownSync,
  existsSync,
  mkdirSync,
  mkdtempSync,
  readdirSync,
  readFileSync,
  renameSync,
  rmSync,
  statSync,
  writeFileSync,
} from "node:fs";
import os from "node:os";
import path from "node:path";
import { expect, test } from "@playwright/test";
import { claim, claimOf } from "../../../scripts/lib/claim.mjs";
import { withDatabase } from "../../../scripts/lib/copies.mjs";
import { askDatabase, Cluster } from "../../../scripts/lib/postgres.mjs";

const root = path.resolve(import.meta.dirname, "../../..");
const isRoot = process.getuid?.() === 0;

let folder: string;
let home: string;
const clusters: Cluster[] = [];

test.beforeEach(() => {
  folder = mkdtempSync(path.join(os.tmpdir(), "tonodrome-place-"));
  // The database's user gets through, so that its files are within the data folder.
  chmodSync(folder, 0o755);
  home = path.join(folder, "data");
});
test.afterEach(async () => {
  for (const cluster of clusters.splice(0)) {
    await cluster.stop();
    cluster.remove();
  }
  rmSync(folder, { recursive: true, force: true });
});

async function prepare(at = home): Promise<Cluster> {
  const cluster = await Cluster.prepare(at);
  clusters.push(cluster);
  return cluster;
}

/** A cluster with something in it, stopped again. */
async function filled(): Promise<string> {
  const cluster = await prepare();
  await cluster.start();
  await askDatabase(cluster.url(), async (ask) => {
    await ask("CREATE TABLE kept (word text)");
    await ask("INSERT INTO kept VALUES ('still here')");
  });
  await cluster.stop();
  clusters.pop();
  return path.join(home, "postgres");
}

async function stillThere(at = home): Promise<void> {
  const cluster = await prepare(at);
  await cluster.start();
  expect(await askDatabase(cluster.url(), (ask) => ask("SELECT word FROM kept"))).toEqual([
    { word: "still here" },
  ]);
}

const secretOf = (at = home) => readFileSync(path.join(at, "database-password"), "utf8");

test("a data folder says where its database is, keeps its password, and moves as a whole", {
  tag: "@long",
}, async () => {
  await filled();
  expect(readFileSync(path.join(home, "cluster-place"), "utf8").trim()).toBe("postgres");
  const secret = secretOf();
  const elsewhere = path.join(folder, "moved");
  renameSync(home, elsewhere);
  await stillThere(elsewhere);
  expect(secretOf(elsewhere)).toBe(secret);
});

test("a folder whose note of where its database is was lost is found", { tag: "@long" }, async () => {
  await filled();
  rmSync(path.join(home, "cluster-place"));
  await stillThere();
  expect(existsSync(path.join(home, "cluster-place"))).toBe(true);
});

const wrong: [string, (dir: string) => void, RegExp][] = [
  ["its files are gone", (dir) => renameSync(dir, `${dir}-away`), /should be in .*postgres, and are not/],
  [
    "its files are gone and so is the note of them",
    (dir) => {
      renameSync(dir, `${dir}-away`);
      rmSync(path.join(home, "cluster-place"));
    },
    /password and no database/,
  ],
  [
    "its password is gone",
    () => rmSync(path.join(home, "database-password")),
    /database-password is missing/,
  ],
  ["its files are open to others", (dir) => chmodSync(dir, 0o777), /open to others/],
  [
    "there are two of them",
    () => {
      const note = path.join(home, "cluster-place");
      rmSync(note);
      writeFileSync(note, "nowhere\n");
    },
    /should be in .*nowhere, and are not/,
  ],
];
if (isRoot) {
  wrong.push(
    ["its files were given to root", (dir) => chownSync(dir, 0, 0), /belongs to root/],
    ["the folder above was closed to its user", () => chmodSync(home, 0o700), /cannot get through .*data/],
    [
      "the folder above that was closed",
      () => chmodSync(folder, 0o700),
      /cannot get through .*tonodrome-place/,
    ],
  );
}
for (const [name, break_, words] of wrong) {
  test(`nothing is made, nor another database used, where ${name}`, { tag: "@long" }, async () => {
    const dir = await filled();
    const secret = secretOf();
    const owner = statSync(dir);
    break_(dir);
    await expect(Cluster.prepare(home)).rejects.toThrow(words);
    // Nothing new anywhere.
    expect(readdirSync(home).filter((name) => name.startsWith("postgres") && name.endsWith(".new"))).toEqual(
      [],
    );
    if (existsSync(path.join(home, "database-password"))) expect(secretOf()).toBe(secret);
    // Mended, it is as it was.
    for (const [from, to] of [[`${dir}-away`, dir]] as const) if (existsSync(from)) renameSync(from, to);
    chmodSync(folder, 0o755);
    chmodSync(home, 0o755);
    chmodSync(dir, 0o700);
    if (isRoot) chownSync(dir, owner.uid, owner.gid);
    writeFileSync(path.join(home, "database-password"), secret, { mode: 0o600 });
    writeFileSync(path.join(home, "cluster-place"), "postgres\n");
    await stillThere();
  });
}

test("making it is taken up again where it was interrupted", { tag: "@long" }, async () => {
  await filled();
  // After the files were put in place, before the password was.
  renameSync(path.join(home, "database-password"), path.join(home, "database-password.new"));
  rmSync(path.join(home, "cluster-place"));
  await stillThere();
  // Before anything was in place.
  const second = path.join(folder, "second");
  mkdirSync(path.join(second, "postgres.new"), { recursive: true });
  writeFileSync(path.join(second, "database-password.new"), "a".repeat(48));
  const cluster = await prepare(second);
  await cluster.start();
  expect(secretOf(second)).toBe("a".repeat(48));
});

test("a data folder has one master: nobody else starts, stops or prepares its database meanwhile", {
  tag: "@long",
}, async () => {
  const script = `import { claim } from ${JSON.stringify(path.join(root, "scripts/lib/claim.mjs"))};
    claim(${JSON.stringify(home)}, "Another"); process.send("held"); setInterval(() => {}, 1000);`;
  const other = spawn(process.execPath, ["--input-type=module", "-e", script], {
    stdio: ["ignore", "ignore", "inherit", "ipc"],
  });
  await once(other, "message");
  expect(claimOf(home)).toEqual({ pid: other.pid, what: "Another" });
  await expect(Cluster.prepare(home)).rejects.toThrow(/in use: Another/);
  expect(existsSync(path.join(home, "postgres"))).toBe(false);
  // Killed without a moment's notice it holds nothing any more.
  other.kill("SIGKILL");
  await once(other, "exit");
  expect(claimOf(home)).toBeNull();
  claim(home, "This test")();
});

test("a backup of a database that is busy leaves it alone, waits, and says so in words", {
  tag: "@long",
}, async () => {
  test.setTimeout(120_000);
  const cluster = await prepare();
  await cluster.start();
  // As a living start command of another process holds it.
  const began = readFileSync("/proc/1/stat", "utf8").split(") ")[1]?.split(" ")[19];
  writeFileSync(path.join(home, "claim"), JSON.stringify({ pid: 1, began, what: "Tonodrome" }));
  // Every connection is taken.
  const held = await Promise.all(Array.from({ length: 3 }, () => askDatabaseOpen(cluster.adminUrl())));
  const [first] = held;
  const most = Number((await first?.ask("SHOW max_connections"))?.[0]?.max_connections);
  for (let i = held.length; i < most; i++) {
    const one = await askDatabaseOpen(cluster.adminUrl()).catch(() => null);
    if (!one) break;
    held.push(one);
  }
  let settled = "";
  const backup = withDatabase(home, "A backup", (url: string) =>
    askDatabase(url, (ask) => ask("SELECT 1 AS one")),
  )
    .then((rows: unknown) => {
      settled = JSON.stringify(rows);
    })
    .catch((error: Error) => {
      settled = error.message;
    });
  // It is refused a connection now; when there is room again it goes on.
  await expect.poll(async () => (await first?.ask("SELECT 1 AS alive"))?.length).toBe(1);
  expect(settled).toBe("");
  for (const one of held) await one.end();
  await backup;
  expect(settled).toBe('[{"one":1}]');
  rmSync(path.join(home, "claim"));
  expect((await askDatabase(cluster.url(), (ask) => ask("SELECT 1 AS one"))).length).toBe(1);
});

async function askDatabaseOpen(url: string) {
  let end = () => undefined as unknown;
  const until = new Promise((resolve) => {
    end = () => resolve(undefined);
  });
  return new Promise<{ ask: (sql: string) => Promise<Record<string, string>[]>; end: () => Promise<void> }>(
    (resolve, reject) => {
      const open = askDatabase(url, (ask: (sql: string) => Promise<Record<string, string>[]>) => {
        resolve({
          ask,
          end: async () => {
            end();
            await open.catch(() => undefined);
          },
        });
        return until;
      });
      open.catch(reject);
    },
  );
}

test("the application is an ordinary role, its password stands in no process list, and the log quotes nobody", {
  tag: "@long",
}, async () => {
  const cluster = await prepare();
  await cluster.start();
  const [role] = await askDatabase(cluster.url(), (ask) =>
    ask(
      "SELECT rolsuper, rolcreaterole, rolcreatedb, rolreplication FROM pg_roles WHERE rolname = current_user",
    ),
  );
  expect(role).toEqual({ rolsuper: false, rolcreaterole: false, rolcreatedb: false, rolreplication: false });
  await askDatabase(cluster.url(), async (ask) => {
    await ask("CREATE TABLE people (name text PRIMARY KEY)");
    await ask("INSERT INTO people VALUES ('Zyxwvut Name')");
    for (const sql of [
      "INSERT INTO people VALUES ('Zyxwvut Name')",
      "SELECT 'Zyxwvut word'::uuid",
      "SELECT Zyxwvut",
    ])
      await expect(ask(sql)).rejects.toThrow();
    await expect(ask("SELECT pg_read_file('/etc/passwd')")).rejects.toThrow(/permission denied/);
  });
  const file = path.join(folder, "copy.dump");
  const words = [new URL(cluster.url()).password, new URL(cluster.adminUrl()).password];
  const seen: string[] = [];
  const watching = setInterval(() => {
    seen.push(spawnSync("ps", ["-eo", "args"], { encoding: "utf8" }).stdout);
  }, 5);
  const backup = spawn(process.execPath, ["scripts/backup.mjs", file], {
    cwd: root,
    env: { ...process.env, TONODROME_DATA: home, DATABASE_URL: cluster.url() },
  });
  await once(backup, "exit");
  clearInterval(watching);
  expect(backup.exitCode).toBe(0);
  expect(seen.some((list) => list.includes("pg_dump"))).toBe(true);
  for (const word of words) expect(seen.join("\n")).not.toContain(word);
  expect(statSync(file).mode & 0o077).toBe(0);
  await cluster.stop();

  const logs = path.join(home, "postgres", "log");
  const files = [...readdirSync(logs).map((name) => path.join(logs, name)), path.join(home, "postgres.log")];
  for (const log of files) {
    expect(statSync(log).mode & 0o077).toBe(0);
    expect(readFileSync(log, "utf8")).not.toContain("Zyxwvut");
  }
  expect(files.map((log) => readFileSync(log, "utf8")).join("")).toContain("database system is ready");
  for (const secret of ["database-password", "app-password"])
    expect(statSync(path.join(home, secret)).mode & 0o077).toBe(0);
});
