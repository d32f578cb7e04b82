import { CLUB_FILE_VERSION, type ClubFile, clubFileSchema } from "@tonodrome/core/api";
import fc from "fast-check";
import { seedDemo } from "../src/demo/seedDemo";
import { broken, fromSchema } from "./fromSchema";
import { planBody, profile, startWrite } from "./make";
import { fullClub } from "./people";
import { type Person, type TestServer, testServer } from "./testServer";

let server: TestServer;
beforeAll(async () => {
  server = await testServer();
});
afterAll(() => server.close());

async function exported({ cookie }: Person, clubId: string): Promise<string> {
  const answer = await server.send({ url: `/api/clubs/${clubId}/export` }, cookie);
  expect(answer.statusCode).toBe(200);
  return answer.body;
}

function read({ cookie }: Person, clubId: string, payload: string) {
  const headers = { "content-type": "application/json" };
  return server.send({ method: "POST", url: `/api/clubs/${clubId}/import`, payload, headers }, cookie);
}

/** An empty club and its owner. */
async function emptyClub() {
  const { person, me } = await server.signUp("Empty");
  return { person, clubId: me.clubs[0]?.id as string };
}

/** Ids that point at each other, as an export's do. */
function joinedUp(file: ClubFile): ClubFile {
  const athleteId = file.athletes[0]?.id ?? "";
  const starts = athleteId === "" ? [] : file.starts.map((s) => ({ ...s, athleteId }));
  const startId = starts[0]?.id ?? null;
  return { ...file, starts, runs: file.runs.map((r) => ({ ...r, startId, athleteId: athleteId || null })) };
}

const anyFile = fromSchema(clubFileSchema)
  .map((file) => joinedUp(file as ClubFile))
  .filter((file) => clubFileSchema.safeParse(file).success);

it("exports what was imported, byte for byte, whatever is in it", async () => {
  await fc.assert(
    fc.asyncProperty(anyFile, async (file) => {
      const [first, second] = [await emptyClub(), await emptyClub()];
      expect((await read(first.person, first.clubId, JSON.stringify(file))).statusCode).toBe(200);
      const text = await exported(first.person, first.clubId);
      expect(JSON.parse(text)).toMatchObject({ name: file.name.trim() });
      expect(JSON.parse(text).runs).toHaveLength(file.runs.length);
      expect((await read(second.person, second.clubId, text)).statusCode).toBe(200);
      expect(await exported(second.person, second.clubId)).toBe(text);
    }),
    { numRuns: 25 },
  );
}, 60_000);

it("carries the whole demo club over, which looks the same there", async () => {
  const demo = await testServer();
  await demo.models.Club.destroy({ where: {} });
  await seedDemo(demo, new Date());
  // All have been moved since the start list was written.
  await demo.models.Start.update({ listedAt: new Date("2026-06-01T12:00:00.000Z") }, { where: {} });
  const answer = await demo.send({ method: "POST", url: "/api/auth/demo" });
  const cookie = String(answer.headers["set-cookie"]).split(";")[0] as string;
  const { id } = answer.json().clubs[0];
  const text = (await demo.send({ url: `/api/clubs/${id}/export` }, cookie)).body;
  const { person, clubId } = await emptyClub();
  expect((await read(person, clubId, text)).statusCode).toBe(200);
  expect(await exported(person, clubId)).toBe(text);
  const starts = (await person.ask("GET", "/api/:club/starts")).body.starts;
  expect(starts).toEqual((await demo.send({ url: `/api/clubs/${id}/starts` }, cookie)).json().starts);
  const runs = (await person.ask("GET", "/api/:club/runs")).body.runs;
  expect(runs).toEqual((await demo.send({ url: `/api/clubs/${id}/runs` }, cookie)).json().runs);
  // No account, address or link of anybody is in it.
  expect(text).not.toContain("demo.invalid");
  await demo.close();
}, 30_000);

it("takes a broken file whole or not at all, and says where it is broken", async () => {
  const { person, clubId } = await emptyClub();
  const before = await exported(person, clubId);
  await fc.assert(
    fc.asyncProperty(broken(anyFile), async (file) => {
      const answer = await read(person, clubId, JSON.stringify(file));
      expect(answer.statusCode).toBeLessThan(500);
      if (answer.statusCode === 200) {
        await server.models.Athlete.destroy({ where: { clubId } });
        await server.models.Drill.destroy({ where: { clubId } });
        await server.models.Run.destroy({ where: { clubId } });
        await server.models.EventType.destroy({ where: { clubId } });
        await server.models.Template.destroy({ where: { clubId } });
        await server.models.Club.update({ name: "Empty" }, { where: { id: clubId } });
      } else {
        // A file that cannot even be read as JSON, as one with a key "__proto__" is not, has no field at fault.
        expect(answer.json()).toMatchObject({ code: "invalid_input", message: expect.any(String) });
        expect(answer.json()).toHaveProperty("path");
      }
      expect(await exported(person, clubId)).toBe(before);
    }),
    { numRuns: 80 },
  );
}, 60_000);

