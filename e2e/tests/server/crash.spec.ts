import { randomUUID } from "node:crypto";
import { expect, test } from "@playwright/test";
import { MOST } from "@tonodrome/core/api";
import { withOwnServer } from "../../ownServer";

const ROUNDS = 10;
const CLIENTS = 8;

/** What is not answered for so long is sent again, milliseconds. */
const PATIENCE = 10_000;

type Ask = (method: string, path: string, body?: object) => Promise<{ status: number; body: Json }>;
// biome-ignore lint/suspicious/noExplicitAny: answers of every shape
type Json = any;

/** What one client was told is stored. */
interface Acknowledged {
  planId: string;
  edits: { version: number; title: string }[];
  runId: string;
  presses: string[];
}

const item = (name: string) => ({
  id: randomUUID(),
  drillId: null,
  name,
  phase: "raise",
  priority: "essential",
  intensity: 20,
  dose: {
    kind: "time",
    seconds: { floor: 60, ideal: 120, ceiling: 180 },
    step: 30,
    sides: "one",
    changeoverSeconds: 0,
  },
  focus: "",
  place: "",
});
const plan = (name: string) => ({
  items: [item(name)],
  wait: { leastSeconds: 60, longestSeconds: 300 },
  stepPoints: 20,
});

test(`${ROUNDS} times database and server are killed while ${CLIENTS} clients write: every acknowledged write is there, once`, {
  tag: "@long",
}, async () => {
  test.setTimeout(300_000);
  await withOwnServer(async ({ cluster, server, club, ...own }) => {
    const ask: Ask = async (method, address, body) => {
      const { status, text } = await own.ask(method, address, body, PATIENCE);
      return { status, body: JSON.parse(text) };
    };
    const athlete = (await ask("POST", `${club}/athletes`, { name: "Ada" })).body;

    const newClient = async (): Promise<Acknowledged> => {
      const start = await ask("POST", `${club}/starts`, {
        athleteId: athlete.id,
        title: "Final",
        venue: "",
        zone: "UTC",
        startsAt: "2098-06-01T12:30:00.000Z",
        readyAt: "2098-06-01T11:45:00.000Z",
      });
      const { itemId, ...drill } = { itemId: randomUUID(), name: "Laps", phase: "raise", intensity: 20 };
      const run = await ask("POST", `${club}/runs`, {
        id: randomUUID(),
        startId: start.body.id,
        plan: {
          drills: [{ itemId, ...drill, focus: "", place: "", words: "2:00", plannedSeconds: 120 }],
          waitSeconds: 60,
          startsAt: "2098-06-01T12:30:00.000Z",
        },
      });
      expect([start.status, run.status]).toEqual([201, 201]);
      return { planId: start.body.plan.id, edits: [], runId: run.body.id, presses: [] };
    };
    const clients = await Promise.all(Array.from({ length: CLIENTS }, newClient));
    let writing = true;
    let answered = 0;

    /** Writes without a pause, as a device does: what was not answered is sent again, the same, until it is. */
    const write = async (client: Acknowledged) => {
      let version = 1;
      let n = 0;
      while (writing) {
        n++;
        const title = `Edit ${n}`;
        const body = plan(title);
        const press = { id: randomUUID(), at: new Date().toISOString(), kind: "begin" };
        await insist(async () => {
          const saved = await ask("PUT", `${club}/plans/${client.planId}`, { version, body });
          if (saved.status === 503) return false;
          expect(saved.status).toBe(200);
          version = saved.body.version;
          client.edits.push({ version, title });
          answered++;
          return true;
        });
        await insist(async () => {
          const recorded = await ask("POST", `${club}/runs/${client.runId}/events`, { events: [press] });
          if (recorded.status === 503) return false;
          expect(recorded.status).toBe(200);
          client.presses.push(press.id);
          answered++;
          return true;
        });
      }
    };
    const insist = async (send: () => Promise<boolean>) => {
      for (;;) {
        const done = await send().catch((error: Error) => {
          // Not reached, or cut off. A failed expectation is no such thing.
          if (error.name === "TypeError" || error.name === "TimeoutError") return false;
          throw error;
        });
        if (done) return;
        await new Promise((resolve) => setTimeout(resolve, 20));
      }
    };
    const more = async (count: number) => {
      const goal = answered + count;
      await expect.poll(() => answered, { timeout: 60_000, intervals: [20] }).toBeGreaterThan(goal);
    };

    const work = Promise.all(clients.map(write));
    for (let round = 0; round < ROUNDS; round++) {
      await more(60);
      await cluster.kill();
      await cluster.start();
      await more(30);
      await server.kill();
      expect(await server.start()).toBeNull();
    }
    await more(60);
    writing = false;
    await work;

    for (const { planId, edits, runId, presses } of clients) {
      const kept = (await ask("GET", `${club}/plans/${planId}`)).body;
      expect(kept.version).toBe(edits.at(-1)?.version);
      expect(kept.body.items[0].name).toBe(edits.at(-1)?.title);
      const stored = await ask("GET", `${club}/runs/${runId}`);
      const ids = stored.body.events.map((e: { id: string }) => e.id);
      expect([...ids].sort()).toEqual([...presses].sort());
      // Each edit one version: none lost, none twice.
      expect(edits.map((e) => e.version)).toEqual(edits.map((_, i) => i + 2));
    }
    const file = (await own.ask("GET", `${club}/export`)).text;
    const records: Json[] = file
      .trim()
      .split("\n")
      .map((line) => JSON.parse(line));
    for (const { planId, edits } of clients) {
      const kept = records.filter((r) => r.record === "edit" && r.planId === planId);
      const stored = kept.map((e) => ({ version: e.version, title: e.body.items[0].name }));
      expect(stored).toEqual(edits.slice(-stored.length));
      expect(stored.length).toBe(Math.min(edits.length, MOST.edits));
    }
    test.info().annotations.push({
      type: "acknowledged writes",
      description: String(answered),
    });
    console.log(`  ${answered} acknowledged writes over ${ROUNDS} rounds, every one there once`);
  });
});
