import { usualDay } from "@tonodrome/core/day";
import { exportOf, type Line, linesOf, of } from "./clubLines";
import { orderInput, planBody, profile, startWrite } from "./make";
import { fullClub } from "./people";
import { type Person, type TestServer, testServer } from "./testServer";

let server: TestServer;
beforeAll(async () => {
  server = await testServer();
});
afterAll(() => server.close());

const exported = (person: Person, clubId: string, query?: string) => exportOf(server, person, clubId, query);

describe("makes an athlete anonymous everywhere an export looks", () => {
  it("in notes, titles, places, equipment, versions and presses, and keeps what was done", async () => {
    const { people, clubId, ids } = await fullClub(server);
    const { owner } = people;
    const start = (await owner.ask("GET", `/api/:club/starts/${ids.start}`)).body;
    const body = (words: string) => {
      const plan = planBody(words);
      return {
        ...plan,
        items: plan.items.map((i) => ({ ...i, focus: "Her LEFT KNEE hurts", place: "finch corner" })),
      };
    };
    const known = { ...profile, equipment: ["Finch's band"] };
    await owner.ask("PUT", `/api/:club/athletes/${ids.athlete}`, {
      version: 1,
      name: "Ada Finch",
      profile: known,
    });
    const setting = { ...start.setting, equipment: ["ADA FINCH band"], spaces: ["Finch hall"] };
    await owner.ask(
      "PUT",
      `/api/:club/starts/${ids.start}`,
      startWrite(start, { title: "Knee of Ada Finch", venue: "Finch hall", setting }),
    );
    await owner.ask("PUT", `/api/:club/plans/${ids.plan}`, { version: 1, body: body("Ada's laps") });
    await owner.ask("PUT", `/api/:club/plans/${ids.plan}`, { version: 2, body: body("Laps for Ada  Finch") });
    const steps = usualDay({
      startsAt: start.startsAt,
      zone: start.zone,
      warmUpSeconds: 1800,
      event: null,
      travel: { usual: 5, bad: 9 },
    }).map((step) => ({ ...step, name: `Ada ${step.name}`, note: "Her LEFT KNEE hurts" }));
    for (const of of [`starts/${ids.start}`, `athletes/${ids.athlete}`])
      expect((await owner.ask("PUT", `/api/:club/${of}/day`, { version: 1, steps })).status).toBe(200);
    const order = { ...orderInput(), title: "Ada Finch and others", venue: "Finch hall" };
    await owner.ask("POST", "/api/:club/orders", order);
    await owner.ask("POST", "/api/:club/templates", { name: "Like Ada Finch", body: planBody("Ada Finch") });
    const event = {
      id: "11111111-1111-4111-8111-111111111111",
      kind: "rating",
      at: "2026-06-01T12:00:00.000Z",
      ready: 4,
      first: "Ada fell",
      note: "left knee",
    };
    await owner.ask("POST", `/api/:club/runs/${ids.run}/events`, { events: [event] });
    expect(await exported(owner, clubId)).toMatch(/LEFT KNEE/);

    const { name } = (await owner.ask("POST", `/api/:club/athletes/${ids.athlete}/anonymise`)).body;
    const text = await exported(owner, clubId);
    expect(text).not.toMatch(/finch|\bada\b|knee/i);
    const lines = linesOf(text);
    expect(of(lines, "athlete")[0]?.profile).toEqual({
      ...profile,
      dominantSide: null,
      scales: [],
      notes: "",
      protectedAreas: [],
      equipment: [],
    });
    expect(of(lines, "edit")).toHaveLength(3);
    expect(of(lines, "presses")[0]?.events).toEqual([{ ...event, first: "", note: "" }]);
    expect(of(lines, "run")[0]).toMatchObject({ athleteName: name });
    // All of it can still be read, and goes on to be edited.
    const after = (await owner.ask("GET", `/api/:club/starts/${ids.start}`)).body;
    expect(after).toMatchObject({ athlete: { name }, plan: { version: 4 } });
    const saved = await owner.ask("PUT", `/api/:club/plans/${ids.plan}`, {
      version: 4,
      body: after.plan.body,
    });
    expect(saved.status).toBe(200);
    const stale = await owner.ask("PUT", `/api/:club/plans/${ids.plan}`, { version: 3, body: body("Ada") });
    expect(stale.status).toBe(409);
    const trail = (await owner.ask("GET", "/api/:club/audit")).body;
    expect(JSON.stringify(trail)).not.toMatch(/finch/i);

    await owner.ask("DELETE", `/api/:club/athletes/${ids.athlete}`);
    const rest = linesOf(await exported(owner, clubId));
    for (const kind of ["athlete", "start", "run"]) expect(of(rest, kind)).toEqual([]);
  });

  it("without touching what only looks like the name: a phase, a priority, an id", async () => {
    const { people, clubId, ids } = await fullClub(server);
    const { owner } = people;
    await owner.ask("PUT", `/api/:club/athletes/${ids.athlete}`, {
      version: 1,
      name: "Prime Useful",
      profile,
    });
    const plan = planBody("Prime");
    await owner.ask("PUT", `/api/:club/plans/${ids.plan}`, {
      version: 1,
      body: { ...plan, items: plan.items.map((i) => ({ ...i, phase: "prime", priority: "useful" })) },
    });
    await owner.ask("POST", `/api/:club/athletes/${ids.athlete}/anonymise`);
    const [start] = of(linesOf(await exported(owner, clubId)), "start");
    expect((start as { plan: { body: { items: Line[] } } } | undefined)?.plan.body.items[0]).toMatchObject({
      phase: "prime",
      priority: "useful",
      name: expect.stringMatching(/^Athlete /),
    });
  });
});
