import { type ClubRecord, clubHeadSchema, clubRecordSchema, MOST } from "@tonodrome/core/api";
import { usualDay } from "@tonodrome/core/day";
import fc from "fast-check";
import { cases } from "../../core/test/made/cases";
import { exportOf, type Line, linesOf, of, textOf } from "./clubLines";
import { broken, fromSchema } from "./fromSchema";
import { makeStart, planBody, profile, runInput } from "./make";
import { fullClub } from "./people";
import { cookieOf, type Person, type TestServer, testServer } from "./testServer";

let server: TestServer;
beforeAll(async () => {
  server = await testServer();
});
afterAll(() => server.close());

const exported = (person: Person, clubId: string, query?: string) => exportOf(server, person, clubId, query);

function read(
  { cookie }: Pick<Person, "cookie">,
  clubId: string,
  payload: string | Buffer,
  query = "?name=take",
) {
  const headers = { "content-type": "application/x-ndjson" };
  return server.send(
    { method: "POST", url: `/api/clubs/${clubId}/import${query}`, payload, headers },
    cookie,
  );
}

/** An empty club and its owner. */
async function emptyClub() {
  const { person, me } = await server.signUp("Empty");
  return { person, clubId: me.clubs[0]?.id as string };
}

const HEAD = { format: "tonodrome-club", version: 5, name: "Club" };
const END = (records: number) => ({ record: "end", records });
const ID = "11111111-1111-4111-8111-111111111111";

const recordOf = (kind: string) =>
  fromSchema(clubRecordSchema.options.find((o) => o.shape.record.value === kind) as never) as fc.Arbitrary<
    ClubRecord & Line
  >;

/** A day that is of nothing yet. */
const dayRecord = fc
  .record({
    id: fc.uuid({ version: 4 }),
    version: fc.integer({ min: 1, max: 9 }),
    short: fc.boolean(),
    none: fc.boolean(),
  })
  .map(({ short, none, ...day }): Line => {
    const steps = usualDay({
      startsAt: "2026-06-01T12:00:00.000Z",
      zone: "UTC",
      warmUpSeconds: 1800,
      event: null,
      travel: { usual: 5, bad: short ? 5 : 90 },
    });
    return {
      record: "day",
      ...day,
      startId: null,
      eventId: null,
      athleteId: null,
      steps: none ? null : steps,
    };
  });

/** A file whose records name each other, as an export's do. */
const anyFile = fc
  .record({
    name: fc.constantFrom("Club", "Ring of 北京 🤸🏽"),
    athletes: fc.array(recordOf("athlete"), { minLength: 1, maxLength: 2 }),
    drills: fc.array(recordOf("drill"), { maxLength: 2 }),
    events: fc.array(recordOf("event"), { maxLength: 2 }),
    templates: fc.array(recordOf("template"), { maxLength: 1 }),
    orders: fc.array(recordOf("order"), { maxLength: 1 }),
    starts: fc.array(recordOf("start"), { maxLength: 2 }),
    edits: fc.array(recordOf("edit"), { maxLength: 2 }),
    ticks: fc.array(recordOf("ticks"), { maxLength: 1 }),
    days: fc.array(dayRecord, { maxLength: 2 }),
    runs: fc.array(recordOf("run"), { maxLength: 2 }),
    presses: fc.array(recordOf("presses"), { maxLength: 1 }),
  })
  .map(({ name, ...parts }) => {
    const eventId = parts.events[0]?.id ?? null;
    const athleteId = parts.athletes[0]?.id;
    const [order] = parts.orders;
    const starts = parts.starts.map(({ order: _, ...s }) => {
      const standing = order ? { order: { id: order.id, number: 7 } } : {};
      return { ...s, athleteId, eventId, ...standing } as Line;
    });
    const startId = starts[0]?.id ?? null;
    const past = (event: Line) => ({ ...event, at: "2026-06-01T12:00:00.000Z" });
    const lines: Line[] = [
      ...parts.athletes,
      ...parts.drills,
      ...parts.events,
      ...parts.templates,
      ...parts.orders,
      ...starts.flatMap((s, i) => [
        s,
        ...(i === 0 ? parts.ticks.map((t) => ({ ...t, startId: s.id })) : []),
        ...(i === 0 ? parts.edits.map((e) => ({ ...e, planId: (s.plan as Line).id })) : []),
      ]),
      // Of the start and of the athlete: no two are of the same.
      ...parts.days
        .filter((_, i) => i > 0 || startId !== null)
        .map((day, i) => ({ ...day, ...(i === 0 && startId ? { startId } : { athleteId }) })),
      ...parts.runs.flatMap((r, i) => [
        { ...r, startId, athleteId },
        ...(i === 0
          ? parts.presses.map((p) => ({ ...p, runId: r.id, events: (p.events as Line[]).map(past) }))
          : []),
      ]),
    ];
    return [{ ...HEAD, name }, ...lines, END(lines.length)] as Line[];
  })
  .filter(
    ([head, ...records]) =>
      clubHeadSchema.safeParse(head).success && records.every((r) => clubRecordSchema.safeParse(r).success),
  );

