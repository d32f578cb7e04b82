import { type ChildProcess, execFileSync, spawn } from "node:child_process";
import { createHash } from "node:crypto";
import { once } from "node:events";
import { existsSync, mkdtempSync, readFileSync, rmSync, statSync } from "node:fs";
import { createServer } from "node:net";
import os from "node:os";
import path from "node:path";
import { expect, test } from "@playwright/test";
import { signUp } from "../../signUp";

const root = path.resolve(import.meta.dirname, "../../..");
const PORT = 4796;
const base = `http://127.0.0.1:${PORT}`;

let data: string;
let running: ChildProcess | null = null;

test.beforeEach(() => {
  data = mkdtempSync(path.join(os.tmpdir(), "tonodrome-start-"));
});
test.afterEach(async () => {
  if (running?.exitCode === null) {
    running.kill("SIGINT");
    await once(running, "exit");
  }
  for (const dir of [data, elsewhere()]) rmSync(dir, { recursive: true, force: true });
});

/** Runs the start command on a data folder of its own; `said` collects what it prints. */
function start(env: NodeJS.ProcessEnv = {}): { process: ChildProcess; said: () => string } {
  let said = "";
  const child = spawn(process.execPath, ["scripts/start.mjs"], {
    cwd: root,
    env: { ...process.env, PORT: String(PORT), TONODROME_DATA: data, DATABASE_URL: "", ...env },
  });
  child.stdout.on("data", (text) => {
    said += text;
  });
  child.stderr.on("data", (text) => {
    said += text;
  });
  running = child;
  return { process: child, said: () => said };
}

const ready = async () => (await fetch(`${base}/ready`).catch(() => null))?.ok ?? false;

/** A new account with a club of its own, and what it asks of that club. */
async function newClub() {
  const { clubId, cookie } = await signUp(`${base}/api`, "Crash club");
  const url = `${base}/api/clubs/${clubId}/athletes`;
  return {
    athletes: async () => (await fetch(url, { headers: { cookie } })).json(),
    add: (name: string) =>
      fetch(url, {
        method: "POST",
        headers: { "content-type": "application/json", cookie },
        body: JSON.stringify({ name }),
      }),
  };
}

/** Processes whose command line holds all of these words. */
function pids(...words: string[]): number[] {
  const lines = execFileSync("ps", ["-eo", "pid,args"], { encoding: "utf8" }).split("\n");
  return lines
    .filter((line) => words.every((w) => line.includes(w)))
    .map((line) => Number.parseInt(line, 10));
}

const database = () => pids("postgres -D", clusterDir());
const server = (parent: number) =>
  execFileSync("ps", ["-o", "pid,args", "--ppid", String(parent)], { encoding: "utf8" })
    .split("\n")
    .filter((line) => line.includes("server/dist/main.js"))
    .map((line) => Number.parseInt(line, 10));

/** Where the database's files are: in the data folder, or, when its user cannot reach that, in a place named after it. */
function clusterDir(): string {
  const inside = path.join(data, "postgres");
  return existsSync(inside) ? inside : path.join(elsewhere(), "postgres");
}

const elsewhere = () =>
  path.join("/var/lib/tonodrome", createHash("sha256").update(data).digest("hex").slice(0, 12));

test("starts, recovers from kill -9 of database and server, keeps what was saved, and ends cleanly", {
  tag: "@long",
}, async () => {
  test.setTimeout(180_000);
  const first = start();
  await expect.poll(ready, { timeout: 60_000 }).toBe(true);
  await expect.poll(first.said).toContain(`ready: ${base}`);
  const { athletes, add } = await newClub();
  await add("Saved before the crash");
  const saved = await athletes();
  expect(saved).toMatchObject({ athletes: [{ name: "Saved before the crash" }] });

  const [oldDatabase] = database();
  expect(oldDatabase).toBeGreaterThan(0);
  process.kill(oldDatabase as number, "SIGKILL");
  await expect
    .poll(() => database()[0] !== undefined && database()[0] !== oldDatabase, { timeout: 60_000 })
    .toBe(true);
  await expect.poll(ready, { timeout: 60_000 }).toBe(true);
  expect(await athletes()).toEqual(saved);

  const [oldServer] = server(first.process.pid as number);
  process.kill(oldServer as number, "SIGKILL");
  await expect.poll(ready, { timeout: 60_000 }).toBe(true);
  expect(await athletes()).toEqual(saved);
  expect(first.said()).toContain("is back");

  // The key that signs sessions is made once, kept apart from the sources, and readable by nobody else.
  expect(statSync(path.join(data, "secret")).mode & 0o077).toBe(0);

  // The start command itself is killed: nothing stays behind that the next start cannot take over.
  first.process.kill("SIGKILL");
  await once(first.process, "exit");
  const second = start();
  await expect.poll(second.said, { timeout: 60_000 }).toContain("ready:");
  expect(await athletes()).toEqual(saved);

  second.process.kill("SIGINT");
  const [code] = await once(second.process, "exit");
  expect(code).toBe(0);
  expect(database()).toEqual([]);
  expect(await ready()).toBe(false);
});

test("says what is wrong and what to do: a taken port, a port that is none, a second start, a broken cluster", {
  tag: "@long",
}, async () => {
  const holder = createServer().listen(PORT, "127.0.0.1");
  await once(holder, "listening");
  const taken = start();
  await once(taken.process, "exit");
  expect(taken.process.exitCode).toBe(1);
  expect(taken.said()).toContain(`Port ${PORT} is taken`);
  expect(taken.said()).toContain("PORT=4790 npm start");
  holder.close();

  const silly = start({ PORT: "http" });
  await once(silly.process, "exit");
  expect(silly.said()).toContain('PORT is "http"');

  const first = start();
  await expect.poll(first.said, { timeout: 60_000 }).toContain("ready:");
  const again = start({ PORT: "4797" });
  await once(again.process, "exit");
  expect(again.said()).toContain("This data folder is in use: Tonodrome (process");
  expect(await ready()).toBe(true);
  first.process.kill("SIGINT");
  await once(first.process, "exit");

  rmSync(path.join(clusterDir(), "global"), { recursive: true });
  const broken = start();
  await once(broken.process, "exit");
  expect(broken.said()).toContain("The database did not start");
  expect(broken.said()).toContain("Keep a copy of that folder");
  expect(readFileSync(path.join(data, "postgres.log"), "utf8").length).toBeGreaterThan(0);
});
