import type { Athlete, Drill, Start } from "@tonodrome/core/api";
import {
  details,
  drillInput,
  eventInput,
  makeStart,
  planBody,
  profile,
  setting,
  startInput,
  startWrite,
} from "./make";
import { type TestServer, testServer } from "./testServer";

let server: TestServer;
beforeAll(async () => {
  server = await testServer();
});
afterAll(() => server.close());

const drill = async (name: string, more: object = {}): Promise<Drill> => {
  const made = await server.ask("POST", "/api/:club/drills", {
    ...drillInput(name),
    details: { ...details, ...more },
  });
  expect(made.status).toBe(201);
  return made.body;
};

const save = ({ id, changedAt: _, ...write }: Drill, change: object) =>
  server.ask("PUT", `/api/:club/drills/${id}`, { ...write, details: { ...write.details, ...change } });

describe("what is known of a drill", () => {
  it("comes back as it was sent, and a drill of which nothing is known stays that way", async () => {
    const known = await drill("Known", { faults: ["Too fast"], leastAge: 12 });
    await server.ask("POST", "/api/:club/drills", drillInput("Unknown"));
    const { drills } = (await server.ask("GET", "/api/:club/drills")).body;
    const named = (name: string) => drills.find((d: Drill) => d.name === name);
    expect(named("Known").details).toEqual({ ...details, faults: ["Too fast"], leastAge: 12 });
    expect(named("Unknown")).not.toHaveProperty("details");
    expect(known.details).toEqual(named("Known").details);
  });

  it.each([
    ["a part of the body twice", { areas: ["hip", "hip"] }, "details.areas"],
    ["the highest intensity below the lowest", { intensityFrom: 60, intensityTo: 40 }, "details.intensityTo"],
    ["nobody to do it", { people: 0 }, "details.people"],
    ["an empty fault", { faults: [""] }, "details.faults.0"],
    ["a link to nothing", { harder: "99999999-9999-4999-8999-999999999999" }, "details.harder"],
  ])("is refused with %s", async (_, more, path) => {
    const answer = await server.ask("POST", "/api/:club/drills", {
      ...drillInput("Refused"),
      details: { ...details, ...more },
    });
    expect(answer.body).toMatchObject({ code: "invalid_input", path });
  });

  it("may not lead round in a circle to easier drills, nor to itself; drills of one purpose may name each other", async () => {
    const [a, b, c] = [await drill("A"), await drill("B"), await drill("C")];
    expect((await save(a, { easier: b.id })).status).toBe(200);
    expect((await save(b, { easier: c.id })).status).toBe(200);
    const circle = await save(c, { easier: a.id });
    expect(circle.body).toMatchObject({ code: "invalid_input", path: "details.easier" });
    expect(circle.body.message).toContain("C, A, B, C");
    expect((await save(c, { instead: c.id })).body).toMatchObject({ path: "details.instead" });
    expect((await save(c, { instead: a.id })).status).toBe(200);
    const { drills } = (await server.ask("GET", "/api/:club/drills")).body;
    expect(drills.find((d: Drill) => d.id === c.id)).toMatchObject({ version: 2, details: { easier: null } });
  });

  it("two edits at once do not close a circle between them", async () => {
    const [a, b] = [await drill("One"), await drill("Two")];
    const both = await Promise.all([save(a, { harder: b.id }), save(b, { harder: a.id })]);
    expect(both.map((answer) => answer.status).sort()).toEqual([200, 400]);
  });
});

describe("athletes", () => {
  const make = async (): Promise<Athlete> =>
    (await server.ask("POST", "/api/:club/athletes", { name: "Bo" })).body;

  it("have a profile that is edited against a version", async () => {
    const { id, version } = await make();
    const write = { version, name: "Bo Larch", profile };
    const saved = await server.ask("PUT", `/api/:club/athletes/${id}`, write);
    expect(saved.body).toEqual({ id, version: 2, name: "Bo Larch", profile });
    // The same again counts as saved; another one against the old version does not.
    expect((await server.ask("PUT", `/api/:club/athletes/${id}`, write)).body.version).toBe(2);
    const stale = await server.ask("PUT", `/api/:club/athletes/${id}`, { ...write, name: "Other" });
    expect(stale).toMatchObject({
      status: 409,
      body: { code: "version_conflict", current: { name: "Bo Larch" } },
    });
  });

  it.each([
    [
      "scales from hard to easy",
      {
        scales: [
          {
            ...profile.scales[0],
            items: [
              { name: "Hard", intensity: 60, chancePercent: null },
              { name: "Easy", intensity: 20, chancePercent: null },
            ],
          },
        ],
      },
      "profile.scales.0.items",
    ],
    [
      "a chance of 100",
      { scales: [{ ...profile.scales[0], items: [{ name: "Sure", intensity: 60, chancePercent: 100 }] }] },
      "profile.scales.0.items.0.chancePercent",
    ],
    [
      "an area twice",
      {
        protectedAreas: [
          { area: "knee", until: null },
          { area: "knee", until: "2026-12-01" },
        ],
      },
      "profile.protectedAreas",
    ],
    [
      "a day that is none",
      { protectedAreas: [{ area: "knee", until: "2026-02-30" }] },
      "profile.protectedAreas.0.until",
    ],
    ["another club's event", { eventIds: ["99999999-9999-4999-8999-999999999999"] }, "profile.eventIds"],
  ])("are refused with %s", async (_, more, path) => {
    const { id, version } = await make();
    const answer = await server.ask("PUT", `/api/:club/athletes/${id}`, {
      version,
      name: "Bo",
      profile: { ...profile, ...more },
    });
    expect(answer.body).toMatchObject({ code: "invalid_input", path });
  });

  it("keep what is said of their health out of shared links", async () => {
    const start = await makeStart(server);
    const { version, name } = (await server.ask("GET", "/api/:club/athletes")).body.athletes.find(
      (a: Athlete) => a.id === start.athlete.id,
    );
    await server.ask("PUT", `/api/:club/athletes/${start.athlete.id}`, { version, name, profile });
    const later = {
      ...startWrite(start),
      startsAt: "2098-06-01T12:30:00.000Z",
      readyAt: "2098-06-01T11:45:00.000Z",
    };
    await server.ask("PUT", `/api/:club/starts/${start.id}`, later);
    const share = await server.ask("POST", `/api/:club/starts/${start.id}/shares`, { until: "day" });
    const shown = await server.askWith()("GET", `/api/shared/${share.body.token}`);
    expect(shown.status).toBe(200);
    expect(JSON.stringify(shown.body)).not.toMatch(/knee|Sleeps|protected/);
  });
});

