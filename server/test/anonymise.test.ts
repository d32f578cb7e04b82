import { usualDay } from "@tonodrome/core/day";
import { exportOf, type Line, linesOf, of } from "./clubLines";
import { orderInput, planBody, profile, runInput, setting, startInput, startWrite } from "./make";
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

  it("in what others did with them in a group, and in whatever else names them", async () => {
    const { people, clubId, ids } = await fullClub(server);
    const { owner } = people;
    const bo = (await owner.ask("POST", "/api/:club/athletes", { name: "Bo Larch" })).body;
    const startOf = async (title: string, group?: string[]) => {
      const made = await owner.ask("POST", "/api/:club/starts", {
        ...startInput(bo.id),
        ...{ title, venue: "Finch hall", setting: { ...setting, ...(group ? { group } : {}) } },
      });
      expect(made.status).toBe(201);
      return made.body;
    };
    const pair = await startOf("Pairs with Ada", [ids.athlete]);
    const alone = await startOf("After Ada Finch");
    const bodyOf = (words: string) => planBody(words);
    for (const version of [1, 2])
      await owner.ask("PUT", `/api/:club/plans/${pair.plan.id}`, {
        version,
        body: bodyOf(`Lifts ${version}, Ada`),
      });
    await owner.ask("PUT", `/api/:club/plans/${alone.plan.id}`, {
      version: 1,
      body: bodyOf("As Ada Finch does"),
    });
    const group = [
      { id: bo.id, name: "Bo Larch" },
      { id: ids.athlete, name: "Ada Finch" },
    ];
    const { plan, ...input } = runInput(pair.id);
    const drills = plan.drills.map((drill) => ({ ...drill, name: "Lift Ada" }));
    await owner.ask("POST", "/api/:club/runs", { ...input, plan: { ...plan, drills, group } });
    const at = new Date().toISOString();
    const event = {
      id: "22222222-2222-4222-8222-222222222222",
      kind: "rating",
      at,
      ready: 3,
      first: "Ada fell",
      note: "",
    };
    await owner.ask("POST", `/api/:club/runs/${input.id}/events`, { events: [event] });
    const tick = {
      step: "pack",
      line: "Ada's band",
      isOn: true,
      at,
      by: "33333333-3333-4333-8333-333333333333",
    };
    expect((await owner.ask("POST", `/api/:club/starts/${pair.id}/ticks`, { ticks: [tick] })).status).toBe(
      200,
    );
    await owner.ask("POST", `/api/:club/athletes/${ids.athlete}/anonymise`);
    const text = await exported(owner, clubId);
    // A hall of the same name as a part of theirs stays where they had nothing to do with it.
    expect(text.replaceAll("Finch hall", "")).not.toMatch(/finch|\bada\b/i);
    const lines = linesOf(text);
    expect(of(lines, "ticks")).toMatchObject([
      { ticks: [{ line: expect.stringMatching(/^Athlete \w+'s band$/) }] },
    ]);
    expect(JSON.stringify(of(lines, "edit"))).toMatch(/Lifts 1, Athlete/);
    // What reads differently is a version of its own, for phones that have the one before.
    const after = (await owner.ask("GET", `/api/:club/starts/${alone.id}`)).body;
    expect(after).toMatchObject({ version: 2, venue: "Finch hall", plan: { version: 3 } });
    expect(after.title).toMatch(/^After Athlete /);
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
