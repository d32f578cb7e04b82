import { spawn } from "node:child_process";
import { createHash, randomBytes } from "node:crypto";
import { once } from "node:events";
import {
  chownSync,
  existsSync,
  mkdirSync,
  openSync,
  readdirSync,
  readFileSync,
  renameSync,
  rmSync,
  writeFileSync,
} from "node:fs";
import path from "node:path";
import { setTimeout as sleep } from "node:timers/promises";
import { ask, isRoot } from "./command.mjs";
import { ensureDebian } from "./debian.mjs";
import { freePort } from "./ports.mjs";
import { hintFor, Stop, say } from "./say.mjs";

const USER = "tonodrome";

/** The folder of PostgreSQL's programs, newest version first; null when there is none. */
function findBin() {
  const base = "/usr/lib/postgresql";
  const versions = existsSync(base) ? readdirSync(base).sort((a, b) => Number(b) - Number(a)) : [];
  const bins = [...versions.map((v) => path.join(base, v, "bin")), ask("pg_config", ["--bindir"])];
  return bins.find((bin) => bin && existsSync(path.join(bin, "initdb"))) ?? null;
}

/** PostgreSQL refuses to run as root: the user to run it as then, and nothing otherwise. */
function unprivileged() {
  if (!isRoot) return {};
  for (const name of ["postgres", "nobody"]) {
    const [uid, gid] = [ask("id", ["-u", name]), ask("id", ["-g", name])];
    if (uid && gid) return { uid: Number(uid), gid: Number(gid) };
  }
  throw new Stop(
    "PostgreSQL may not run as root, and there is no other user to run it as.",
    "Start as an ordinary user.",
  );
}

/**
 * Where the cluster lives: inside `home`, unless the user it runs as cannot reach that, as in a folder of root's own.
 */
function clusterDir(home, as) {
  mkdirSync(home, { recursive: true });
  if (as.uid === undefined) return path.join(home, "postgres");
  const reaches =
    ask("true", [], { cwd: home, ...as }) !== null && ask("test", ["-x", home], { cwd: "/", ...as }) !== null;
  if (reaches) return path.join(home, "postgres");
  const mark = createHash("sha256").update(home).digest("hex").slice(0, 12);
  const elsewhere = path.join("/var/lib/tonodrome", mark);
  mkdirSync(elsewhere, { recursive: true, mode: 0o755 });
  say(`(The database's user cannot reach ${home}; its files are in ${elsewhere}.)`);
  return path.join(elsewhere, "postgres");
}

/**
 * A PostgreSQL cluster of the project's own, on loopback and a free port.
 * `start` brings it up (making it first when there is none), `stop` takes it down, `onExit` is called when it goes
 * down by itself.
 */
export class Cluster {
  #bin;
  #dir;
  #home;
  #as;
  #log;
  #secret;
  #child = null;
  #stopping = false;
  port = null;
  onExit = () => {};

