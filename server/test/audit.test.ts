import { Writable } from "node:stream";
import type { AuditEntry } from "@tonodrome/core/api";
import { drillInput, makeStart, planBody, runInput, startWrite } from "./make";
import { fullClub } from "./people";
import { PASSWORD, type TestServer, testServer } from "./testServer";

let server: TestServer;
const lines: string[] = [];

beforeAll(async () => {
  const stream = new Writable({
    write(chunk, _encoding, done) {
      lines.push(String(chunk));
      done();
    },
  });
  server = await testServer({ log: { level: "trace", stream } });
});
afterAll(() => server.close());

it("names the fields of a start that changed, its day and its athlete among them", async () => {
  const start = await makeStart(server);
  const other = (await server.ask("POST", "/api/:club/athletes", { name: "Bea" })).body;
  const wet = { setting: { ...start.setting, wet: true }, title: "Long programme", athleteId: other.id };
  await server.ask("PUT", `/api/:club/starts/${start.id}`, startWrite(start, wet));
  const [entry] = (await server.ask("GET", "/api/:club/audit")).body.entries as AuditEntry[];
  expect(entry).toMatchObject({
    action: "start.change",
    detail: { version: 2, changed: ["athlete", "title", "setting"] },
  });
});

it("says who changed what, newest first, in pages, to owners", async () => {
  const { people, ids } = await fullClub(server);
  const { owner, coach } = people;
  const start = await makeStart(owner);
  await coach.ask("PUT", `/api/:club/starts/${start.id}`, startWrite(start, { venue: "Other hall" }));
  await coach.ask("PUT", `/api/:club/plans/${start.plan.id}`, { version: 1, body: planBody("Laps") });
  await owner.ask("PUT", `/api/:club/plans/${start.plan.id}`, { version: 1, body: planBody("Mine") });
  await owner.ask("DELETE", `/api/:club/starts/${ids.start}`);
  const { entries } = (await owner.ask("GET", "/api/:club/audit")).body as { entries: AuditEntry[] };
  expect(entries.slice(0, 4).map(({ action, what, detail }) => [action, what, detail])).toEqual([
    ["start.delete", "Free skate, Ada Finch", null],
    ["plan.refuse", "Free skate, Ada Finch", { version: 1 }],
    ["plan.save", "Free skate, Ada Finch", { version: 2 }],
    ["start.change", "Free skate, Ada Finch", { version: 2, changed: ["venue"] }],
  ]);
  const ofCoach = entries.filter((e) => e.action === "plan.save" || e.action === "start.change");
  expect(new Set(ofCoach.map((e) => e.who))).toEqual(new Set(["Somebody"]));
  expect(entries.map((e) => e.action)).toEqual(
    expect.arrayContaining([
      "club.make",
      "member.join",
      "invite.make",
      "share.make",
      "run.make",
      "athlete.make",
    ]),
  );

  for (let i = 0; i < 60; i++) await owner.ask("POST", "/api/:club/athletes", { name: `A ${i}` });
  const seen: string[] = [];
  let next: string | null = "";
  while (next !== null) {
    const page: { entries: AuditEntry[]; next: string | null } = (
      await owner.ask("GET", `/api/:club/audit${next ? `?before=${next}` : ""}`)
    ).body;
    seen.push(...page.entries.map((e) => e.id));
    next = page.next;
  }
  expect(new Set(seen).size).toBe(seen.length);
  expect(seen.length).toBeGreaterThan(70);
});

it("a deed that did not come through leaves no entry", async () => {
  const before = await server.models.AuditEntry.count({ where: { clubId: server.clubId } });
  await server.ask("POST", "/api/:club/drills", { name: "" });
  await server.ask("DELETE", "/api/:club/starts/22222222-2222-4222-8222-222222222222");
  await server.ask("PUT", "/api/:club", { name: "" });
  expect(await server.models.AuditEntry.count({ where: { clubId: server.clubId } })).toBe(before);
});

it("logs a line for every request and, searched through, nothing of what people are or typed", async () => {
  const secret = "Zyxwvut";
  const email = `${secret.toLowerCase()}@example.org`;
  const signUp = await server.send({
    method: "POST",
    url: "/api/auth/sign-up",
    payload: { name: `${secret} Name`, email, password: `${secret} password`, clubName: `${secret} Club` },
  });
  const cookie = String(signUp.headers["set-cookie"]).split(";")[0] as string;
  const club = signUp.json().clubs[0].id as string;
  const ask = server.askWith(cookie, club);
  const athlete = (await ask("POST", "/api/:club/athletes", { name: `${secret} Athlete` })).body;
  const drill = drillInput(`${secret} drill`);
  await ask("POST", "/api/:club/drills", { ...drill, focus: `${secret} left knee sore` });
  await ask("POST", "/api/:club/drills", { ...drill, dose: `${secret}` });
  const start = (
    await ask("POST", "/api/:club/starts", {
      athleteId: athlete.id,
      title: `${secret} title`,
      venue: `${secret} venue`,
      zone: "UTC",
      startsAt: "2098-06-01T12:30:00.000Z",
      readyAt: "2098-06-01T11:45:00.000Z",
    })
  ).body;
  await ask("PUT", `/api/:club/plans/${start.plan.id}`, { version: 1, body: planBody(`${secret} item`) });
  await ask("POST", "/api/:club/runs", runInput(start.id));
  const share = (await ask("POST", `/api/:club/starts/${start.id}/shares`, { until: "day" })).body;
  const invite = (await ask("POST", "/api/:club/invites", { role: "coach", athleteId: null })).body;
  await server.send({ url: `/api/shared/${share.token}` });
  await server.send({ url: `/api/invites/${invite.token}` });
  await server.send({ method: "POST", url: "/api/auth/sign-in", payload: { email, password: "no" } });
  await server.send({ url: `/${secret}?q=${secret}` });
  await ask("GET", `/api/:club/runs?before=${secret}`);
  // A fault of the server's own, in which the database quotes the values it was given.
  await server.sequelize.query("ALTER TABLE drills ADD CONSTRAINT fault CHECK (name !~ 'fault')");
  const fault = await ask("POST", "/api/:club/drills", { ...drill, name: `${secret} fault` });
  await server.sequelize.query("ALTER TABLE drills DROP CONSTRAINT fault");
  expect(fault.status).toBe(500);

  const log = lines.join("");
  expect(lines.length).toBeGreaterThan(15);
  for (const word of [
    secret,
    secret.toLowerCase(),
    PASSWORD,
    share.token,
    invite.token,
    cookie.split("=")[1],
  ]) {
    expect(log).not.toContain(word);
  }
  const answered = lines.map((l) => JSON.parse(l)).filter((l) => l.msg === "answered");
  for (const line of answered) {
    expect(line).toMatchObject({
      reqId: expect.any(String),
      status: expect.any(Number),
      ms: expect.any(Number),
    });
  }
  expect(answered.map((l) => l.route)).toContain("/api/shared/:token");
  const noted = lines.map((l) => JSON.parse(l)).find((l) => l.msg === "unexpected error");
  expect(noted.err).toMatchObject({ code: "23514", constraint: "fault", message: "(not logged)" });
});
