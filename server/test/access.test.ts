import { randomUUID } from "node:crypto";
import Fastify, { type InjectOptions } from "fastify";
import { guard } from "../src/access/access";
import { makeRateLimits } from "../src/access/rateLimits";
import { drillInput, eventInput, orderInput, planBody, profile, runInput, setting, startInput } from "./make";
import { type FullClub, fullClub, IN_TIME } from "./people";
import { ALL, RULES } from "./rules";
import { type TestServer, testOptions, testServer } from "./testServer";

let server: TestServer;
beforeAll(async () => {
  server = await testServer();
});
afterAll(() => server.close());

type Method = NonNullable<InjectOptions["method"]>;
const routes = Object.entries(RULES).map(([route, rule]) => {
  const [method, url] = route.split(" ") as [Method, string];
  return { route, method, url, rule };
});
const ofClub = routes.filter((r) => r.url.includes(":clubId") && !r.url.endsWith("/changes"));

/** Asks a route with every id and secret in its address made up, or taken from a club. */
async function ask(
  { method, url }: (typeof routes)[number],
  cookie: string | undefined,
  clubId: string = randomUUID(),
  put: { id?: string; body?: unknown } = {},
) {
  const address = url
    .replace(":clubId", clubId)
    .replace(/:(id|userId)/, put.id ?? randomUUID())
    .replace(":token", "not-a-token-of-anybody");
  const answer = await server.send(
    { method, url: address, ...(put.body === undefined ? {} : { payload: put.body as object }) },
    cookie,
  );
  const body = answer.headers["content-type"]?.toString().startsWith("application/json") ? answer.json() : {};
  return { status: answer.statusCode, code: body.code as string | undefined, message: body.message };
}

it("has a rule for every route that is really there, and no rule for one that is not", () => {
  const live = server.app.routeTable
    .filter((r) => r.url.startsWith("/api/") && r.method !== "HEAD")
    .map((r) => `${r.method} ${r.url}`);
  expect(live.sort()).toEqual(Object.keys(RULES).sort());
});

it("does not come up with a route that has no rule, or one of the wrong kind", async () => {
  const app = Fastify();
  guard(app, server, makeRateLimits(server, "s".repeat(32), testOptions(server.url)));
  expect(() => app.get("/api/new", () => "")).toThrow(/no rule/);
  expect(() => app.get("/api/clubs/:clubId/new", { config: { access: "anybody" } }, () => "")).toThrow(
    /rule/,
  );
  expect(() => app.get("/api/new", { config: { access: "read" } }, () => "")).toThrow(/rule/);
  await app.close();
});

describe("each route lets in whom it should", () => {
  /** After these there is no such club, or nobody who is signed in to it. */
  const ENDS = /^(?:DELETE \/api\/clubs\/:clubId|POST .*\/(?:import|leave|password|delete|sign-out.*))$/;
  let full: FullClub | null = null;

  it.each(routes.filter((r) => !r.url.endsWith("/changes")))("$route", async (route) => {
    full ??= await fullClub(server);
    const { clubId, people } = full;
    if (ENDS.test(route.route)) full = null;
    const nobody = await ask(route, undefined, clubId);
    if (route.rule === "anybody") expect(nobody.code).not.toBe("signed_out");
    else expect(nobody).toMatchObject({ status: 401, code: "signed_out" });

    // Owners last: what they delete is gone for the others.
    for (const role of [...ALL].reverse()) {
      const answer = await ask(route, people[role].cookie, clubId);
      const isAllowed = !Array.isArray(route.rule) || route.rule.includes(role);
      if (isAllowed)
        expect([role, answer.code]).not.toEqual([role, expect.stringMatching(/signed_out|forbidden/)]);
      else
        expect([role, answer]).toEqual([role, expect.objectContaining({ status: 403, code: "forbidden" })]);
    }
  });

  it("streams of changes, which do not end by themselves", async () => {
    const { clubId } = await fullClub(server);
    const url = `/api/clubs/${clubId}/changes`;
    expect((await server.send({ url })).statusCode).toBe(401);
    expect((await server.send({ url }, server.owner.cookie)).statusCode).toBe(404);
    expect((await server.send({ url: "/api/shared/nothing/changes" })).statusCode).toBe(404);
    const order = `/api/clubs/${clubId}/starts/${randomUUID()}/order/changes`;
    const asked = `${order}?seed=1`;
    expect((await server.send({ url: asked })).statusCode).toBe(401);
    expect((await server.send({ url: asked }, server.owner.cookie)).statusCode).toBe(404);
  });
});