it("keeps the club's own name unless it is told to take the file's", async () => {
  const { person, clubId } = await emptyClub();
  const file = textOf([{ ...HEAD, name: "From afar" }, END(0)]);
  expect((await read(person, clubId, file, "")).statusCode).toBe(200);
  expect(linesOf(await exported(person, clubId))[0]).toMatchObject({ name: "Empty" });
  expect((await read(person, clubId, file)).statusCode).toBe(200);
  expect(linesOf(await exported(person, clubId))[0]).toMatchObject({ name: "From afar" });
  expect((await read(person, clubId, file, "?name=mine")).statusCode).toBe(400);
});

it("exports what was imported, byte for byte, whatever is in it", async () => {
  await fc.assert(
    fc.asyncProperty(anyFile, async (file) => {
      const [first, second] = [await emptyClub(), await emptyClub()];
      const answer = await read(first.person, first.clubId, textOf(file));
      expect([answer.statusCode, answer.body]).toEqual([200, '{"done":true}']);
      const text = await exported(first.person, first.clubId);
      const lines = linesOf(text);
      expect(lines[0]).toMatchObject({ name: file[0]?.name });
      for (const kind of ["athlete", "drill", "event", "template", "order", "start", "edit", "day", "run"])
        expect(of(lines, kind)).toHaveLength(of(file, kind).length);
      expect((await read(second.person, second.clubId, text)).statusCode).toBe(200);
      expect(await exported(second.person, second.clubId)).toBe(text);
    }),
    cases(8, 2),
  );
}, 120_000);

it("carries the whole demo club over, which looks the same there", async () => {
  const answer = await server.send({ method: "POST", url: "/api/auth/demo" });
  const cookie = cookieOf(answer);
  const { id } = answer.json().clubs[0];
  // All have been moved since the start list was written.
  const where = { clubId: id };
  await server.models.Start.update({ listedAt: new Date("2026-06-01T12:00:00.000Z") }, { where });
  const text = await exported({ cookie } as Person, id);
  const { person, clubId } = await emptyClub();
  expect((await read(person, clubId, text)).statusCode).toBe(200);
  expect(await exported(person, clubId)).toBe(text);
  const look = async (what: string, of = person.cookie, club = clubId) =>
    (await server.send({ url: `/api/clubs/${club}/${what}` }, of)).json();
  expect(await look("starts")).toEqual(await look("starts", cookie, id));
  expect(await look("runs")).toEqual(await look("runs", cookie, id));
  // No account, address or link of anybody is in it.
  expect(text).not.toContain("demo.invalid");
}, 30_000);

it("carries a club's own figures, once and only those there are, into a club that has none", async () => {
  const figures = (...list: object[]) => ({ record: "figures", version: 3, figures: list });
  const own = { check: "too-short", figure: "any", value: 5 };
  const text = textOf([{ ...HEAD, name: "Club" }, figures(own), END(1)]);
  const one = await emptyClub();
  expect((await read(one.person, one.clubId, text)).statusCode).toBe(200);
  expect(linesOf(await exported(one.person, one.clubId))).toEqual(linesOf(text));
  // What one has oneself is not written over; what was put back to what is usual is nothing.
  expect((await read(one.person, one.clubId, text)).json()).toMatchObject({ code: "not_empty" });
  const ask = (version: number, list: object[]) =>
    server.send(
      { method: "PUT", url: `/api/clubs/${one.clubId}/figures`, payload: { version, figures: list } },
      one.person.cookie,
    );
  expect((await ask(3, [])).statusCode).toBe(200);
  expect((await read(one.person, one.clubId, text)).statusCode).toBe(200);
  expect(linesOf(await exported(one.person, one.clubId))).toEqual(linesOf(text));
  const other = await emptyClub();
  const refused = async (lines: Line[]) => (await read(other.person, other.clubId, textOf(lines))).json();
  expect(await refused([HEAD, figures({ ...own, check: "too-tall" }), END(1)])).toMatchObject({
    code: "invalid_input",
    path: "lines.2.figures.0.check",
  });
  expect(await refused([HEAD, figures(own), figures(own), END(2)])).toMatchObject({
    code: "invalid_input",
    path: "lines.3.record",
  });
});

