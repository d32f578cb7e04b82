import { spawn } from "node:child_process";
import { once } from "node:events";
import { setTimeout as sleep } from "node:timers/promises";
import { inRoot } from "./paths.mjs";
import { freePort } from "./ports.mjs";

/**
 * Has the real server with fresh demo data for as long as something takes.
 * @param env what it is told besides
 * @param act given its address
 */
export async function whileServed(env, act) {
  const port = await freePort();
  const server = spawn(process.execPath, [inRoot("scripts", "e2e-server.mjs")], {
    env: { ...process.env, ...env, PORT: String(port) },
    stdio: "inherit",
  });
  try {
    const url = `http://127.0.0.1:${port}`;
    while (!(await fetch(`${url}/ready`).catch(() => null))) await sleep(200);
    await act(url);
  } finally {
    const gone = once(server, "exit");
    server.kill("SIGTERM");
    await gone;
  }
}