describe("another club", () => {
  let ours: FullClub;
  let theirs: FullClub;
  beforeAll(async () => {
    ours = await fullClub(server);
    theirs = await fullClub(server);
  });

  it.each(ofClub)("is not there for $route, in any role", async (route) => {
    for (const role of ALL) {
      const { cookie } = ours.people[role];
      const real = await ask(route, cookie, theirs.clubId);
      // To the letter what is said of a club that does not exist.
      expect(real).toEqual(await ask(route, cookie, randomUUID()));
      expect(real).toMatchObject({ status: 404, code: "not_found" });
    }
  });

  /** Bodies that each route would take. */
  const bodies: Record<string, () => unknown> = {
    "PUT /api/clubs/:clubId/members/:userId": () => ({ role: "coach", athleteId: null, was: "coach" }),
    "PUT /api/clubs/:clubId/starts/:id": () => ({
      version: 1,
      ...startInput(ours.ids.athlete),
      eventId: null,
      setting,
    }),
    "PUT /api/clubs/:clubId/athletes/:id": () => ({ version: 1, name: "Ours", profile }),
    "PUT /api/clubs/:clubId/events/:id": () => ({ version: 1, archived: false, ...eventInput("Ours") }),
    "PUT /api/clubs/:clubId/plans/:id": () => ({ version: 1, body: planBody("Laps") }),
    "PUT /api/clubs/:clubId/drills/:id": () => ({ version: 1, archived: false, ...drillInput("Ours") }),
    "PUT /api/clubs/:clubId/starts/:id/day": () => ({ version: 1, steps: null }),
    "PUT /api/clubs/:clubId/events/:id/day": () => ({ version: 1, steps: null }),
    "PUT /api/clubs/:clubId/athletes/:id/day": () => ({ version: 1, steps: null }),
    "PUT /api/clubs/:clubId/orders/:id": () => ({ version: 1, ...orderInput() }),
    "POST /api/clubs/:clubId/orders/:id/now": () => ({ number: 1, at: "2026-06-01T12:00:00.000Z" }),
    "POST /api/clubs/:clubId/starts/:id/ticks": () => ({ ticks: [] }),
    "POST /api/clubs/:clubId/starts/:id/shares": () => ({ until: IN_TIME }),
    "POST /api/clubs/:clubId/starts/:id/move": () => ({ version: 1, startsAt: startInput("").startsAt }),
    "POST /api/clubs/:clubId/runs/:id/events": () => ({
      events: [{ id: randomUUID(), at: "2026-06-01T12:00:00.000Z", kind: "begin" }],
    }),
  };

  it.each(ofClub.filter((r) => /:(id|userId)/.test(r.url)))(
    "'s things are not there for $route in one's own",
    async (route) => {
      const { cookie } = ours.people.owner;
      const before = await tables();
      for (const id of Object.values(theirs.ids)) {
        const body = bodies[route.route]?.();
        const real = await ask(route, cookie, ours.clubId, { id, body });
        expect(real).toEqual(await ask(route, cookie, ours.clubId, { id: randomUUID(), body }));
        expect(real.status).toBe(404);
      }
      expect(await tables()).toEqual(before);
    },
  );

  it("'s ids cannot be written into one's own", async () => {
    const { owner } = ours.people;
    const start = await owner.ask("POST", "/api/:club/starts", startInput(theirs.ids.athlete));
    expect(start.body).toMatchObject({ code: "invalid_input", path: "athleteId" });
    const group = await owner.ask("POST", "/api/:club/starts", {
      ...startInput(ours.ids.athlete),
      setting: { ...setting, group: [theirs.ids.athlete] },
    });
    expect(group.body).toMatchObject({ code: "invalid_input", path: "setting.group" });
    const run = await owner.ask("POST", "/api/:club/runs", runInput(theirs.ids.start));
    expect(run.status).toBe(404);
    const invite = await owner.ask("POST", "/api/:club/invites", {
      role: "athlete",
      athleteId: theirs.ids.athlete,
    });
    expect(invite.body).toMatchObject({ code: "invalid_input", path: "athleteId" });
  });

  /** How many rows of theirs there are. */
  async function tables() {
    const { Start, Plan, PlanEdit, Run, RunEvent, Member, Invite, Share, Athlete } = server.models;
    const where = { clubId: theirs.clubId };
    return Promise.all(
      [Start, Plan, PlanEdit, Run, RunEvent, Member, Invite, Share, Athlete].map((model) =>
        (model as typeof Start).count({ where }),
      ),
    );
  }
});

describe("an athlete's account", () => {
  it("sees the athlete's own starts, warm-ups and runs and no others", async () => {
    const { people, ids } = await fullClub(server);
    const { owner, athlete } = people;
    const other = (await owner.ask("POST", "/api/:club/athletes", { name: "Bo" })).body;
    const theirStart = (await owner.ask("POST", "/api/:club/starts", startInput(other.id))).body;
    const theirRun = (await owner.ask("POST", "/api/:club/runs", runInput(theirStart.id))).body;

    const list = async (what: string) => (await athlete.ask("GET", `/api/:club/${what}`)).body[what];
    expect((await list("starts")).map((s: { id: string }) => s.id)).toEqual([ids.start]);
    expect((await list("runs")).map((r: { id: string }) => r.id)).toEqual([ids.run]);
    expect((await list("athletes")).map((a: { id: string }) => a.id)).toEqual([ids.athlete]);
    for (const path of [`starts/${theirStart.id}`, `plans/${theirStart.plan.id}`, `runs/${theirRun.id}`]) {
      expect((await athlete.ask("GET", `/api/:club/${path}`)).status).toBe(404);
    }
    for (const path of [`starts/${ids.start}`, `plans/${ids.plan}`, `runs/${ids.run}`]) {
      expect((await athlete.ask("GET", `/api/:club/${path}`)).status).toBe(200);
    }
  });

  it("sees nothing once its athlete is deleted or made anonymous", async () => {
    for (const end of ["delete", "anonymise"] as const) {
      const { people, ids } = await fullClub(server);
      const path = `/api/:club/athletes/${ids.athlete}`;
      const gone =
        end === "delete"
          ? await people.owner.ask("DELETE", path)
          : await people.owner.ask("POST", `${path}/anonymise`);
      expect(gone.status).toBe(200);
      expect((await people.athlete.ask("GET", "/api/:club/starts")).body).toEqual({ starts: [] });
      expect((await people.athlete.ask("GET", "/api/:club/runs")).body.runs).toEqual([]);
    }
  });
});