it("leaves earlier versions out where they are not wanted", async () => {
  const { people, clubId, ids } = await fullClub(server);
  await people.owner.ask("PUT", `/api/:club/plans/${ids.plan}`, { version: 1, body: planBody("Laps") });
  expect(of(linesOf(await exported(people.owner, clubId)), "edit")).toHaveLength(1);
  const small = linesOf(await exported(people.owner, clubId, "?edits=no"));
  expect(of(small, "edit")).toHaveLength(0);
  expect(of(small, "start")).toHaveLength(1);
  const { person, clubId: empty } = await emptyClub();
  expect((await read(person, empty, textOf(small))).statusCode).toBe(200);
});

it("takes a broken file whole or not at all, and says where it is broken", async () => {
  const { person, clubId } = await emptyClub();
  const before = await exported(person, clubId);
  await fc.assert(
    fc.asyncProperty(broken(anyFile), async (file) => {
      const payload = Array.isArray(file) ? textOf(file as Line[]) : JSON.stringify(file);
      const answer = await read(person, clubId, payload ?? "");
      expect(answer.statusCode).toBeLessThan(500);
      if (answer.statusCode === 200) {
        const { Athlete, Drill, Run, EventType, Template, Order, Club } = server.models;
        for (const table of [Athlete, Drill, Run, EventType, Template, Order])
          await (table as typeof Athlete).destroy({ where: { clubId } });
        await Club.update({ name: "Empty" }, { where: { id: clubId } });
      } else {
        expect(answer.json()).toMatchObject({ code: "invalid_input", message: expect.any(String) });
        expect(answer.json()).toHaveProperty("path");
      }
      expect(await exported(person, clubId)).toBe(before);
    }),
    cases(20, 4),
  );
}, 120_000);

