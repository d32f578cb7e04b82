import { mkdtempSync, rmSync } from "node:fs";
import os from "node:os";
import path from "node:path";
import { expect } from "@playwright/test";
import { freePort } from "../scripts/lib/ports.mjs";
import { Cluster } from "../scripts/lib/postgres.mjs";
import { freshSecret } from "../scripts/lib/secret.mjs";
import { ServerProcess } from "../scripts/lib/server.mjs";
import { signUp } from "./signUp";

/** A server and a database that a story may kill, and a club whose owner asks. */
export interface OwnServer {
  cluster: Cluster;
  server: ServerProcess;
  /** The address of the club below the API. */
  club: string;
  /** @param patience how long an answer may take, milliseconds */
  ask: (
    method: string,
    address: string,
    body?: object,
    patience?: number,
  ) => Promise<{ status: number; text: string }>;
}

/** Longer than anything takes that is answered at all, milliseconds. */
const PATIENCE = 60_000;

/** Lets a story have a server of its own with an empty club in it, and clears all of it away. */
export async function withOwnServer(story: (own: OwnServer) => Promise<void>): Promise<void> {
  const home = mkdtempSync(path.join(os.tmpdir(), "tonodrome-own-"));
  const cluster = await Cluster.prepare(home);
  await cluster.start();
  const port = await freePort();
  const server = new ServerProcess({
    DATABASE_URL: cluster.url(),
    TONODROME_SECRET: freshSecret(),
    TONODROME_WRITES_PER_MINUTE: "1000000",
    TONODROME_READS_PER_MINUTE: "1000000",
    TONODROME_DEMO: "no",
    PORT: String(port),
    LOG_LEVEL: "silent",
  });
  let cookie = "";
  const ask: OwnServer["ask"] = async (method, address, body, patience = PATIENCE) => {
    const answer = await fetch(`http://127.0.0.1:${port}/api${address}`, {
      method,
      headers: { cookie, ...(body ? { "content-type": "application/json" } : {}) },
      ...(body ? { body: JSON.stringify(body) } : {}),
      signal: AbortSignal.timeout(patience),
    });
    cookie = answer.headers.get("set-cookie")?.split(";")[0] ?? cookie;
    return { status: answer.status, text: await answer.text() };
  };
  try {
    expect(await server.start()).toBeNull();
    const owner = await signUp(`http://127.0.0.1:${port}/api`, "Crash club");
    cookie = owner.cookie;
    await story({ cluster, server, ask, club: `/clubs/${owner.clubId}` });
  } finally {
    await server.stop();
    await cluster.stop();
    cluster.remove();
    rmSync(home, { recursive: true, force: true });
  }
}
