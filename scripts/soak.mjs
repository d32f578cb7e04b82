// Ten minutes of everything at once: three clubs that save, press, make, read, follow, export and import, while server and
// database are killed by turns. Prints what was acknowledged, lost and doubled, and what was slow. `npm run soak`;
// SOAK_SECONDS for another length. Loopback only.
import { randomUUID } from "node:crypto";
import { readFileSync, rmSync } from "node:fs";
import path from "node:path";
import { setTimeout as sleep } from "node:timers/promises";
import { ensurePackages } from "./lib/install.mjs";
import { dataDir, inRoot } from "./lib/paths.mjs";
import { freePort } from "./lib/ports.mjs";
import { askDatabase, Cluster } from "./lib/postgres.mjs";
import { main, say } from "./lib/say.mjs";
import { freshSecret } from "./lib/secret.mjs";
import { ServerProcess } from "./lib/server.mjs";

const SECONDS = Number(process.env.SOAK_SECONDS ?? 600);
const CLUBS = 3;
/** Between two kills, and between two rounds of whole clubs going out and in, milliseconds. */
const KILL_EVERY = 45_000;
const FILE_EVERY = 20_000;
/** Edits that a season has of one warm-up. */
const EDITS = 25;

let base = "";
let over = false;
const times = {
  reading: [],
  "reading while a club is imported": [],
  saving: [],
  pressing: [],
  exporting: [],
  importing: [],
};
const count = {
  acknowledged: 0,
  refusedForNow: 0,
  kills: 0,
  exports: 0,
  imports: 0,
  told: 0,
  streams: 0,
  wrong: [],
};
let importing = 0;

const note = (name, began) => times[name].push(performance.now() - began);
const wrong = (what) => {
  if (count.wrong.length < 20) count.wrong.push(what);
};

/** Asks as somebody; null when there was no answer, or the server said that it is not there just now. */
async function ask(who, method, address, body) {
  const answer = await fetch(`${base}/api${address}`, {
    method,
    headers: { cookie: who.cookie ?? "", ...(body ? { "content-type": "application/json" } : {}) },
    ...(body ? { body: JSON.stringify(body) } : {}),
    signal: AbortSignal.timeout(15_000),
  }).catch(() => null);
  if (!answer) return null;
  who.cookie = answer.headers.get("set-cookie")?.split(";")[0] ?? who.cookie;
  const data = await answer.json().catch(() => null);
  if (answer.status === 503 || answer.status === 429 || data === null) {
    count.refusedForNow++;
    return null;
  }
  if (answer.status >= 500) wrong(`${method} ${address}: ${answer.status} ${JSON.stringify(data)}`);
  return { status: answer.status, body: data };
}

/** Asks until there is an answer, the same each time. */
async function insist(who, method, address, body) {
  for (;;) {
    const answer = await ask(who, method, address, body);
    if (answer) return answer;
    await sleep(50);
  }
}

const example = JSON.parse(readFileSync(inRoot("docs", "examples", "six-minutes.json"), "utf8")).plan;
/** A warm-up that is told apart by its first drill. */
const plan = (name) => ({
  ...example,
  items: example.items.map((item, i) => (i === 0 ? { ...item, name } : item)),
});

/** A club with an owner, an athlete, a start and a run of it. */
async function makeClub(n) {
  const who = { cookie: "" };
  const me = await insist(who, "POST", "/auth/sign-up", {
    name: "Vera Holt",
    email: `${randomUUID()}@example.org`,
    password: "a long enough password",
    clubName: `Soak ${n}`,
  });
  const club = `/clubs/${me.body.clubs[0].id}`;
  const athlete = await insist(who, "POST", `${club}/athletes`, { id: randomUUID(), name: "Ada" });
  const startInput = (id) => ({
    id,
    athleteId: athlete.body.id,
    title: "Final",
    venue: "",
    zone: "UTC",
    startsAt: "2098-06-01T12:30:00.000Z",
    readyAt: "2098-06-01T11:45:00.000Z",
  });
  const start = await insist(who, "POST", `${club}/starts`, startInput(randomUUID()));
  const drill = { itemId: randomUUID(), name: "Laps", phase: "raise", intensity: 20, focus: "", place: "" };
  const run = await insist(who, "POST", `${club}/runs`, {
    id: randomUUID(),
    startId: start.body.id,
    plan: {
      drills: [{ ...drill, words: "2:00", plannedSeconds: 120 }],
      waitSeconds: 60,
      startsAt: "2098-06-01T12:30:00.000Z",
    },
  });
  const planId = start.body.plan.id;
  return {
    who,
    club,
    startInput,
    planId,
    runId: run.body.id,
    edits: [],
    presses: [],
    athletes: [athlete.body.id],
  };
}