describe("refuses, and changes nothing,", () => {
  const athlete = { record: "athlete", id: ID, version: 1, name: "Bo", profile };
  const run = {
    record: "run",
    ...runInput(ID, ID),
    startId: null,
    athleteId: null,
    athleteName: "Bo",
    title: "Final",
    venue: "",
    zone: "UTC",
    startsAt: "2026-06-01T12:00:00.000Z",
    createdAt: "2026-06-01T12:00:00.000Z",
  };
  const press = (at: string) => ({ id: ID, kind: "begin", at });
  const presses = (...events: object[]) => ({ record: "presses", runId: ID, events });
  it.each<[string, string, string | null, string]>([
    ["another version", textOf([{ ...HEAD, version: 6 }]), "lines.1.version", "version 3"],
    ["another program's file", textOf([{ ...HEAD, format: "other" }]), "lines.1.format", "not an export"],
    ["what is no JSON", "hello", "lines.1", "not JSON"],
    ["nothing", "", "", "nothing in the file"],
    ["a line that is none", `${textOf([HEAD])}{"record":`, "lines.2", "not JSON"],
    ["a file that was cut short", textOf([HEAD, athlete]), "", "cut short"],
    ["a file with a record taken out", textOf([HEAD, END(1)]), "lines.2", "something is missing"],
    ["a file with more after its end", textOf([HEAD, END(0), athlete]), "lines.3", "after the end"],
    ["an id twice", textOf([HEAD, athlete, athlete, END(2)]), "lines.3.id", "twice"],
    [
      "a version that nothing can be saved over",
      textOf([HEAD, { ...athlete, version: 2_000_000_000 }]),
      "lines.2.version",
      "1,000,000",
    ],
    ["presses without their run", textOf([HEAD, presses(), END(1)]), "lines.2.runId", "follow the run"],
    [
      "a press of another century",
      textOf([HEAD, run, presses(press("2099-01-01T00:00:00.000Z"))]),
      "lines.3.events.0.at",
      "later than it is now",
    ],
    ["the null character", textOf([HEAD, { ...athlete, name: "B\u0000" }]), "lines.2.name", "ordinary"],
    ["what is no UTF-8", Buffer.from([0x7b, 0xff, 0xfe]).toString("latin1"), "lines.1", ""],
  ])("%s", async (_, text, path, words) => {
    const { person, clubId } = await emptyClub();
    const answer = await read(person, clubId, text);
    expect(answer.json()).toMatchObject({ code: "invalid_input", path });
    expect(answer.json().message).toContain(words);
    expect(linesOf(await exported(person, clubId))).toEqual([{ ...HEAD, name: "Empty" }, END(0)]);
  });

  it("a club that is not empty, and the second of two imports at once", async () => {
    const { people, clubId } = await fullClub(server);
    const text = await exported(people.owner, clubId);
    expect((await read(people.owner, clubId, text)).json()).toMatchObject({ code: "not_empty" });
    expect(await exported(people.owner, clubId)).toBe(text);
    const empty = await emptyClub();
    const both = await Promise.all([1, 2].map(() => read(empty.person, empty.clubId, text)));
    expect(both.map((a) => a.statusCode).sort()[0]).toBe(200);
    expect([409, 429]).toContain(both.map((a) => a.statusCode).sort()[1]);
    expect(await exported(empty.person, empty.clubId)).toBe(text);
  });

  it("more of a new account than of one that is known", async () => {
    const filler = { ...athlete, profile: { ...profile, notes: "x".repeat(900) } };
    const many = Array.from({ length: 5000 }, (_, i) => ({
      ...filler,
      record: "template",
      id: ID.replace("11111111", String(i).padStart(8, "0")),
    }));
    const text = textOf([HEAD, ...many]);
    expect(text.length).toBeGreaterThan(5_000_000);
    const { person, clubId } = await emptyClub();
    const says = async () => (await read(person, clubId, text)).json();
    // It is wrong in its first line, so what is said tells whether it was looked at.
    const padded = `{"pad":"${"x".repeat(1_900_000)}"}\n`.repeat(3);
    expect((await read(person, clubId, padded)).json().code).toMatch(/too_large|invalid_input/);
    await server.sequelize.query("UPDATE users SET created_at = now() - interval '8 days' WHERE id = $1", {
      bind: [person.userId],
    });
    expect((await says()).code).toBe("invalid_input");
  });

  it("an import of whoever was made an assistant while it was read", async () => {
    const { people, clubId } = await fullClub(server);
    for (const table of ["starts", "runs", "athletes", "drills", "event_types", "templates"])
      await server.sequelize.query(`DELETE FROM ${table} WHERE club_id = $1`, { bind: [clubId] });
    // The role is asked once more before anything is kept: as if it had been lowered just before.
    const held = await server.sequelize.transaction();
    await server.models.Club.findByPk(clubId, { transaction: held, lock: held.LOCK.KEY_SHARE });
    const importing = read(people.coach, clubId, textOf([HEAD, { ...athlete }, END(1)]));
    await server.models.Member.update(
      { role: "assistant" },
      { where: { clubId, userId: people.coach.userId } },
    );
    await held.commit();
    const answer = await importing;
    expect([403, 404]).toContain(answer.statusCode);
    expect((await people.owner.ask("GET", "/api/:club/athletes")).body.athletes).toEqual([]);
  });
});

it("stays open to others: a reading takes about as long while a large club is written out and in", async () => {
  const { people, clubId } = await fullClub(server);
  const { owner } = people;
  // A season in small: what it takes is as much as it is read, not as there is.
  await server.sequelize.query(
    `INSERT INTO plan_edits (club_id, plan_id, version, outcome, body)
      SELECT e.club_id, e.id, n, 'saved', e.body FROM plans e, generate_series(2, ${MOST.edits}) n WHERE e.club_id = $1`,
    { bind: [clubId] },
  );
  const text = await exported(owner, clubId);
  expect(of(linesOf(text), "edit")).toHaveLength(MOST.edits - 1);
  const empty = await emptyClub();
  const importing = read(empty.person, empty.clubId, text);
  const other = await makeStart(server);
  expect((await server.ask("GET", `/api/:club/plans/${other.plan.id}`)).status).toBe(200);
  expect((await importing).json()).toEqual({ done: true });
  expect(await exported(empty.person, empty.clubId)).toBe(text);
}, 30_000);