describe("events and starts", () => {
  it("an event is edited against a version and taken out of use without harm to its starts", async () => {
    const event = (await server.ask("POST", "/api/:club/events", eventInput("Final"))).body;
    const start: Start = await makeStart(server);
    const put = await server.ask(
      "PUT",
      `/api/:club/starts/${start.id}`,
      startWrite(start, { eventId: event.id, setting }),
    );
    expect(put.body).toMatchObject({ eventId: event.id, setting });
    const { id, ...write } = event;
    const archived = await server.ask("PUT", `/api/:club/events/${id}`, { ...write, archived: true });
    expect(archived.body).toMatchObject({ version: 2, archived: true });
    expect((await server.ask("PUT", `/api/:club/events/${id}`, { ...write, name: "Heat" })).status).toBe(409);
    expect((await server.ask("GET", `/api/:club/starts/${start.id}`)).body.eventId).toBe(id);
  });

  it.each([
    [
      "a fixed point that lasts beyond the start",
      { fixedPoints: [{ name: "Call", minutesBefore: 5, minutesLong: 9, closesPractice: true }] },
      "fixedPoints",
    ],
    ["an action twice", { actions: ["Spin", "spin"] }, "actions"],
    ["no length", { lengthSeconds: 0 }, "lengthSeconds"],
  ])("an event is refused with %s", async (_, more, path) => {
    const answer = await server.ask("POST", "/api/:club/events", { ...eventInput("Final"), ...more });
    expect(answer.body).toMatchObject({ code: "invalid_input", path });
  });

  it("a start names no event of another club", async () => {
    const { person } = await server.signUp("Other");
    const theirs = (await person.ask("POST", "/api/:club/events", eventInput("Theirs"))).body;
    const start = await makeStart(server);
    const answer = await server.ask(
      "PUT",
      `/api/:club/starts/${start.id}`,
      startWrite(start, { eventId: theirs.id }),
    );
    expect(answer.body).toMatchObject({ code: "invalid_input", path: "eventId" });
  });

  it("an athlete's earlier starts come newest first", async () => {
    const start = await makeStart(server);
    const at = (hour: string) => ({
      ...startInput(start.athlete.id),
      startsAt: `2026-05-01T${hour}:30:00.000Z`,
      readyAt: `2026-05-01T${hour}:00:00.000Z`,
    });
    for (const hour of ["09", "11", "10"]) await server.ask("POST", "/api/:club/starts", at(hour));
    const query = `athleteId=${start.athlete.id}&before=2026-05-02T00:00:00.000Z`;
    const { starts } = (await server.ask("GET", `/api/:club/starts?${query}`)).body;
    expect(starts.map((s: Start) => s.startsAt.slice(11, 13))).toEqual(["11", "10", "09"]);
    const reader = await server.member("athlete", (await makeStart(server)).athlete.id);
    expect((await reader.ask("GET", `/api/:club/starts?${query}`)).body.starts).toEqual([]);
  });
});

it("templates are kept, listed and deleted", async () => {
  const body = planBody("Laps", "Swings");
  const made = await server.ask("POST", "/api/:club/templates", { name: "Usual day", body });
  expect(made).toMatchObject({ status: 201, body: { name: "Usual day", body } });
  expect((await server.ask("POST", "/api/:club/templates", { name: " ", body })).body).toMatchObject({
    path: "name",
  });
  await server.ask("DELETE", `/api/:club/templates/${made.body.id}`);
  expect((await server.ask("GET", "/api/:club/templates")).body.templates).toEqual([]);
});