async function saves(club) {
  let version = 1;
  for (let n = 1; !over; n++) {
    const body = plan(`Edit ${n}`);
    const began = performance.now();
    const saved = await insist(club.who, "PUT", `${club.club}/plans/${club.planId}`, { version, body });
    note("saving", began);
    if (saved.status !== 200) return wrong(`save: ${JSON.stringify(saved.body).slice(0, 300)}`);
    version = saved.body.version;
    club.edits.push({ version, name: `Edit ${n}` });
    count.acknowledged++;
    await sleep(20);
  }
}

async function presses(club) {
  while (!over && club.presses.length < 9_000) {
    const event = { id: randomUUID(), at: new Date().toISOString(), kind: "begin" };
    const began = performance.now();
    const sent = await insist(club.who, "POST", `${club.club}/runs/${club.runId}/events`, {
      events: [event],
    });
    note("pressing", began);
    if (sent.status !== 200) return wrong(`press: ${JSON.stringify(sent.body)}`);
    club.presses.push(event.id);
    count.acknowledged++;
    await sleep(40);
  }
}

async function makes(club) {
  while (!over && club.athletes.length < 900) {
    const id = randomUUID();
    const made = await insist(club.who, "POST", `${club.club}/athletes`, {
      id,
      name: `Athlete ${club.athletes.length}`,
    });
    if (made.status !== 201) return wrong(`make: ${JSON.stringify(made.body)}`);
    club.athletes.push(id);
    count.acknowledged++;
    await sleep(500);
  }
}

async function reads(club) {
  while (!over) {
    const began = performance.now();
    const busy = importing > 0;
    const read = await ask(club.who, "GET", `${club.club}/plans/${club.planId}`);
    if (read) note(busy && importing > 0 ? "reading while a club is imported" : "reading", began);
    await sleep(30);
  }
}

async function follows(club) {
  while (!over) {
    try {
      const answer = await fetch(`${base}/api${club.club}/changes`, {
        headers: { cookie: club.who.cookie },
        signal: AbortSignal.timeout(30_000),
      });
      count.streams++;
      const decoder = new TextDecoder();
      for await (const chunk of answer.body) {
        count.told += decoder.decode(chunk).split("data:").length - 1;
        if (over) break;
      }
    } catch {
      await sleep(200);
    }
  }
}

/** A season in a club of its own, written out whole and read into another, which is then deleted. */
async function files(n) {
  const { who, club, startInput } = await makeClub(`season ${n}`);
  const body = plan("Season");
  for (let i = 0; i < 40; i++) {
    const start = await insist(who, "POST", `${club}/starts`, startInput(randomUUID()));
    for (let version = 1; version <= EDITS; version++) {
      if (over) return;
      await insist(who, "PUT", `${club}/plans/${start.body.plan.id}`, {
        version,
        body: { ...body, stepPoints: 10 + version },
      });
    }
  }
  while (!over) {
    await sleep(FILE_EVERY);
    if (over) return;
    const began = performance.now();
    const file = await fetch(`${base}/api${club}/export`, { headers: { cookie: who.cookie } })
      .then((answer) => (answer.ok ? answer.text() : null))
      .catch(() => null);
    if (!file?.endsWith("}\n") || !file.includes('"record":"end"')) continue;
    note("exporting", began);
    count.exports++;
    const made = await insist(who, "POST", "/clubs", { id: randomUUID(), name: "Copy" });
    const copy = `/clubs/${made.body.id}`;
    const from = performance.now();
    importing++;
    const read = await fetch(`${base}/api${copy}/import`, {
      method: "POST",
      headers: { cookie: who.cookie, "content-type": "application/x-ndjson" },
      body: file,
    })
      .then(async (answer) => ({ status: answer.status, text: await answer.text() }))
      .catch(() => null);
    importing--;
    if (read?.status === 200) {
      note("importing", from);
      count.imports++;
      count.acknowledged++;
      const again = await fetch(`${base}/api${copy}/export`, { headers: { cookie: who.cookie } })
        .then((answer) => answer.text())
        .catch(() => null);
      if (again?.includes('"record":"end"') && again !== file) wrong("a copy of a club is not the same");
    } else if (read && read.status !== 503 && read.status !== 429)
      wrong(`import: ${read.status} ${read.text}`);
    else {
      // Nothing of an import that was cut off is there.
      const { body } = await insist(who, "GET", `${copy}/starts`);
      if (body.starts?.length > 0 && !read) {
        // Its answer alone may have been lost: then all of it is there.
        count.imports++;
      }
    }
    // Its name is the file's when the import came through.
    for (const name of ["Copy", `Soak season ${n}`]) await insist(who, "DELETE", copy, { name });
  }
}

