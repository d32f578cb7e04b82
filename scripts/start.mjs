// Brings everything up with one command, from a fresh clone on. Uses nothing but Node.js until packages are there.
import { watch } from "node:fs";
import path from "node:path";
import { setTimeout as sleep } from "node:timers/promises";
import { ensureBuilt } from "./lib/build.mjs";
import { buildCommandLine } from "./lib/buildCommandLine.mjs";
import { claim } from "./lib/claim.mjs";
import { run } from "./lib/command.mjs";
import { ensurePackages } from "./lib/install.mjs";
import { dataDir, inRoot } from "./lib/paths.mjs";
import { portFault } from "./lib/ports.mjs";
import { Cluster } from "./lib/postgres.mjs";
import { main, Stop, say } from "./lib/say.mjs";
import { ensureSecret } from "./lib/secret.mjs";
import { ServerProcess } from "./lib/server.mjs";

const dev = process.argv.includes("--dev");
const port = Number(process.env.PORT ?? 4780);
const host = process.env.HOST ?? "127.0.0.1";
const address = `http://${host === "0.0.0.0" ? "localhost" : host}:${port}`;

/** A fault that comes back this often within half a minute is not going to mend itself. */
const MOST_RESTARTS = 5;
const restarts = [];

let cluster = null;
let server = null;
let ending = null;
let release = () => undefined;

function end(code) {
  ending ??= (async () => {
    await server?.stop();
    await cluster?.stop();
    release();
    process.exit(code);
  })();
  return ending;
}

/** Ends everything because of a fault, said in words. */
function giveUp(error) {
  process.stderr.write(`\n${error.message}\n${error.todo ?? ""}\n`);
  return end(1);
}

async function recover(what, again) {
  if (ending) return;
  const now = Date.now();
  restarts.push(now);
  if (restarts.filter((t) => now - t < 30_000).length > MOST_RESTARTS) {
    return giveUp(
      new Stop(`${what} keeps ending.`, `See ${path.join(dataDir, "postgres.log")} and the lines above.`),
    );
  }
  say(`${what} ended by itself; bringing it back …`);
  try {
    await sleep(300);
    if (ending) return;
    await again();
    say(`${what} is back.`);
  } catch (error) {
    await giveUp(error);
  }
}

async function checkPort() {
  const fault = Number.isInteger(port) && port > 0 && port < 65536 ? await portFault(port, host) : "EINVAL";
  if (fault === null) return;
  const why = {
    EADDRINUSE: `Port ${port} is taken by another program.`,
    EACCES: `This user may not use port ${port}.`,
    EINVAL: `PORT is "${process.env.PORT}", which is not a port.`,
  };
  throw new Stop(
    why[fault] ?? `Port ${port} cannot be used (${fault}).`,
    "Choose another, for example: PORT=4790 npm start",
  );
}

async function startServer() {
  const failed = await server.start();
  if (!failed) return;
  if (failed.failed === "EADDRINUSE") await checkPort();
  throw new Stop(`The server did not start: ${failed.message}.`, "The reason is above.");
}

/** While developing: starts the server anew whenever its sources or the core's change. */
function reloadOnChange() {
  let timer;
  const reload = async () => {
    if (ending) return;
    say("The sources changed; the server starts anew.");
    await server.stop();
    // A mistake in the sources is said above and waits for the next change.
    await startServer().catch((error) => say(error.message));
  };
  for (const dir of [inRoot("server", "src"), inRoot("core", "src")]) {
    watch(dir, { recursive: true }, () => {
      clearTimeout(timer);
      timer = setTimeout(reload, 200);
    });
  }
}

main(async () => {
  await checkPort();
  release = claim(dataDir, "Tonodrome");
  process.on("SIGINT", () => end(0));
  process.on("SIGTERM", () => end(0));
  process.on("SIGHUP", () => end(0));
  try {
    await ensurePackages();
    if (!process.env.DATABASE_URL) {
      cluster = await Cluster.prepare(dataDir);
      await cluster.start();
      cluster.onExit = () => recover("The database", () => cluster.start());
    }
    await buildCommandLine();
    if (!dev) await ensureBuilt();
    if (ending) return;
    server = new ServerProcess({
      DATABASE_URL: process.env.DATABASE_URL || cluster.url(),
      TONODROME_SECRET: ensureSecret(dataDir),
      PORT: String(port),
      HOST: host,
      TONODROME_WEB: inRoot("app", "dist"),
    });
    await startServer();
    if (dev) {
      reloadOnChange();
      say("The application reloads as you edit: http://localhost:8081 (its API is behind the same address).");
      const expo = run(inRoot("node_modules", ".bin", "expo"), ["start", "--web", "--port", "8081"], {
        cwd: inRoot("app"),
        env: {
          ...process.env,
          TONODROME_API: address,
          EXPO_NO_TELEMETRY: "1",
          EXPO_OFFLINE: "1",
          BROWSER: "none",
        },
      });
      expo.then(() => end(0));
    } else {
      server.onExit = () => recover("The server", startServer);
      for (const { club, path: link } of server.ownerLinks) {
        say(`The club "${club}" has no owner yet. Whoever opens this link first is it: ${address}${link}`);
      }
      say(`\nTonodrome is ready: ${address}\nStop it with Ctrl-C.`);
    }
  } catch (error) {
    await server?.stop();
    await cluster?.stop();
    release();
    throw error;
  }
});
