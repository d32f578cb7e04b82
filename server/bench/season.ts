// A season written out and read into another club: how long it takes, what memory, and what another club notices of it.
// `npm run bench:server`. Loopback only.
import { randomUUID } from "node:crypto";
import { readFileSync } from "node:fs";
import { QueryTypes } from "sequelize";
import { benchPlan } from "../../core/bench/plans";
import { connect } from "../src/db/connect";
import { runInput, startInput } from "../test/make";

const base = process.env.BENCH_URL as string;
const pid = process.env.BENCH_SERVER_PID as string;
const STARTS = Number(process.env.BENCH_STARTS ?? 2_000);
const EDITS = 25;

const { sequelize } = connect(process.env.DATABASE_URL as string, 2, {
  statement: 600_000,
  lock: 0,
  idle: 0,
});

/** Somebody with a club of their own. */
async function somebody() {
  const answer = await fetch(`${base}/api/auth/sign-up`, {
    method: "POST",
    headers: { "content-type": "application/json" },
    body: JSON.stringify({
      name: "Bench",
      email: `${randomUUID()}@example.org`,
      password: "a long enough password",
      clubName: "Bench",
    }),
  });
  const cookie = answer.headers.get("set-cookie")?.split(";")[0] ?? "";
  const { clubs } = (await answer.json()) as { clubs: { id: string }[] };
  const clubId = clubs[0]?.id as string;
  const ask = async (method: string, path: string, body?: object) => {
    const headers = { cookie, ...(body ? { "content-type": "application/json" } : {}) };
    const init = { method, headers, ...(body ? { body: JSON.stringify(body) } : {}) };
    return (await fetch(`${base}/api/clubs/${clubId}${path}`, init)).json() as Promise<{
      id: string;
      plan: { id: string };
    }>;
  };
  return { cookie, clubId, ask };
}

const memory = () =>
  Number(/VmRSS:\s+(\d+)/.exec(readFileSync(`/proc/${pid}/status`, "utf8"))?.[1] ?? 0) / 1024;
const at = (list: number[], share: number) =>
  list.toSorted((a, b) => a - b)[Math.floor(list.length * share)] ?? Number.NaN;

const [season, copy, other] = [await somebody(), await somebody(), await somebody()];
const athlete = await season.ask("POST", "/athletes", { name: "Bench" });
const start = await season.ask("POST", "/starts", startInput(athlete.id));
await season.ask("PUT", `/plans/${start.plan.id}`, { version: 1, body: benchPlan(14) });
await season.ask("POST", "/runs", runInput(start.id));
for (const statement of [
  `INSERT INTO starts (id, club_id, athlete_id, title, venue, zone, starts_at, ready_at, setting)
    SELECT gen_random_uuid(), club_id, athlete_id, title, venue, zone, starts_at + n * interval '1 hour',
      ready_at + n * interval '1 hour', setting FROM starts, generate_series(2, ${STARTS}) n WHERE id = :start`,
  `INSERT INTO plans (id, club_id, start_id, version, body)
    SELECT gen_random_uuid(), s.club_id, s.id, ${EDITS}, p.body FROM starts s, plans p
    WHERE s.club_id = :club AND s.id <> :start AND p.id = :plan`,
  `INSERT INTO plan_edits (club_id, plan_id, version, outcome, body)
    SELECT club_id, id, n, 'saved', body FROM plans, generate_series(2, ${EDITS}) n WHERE club_id = :club`,
]) {
  const replacements = { start: start.id, plan: start.plan.id, club: season.clubId };
  await sequelize.query(statement, { replacements, type: QueryTypes.RAW });
}
await sequelize.query("UPDATE users SET created_at = now() - interval '30 days'");
await sequelize.query("ANALYZE");
const otherAthlete = await other.ask("POST", "/athletes", { name: "Other" });
const read = (await other.ask("POST", "/starts", startInput(otherAthlete.id))).plan.id;
await other.ask("PUT", `/plans/${read}`, { version: 1, body: benchPlan(14) });

/** What another club's readings take until something is over, and the most memory meanwhile. */
async function beside(what: Promise<unknown> | number) {
  const times: number[] = [];
  let most = 0;
  let isOver = false;
  const end = typeof what === "number" ? new Promise((resolve) => setTimeout(resolve, what)) : what;
  void end.finally(() => {
    isOver = true;
  });
  while (!isOver) {
    const began = performance.now();
    await other.ask("GET", `/plans/${read}`);
    times.push(performance.now() - began);
    most = Math.max(most, memory());
    await new Promise((resolve) => setTimeout(resolve, 20));
  }
  await end;
  return { times, most };
}

const quiet = await beside(5_000);
const idle = memory();
console.log(`\na season: ${STARTS} starts of ${EDITS} saves; another club reads meanwhile`);
console.log(
  `${"".padEnd(24)}${["s", "MB", "median ms", "× alone", "99 % ms", "memory +MB"].map((h) => h.padStart(12)).join("")}`,
);
const row = (
  name: string,
  seconds: number,
  megabytes: number,
  { times, most }: Awaited<ReturnType<typeof beside>>,
) =>
  console.log(
    name.padEnd(24) +
      [
        seconds.toFixed(1),
        megabytes.toFixed(0),
        at(times, 0.5).toFixed(1),
        (at(times, 0.5) / at(quiet.times, 0.5)).toFixed(2),
        at(times, 0.99).toFixed(1),
        (most - idle).toFixed(0),
      ]
        .map((f) => f.padStart(12))
        .join(""),
  );
row("alone", 5, 0, quiet);

/** What Today reads of a busy club: the list, and one start after it was saved. */
const bytesOf = async (path: string) => {
  const answer = await fetch(`${base}/api/clubs/${season.clubId}${path}`, {
    headers: { cookie: season.cookie },
  });
  return (await answer.arrayBuffer()).byteLength / 1000;
};
const [list, one] = [
  await bytesOf("/starts?from=2098-01-01T00:00:00.000Z"),
  await bytesOf(`/starts/${start.id}`),
];
console.log(
  `Today of 100 starts: the list ${list.toFixed(0)} kB, after a save one start of ${one.toFixed(0)} kB`,
);

const exported = async (query: string) => {
  const chunks: Buffer[] = [];
  const answer = await fetch(`${base}/api/clubs/${season.clubId}/export${query}`, {
    headers: { cookie: season.cookie },
  });
  for await (const chunk of answer.body as unknown as AsyncIterable<Uint8Array>)
    chunks.push(Buffer.from(chunk));
  return Buffer.concat(chunks);
};
let file = Buffer.alloc(0);
for (const query of ["?edits=no", ""]) {
  const began = performance.now();
  const meanwhile = await beside(
    exported(query).then((bytes) => {
      file = bytes;
    }),
  );
  row(
    query ? "export without edits" : "export",
    (performance.now() - began) / 1000,
    file.length / 1e6,
    meanwhile,
  );
}
const began = performance.now();
let status = 0;
const meanwhile = await beside(
  fetch(`${base}/api/clubs/${copy.clubId}/import`, {
    method: "POST",
    headers: { cookie: copy.cookie, "content-type": "application/x-ndjson" },
    body: file,
  }).then((answer) => {
    status = answer.status;
  }),
);
row(`import (${status})`, (performance.now() - began) / 1000, file.length / 1e6, meanwhile);
await sequelize.close();
