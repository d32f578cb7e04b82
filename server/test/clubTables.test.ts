import { noDetails } from "@tonodrome/core";
import { GENERAL_STARTER } from "@tonodrome/core/api";
import { readShelfCsv } from "@tonodrome/core/tables";
import { parse } from "csv-parse/sync";
import { drillInput, makeStart, orderInput } from "./make";
import { type TestServer, testServer } from "./testServer";

let server: TestServer;
beforeAll(async () => {
  server = await testServer();
});
afterAll(() => server.close());

const table = async (what: string) => {
  const answer = await server.send(
    { url: `/api/clubs/${server.clubId}/tables/${what}` },
    server.owner.cookie,
  );
  expect(answer.headers["content-type"]).toContain("text/csv");
  return answer.body;
};
const rows = (text: string) => parse(text, { columns: true, bom: true }) as Record<string, string>[];

it("the shelf is written as it stands, and reads back", async () => {
  await server.ask("POST", "/api/:club/drills", drillInput("=Hops, both"));
  const { body: gone } = await server.ask("POST", "/api/:club/drills", drillInput("Gone"));
  const { id: _, changedAt: __, ...drill } = gone;
  await server.ask("PUT", `/api/:club/drills/${gone.id}`, { ...drill, archived: true });
  const text = await table("shelf");
  expect(rows(text).map((row) => row.Name)).toEqual(["'=Hops, both"]);
  expect(readShelfCsv(text)).toEqual({ drills: [drillInput("=Hops, both")] });
});

it("starts stand by the list's time, with their number and where they are now", async () => {
  const start = await makeStart(server);
  await server.ask("POST", "/api/:club/orders", orderInput(start.id));
  await server.ask("POST", `/api/:club/starts/${start.id}/move`, {
    version: 2,
    startsAt: "2098-06-01T12:55:00.000Z",
  });
  expect(rows(await table("starts"))).toEqual([
    {
      Athlete: "Ada Finch",
      Event: "Free skate",
      Start: "2098-06-01T12:30:00.000Z",
      "Time zone": "Europe/Vienna",
      Venue: "Hall",
      "No.": "2",
      "Local day": "2098-06-01",
      "Local time": "14:30",
      "Now at": "14:55",
    },
  ]);
});

it("the log has its heads also where there is nothing in it; that a table was taken is kept", async () => {
  expect((await table("log")).replace("\ufeff", "")).toMatch(/^Day,Athlete,Event/);
  const { entries } = (await server.ask("GET", "/api/:club/audit")).body;
  expect(entries[0]).toMatchObject({ action: "club.export" });
});

