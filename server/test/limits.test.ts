import { randomUUID } from "node:crypto";
import { cookieOf, PASSWORD, type TestServer, testServer } from "./testServer";

let server: TestServer;
beforeAll(async () => {
  server = await testServer();
});
afterAll(() => server.close());

const post = (url: string, payload: object, headers: Record<string, string> = {}) =>
  server.send({ method: "POST", url, payload, headers });
const signIn = (email: string, password: string, ip?: string) =>
  post("/api/auth/sign-in", { email, password }, ip ? { "x-forwarded-for": ip } : {});

describe("limits", () => {
  it("slow down guessing at one address, on every server together, and let the right one in afterwards", async () => {
    const { person } = await server.signUp();
    const other = await server.another();
    const guess = (app: typeof other, i: number, from = "10.9.8.7") =>
      app.inject({
        method: "POST",
        url: "/api/auth/sign-in",
        payload: { email: person.email, password: `guess ${i}` },
        headers: { "x-forwarded-for": from },
      });
    const answers = [];
    for (let i = 0; i < 10; i++) answers.push(await guess(i % 2 ? other : server.app, i));
    expect(answers.map((a) => a.statusCode)).toEqual([...Array(8).fill(401), 429, 429]);
    expect(answers[9]?.json()).toMatchObject({
      code: "too_many",
      message: expect.stringMatching(/try again in/),
    });
    expect(Number(answers[9]?.headers["retry-after"])).toBeGreaterThan(0);
    // No address stands in the database's counters.
    const [rows] = await server.sequelize.query("SELECT key FROM rate_limits");
    expect(JSON.stringify(rows)).not.toContain(person.email);
    // From another machine the owner is let in all the while.
    expect((await signIn(person.email, PASSWORD, "10.9.8.6")).statusCode).toBe(200);
  });

  it("keep an owner out on no device they have signed in on before, however many strangers guess from anywhere", async () => {
    const { person } = await server.signUp();
    const first = await signIn(person.email, PASSWORD, "10.9.1.1");
    const known = first.cookies.find((c) => c.name === "tonodrome-known");
    const guess = (from: string) => signIn(person.email, "a guess", from);
    for (let i = 0; i < 110; i++) await guess(`10.8.${i}.1`);
    expect((await guess("10.7.0.1")).statusCode).toBe(429);
    const own = await post(
      "/api/auth/sign-in",
      { email: person.email, password: PASSWORD },
      { "x-forwarded-for": "10.7.0.2", cookie: `tonodrome-known=${known?.value}` },
    );
    expect(own.statusCode).toBe(200);
    // The mark of somebody else, or a forged one, is none.
    for (const mark of ["forged", cookieOf(first)]) {
      const headers = { "x-forwarded-for": "10.7.0.3", cookie: `tonodrome-known=${mark}` };
      expect(
        (await post("/api/auth/sign-in", { email: person.email, password: PASSWORD }, headers)).statusCode,
      ).toBe(429);
    }
  });

  it("count failures only: a hall of people behind one address signs in all evening", async () => {
    const { person } = await server.signUp();
    for (let i = 0; i < 20; i++)
      expect((await signIn(person.email, PASSWORD, "10.6.5.4")).statusCode).toBe(200);
  });

  it("count an IPv6 network as one machine, whatever address of it is used", async () => {
    const { person } = await server.signUp();
    const answers = [];
    for (let i = 0; i < 10; i++)
      answers.push((await signIn(person.email, "a guess", `2001:db8:1:2::${i + 1}`)).statusCode);
    expect(answers).toEqual([...Array(8).fill(401), 429, 429]);
    expect((await signIn(person.email, "a guess", "2001:db8:1:3::1")).statusCode).toBe(401);
  });

  it("believe a balancer of its own addresses only, whatever else a machine says in front of them", async () => {
    const { person } = await server.signUp();
    const app = await server.another({ trustProxy: ["10.1.0.0/16"] });
    const guess = (forged: string, remoteAddress: string) =>
      app.inject({
        method: "POST",
        url: "/api/auth/sign-in",
        remoteAddress,
        payload: { email: person.email, password: "a guess" },
        headers: { "x-forwarded-for": forged },
      });
    const answers = [];
    // A stranger who comes past the balancer, and one who forges what is in front of it.
    for (let i = 0; i < 9; i++) answers.push((await guess(`10.2.3.${i}`, "192.0.2.1")).statusCode);
    expect(answers.at(-1)).toBe(429);
    answers.length = 0;
    for (let i = 0; i < 9; i++) answers.push((await guess(`10.2.3.${i}, 192.0.2.9`, "10.1.0.1")).statusCode);
    expect(answers.at(-1)).toBe(429);
  });

  it("let so many accounts be made from one machine, and people who are invited besides", async () => {
    const small = await testServer({ accountsPerHour: 2 });
    const from = { "x-forwarded-for": "10.4.4.4" };
    const signUp = () =>
      small.send({
        method: "POST",
        url: "/api/auth/sign-up",
        headers: from,
        payload: { name: "A", email: `${randomUUID()}@example.org`, password: PASSWORD, clubName: "C" },
      });
    expect([(await signUp()).statusCode, (await signUp()).statusCode, (await signUp()).statusCode]).toEqual([
      201, 201, 429,
    ]);
    const { token } = (await small.ask("POST", "/api/:club/invites", { role: "coach", athleteId: null }))
      .body;
    const joined = await small.send({
      method: "POST",
      url: `/api/invites/${token}/sign-up`,
      headers: from,
      payload: { name: "B", email: `${randomUUID()}@example.org`, password: PASSWORD },
    });
    expect(joined.statusCode).toBe(201);
    await small.close();
  });

  it("hold a program back that writes without end, and nobody else", async () => {
    const small = await testServer({ writesPerMinute: 5 });
    const second = await small.signUp();
    const write = () => small.ask("POST", "/api/:club/athletes", { name: "Ada" });
    const answers = [];
    for (let i = 0; i < 7; i++) answers.push((await write()).status);
    expect(answers).toEqual([201, 201, 201, 201, 201, 429, 429]);
    expect((await small.ask("GET", "/api/:club/athletes")).body.athletes).toHaveLength(5);
    expect((await second.person.ask("POST", "/api/:club/athletes", { name: "Bo" })).status).toBe(201);
    await small.close();
  });

  it("take no body of 50 MB, whoever sends it, and read none of it from somebody who may not", async () => {
    const huge = JSON.stringify({ name: "x".repeat(50_000_000) });
    const send = (url: string, cookie?: string) =>
      server.send(
        { method: "POST", url, payload: huge, headers: { "content-type": "application/json" } },
        cookie,
      );
    const athletes = `/api/clubs/${server.clubId}/athletes`;
    expect((await send(athletes, server.owner.cookie)).json()).toMatchObject({ code: "too_large" });
    expect((await send(`/api/clubs/${server.clubId}/import`, server.owner.cookie)).json()).toMatchObject({
      code: "too_large",
    });
    expect((await send("/api/auth/sign-in")).json()).toMatchObject({ code: "too_large" });
    expect((await send(athletes)).json()).toMatchObject({ code: "signed_out" });
  });
});
