import type { StartListInput } from "@tonodrome/core/api";
import { eventInput, makeStart } from "./make";
import { type TestServer, testServer } from "./testServer";

let server: TestServer;
beforeAll(async () => {
  server = await testServer();
});
afterAll(() => server.close());

type Row = StartListInput["rows"][number];
const row = (line: number, athlete: string, minute: number, more: Partial<Row> = {}): Row => ({
  line,
  athlete,
  title: "Free skate",
  venue: "Lakeside",
  zone: "Europe/Vienna",
  startsAt: new Date(Date.UTC(2098, 5, 1, 12, minute)).toISOString(),
  number: null,
  ...more,
});

/** A club of its own. */
async function club() {
  const { person } = await server.signUp("List");
  const send = (rows: Row[], agreed: string | null = null, addAthletes = true) =>
    person.ask("POST", "/api/:club/start-list", { rows, addAthletes, agreed });
  /** Compares a list and takes it as it was compared. */
  const take = async (rows: Row[], addAthletes = true) =>
    send(rows, (await send(rows, null, addAthletes)).body.mark, addAthletes);
  const starts = async () => (await person.ask("GET", "/api/:club/starts")).body.starts;
  return { person, send, take, starts };
}
const states = (body: { rows: { state: string }[] }) => body.rows.map((r) => r.state);

it("compares and changes nothing; agreed to, it is taken as a whole", async () => {
  const { send, starts, person } = await club();
  const rows = [row(2, "Mira Lind", 5), row(3, "Ola Berg", 9)];
  const seen = await send(rows);
  expect([seen.status, seen.body.taken, states(seen.body)]).toEqual([
    200,
    false,
    ["new-athlete", "new-athlete"],
  ]);
  expect(await starts()).toEqual([]);
  const taken = await send(rows, seen.body.mark);
  expect([taken.status, taken.body.taken]).toEqual([200, true]);
  expect((await starts()).map((s: { athlete: { name: string } }) => s.athlete.name)).toEqual([
    "Mira Lind",
    "Ola Berg",
  ]);
  // Its answer was lost: sent again it is there once.
  expect((await send(rows, seen.body.mark)).body).toMatchObject({ taken: true });
  expect(await starts()).toHaveLength(2);
  const trail = (await person.ask("GET", "/api/:club/audit")).body.entries;
  expect(trail[0]).toMatchObject({ action: "list.take", detail: { made: 2, changed: 0 } });
});

it("another list of the same day changes what reads differently and leaves the rest", async () => {
  const { take, send, starts } = await club();
  await take([row(2, "Mira Lind", 5), row(3, "Ola Berg", 9)]);
  const [before] = await starts();
  const rows = [row(2, "LIND Mira", 15, { venue: "Rink 2" }), row(3, "Ola Berg", 9)];
  const seen = (await send(rows)).body;
  expect(seen.rows).toMatchObject([
    { state: "changed", changed: ["time", "venue"], athlete: "Mira Lind" },
    { state: "same" },
  ]);
  await send(rows, seen.mark);
  const after = (await starts()).find((s: { id: string }) => s.id === before.id);
  expect(after).toMatchObject({ venue: "Rink 2", startsAt: rows[0]?.startsAt, version: before.version + 1 });
});

it("of which anything has changed since it was compared is refused, and nothing of it is there", async () => {
  const { send, starts, person } = await club();
  const rows = [row(2, "Mira Lind", 5), row(3, "Ola Berg", 9)];
  const { mark } = (await send(rows)).body;
  await person.ask("POST", "/api/:club/athletes", { name: "Ola Berg" });
  expect((await send(rows, mark)).body).toMatchObject({ code: "version_conflict", path: "agreed" });
  expect(await starts()).toEqual([]);
});

it("never writes over what somebody changes at the same moment", async () => {
  const { send, take, starts } = await club();
  await take([row(2, "Mira Lind", 5)]);
  const [{ id }] = await starts();
  const rows = [row(2, "Mira Lind", 15)];
  const { mark } = (await send(rows)).body;
  // Somebody is in the middle of saving the same start.
  const other = await server.sequelize.transaction();
  await server.sequelize.query("UPDATE starts SET venue = 'Elsewhere', version = version + 1 WHERE id = $1", {
    bind: [id],
    transaction: other,
  });
  const sent = send(rows, mark);
  const isWaiting = async () => {
    const [found] = await server.sequelize.query(
      "SELECT 1 FROM pg_stat_activity WHERE wait_event_type = 'Lock' AND datname = current_database()",
    );
    return found.length > 0;
  };
  while (!(await isWaiting()));
  await other.commit();
  expect((await sent).body).toMatchObject({ code: "version_conflict" });
  expect((await starts())[0]).toMatchObject({ venue: "Elsewhere" });
});

