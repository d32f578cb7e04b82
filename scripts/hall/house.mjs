// The real server, twice, on the real database. Its clock is the simulation's; it can be killed, and made deaf.
import { fork } from "node:child_process";
import { once } from "node:events";
import { rmSync } from "node:fs";
import path from "node:path";
import { ensureServerBuilt } from "../lib/buildServer.mjs";
import { dataDir, inRoot, root } from "../lib/paths.mjs";
import { freePort } from "../lib/ports.mjs";
import { askDatabase, Cluster } from "../lib/postgres.mjs";
import { freshSecret } from "../lib/secret.mjs";

/** One server process: it can be killed, and comes again once the clock says so. */
async function openServer(env) {
  const port = await freePort();
  let child = null;
  let downUntil = 0;
  const server = { base: `http://127.0.0.1:${port}`, isDown: true };
  async function start(clock) {
    child = fork(inRoot("server", "dist", "main.js"), [], {
      cwd: root,
      env: { ...env, PORT: String(port) },
      execArgv: ["--import", inRoot("scripts", "hall", "serverClock.mjs")],
      stdio: ["ignore", "inherit", "inherit", "ipc"],
    });
    child.send({ clock });
    for (;;) {
      const [message] = await once(child, "message");
      if (message.failed) throw new Error(message.message);
      if (message.ready) break;
    }
    server.isDown = false;
  }
  server.setClock = async (clock) => {
    if (server.isDown && clock < downUntil) return;
    if (server.isDown) await start(clock);
    await new Promise((done) => {
      const hear = (message) => {
        if (message.clockSet === clock) end();
      };
      const end = () => {
        child.off("message", hear);
        child.off("exit", end);
        done();
      };
      child.on("message", hear);
      child.once("exit", end);
      child.send({ clock });
    });
  };
  /** @param until milliseconds since the epoch: so long it stays away */
  server.kill = async (until) => {
    if (server.isDown) return;
    server.isDown = true;
    downUntil = until;
    const gone = once(child, "exit");
    child.kill("SIGKILL");
    await gone;
  };
  server.close = () => child?.kill("SIGKILL");
  await start(Date.now());
  return server;
}

/** Opens the house: a database, and two servers on it. */
export async function openHouse() {
  await ensureServerBuilt();
  const home = path.join(dataDir, `hall-${process.pid}`);
  const cluster = await Cluster.prepare(home);
  await cluster.start();
  const env = {
    ...process.env,
    DATABASE_URL: cluster.url(),
    TONODROME_SECRET: freshSecret(),
    TONODROME_WRITES_PER_MINUTE: "1000000",
    TONODROME_READS_PER_MINUTE: "1000000",
    TONODROME_ACCOUNTS_PER_HOUR: "1000000",
    TONODROME_DEMO: "no",
  };
  // One after the other: the first brings the database up to date.
  const servers = [await openServer(env), await openServer(env)];
  return {
    servers,
    setClock: (at) => Promise.all(servers.map((server) => server.setClock(Math.floor(at)))),
    /** Each course makes accounts as if nobody had before. */
    forgetLimits: () => askDatabase(cluster.url(), (ask) => ask("DELETE FROM rate_limits")),
    cutListen: () =>
      askDatabase(cluster.adminUrl(), (ask) =>
        ask("SELECT pg_terminate_backend(pid) FROM pg_stat_activity WHERE query LIKE 'LISTEN %'"),
      ),
    async close() {
      for (const server of servers) server.close();
      await cluster.stop();
      cluster.remove();
      rmSync(home, { recursive: true, force: true });
    },
  };
}