  /** Makes the cluster in `home` when there is none yet, and ends one that an earlier start left running there. */
  static async prepare(home) {
    const cluster = new Cluster();
    cluster.#bin = await ensureDebian(findBin, "postgresql", "PostgreSQL");
    cluster.#as = unprivileged();
    cluster.#home = home;
    cluster.#dir = clusterDir(home, cluster.#as);
    cluster.#log = path.join(home, "postgres.log");
    cluster.#secret = path.join(home, "database-password");
    await cluster.#endLeftOver();
    if (!existsSync(path.join(cluster.#dir, "PG_VERSION"))) cluster.#make();
    cluster.port = await freePort();
    return cluster;
  }

  /** The path of each of PostgreSQL's own programs, by name. */
  static async programs() {
    const bin = await ensureDebian(findBin, "postgresql", "PostgreSQL");
    return (name) => path.join(bin, name);
  }

  /** Connection URL of the cluster that runs for a data folder at this moment; null when none does. */
  static runningUrl(home) {
    const note = path.join(home, "database-url");
    if (!existsSync(note)) return null;
    const url = readFileSync(note, "utf8");
    return ask(path.join(findBin() ?? "", "psql"), ["-tAc", "SELECT 1", url]) === "1" ? url : null;
  }

  /** Connection URL of one of the cluster's databases. */
  url(database = USER) {
    return `postgresql://${USER}:${readFileSync(this.#secret, "utf8")}@127.0.0.1:${this.port}/${database}`;
  }

  async start() {
    for (let attempt = 1; ; attempt++) {
      if (await this.#tryStart()) break;
      // Right after a crash its old processes may still hold the shared memory.
      const words = this.lastWords();
      if (attempt < 5 && /pre-existing shared memory|lock file|unexpected postmaster exit/.test(words))
        await sleep(1000);
      else throw this.#broken(words);
    }
    if (
      ask(this.#program("psql"), [
        "-tAc",
        `SELECT 1 FROM pg_database WHERE datname = '${USER}'`,
        this.url("postgres"),
      ]) !== "1"
    ) {
      this.createDatabase(USER);
    }
    writeFileSync(this.#note(), this.url(), { mode: 0o600 });
  }

  /** Ends the database server as a power cut does, without a moment's notice. For tests. */
  async kill() {
    const gone = once(this.#child, "exit");
    this.#stopping = true;
    this.#child.kill("SIGKILL");
    await gone;
    this.#child = null;
  }

  /** Where it is noted how to reach the cluster while it runs. */
  #note() {
    return path.join(this.#home, "database-url");
  }

  createDatabase(name) {
    const made = ask(this.#program("psql"), ["-c", `CREATE DATABASE ${name}`, this.url("postgres")]);
    if (made === null) throw new Stop(`The database ${name} could not be made.`, `See ${this.#log}.`);
  }

  async stop() {
    if (!this.#child) return;
    this.#stopping = true;
    const gone = once(this.#child, "exit");
    this.#child.kill("SIGINT");
    await gone;
    rmSync(this.#note(), { force: true });
  }

  /** Deletes the cluster's files. For clusters that tests made. */
  remove() {
    rmSync(this.#dir, { recursive: true, force: true });
    if (path.dirname(this.#dir) !== this.#home)
      rmSync(path.dirname(this.#dir), { recursive: true, force: true });
  }

  /** The end of the cluster's own log. */
  lastWords() {
    if (!existsSync(this.#log)) return "";
    return readFileSync(this.#log, "utf8").trimEnd().split("\n").slice(-6).join("\n");
  }

  #program(name) {
    return path.join(this.#bin, name);
  }

  #make() {
    const fresh = `${this.#dir}.new`;
    rmSync(fresh, { recursive: true, force: true });
    mkdirSync(fresh, { mode: 0o700 });
    const password = randomBytes(24).toString("hex");
    const passwordFile = path.join(fresh, "..", "first-password");
    writeFileSync(passwordFile, password, { mode: 0o600 });
    if (this.#as.uid !== undefined) {
      chownSync(fresh, this.#as.uid, this.#as.gid);
      chownSync(passwordFile, this.#as.uid, this.#as.gid);
    }
    const args = [
      "-D",
      fresh,
      "-U",
      USER,
      "-A",
      "scram-sha-256",
      `--pwfile=${passwordFile}`,
      "-E",
      "UTF8",
      "--locale=C.UTF-8",
    ];
    const log = openSync(this.#log, "w");
    const made = ask(this.#program("initdb"), args, {
      cwd: "/",
      stdio: ["ignore", "pipe", log],
      ...this.#as,
    });
    rmSync(passwordFile, { force: true });
    if (made === null) throw this.#broken(this.lastWords());
    writeFileSync(this.#secret, password, { mode: 0o600 });
    renameSync(fresh, this.#dir);
  }

  async #tryStart() {
    this.#stopping = false;
    const log = openSync(this.#log, "w");
    const args = [
      "-D",
      this.#dir,
      "-p",
      String(this.port),
      "-c",
      "listen_addresses=127.0.0.1",
      "-c",
      "unix_socket_directories=",
    ];
    // A process group of its own: Ctrl-C is for us, and we end the database after the server.
    const child = spawn(this.#program("postgres"), args, {
      cwd: "/",
      detached: true,
      stdio: ["ignore", log, log],
      ...this.#as,
    });
    let ended = false;
    child.on("exit", () => {
      ended = true;
      if (this.#child !== child) return;
      this.#child = null;
      if (!this.#stopping) this.onExit();
    });
    for (let waited = 0; waited < 60_000 && !ended; waited += 100) {
      if (ask(this.#program("pg_isready"), ["-q", "-h", "127.0.0.1", "-p", String(this.port)]) !== null) {
        this.#child = child;
        return true;
      }
      await sleep(100);
    }
    if (!ended) child.kill("SIGQUIT");
    return false;
  }

  /** Ends a database server that still runs on this folder because whoever started it was killed. */
  async #endLeftOver() {
    const pidFile = path.join(this.#dir, "postmaster.pid");
    if (!existsSync(pidFile)) return;
    const pid = Number(readFileSync(pidFile, "utf8").split("\n")[0]);
    const commandLine = `/proc/${pid}/cmdline`;
    const isOurs = () => existsSync(commandLine) && readFileSync(commandLine, "utf8").includes(this.#dir);
    if (!isOurs()) return;
    process.kill(pid, "SIGINT");
    for (let waited = 0; waited < 30_000 && isOurs(); waited += 100) await sleep(100);
  }

  #broken(words) {
    const hint = hintFor({ message: words });
    return new Stop(
      `The database did not start. Its last words:\n${words}`,
      hint ??
        `Its files are in ${this.#dir}. Keep a copy of that folder before you try anything; moving it away makes the next start begin with an empty database.`,
    );
  }
}