function residentMegabytes(pid) {
  try {
    return Number(/VmRSS:\s+(\d+)/.exec(readFileSync(`/proc/${pid}/status`, "utf8"))?.[1] ?? 0) / 1024;
  } catch {
    return 0;
  }
}

const at = (list, share) => list.toSorted((a, b) => a - b)[Math.floor(list.length * share)] ?? Number.NaN;

main(async () => {
  await ensurePackages();
  const home = path.join(dataDir, `soak-${process.pid}`);
  const cluster = await Cluster.prepare(home, "A soak");
  await cluster.start();
  const port = await freePort();
  base = `http://127.0.0.1:${port}`;
  const server = new ServerProcess({
    DATABASE_URL: cluster.url(),
    TONODROME_SECRET: freshSecret(),
    TONODROME_WRITES_PER_MINUTE: "1000000",
    TONODROME_READS_PER_MINUTE: "1000000",
    TONODROME_ACCOUNTS_PER_HOUR: "1000",
    TONODROME_IMPORT_MB_NEW: "500",
    TONODROME_DEMO: "no",
    PORT: String(port),
    LOG_LEVEL: "error",
  });
  try {
    const failed = await server.start();
    if (failed) throw new Error(failed.message);
    const clubs = await Promise.all(Array.from({ length: CLUBS }, (_, n) => makeClub(n)));
    const idle = residentMegabytes(server.pid);
    let most = idle;
    say(`soaking for ${SECONDS} s …`);
    const work = Promise.all([
      ...clubs.flatMap((club) => [saves(club), presses(club), makes(club), reads(club), follows(club)]),
      files(0),
    ]);
    const until = Date.now() + SECONDS * 1000;
    let next = Date.now() + KILL_EVERY;
    while (Date.now() < until) {
      await sleep(250);
      most = Math.max(most, residentMegabytes(server.pid));
      if (Date.now() < next) continue;
      next = Date.now() + KILL_EVERY;
      count.kills++;
      if (count.kills % 2) {
        await server.kill();
        const back = await server.start();
        if (back) throw new Error(back.message);
      } else {
        await cluster.kill();
        await cluster.start();
      }
    }
    over = true;
    await work;

    let lost = 0;
    let doubled = 0;
    for (const club of clubs) {
      const rows = (sql) => askDatabase(cluster.url(), (query) => query(sql, [club.club.split("/")[2]]));
      const stored = await rows(
        "SELECT version FROM plan_edits WHERE club_id = $1 AND outcome = 'saved' ORDER BY id",
      );
      const versions = stored.map((r) => r.version);
      // The newest are kept; of those none is missing and none is there twice.
      const wanted = club.edits.slice(-versions.length).map((e) => e.version);
      lost += wanted.filter((v) => !versions.includes(v)).length;
      doubled += versions.length - new Set(versions).size;
      const now = await insist(club.who, "GET", `${club.club}/plans/${club.planId}`);
      if (now.body.body.items[0].name !== club.edits.at(-1)?.name) lost++;
      const pressed = (await rows("SELECT id FROM run_events WHERE club_id = $1")).map((r) => r.id);
      lost += club.presses.filter((id) => !pressed.includes(id)).length;
      doubled += pressed.length - club.presses.length;
      const made = (await rows("SELECT id FROM athletes WHERE club_id = $1")).map((r) => r.id);
      lost += club.athletes.filter((id) => !made.includes(id)).length;
      doubled += made.length - club.athletes.length;
    }
    say(
      `\nacknowledged ${count.acknowledged}, lost ${lost}, doubled ${doubled}; killed ${count.kills} times`,
    );
    say(
      `exports ${count.exports}, imports ${count.imports}, streams ${count.streams}, told ${count.told} changes`,
    );
    say(`told to come again (503, 429, no answer in words) ${count.refusedForNow}`);
    say(`server's memory: ${idle.toFixed(0)} MB idle, ${most.toFixed(0)} MB at most`);
    say(
      `\n${"".padEnd(36)}${["number", "median", "99 %", "slowest"].map((h) => h.padStart(10)).join("")}  ms`,
    );
    for (const [name, list] of Object.entries(times)) {
      const figures = [list.length, at(list, 0.5), at(list, 0.99), Math.max(...list)];
      say(
        name.padEnd(36) + figures.map((f) => (Number.isFinite(f) ? f.toFixed(0) : "–").padStart(10)).join(""),
      );
    }
    for (const what of count.wrong) say(`WRONG ${what}`);
    if (lost + doubled + count.wrong.length > 0) process.exitCode = 1;
  } finally {
    over = true;
    await server.stop();
    await cluster.stop();
    cluster.remove();
    rmSync(home, { recursive: true, force: true });
  }
});
