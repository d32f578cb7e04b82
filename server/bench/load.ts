// Reading a plan and recording presses under load, beside a bare route doing the same single query in the same run.
// Loopback only, bounded in time and number. `npm run bench:server`.
import { randomUUID } from "node:crypto";
import autocannon from "autocannon";
import { benchPlan } from "../../core/bench/plans";
import { runInput, startInput } from "../test/make";

const [ours, bare] = [process.env.BENCH_URL, process.env.BENCH_BARE_URL] as [string, string];
const CONNECTIONS = Number(process.env.BENCH_CONNECTIONS ?? 10);
const SECONDS = 6;
const ROUNDS = 3;

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
const start = await ask("POST", `${club}/starts`, startInput(athlete.id));
await ask("PUT", `${club}/plans/${start.plan.id}`, { version: 1, body: benchPlan(20) });
/** One run holds so many presses and no more: these are pressed by turns. */
const runs: string[] = [];
for (let i = 0; i < 40; i++) runs.push((await ask("POST", `${club}/runs`, runInput(start.id))).id);

const newPress = () =>
  JSON.stringify({ events: [{ id: randomUUID(), at: new Date().toISOString(), kind: "begin" }] });

interface Load {
  name: string;
  path: string;
  writes: boolean;
}
const loads: Load[] = [
  { name: "reading a plan", path: `/api${club}/plans/${start.plan.id}`, writes: false },
  { name: "recording a press", path: `/api${club}/runs/${runs[0]}/events`, writes: true },
];

interface Fired {
  /** Milliseconds from request to answer, one for each. */
  times: number[];
  seconds: number;
  failed: number;
}

function fire(base: string, { path, writes }: Load, seconds: number): Promise<Fired> {
  const times: number[] = [];
  let turn = 0;
  const press = (request: autocannon.Request) => ({
    ...request,
    path: base === ours ? `/api${club}/runs/${runs[turn++ % runs.length]}/events` : path,
    body: newPress(),
  });
  return new Promise((resolve, reject) => {
    const cannon = autocannon(
      {
        url: `${base}${path}`,
        connections: CONNECTIONS,
        duration: seconds,
        headers: { cookie, "content-type": "application/json" },
        ...(writes ? { requests: [{ method: "POST", path, setupRequest: press }] } : {}),
      },
      (error, result) =>
        error
          ? reject(error)
          : resolve({ times, seconds: result.duration, failed: result.non2xx + result.errors }),
    );
    cannon.on("response", (_client, _status, _bytes, time) => times.push(time));
  });
}

console.log(
  `\nunder load, ${CONNECTIONS} connections, ${ROUNDS} × ${SECONDS} s each in turn, loopback, milliseconds`,
);
console.log(
  `  ${"".padEnd(30)}${"req/s".padStart(8)}${"median".padStart(9)}${"99 %".padStart(9)}${"failed".padStart(8)}`,
);
for (const load of loads) {
  const fired = new Map<string, Fired[]>([
    [ours, []],
    [bare, []],
  ]);
  for (const base of fired.keys()) await fire(base, load, 2);
  for (let round = 0; round < ROUNDS; round++) {
    for (const [base, all] of fired) all.push(await fire(base, load, SECONDS));
  }
  const medians = [...fired].map(([base, all]) => {
    const times = all.flatMap((f) => f.times).sort((x, y) => x - y);
    const at = (share: number) => times[Math.floor(times.length * share)] ?? Number.NaN;
    const rate = times.length / all.reduce((sum, f) => sum + f.seconds, 0);
    const failed = all.reduce((sum, f) => sum + f.failed, 0);
    const name = base === ours ? load.name : "  bare route, same query";
    const figures = [at(0.5), at(0.99)].map((ms) => ms.toFixed(2).padStart(9)).join("");
    console.log(`  ${name.padEnd(30)}${rate.toFixed(0).padStart(8)}${figures}${String(failed).padStart(8)}`);
    return at(0.5);
  });
  const ratio = (medians[0] ?? Number.NaN) / (medians[1] ?? Number.NaN);
  console.log(`  ${"  ours / bare, median".padEnd(38)}${ratio.toFixed(2).padStart(9)}`);
}
