import { randomUUID } from "node:crypto";
import { makeStart, runInput } from "./make";
import { type Person, type TestServer, testServer } from "./testServer";

let server: TestServer;
beforeAll(async () => {
  server = await testServer();
});
afterAll(() => server.close());

const OPEN = "/api/:club/open-runs";

/** Begins a run as it is begun in the hall: made, and its first press recorded. */
async function begun(who: Pick<Person, "ask">, startId: string): Promise<string> {
  const made = await who.ask("POST", "/api/:club/runs", runInput(startId));
  await press(who, made.body.id, { kind: "begin" });
  return made.body.id;
}

const press = (who: Pick<Person, "ask">, run: string, what: { kind: string; who?: string }) =>
  who.ask("POST", `/api/:club/runs/${run}/events`, {
    events: [{ id: randomUUID(), at: new Date().toISOString(), ...what }],
  });

const openTo = async (who: Pick<Person, "ask">, startId: string) =>
  (await who.ask("GET", OPEN)).body.runs.filter((r: { startId: string }) => r.startId === startId);

it("tells every device of a run under way, with whoever runs it, and of none that was ended", async () => {
  const { person: owner, me } = await server.signUp("Open runs");
  const club = me.clubs[0]?.id as string;
  const assistant = await server.member("assistant", null, owner, club);
  const start = await makeStart(owner);
  expect(await openTo(owner, start.id)).toEqual([]);

  const id = await begun(owner, start.id);
  const [seen] = await openTo(assistant, start.id);
  expect(seen).toMatchObject({ id, kind: "warm-up", by: me.name });

  const theirs = (await assistant.ask("GET", "/api/me")).body;
  await press(assistant, id, { kind: "take", who: theirs.id });
  expect((await openTo(owner, start.id))[0].by).toBe(theirs.name);

  await press(owner, id, { kind: "end" });
  for (let i = 0; i < 50 && (await openTo(owner, start.id)).length > 0; i++)
    await new Promise((done) => setTimeout(done, 20));
  expect(await openTo(owner, start.id)).toEqual([]);
});

it("an athlete hears of their own runs only, another club of none, and a name goes with its member", async () => {
  const { person: owner, me } = await server.signUp("Open runs of two");
  const club = me.clubs[0]?.id as string;
  const [own, other] = [await makeStart(owner), await makeStart(owner)];
  const athlete = await server.member("athlete", own.athlete.id, owner, club);
  await begun(owner, own.id);
  await begun(owner, other.id);
  expect(await openTo(athlete, own.id)).toHaveLength(1);
  expect(await openTo(athlete, other.id)).toEqual([]);
  const { person: stranger } = await server.signUp("Another club");
  expect((await stranger.ask("GET", OPEN)).body.runs).toEqual([]);

  const coach = await server.member("coach", null, owner, club);
  const third = await makeStart(owner);
  await begun(coach, third.id);
  const theirs = (await coach.ask("GET", "/api/me")).body;
  await owner.ask("DELETE", `/api/:club/members/${theirs.id}`);
  expect((await openTo(owner, third.id))[0].by).toBeNull();
});
