import ICAL from "ical.js";
import { makeStart } from "./make";
import { type TestServer, testServer } from "./testServer";

let server: TestServer;
beforeAll(async () => {
  server = await testServer();
});
afterAll(() => server.close());

const make = async (athleteId: string | null, who = server.owner) =>
  who.ask("POST", "/api/:club/calendars", { athleteId });
const read = (token: string) => server.send({ url: `/api/calendars/${token}` });
/** What another library than the one that wrote it reads. */
const events = (text: string) =>
  new ICAL.Component(ICAL.parse(text))
    .getAllSubcomponents("vevent")
    .map((component) => new ICAL.Event(component));

it("has every step of an athlete's days, and moves with their starts under the same ids", async () => {
  const start = await makeStart(server);
  const other = await makeStart(server, { title: "Another" });
  const { token } = (await make(start.athlete.id)).body;
  const answer = await read(token);
  expect(answer.headers["content-type"]).toContain("text/calendar");
  const before = events(answer.body);
  expect(before.length).toBeGreaterThan(5);
  expect(before.every((e) => e.summary.includes("Free skate"))).toBe(true);
  expect(answer.body).not.toContain(start.id);
  expect(answer.body).not.toContain(other.id);
  const startsAt = "2098-06-01T13:00:00.000Z";
  await server.ask("POST", `/api/:club/starts/${start.id}/move`, { version: 1, startsAt });
  const after = events((await read(`${token}.ics`)).body);
  expect(after.map((e) => e.uid)).toEqual(before.map((e) => e.uid));
  const at = (list: ICAL.Event[]) => list.find((e) => e.uid.startsWith("start."))?.startDate.toJSDate();
  expect(at(before)?.toISOString()).toBe("2098-06-01T12:30:00.000Z");
  expect(at(after)?.toISOString()).toBe(startsAt);
  expect(after[0]?.sequence).toBeGreaterThan(before[0]?.sequence ?? 0);
});

it("of all has everybody's, one start after the other", async () => {
  const { person } = await server.signUp();
  await makeStart(person);
  await makeStart(person, { title: "Second" });
  const { token } = (await make(null, person)).body;
  const text = (await read(token)).body;
  expect(text).toContain("Free skate");
  expect(text).toContain("Second");
});

it("of a club without starts is a calendar with nothing in it", async () => {
  const { person } = await server.signUp("Nobody");
  const { token } = (await make(null, person)).body;
  expect(events((await read(token)).body)).toEqual([]);
});

it("ends when it is withdrawn, when its maker may build no more, and with its athlete", async () => {
  const start = await makeStart(server);
  const first = (await make(start.athlete.id)).body;
  const coach = await server.member("coach");
  const second = (await make(start.athlete.id, coach)).body;
  const third = (await make(start.athlete.id)).body;
  expect((await server.ask("GET", "/api/:club/calendars")).body.calendars).toEqual(
    expect.arrayContaining([expect.objectContaining({ id: second.id, madeBy: "Somebody" })]),
  );
  await server.ask("DELETE", `/api/:club/calendars/${first.id}`);
  await server.ask("PUT", `/api/:club/members/${coach.userId}`, {
    role: "assistant",
    athleteId: null,
    was: "coach",
  });
  for (const { token } of [first, second])
    expect((await read(token)).json()).toMatchObject({ code: "link_over" });
  expect((await read(third.token)).statusCode).toBe(200);
  await server.ask("DELETE", `/api/:club/athletes/${start.athlete.id}`);
  expect((await read(third.token)).json()).toMatchObject({ code: "link_over" });
  expect((await read("nothing")).json()).toMatchObject({ code: "link_over" });
});

it("made again because the answer was lost is one, with another secret", async () => {
  const id = "99999999-9999-4999-8999-999999999999";
  const send = () => server.ask("POST", "/api/:club/calendars", { id, athleteId: null });
  const [first, second] = [(await send()).body, (await send()).body];
  expect(second.id).toBe(first.id);
  expect((await read(first.token)).statusCode).not.toBe(200);
  expect((await read(second.token)).statusCode).toBe(200);
});

it("of an athlete who was made anonymous is nobody's any more", async () => {
  const start = await makeStart(server);
  const { token } = (await make(start.athlete.id)).body;
  await server.ask("POST", `/api/:club/athletes/${start.athlete.id}/anonymise`);
  expect((await read(token)).json()).toMatchObject({ code: "link_over" });
});