describe("refuses, and changes nothing,", () => {
  const base = { format: "tonodrome-club", version: CLUB_FILE_VERSION, name: "Club" };
  const lists = { athletes: [], drills: [], starts: [], runs: [] };
  const id = "11111111-1111-4111-8111-111111111111";
  it.each<[string, unknown, string, string]>([
    [
      "another version",
      { ...base, version: 3, ...lists },
      "version",
      "reads exports of the versions 1 and 2",
    ],
    ["another program's file", { ...base, format: "other", ...lists }, "format", "not an export of a club"],
    ["a file with a part missing", { ...base, athletes: [], drills: [], starts: [] }, "runs", ""],
    [
      "an id twice",
      { ...base, ...lists, athletes: [1, 2].map(() => ({ id, name: "Bo" })) },
      "athletes.1.id",
      "twice",
    ],
    ["a list", [], "", ""],
  ])("%s", async (_, file, path, words) => {
    const { person, clubId } = await emptyClub();
    const answer = await read(person, clubId, JSON.stringify(file));
    expect(answer.json()).toMatchObject({ code: "invalid_input", path });
    expect(answer.json().message).toContain(words);
    expect(JSON.parse(await exported(person, clubId)).name).toBe("Empty");
  });

  it("a club that is not empty, and the second of two imports at once", async () => {
    const { people, clubId } = await fullClub(server);
    const text = await exported(people.owner, clubId);
    expect((await read(people.owner, clubId, text)).json()).toMatchObject({ code: "not_empty" });
    expect(await exported(people.owner, clubId)).toBe(text);
    const empty = await emptyClub();
    const both = await Promise.all([1, 2].map(() => read(empty.person, empty.clubId, text)));
    expect(both.map((a) => a.statusCode).sort()).toEqual([200, 409]);
  });
});

it("reads a file of version 1, from before athletes had profiles and starts had a setting", async () => {
  const { people, clubId } = await fullClub(server);
  const file = JSON.parse(await exported(people.owner, clubId));
  const { events: _, templates: __, ...old } = file;
  const older = {
    ...old,
    version: 1,
    athletes: file.athletes.map(({ id, name }: { id: string; name: string }) => ({ id, name })),
    starts: file.starts.map(({ eventId: _, setting: __, ...start }: Record<string, unknown>) => start),
  };
  const empty = await emptyClub();
  expect((await read(empty.person, empty.clubId, JSON.stringify(older))).statusCode).toBe(200);
  const now = JSON.parse(await exported(empty.person, empty.clubId));
  expect(now).toEqual({ ...file, events: [], templates: [] });
});

it("makes an athlete anonymous everywhere an export looks, and keeps the rest", async () => {
  const { people, clubId, ids } = await fullClub(server);
  const { owner } = people;
  const start = (await owner.ask("GET", `/api/:club/starts/${ids.start}`)).body;
  const athlete = (await owner.ask("GET", "/api/:club/athletes")).body.athletes[0];
  await owner.ask("PUT", `/api/:club/athletes/${ids.athlete}`, { version: 1, name: athlete.name, profile });
  await owner.ask(
    "PUT",
    `/api/:club/starts/${ids.start}`,
    startWrite(start, { title: "Final of Ada Finch" }),
  );
  await owner.ask("PUT", `/api/:club/plans/${ids.plan}`, { version: 1, body: planBody("Laps") });
  const before = JSON.parse(await exported(owner, clubId));
  const { name } = (await owner.ask("POST", `/api/:club/athletes/${ids.athlete}/anonymise`)).body;
  const text = await exported(owner, clubId);
  expect(text).not.toContain("Finch");
  // What was said of health and in free words is gone with the name; the rest of the profile stays.
  expect(before).toMatchObject({ athletes: [{ profile }] });
  expect(JSON.parse(text).athletes[0].profile).toEqual({ ...profile, notes: "", protectedAreas: [] });
  const after = JSON.parse(text);
  expect(after.starts[0]).toMatchObject({ title: `Final of ${name}`, plan: before.starts[0].plan });
  expect(after.runs[0]).toMatchObject({ athleteName: name, plan: before.runs[0].plan });
  const trail = (await owner.ask("GET", "/api/:club/audit")).body;
  expect(JSON.stringify(trail)).not.toContain("Finch");

  await owner.ask("DELETE", `/api/:club/athletes/${ids.athlete}`);
  expect(JSON.parse(await exported(owner, clubId))).toMatchObject({ athletes: [], starts: [], runs: [] });
});