it("means a start by its time on the list, however far it was moved since", async () => {
  const { take, send, starts, person } = await club();
  const rows = [row(2, "Mira Lind", 5)];
  await take(rows);
  const [{ id, version }] = await starts();
  const startsAt = new Date(Date.UTC(2098, 5, 9, 12)).toISOString();
  expect((await person.ask("POST", `/api/:club/starts/${id}/move`, { version, startsAt })).status).toBe(200);
  const seen = await send(rows);
  expect(states(seen.body)).toEqual(["same"]);
  await send(rows, seen.body.mark);
  expect(await starts()).toMatchObject([{ id, startsAt }]);
});

it("takes an event of its title, none that was put away", async () => {
  const { take, starts, person } = await club();
  const make = async (name: string) => (await person.ask("POST", "/api/:club/events", eventInput(name))).body;
  const [kept, away] = [await make("Free skate"), await make("Old pattern")];
  const put = { version: 1, archived: true, ...eventInput("Old pattern") };
  expect((await person.ask("PUT", `/api/:club/events/${away.id}`, put)).status).toBe(200);
  await take([row(2, "Mira Lind", 5), row(3, "Ola Berg", 9, { title: "Old pattern" })]);
  const events = (await starts()).map((s: { title: string; eventId: string | null }) => [s.title, s.eventId]);
  expect(new Map(events)).toEqual(
    new Map([
      ["Free skate", kept.id],
      ["Old pattern", null],
    ]),
  );
});

it("with a fault in it is refused at the row, and nothing of it is there", async () => {
  const { send, starts } = await club();
  const rows = [row(2, "Mira Lind", 5), row(3, "Ola Berg", 9), row(9, "Mira Lind", 5)];
  const seen = (await send(rows)).body;
  expect(seen.rows[2]).toMatchObject({ state: "fault", message: expect.stringContaining("line 2") });
  expect((await send(rows, seen.mark)).body).toMatchObject({ code: "invalid_input", path: "rows.2" });
  expect(await starts()).toEqual([]);
});

it("who is not in the club stays out of it unless they are wanted", async () => {
  const { take, starts, person } = await club();
  await person.ask("POST", "/api/:club/athletes", { name: "Mira Lind" });
  await take([row(2, "Mira Lind", 5), row(3, "Ola Berg", 9)], false);
  expect(await starts()).toHaveLength(1);
  expect((await person.ask("GET", "/api/:club/athletes")).body.athletes).toHaveLength(1);
});

it("with numbers makes a running order of all that are on it, and brings it up to a later list", async () => {
  const { take, starts, person } = await club();
  await person.ask("POST", "/api/:club/athletes", { name: "Mira Lind" });
  const numbered = (minute: number) => [
    row(2, "A Stranger", 5, { number: 1 }),
    row(3, "Mira Lind", minute, { number: 2 }),
    row(4, "Another", 13, { number: 3 }),
  ];
  await take(numbered(9), false);
  const [start] = await starts();
  expect(start.order).toMatchObject({ number: 2 });
  const order = async () => (await person.ask("GET", `/api/:club/orders/${start.order.id}`)).body;
  expect(await order()).toMatchObject({ title: "Free skate", venue: "Lakeside", version: 1 });
  expect((await order()).slots.map((s: { number: number }) => s.number)).toEqual([1, 2, 3]);
  // Nothing of others is kept but their number and time.
  expect(JSON.stringify(await order())).not.toContain("Stranger");
  await take(numbered(10), false);
  expect(await order()).toMatchObject({ version: 2 });
  expect((await starts())[0].order).toEqual(start.order);
});

it("of two thousand rows is compared and taken", async () => {
  const { take, send } = await club();
  const rows = Array.from({ length: 2_000 }, (_, i) =>
    row(i + 2, `Athlete ${i % 900}`, i % 600, { title: `Round ${i}` }),
  );
  const taken = await take(rows);
  expect([taken.status, taken.body.taken]).toEqual([200, true]);
  const again = (await send(rows)).body;
  expect(new Set(states(again))).toEqual(new Set(["same"]));
}, 60_000);

it("more than there may be is refused as a whole", async () => {
  const { send, take, starts } = await club();
  expect((await send(Array.from({ length: 2_001 }, (_, i) => row(i + 1, "A", 1)))).status).toBe(400);
  expect((await send([])).status).toBe(400);
  const many = Array.from({ length: 1_001 }, (_, i) => row(i + 2, `Athlete ${i}`, 5));
  expect((await take(many)).body).toMatchObject({ code: "full" });
  expect(await starts()).toEqual([]);
});

it("leaves a start of another club alone", async () => {
  const { take, starts } = await club();
  await makeStart(server);
  await take([row(2, "Ada Finch", 30)]);
  expect(await starts()).toHaveLength(1);
  expect((await server.ask("GET", "/api/:club/starts")).body.starts).toHaveLength(1);
});