describe("a table of drills is compared, and taken as it was compared:", () => {
  const drill = (name: string, more: object = {}) => {
    const { id: _, ...content } = { id: "", ...drillInput(name), ...more };
    return content;
  };
  async function club() {
    const { person } = await server.signUp("Table");
    const send = (drills: object[], agreed: string | null = null) =>
      person.ask("POST", "/api/:club/tables/shelf", { drills, agreed });
    const take = async (drills: object[]) => send(drills, (await send(drills)).body.mark);
    const shelf = async () =>
      (await person.ask("GET", "/api/:club/drills")).body.drills as {
        id: string;
        name: string;
        version: number;
      }[];
    return { person, send, take, shelf };
  }
  const states = (body: { drills: { state: string }[] }) => body.drills.map((d) => d.state);

  it("nothing changes before it is agreed to; sent again because the answer was lost, it is there once", async () => {
    const { person, send, shelf } = await club();
    const table = [drill("Hops"), drill("Skips")];
    const seen = await send(table);
    expect([seen.status, seen.body.taken, states(seen.body)]).toEqual([200, false, ["new", "new"]]);
    expect(await shelf()).toEqual([]);
    expect((await send(table, seen.body.mark)).body).toMatchObject({ taken: true });
    expect((await send(table, seen.body.mark)).body).toMatchObject({ taken: true });
    expect((await shelf()).map((d) => d.name)).toEqual(["Hops", "Skips"]);
    const trail = (await person.ask("GET", "/api/:club/audit")).body.entries;
    expect(trail[0]).toMatchObject({ action: "shelf.take", detail: { made: 2, changed: 0 } });
  });

  it("a drill is known by its name: changed where it reads differently, back on the shelf where it was put away", async () => {
    const { person, send, take, shelf } = await club();
    await take([drill("Hops"), drill("Skips"), drill("Laps")]);
    const [hops, laps] = await shelf();
    await person.ask("PUT", `/api/:club/drills/${laps?.id}`, {
      ...drill("Laps"),
      version: 1,
      archived: true,
    });
    const next = [drill("hops"), drill("Skips"), drill("Laps", { intensity: 55 })];
    const { body } = await send(next);
    expect(body.drills.map((d: { state: string; changed: string[] }) => [d.state, d.changed])).toEqual([
      ["changed", ["name"]],
      ["same", []],
      ["changed", ["intensity", "archived"]],
    ]);
    await take(next);
    expect((await shelf()).find((d) => d.id === hops?.id)).toMatchObject({ name: "hops", version: 2 });
    expect((await shelf()).find((d) => d.id === laps?.id)).toMatchObject({ archived: false, intensity: 55 });
    expect(await shelf()).toHaveLength(3);
  });

  it("what changed meanwhile keeps it from being taken, and nothing of it is", async () => {
    const { person, send, shelf } = await club();
    const table = [drill("Hops"), drill("Skips")];
    const { mark } = (await send(table)).body;
    await person.ask("POST", "/api/:club/drills", drill("Skips", { intensity: 5 }));
    const late = await send(table, mark);
    expect([late.status, late.body]).toMatchObject([409, { code: "version_conflict", path: "agreed" }]);
    expect((await shelf()).map((d) => d.name)).toEqual(["Skips"]);
  });

  it("with one fault none of it is taken; alternatives of another shelf are left out, and said", async () => {
    const { person, send, take, shelf } = await club();
    await take([drill("Hops")]);
    await person.ask("POST", "/api/:club/drills", drill("Hops"));
    const bad = await send([drill("Skips"), drill("Hops", { intensity: 1 })]);
    expect(states(bad.body)).toEqual(["new", "fault"]);
    const refused = await send([drill("Skips"), drill("Hops", { intensity: 1 })], bad.body.mark);
    expect([refused.status, refused.body.path]).toEqual([400, "drills.1"]);
    expect(await shelf()).toHaveLength(2);
    const elsewhere = { ...noDetails(), easier: "99999999-9999-4999-8999-999999999999" };
    const { body } = await send([drill("Skips", { details: elsewhere })]);
    expect(body.drills[0]).toMatchObject({ state: "new", unlinked: 1 });
    expect((await take([drill("Skips", { details: elsewhere })])).status).toBe(200);
  });

  it("what was written is the same when it is read back, and alternatives that lead round in a circle are a fault", async () => {
    const { person, send, shelf } = await club();
    await person.ask("POST", "/api/:club/starters", { key: GENERAL_STARTER });
    const text = await person.ask("GET", "/api/:club/tables/shelf");
    const read = readShelfCsv(text.body);
    if ("faults" in read) throw new Error(JSON.stringify(read.faults.slice(0, 3)));
    expect(new Set(states((await send(read.drills)).body))).toEqual(new Set(["same"]));
    // Others of the same alternatives are new drills, and nothing is wrong with them.
    const renamed = read.drills.map((d) => ({ ...d, name: `${d.name.slice(0, 100)}, other` }));
    expect(new Set(states((await send(renamed)).body))).toEqual(new Set(["new"]));
    const [one, other] = (await shelf()).slice(0, 2);
    const round = read.drills
      .filter((d) => d.name === one?.name || d.name === other?.name)
      .map((d) => ({
        ...d,
        details: {
          ...noDetails(),
          ...d.details,
          harder: null,
          easier: d.name === one?.name ? other?.id : one?.id,
        },
      }));
    const { body } = await send(round);
    expect(states(body)).toEqual(["fault", "fault"]);
    expect(body.drills[0].message).toMatch(/circle/);
  });
});
