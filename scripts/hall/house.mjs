// The real server on the real database, whose clock is the simulation's; it can be killed, and made deaf.
import { fork } from "node:child_process";
import { once } from "node:events";
import { rmSync } from "node:fs";
import path from "node:path";
import { ensureServerBuilt } from "../lib/buildServer.mjs";
import { dataDir, inRoot, root } from "../lib/paths.mjs";
import { freePort } from "../lib/ports.mjs";
import { askDatabase, Cluster } from "../lib/postgres.mjs";
import { freshSecret } from "../lib/secret.mjs";

/** Opens the house: a database and a server on it. */
export async function openHouse() {
  await ensureServerBuilt();
  const home = path.join(dataDir, `hall-${process.pid}`);
  const cluster = await Cluster.prepare(home);
  await cluster.start();
  const env = {
    ...process.env,
    DATABASE_URL: cluster.url(),
    TONODROME_SECRET: freshSecret(),
    PORT: String(await freePort()),
    TONODROME_WRITES_PER_MINUTE: "1000000",
    TONODROME_READS_PER_MINUTE: "1000000",
    TONODROME_ACCOUNTS_PER_HOUR: "1000000",
    TONODROME_DEMO: "no",
  };
  let child = null;
  let clock = Date.now();
  let downUntil = 0;
  const house = { base: `http://127.0.0.1:${env.PORT}`, isDown: true };

  async function startServer() {
    child = fork(inRoot("server", "dist", "main.js"), [], {
      cwd: root,
      env,
      execArgv: ["--import", inRoot("scripts", "hall", "serverClock.mjs")],
      stdio: ["ignore", "inherit", "inherit", "ipc"],
    });
    child.send({ clock });
    for (;;) {
      const [message] = await once(child, "message");
      if (message.failed) throw new Error(message.message);
      if (message.ready) break;
    }
    house.isDown = false;
  }

  house.setClock = async (at) => {
    clock = Math.floor(at);
    if (house.isDown && clock < downUntil) return;
    if (house.isDown) await startServer();
    const asked = clock;
    const set = new Promise((done) => {
      const hear = (message) => {
        if (message.clockSet !== asked) return;
        end();
      };
      const end = () => {
        child.off("message", hear);
        child.off("exit", end);
        done();
      };
      child.on("message", hear);
      child.once("exit", end);
    });
    child.send({ clock: asked });
    await set;
  };
  /** Kills the server; it comes again once the clock says so. @param until milliseconds since the epoch */
  house.killServer = async (until) => {
    if (house.isDown) return;
    house.isDown = true;
    downUntil = until;
    const gone = once(child, "exit");
    child.kill("SIGKILL");
    await gone;
  };
  house.cutListen = () =>
    askDatabase(cluster.adminUrl(), (ask) =>
      ask("SELECT pg_terminate_backend(pid) FROM pg_stat_activity WHERE query LIKE 'LISTEN %'"),
    );
  house.close = async () => {
    child?.kill("SIGKILL");
    await cluster.stop();
    cluster.remove();
    rmSync(home, { recursive: true, force: true });
  };
  await startServer();
  return house;
}
