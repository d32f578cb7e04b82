import { randomUUID } from "node:crypto";
import { readFileSync } from "node:fs";
import path from "node:path";
import { fitPlan, runPlanOf } from "@tonodrome/core";
import { fitFileSchema } from "@tonodrome/core/fitting";
import { makeThreads } from "../src/threads/threads";
import { makeStart, planBody } from "./make";
import { type TestServer, testServer } from "./testServer";

let server: TestServer;
beforeAll(async () => {
  server = await testServer();
});
afterAll(() => server.close());

const example = () =>
  JSON.parse(readFileSync(path.join(__dirname, "..", "..", "docs", "examples", "judged.json"), "utf8"));

describe("a club's own figures", () => {
  it("are none at first, are written against a version, and hold for what is judged", async () => {
    expect((await server.ask("GET", "/api/:club/figures")).body).toEqual({ version: 1, figures: [] });
    const before = (await server.ask("POST", "/api/:club/judge", example())).body;
    expect(before.findings.some((f: { code: string }) => f.code === "too-short")).toBe(false);
    const figures = [{ check: "too-short", figure: "hard", value: 40 }];
    const saved = await server.ask("PUT", "/api/:club/figures", { version: 1, figures });
    expect(saved.body).toEqual({ version: 2, figures });
    // The same again, because its answer was lost, counts as saved; another against the old version is refused.
    expect((await server.ask("PUT", "/api/:club/figures", { version: 1, figures })).body).toEqual(saved.body);
    expect(await server.ask("PUT", "/api/:club/figures", { version: 1, figures: [] })).toMatchObject({
      status: 409,
      body: { code: "version_conflict", current: saved.body },
    });
    const after = (await server.ask("POST", "/api/:club/judge", example())).body;
    expect(after.findings.some((f: { code: string }) => f.code === "too-short")).toBe(true);
    await server.ask("PUT", "/api/:club/figures", { version: 2, figures: [] });
    expect((await server.ask("GET", "/api/:club/figures")).body).toEqual({ version: 3, figures: [] });
  });

  it.each([
    ["too-tall", "hard", 10, "figures.0.check"],
    ["too-short", "least", 10, "figures.0.figure"],
    ["too-short", "hard", 0, "figures.0.value"],
    ["too-short", "hard", 10.5, "figures.0.value"],
    ["too-short", "hard", "10", "figures.0.value"],
  ])("are refused where there is no such thing: %s, %s, %s", async (check, figure, value, where) => {
    const figures = [{ check, figure, value }];
    const { version } = (await server.ask("GET", "/api/:club/figures")).body;
    expect(await server.ask("PUT", "/api/:club/figures", { version, figures })).toMatchObject({
      status: 400,
      body: { code: "invalid_input", path: where },
    });
  });
});

describe("judging", () => {
  it("answers as the command line does, and says what is not known", async () => {
    const { status, body } = await server.ask("POST", "/api/:club/judge", example());
    expect(status).toBe(200);
    expect(body.forecast.delays.map((d: { delaySeconds: number }) => d.delaySeconds)).toEqual([
      -300, 300, 600, 1200, 2400,
    ]);
    expect(body.forecast.note).toContain("no medical advice");
    expect(body.findings.length).toBeGreaterThan(0);
    const bare = example();
    delete bare.setting;
    const { forecast } = (await server.ask("POST", "/api/:club/judge", bare)).body;
    expect(forecast.unknown).toContain("The temperature is not known: 20 °C taken.");
  });

  it.each([
    ["humidity without temperature", { temperature: null, humidity: 40 }, "setting.humidity"],
    ["a temperature that cannot be", { temperature: 80 }, "setting.temperature"],
    ["a wind there is none of", { wind: "storm" }, "setting.wind"],
  ])("refuses %s and names the field", async (_, more, where) => {
    const file = example();
    Object.assign(file.setting, more);
    expect(await server.ask("POST", "/api/:club/judge", file)).toMatchObject({
      status: 400,
      body: { code: "invalid_input", path: where },
    });
  });

  it("gives up on what takes too long, judges one at a time for a person, and none for whoever hung up", async () => {
    const threads = makeThreads(path.resolve(__dirname, "..", "dist", "worker.js"));
    const file = fitFileSchema.parse(example());
    await expect(threads.do("judge", file, { longest: 1 })).rejects.toMatchObject({ code: "too_large" });
    // However busy this machine is.
    const judge = (whose: string) => threads.do("judge", file, { whose, longest: 60_000 });
    const answers = await Promise.allSettled(["Ada", "Bo", "Ada", "Cy"].map(judge));
    expect(answers.map((a) => a.status)).toEqual(["fulfilled", "fulfilled", "rejected", "fulfilled"]);
    expect(answers[2]).toMatchObject({ reason: { code: "too_many" } });
    const gone = new AbortController();
    const left = [1, 2, 3].map((n) => threads.do("judge", file, { whose: `${n}`, signal: gone.signal }));
    gone.abort();
    for (const one of await Promise.allSettled(left)) expect(one.status).toBe("rejected");
    // Nobody's place is lost by it.
    await expect(judge("1")).resolves.toHaveProperty("findings");
    await threads.close();
  });
});

describe("an athlete's warm-ups before", () => {
  it("are those that began, the latest first, with the shelf's drills they were made of", async () => {
    const start = await makeStart(server);
    const [one, other] = [randomUUID(), randomUUID()];
    const earlier = async () =>
      (await server.ask("GET", `/api/:club/athletes/${start.athlete.id}/earlier-runs`)).body.runs;
    expect(await earlier()).toEqual([]);
    const body = planBody("Laps", "Swings");
    const plan = {
      ...body,
      items: body.items.map((item, i) => ({ ...item, drillId: [one, other][i] ?? null })),
    };
    const run = runPlanOf(fitPlan(plan, 1800), start.startsAt, {
      plan,
      context: { places: [], travel: [], points: [], startPlace: null, usualReps: 0 },
    });
    const id = randomUUID();
    await server.ask("POST", "/api/:club/runs", { id, startId: start.id, plan: run });
    expect(await earlier()).toEqual([]);
    const event = { id: randomUUID(), at: new Date().toISOString(), kind: "begin" };
    await server.ask("POST", `/api/:club/runs/${id}/events`, { events: [event] });
    // Presses are summed up a little later, which is not waited for; reading the log does so at once, and changes nothing.
    const seconds = run.drills.reduce((sum, drill) => sum + drill.plannedSeconds, 0);
    const told = [{ day: start.startsAt.slice(0, 10), drillIds: [one, other], seconds }];
    expect(await earlier()).toEqual(told);
    await server.ask("GET", "/api/:club/runs");
    expect(await earlier()).toEqual(told);
  });
});
