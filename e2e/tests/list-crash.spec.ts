import { mkdtempSync, rmSync } from "node:fs";
import os from "node:os";
import path from "node:path";
import { expect, test } from "@playwright/test";
import { freePort } from "../../scripts/lib/ports.mjs";
import { Cluster } from "../../scripts/lib/postgres.mjs";
import { freshSecret } from "../../scripts/lib/secret.mjs";
import { ServerProcess } from "../../scripts/lib/server.mjs";

const ROWS = 2_000;

test("a server that is killed in the middle of a start list has taken all of it or nothing, and takes it then", async () => {
  test.setTimeout(200_000);
  const home = mkdtempSync(path.join(os.tmpdir(), "tonodrome-list-"));
  const cluster = await Cluster.prepare(home);
  await cluster.start();
  const port = await freePort();
  const server = new ServerProcess({
    DATABASE_URL: cluster.url(),
    TONODROME_SECRET: freshSecret(),
    TONODROME_WRITES_PER_MINUTE: "1000000",
    TONODROME_DEMO: "no",
    PORT: String(port),
    LOG_LEVEL: "silent",
  });
  try {
    expect(await server.start()).toBeNull();
    let cookie = "";
    const ask = async (address: string, body?: object) => {
      const answer = await fetch(`http://127.0.0.1:${port}/api${address}`, {
        method: body ? "POST" : "GET",
        headers: { cookie, ...(body ? { "content-type": "application/json" } : {}) },
        ...(body ? { body: JSON.stringify(body) } : {}),
      });
      cookie = answer.headers.get("set-cookie")?.split(";")[0] ?? cookie;
      return { status: answer.status, text: await answer.text() };
    };
    const { text } = await ask("/auth/sign-up", {
      name: "Vera Holt",
      email: "vera@example.org",
      password: "a long enough password",
      clubName: "Crash club",
    });
    const club = `/clubs/${JSON.parse(text).clubs[0].id}`;
    const rows = Array.from({ length: ROWS }, (_, i) => ({
      line: i + 2,
      athlete: `Athlete ${i % 500}`,
      title: `Round ${i % 7}`,
      venue: "Hall",
      zone: "UTC",
      startsAt: new Date(Date.UTC(2098, 5, 1, 8) + i * 60_000).toISOString(),
      number: (i % 400) + 1,
    }));
    const send = (agreed: string | null) => ask(`${club}/start-list`, { rows, addAthletes: true, agreed });
    const made = async () => {
      const table = (await ask(`${club}/tables/starts`)).text;
      return table.trim().split("\r\n").length - 1;
    };
    const { mark } = JSON.parse((await send(null)).text);
    // Killed later and later, until it was too late.
    let taken = 0;
    let halfway = 0;
    for (let after = 100; taken === 0 && after < 20_000; after = Math.ceil(after * 1.6)) {
      const answer = send(mark).catch(() => null);
      const isDone = await Promise.race([
        answer.then(() => true),
        new Promise<boolean>((resolve) => setTimeout(() => resolve(false), after)),
      ]);
      if (!isDone) halfway++;
      await server.kill();
      await answer;
      expect(await server.start()).toBeNull();
      taken = await made();
      expect([0, ROWS]).toContain(taken);
    }
    expect(halfway).toBeGreaterThan(0);
    expect(taken).toBe(ROWS);
    // Sent again, because no answer came: there is nothing left to do.
    expect(JSON.parse((await send(mark)).text)).toMatchObject({ taken: true });
    expect(await made()).toBe(ROWS);
  } finally {
    await server.stop();
    await cluster.stop();
    cluster.remove();
    rmSync(home, { recursive: true, force: true });
  }
});
