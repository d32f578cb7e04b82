// Reading a plan and recording presses under load, beside a bare route doing the same single query in the same run.
// Loopback only, bounded in time and number. `npm run bench:server`.
import { randomUUID } from "node:crypto";
import autocannon from "autocannon";
import { benchPlan } from "../../core/bench/plans";

const [ours, bare] = [process.env.BENCH_URL, process.env.BENCH_BARE_URL] as [string, string];
const CONNECTIONS = Number(process.env.BENCH_CONNECTIONS ?? 10);
const SECONDS = 8;
const ROUNDS = 2;

let cookie = "";
async function ask(method: string, path: string, body: object) {
  const headers = { "content-type": "application/json", cookie };
  const answer = await fetch(`${ours}/api${path}`, { method, headers, body: JSON.stringify(body) });
  if (!answer.ok) throw new Error(`${path}: ${await answer.text()}`);
  cookie = answer.headers.get("set-cookie")?.split(";")[0] ?? cookie;
  return (await answer.json()) as { id: string; clubs: { id: string }[]; plan: { id: string } };
}

const me = await ask("POST", "/auth/sign-up", {
  name: "Bench",
  email: `${randomUUID()}@example.org`,
  password: "a long enough password",
  clubName: "Bench",
});
const club = `/clubs/${me.clubs[0]?.id}`;
const athlete = await ask("POST", `${club}/athletes`, { name: "Bench" });
const start = await ask("POST", `${club}/starts`, {
  athleteId: athlete.id,
  title: "Bench",
  venue: "",
  zone: "UTC",
  startsAt: "2098-06-01T12:30:00.000Z",
  readyAt: "2098-06-01T11:45:00.000Z",
});
await ask("PUT", `${club}/plans/${start.plan.id}`, { version: 1, body: benchPlan(20) });
const run = await ask("POST", `${club}/runs`, {
  id: randomUUID(),
  startId: start.id,
  plan: {
    drills: [
      {
        itemId: randomUUID(),
        name: "Laps",
        phase: "raise",
        intensity: 20,
        focus: "",
        place: "",
        words: "2:00",
        plannedSeconds: 120,
      },
    ],
    waitSeconds: 60,
    startsAt: "2098-06-01T12:30:00.000Z",
  },
});

const press = () =>
  JSON.stringify({ events: [{ id: randomUUID(), at: "2098-06-01T12:00:00.000Z", kind: "begin" }] });

interface Load {
  name: string;
  path: string;
  writes: boolean;
}
const loads: Load[] = [
  { name: "reading a plan", path: `/api${club}/plans/${start.plan.id}`, writes: false },
  { name: "recording a press", path: `/api${club}/runs/${run.id}/events`, writes: true },
];

function fire(base: string, { path, writes }: Load, seconds: number) {
  return autocannon({
    url: `${base}${path}`,
    connections: CONNECTIONS,
    duration: seconds,
    headers: { cookie, "content-type": "application/json" },
    ...(writes
      ? {
          requests: [
            {
              method: "POST",
              path,
              setupRequest: (request: autocannon.Request) => ({ ...request, body: press() }),
            },
          ],
        }
      : {}),
  });
}

const middle = (list: number[]) => list.toSorted((a, b) => a - b)[Math.floor((list.length - 1) / 2)] ?? 0;

console.log(`\nunder load, ${CONNECTIONS} connections, ${ROUNDS} × ${SECONDS} s each in turn, loopback`);
console.log(
  `  ${"".padEnd(34)}${"req/s".padStart(9)}${"median".padStart(10)}${"99 %".padStart(10)}  refused`,
);
for (const load of loads) {
  const results: Record<string, autocannon.Result[]> = { [ours]: [], [bare]: [] };
  for (const base of [ours, bare]) await fire(base, load, 2);
  for (let round = 0; round < ROUNDS; round++) {
    for (const base of [ours, bare]) results[base]?.push(await fire(base, load, SECONDS));
  }
  const medians = [ours, bare].map((base) => {
    const all = results[base] ?? [];
    const [rate, p50, p99] = [
      middle(all.map((r) => r.requests.average)),
      // autocannon counts whole milliseconds: the average of connections over rate is finer.
      (CONNECTIONS / middle(all.map((r) => r.requests.average))) * 1000,
      middle(all.map((r) => r.latency.p99)),
    ];
    const median = middle(all.map((r) => r.latency.p50));
    const failed = all.reduce((sum, r) => sum + r.non2xx + r.errors, 0);
    const name = base === ours ? load.name : "  bare route, same query";
    console.log(
      `  ${name.padEnd(34)}${rate.toFixed(0).padStart(9)}${`${median} (${p50.toFixed(2)}) ms`.padStart(16)}${`${p99} ms`.padStart(10)}${String(failed).padStart(6)}`,
    );
    return p50;
  });
  console.log(
    `  ${"  ours / bare".padEnd(34)}${((medians[0] ?? 0) / (medians[1] ?? 1)).toFixed(2).padStart(9)} × the time per request`,
  );
}
