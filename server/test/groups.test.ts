import { randomUUID } from "node:crypto";
import { exportOf } from "./clubLines";
import { makeStart, runInput, setting, startWrite } from "./make";
import { type TestServer, testServer } from "./testServer";

let server: TestServer;
beforeAll(async () => {
  server = await testServer();
});
afterAll(() => server.close());

/** A club with a start of three as one group, and a run of it; one of the three has an account. */
async function group() {
  const { person: owner, me } = await server.signUp("Group");
  const clubId = me.clubs[0]?.id as string;
  const start = await makeStart(owner);
  const add = async (name: string) => (await owner.ask("POST", "/api/:club/athletes", { name })).body;
  const [mirko, ines] = [await add("Mirko Sand"), await add("Ines Vantongeren")];
  const wide = { ...setting, group: [mirko.id, ines.id] };
  const put = (more: object) => owner.ask("PUT", `/api/:club/starts/${start.id}`, startWrite(start, more));
  const { body: saved } = await put({ setting: wide });
  const input = runInput(start.id);
  const run = { ...input, plan: { ...input.plan, group: saved.group } };
  expect((await owner.ask("POST", "/api/:club/runs", run)).status).toBe(201);
  const press = (more: object) => ({ id: randomUUID(), at: "2026-06-01T12:00:00.000Z", ...more });
  const events = [press({ kind: "begin" }), press({ kind: "there", who: mirko.id, isThere: false })];
  expect((await owner.ask("POST", `/api/:club/runs/${run.id}/events`, { events })).status).toBe(200);
  const read = async () => (await owner.ask("GET", `/api/:club/starts/${start.id}`)).body;
  const names = (of: { name: string }[]) => of.map((m) => m.name);
  return { owner, clubId, start, saved, mirko, ines, run, read, names };
}

it("a start tells who warms up together, whose start it is first", async () => {
  const { saved, names, read } = await group();
  expect(names(saved.group)).toEqual(["Ada Finch", "Ines Vantongeren", "Mirko Sand"]);
  expect(names((await read()).group)).toEqual(names(saved.group));
});

it("an athlete's own account, and a link, tell of nobody else", async () => {
  const { owner, clubId, start, run } = await group();
  const athlete = await server.member("athlete", start.athlete.id, owner, clubId);
  const own = (await athlete.ask("GET", `/api/:club/starts/${start.id}`)).body;
  expect("group" in own).toBe(false);
  const { body } = await athlete.ask("GET", `/api/:club/runs/${run.id}`);
  expect(body.events.map((e: { kind: string }) => e.kind)).toEqual(["begin"]);
  expect(JSON.stringify(body)).not.toMatch(/Mirko|Ines/);
  const until = new Date(Date.now() + 3_600_000).toISOString();
  const share = await owner.ask("POST", `/api/:club/starts/${start.id}/shares`, { until });
  const shared = await server.send({ url: `/api/shared/${share.body.token}` });
  expect(shared.json()).toMatchObject({ group: 3 });
  expect(shared.body).not.toMatch(/Mirko|Ines/);
});

it("whoever is made anonymous is so in the groups of others too", async () => {
  const { owner, clubId, mirko, ines } = await group();
  await owner.ask("POST", `/api/:club/athletes/${mirko.id}/anonymise`);
  const text = await exportOf(server, owner, clubId);
  expect(text).not.toMatch(/Mirko|Sand/);
  expect(text).toContain(ines.name);
});

it("whoever is deleted is in no group any more, and the start can go on to be changed", async () => {
  const { owner, clubId, mirko, ines, read, names } = await group();
  await owner.ask("DELETE", `/api/:club/athletes/${mirko.id}`);
  expect(await exportOf(server, owner, clubId)).not.toMatch(/Mirko/);
  const now = await read();
  expect(now.setting.group).toEqual([ines.id]);
  expect(names(now.group)).toEqual(["Ada Finch", "Ines Vantongeren"]);
  const changed = await owner.ask(
    "PUT",
    `/api/:club/starts/${now.id}`,
    startWrite(now, { venue: "Elsewhere" }),
  );
  expect(changed.status).toBe(200);
});

it("somebody who is not in the club is not put into a group, nor more than there may be", async () => {
  const { owner, start, read } = await group();
  const now = await read();
  const put = (ids: string[]) =>
    owner.ask(
      "PUT",
      `/api/:club/starts/${start.id}`,
      startWrite(now, { setting: { ...setting, group: ids } }),
    );
  expect((await put([randomUUID()])).body).toMatchObject({ code: "invalid_input", path: "setting.group" });
  const many = Array.from({ length: 30 }, () => randomUUID());
  expect((await put(many)).body).toMatchObject({ code: "invalid_input", path: "setting.group" });
  expect((await read()).version).toBe(now.version);
});
