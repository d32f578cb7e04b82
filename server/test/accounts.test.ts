import { randomUUID } from "node:crypto";
import { fullClub } from "./people";
import { type Ask, cookieOf, PASSWORD, type TestServer, testServer } from "./testServer";

let server: TestServer;
beforeAll(async () => {
  server = await testServer();
});
afterAll(() => server.close());

const post = (url: string, payload: object, headers: Record<string, string> = {}) =>
  server.send({ method: "POST", url, payload, headers });
const signIn = (email: string, password: string) => post("/api/auth/sign-in", { email, password });
const me = async (cookie: string) => (await server.askWith(cookie)("GET", "/api/me")).status;

it("lets nobody in by a session that is over, and clears it when its owner signs in again", async () => {
  const { person } = await server.signUp();
  const expire = "UPDATE sessions SET expires_at = now() - interval '1 minute' WHERE user_id = $1";
  await server.sequelize.query(expire, { bind: [person.userId] });
  expect(await me(person.cookie)).toBe(401);
  const again = await signIn(person.email, PASSWORD);
  expect(await me(cookieOf(again))).toBe(200);
  const [rows] = await server.sequelize.query("SELECT id FROM sessions WHERE user_id = $1", {
    bind: [person.userId],
  });
  expect(rows).toHaveLength(1);
});

describe("signing up, in and out", () => {
  it("makes an account and a club, and lets its owner in by a cookie that no script can read", async () => {
    const { person, me: mine } = await server.signUp("Ring of 北京 🤸🏽");
    expect(mine.clubs).toMatchObject([{ name: "Ring of 北京 🤸🏽", role: "owner", demo: false }]);
    const again = await signIn(person.email.toUpperCase(), PASSWORD);
    expect(again.statusCode).toBe(200);
    const cookie = String(again.headers["set-cookie"]);
    expect(cookie).toMatch(/HttpOnly/);
    expect(cookie).toMatch(/SameSite=Strict/);
    expect(cookie).not.toMatch(/Secure/);
    expect(await me(cookieOf(again))).toBe(200);
    const overTls = await post(
      "/api/auth/sign-in",
      { email: person.email, password: PASSWORD },
      { "x-forwarded-proto": "https" },
    );
    expect(String(overTls.headers["set-cookie"])).toMatch(/Secure/);
  });

  it("says the same of a wrong password and of an address that has no account", async () => {
    const { person } = await server.signUp();
    const wrong = await signIn(person.email, "not the password");
    const unknown = await signIn(`${randomUUID()}@example.org`, PASSWORD);
    expect(wrong.statusCode).toBe(401);
    expect(wrong.json()).toEqual(unknown.json());
    expect(wrong.json()).toMatchObject({ code: "wrong_password", path: "password" });
    expect(wrong.headers["set-cookie"]).toBeUndefined();
  });

  it("ends a session at signing out, every session at signing out everywhere, and the one a sign-in replaces", async () => {
    const { person } = await server.signUp();
    const [phone, laptop] = await Promise.all([1, 2].map(() => signIn(person.email, PASSWORD)));
    const cookies = [person.cookie, cookieOf(phone as never), cookieOf(laptop as never)];
    await server.askWith(cookies[0])("POST", "/api/auth/sign-out");
    expect(await Promise.all(cookies.map(me))).toEqual([401, 200, 200]);

    const replaced = await server.send(
      { method: "POST", url: "/api/auth/sign-in", payload: { email: person.email, password: PASSWORD } },
      cookies[1],
    );
    expect(await Promise.all([...cookies, cookieOf(replaced)].map(me))).toEqual([401, 401, 200, 200]);
    await server.askWith(cookies[2])("POST", "/api/me/sign-out-everywhere");
    expect(await Promise.all([...cookies, cookieOf(replaced)].map(me))).toEqual([401, 401, 401, 401]);
  });

  it("changes the password, which signs every other device out", async () => {
    const { person } = await server.signUp();
    const other = cookieOf(await signIn(person.email, PASSWORD));
    const change = (current: string, next: string) =>
      server.send({ method: "POST", url: "/api/me/password", payload: { current, next } }, person.cookie);
    expect((await change("not it", "another long password")).json()).toMatchObject({
      code: "wrong_password",
      path: "current",
    });
    expect((await change(PASSWORD, "short")).json()).toMatchObject({ code: "invalid_input", path: "next" });
    expect(await me(other)).toBe(200);
    const changed = await change(PASSWORD, "another long password");
    expect(changed.statusCode).toBe(200);
    expect(await Promise.all([other, person.cookie, cookieOf(changed)].map(me))).toEqual([401, 401, 200]);
    expect((await signIn(person.email, PASSWORD)).statusCode).toBe(401);
    expect((await signIn(person.email, "another long password")).statusCode).toBe(200);
  });

  it("refuses an address that has an account, a short password, and what is no address, and makes nothing", async () => {
    const { person } = await server.signUp();
    const users = await server.models.User.count();
    const clubs = await server.models.Club.count();
    const body = { name: "Bo", email: person.email, password: "somebody else's words", clubName: "Club" };
    for (const [changes, code, path] of [
      [{ email: person.email.toUpperCase() }, "taken", "email"],
      [{ email: `${randomUUID()}@example.org`, password: "short" }, "invalid_input", "password"],
      [{ email: "nobody" }, "invalid_input", "email"],
      [{ email: `${randomUUID()}@example.org`, clubName: " " }, "invalid_input", "clubName"],
    ] as const) {
      expect((await post("/api/auth/sign-up", { ...body, ...changes })).json()).toMatchObject({ code, path });
    }
    expect([await server.models.User.count(), await server.models.Club.count()]).toEqual([users, clubs]);
  });

  it("lets one person belong to several clubs", async () => {
    const { person } = await server.signUp("First");
    const made = await person.ask("POST", "/api/clubs", { name: "Second" });
    expect(made.body).toMatchObject({ name: "Second", role: "owner" });
    const invite = await server.ask("POST", "/api/:club/invites", { role: "assistant", athleteId: null });
    const joined = await person.ask("POST", `/api/invites/${invite.body.token}/accept`);
    expect(joined.body).toMatchObject({ id: server.clubId, role: "assistant" });
    const { clubs } = (await person.ask("GET", "/api/me")).body;
    expect(clubs.map((c: { name: string; role: string }) => [c.name, c.role])).toEqual([
      ["First", "owner"],
      ["Second", "owner"],
      ["Test club", "assistant"],
    ]);
  });

  it("keeps passwords by a memory-hard hash only", async () => {
    process.env.REAL_HASHES = "yes";
    const { person } = await server.signUp();
    delete process.env.REAL_HASHES;
    const user = await server.models.User.findByPk(person.userId);
    expect(user?.passwordHash).toMatch(/^\$argon2id\$v=19\$m=19456,t=2,p=1\$/);
  });
});

describe("cookies that are not what they should be", () => {
  it.each([
    ["forged", (c: string) => c.replace(/=.{8}/, "=AAAAAAAA")],
    ["cut short", (c: string) => c.slice(0, -4)],
    ["unsigned", (c: string) => c.split(".")[0] as string],
    ["empty", () => "tonodrome="],
    ["not a cookie", () => "\u0001;;;=%%%"],
    ["very long", (c: string) => `${c}${"x".repeat(5000)}`],
  ])("%s: nobody", async (_, change) => {
    const { person } = await server.signUp();
    expect(await me(change(person.cookie))).toBe(401);
    expect(await me(person.cookie)).toBe(200);
  });

  it("signed by another server's key: nobody; by an older key of this one: still somebody", async () => {
    const stranger = await server.another({ secrets: ["another secret of thirty-two characters, or more"] });
    const asked = (app: typeof stranger) =>
      app.inject({ url: "/api/me", headers: { cookie: server.owner.cookie } });
    expect((await asked(stranger)).statusCode).toBe(401);
    const renewed = await server.another({
      secrets: [
        "another secret of thirty-two characters, or more",
        "a secret of the tests, thirty-two characters and more",
      ],
    });
    expect((await asked(renewed)).statusCode).toBe(200);
  });

  it("expired: nobody; used once an hour: put off", async () => {
    const { person } = await server.signUp();
    const { Session } = server.models;
    const where = { userId: person.userId };
    const old = new Date(Date.now() - 2 * 3_600_000);
    await Session.update({ seenAt: old, expiresAt: new Date(Date.now() + 60_000) }, { where });
    const answer = await server.send({ url: "/api/me" }, person.cookie);
    expect(cookieOf(answer)).toBe(person.cookie);
    const session = await Session.findOne({ where });
    expect((session?.expiresAt.getTime() ?? 0) - Date.now()).toBeGreaterThan(29 * 86_400_000);
    await Session.update({ expiresAt: old }, { where });
    expect(await me(person.cookie)).toBe(401);
  });
});

describe("invitations", () => {
  const make = async (role = "coach") =>
    (await server.ask("POST", "/api/:club/invites", { role, athleteId: null })).body;
  const look = (token: string) => server.send({ url: `/api/invites/${token}` });
  const signUpBy = (token: string, more: object = {}) =>
    post(`/api/invites/${token}/sign-up`, {
      name: "Bo",
      email: `${randomUUID()}@example.org`,
      password: PASSWORD,
      ...more,
    });

  it("say whose club it is and as what, and are used once, however many try at once", async () => {
    const { token } = await make("assistant");
    expect((await look(token)).json()).toMatchObject({ clubName: "Test club", role: "assistant" });
    const answers = await Promise.all(Array.from({ length: 5 }, () => signUpBy(token)));
    expect(answers.map((a) => a.statusCode).sort()).toEqual([201, 410, 410, 410, 410]);
    const late = await look(token);
    expect(late.statusCode).toBe(410);
    expect(late.json()).toMatchObject({
      code: "link_over",
      message: expect.stringContaining("used already"),
    });
  });

  it("forged, withdrawn and expired ones let nobody in and leave no account behind", async () => {
    const withdrawn = await make();
    await server.ask("DELETE", `/api/:club/invites/${withdrawn.id}`);
    const expired = await make();
    await server.models.Invite.update({ expiresAt: new Date(0) }, { where: { id: expired.id } });
    const users = await server.models.User.count();
    for (const [token, status, words] of [
      [withdrawn.token, 410, "was withdrawn"],
      [expired.token, 410, "has expired"],
      [`${withdrawn.token}x`, 404, "no such invitation"],
      ["..", 404, ""],
    ] as const) {
      const address = encodeURIComponent(token);
      const answers = [await look(address), await signUpBy(address)];
      for (const answer of answers) {
        expect(answer.statusCode).toBe(status);
        expect(answer.json().message).toContain(words);
      }
    }
    expect(await server.models.User.count()).toBe(users);
  });

  it("are left unused by an address that is taken, and by a member", async () => {
    const { token } = await make();
    expect((await signUpBy(token, { email: server.owner.email })).json()).toMatchObject({ code: "taken" });
    const again = await server.ask("POST", `/api/invites/${token}/accept`);
    expect(again.body).toMatchObject({ role: "owner" });
    expect((await signUpBy(token)).statusCode).toBe(201);
  });
});

describe("roles that change under somebody", () => {
  it("a role lowered, or a membership ended, holds from the next request on, on every server", async () => {
    const { people, clubId } = await fullClub(server);
    const { owner, coach } = people;
    const other = await server.another();
    const addOn = (app: typeof other) =>
      app.inject({
        method: "POST",
        url: `/api/clubs/${clubId}/athletes`,
        payload: { name: "New" },
        headers: { cookie: coach.cookie },
      });
    expect((await addOn(other)).statusCode).toBe(201);
    const lower = { role: "assistant", athleteId: null, was: "coach" };
    expect((await owner.ask("PUT", `/api/:club/members/${coach.userId}`, lower)).status).toBe(200);
    expect((await addOn(other)).json()).toMatchObject({ code: "forbidden" });
    expect((await owner.ask("DELETE", `/api/:club/members/${coach.userId}`)).status).toBe(200);
    expect((await addOn(other)).json()).toMatchObject({ code: "not_found" });
    expect((await coach.ask("GET", "/api/me")).body.clubs).toEqual([]);
  });

  it("is refused against a role that is no longer so", async () => {
    const { people } = await fullClub(server);
    const change = (role: string, was: string) =>
      people.owner.ask("PUT", `/api/:club/members/${people.coach.userId}`, { role, athleteId: null, was });
    expect((await change("assistant", "coach")).status).toBe(200);
    const stale = await change("owner", "coach");
    expect(stale).toMatchObject({
      status: 409,
      body: { code: "version_conflict", current: { role: "assistant" } },
    });
  });

  it("never leaves a club without an owner, though two owners lower each other, leave or delete at once", async () => {
    for (let round = 0; round < 6; round++) {
      const { people, clubId } = await fullClub(server);
      const { owner } = people;
      const second = await server.member("owner", null, owner, clubId);
      const lower = { role: "coach", athleteId: null, was: "owner" };
      const first = [
        () => owner.ask("PUT", `/api/:club/members/${second.userId}`, lower),
        () => owner.ask("POST", "/api/:club/leave"),
        () => owner.ask("DELETE", `/api/:club/members/${second.userId}`),
      ][round % 3] as () => ReturnType<Ask>;
      const meanwhile = [
        () => second.ask("PUT", `/api/clubs/${clubId}/members/${owner.userId}`, lower),
        () => second.ask("POST", `/api/clubs/${clubId}/leave`),
        () => second.ask("DELETE", `/api/clubs/${clubId}/members/${owner.userId}`),
      ][round % 3] as () => ReturnType<Ask>;
      const answers = await Promise.all([first(), meanwhile()]);
      expect(answers.map((a) => a.status).some((s) => s === 200)).toBe(true);
      expect(await server.models.Member.count({ where: { clubId, role: "owner" } })).toBeGreaterThan(0);
    }
  });

  it("deletes a club once, with everything in it, though two owners do at once, and asks for its name", async () => {
    const { people, clubId } = await fullClub(server);
    const second = await server.member("owner", null, people.owner, clubId);
    const end = (name: string, who = people.owner) => who.ask("DELETE", `/api/clubs/${clubId}`, { name });
    expect((await end("Another name")).body).toMatchObject({ code: "invalid_input", path: "name" });
    expect((await people.owner.ask("GET", "/api/:club/starts")).body.starts).toHaveLength(1);
    const answers = await Promise.all([end("A full club"), end("A full club", second)]);
    expect(answers.map((a) => a.status).sort()).toEqual([200, 404]);
    const left = await server.sequelize.query(
      `SELECT table_name, (xpath('/row/c/text()', query_to_xml(format(
          'SELECT count(*) AS c FROM %I WHERE club_id = ''%s''', table_name, '${clubId}'), false, true, '')))[1]::text AS n
        FROM information_schema.columns WHERE table_schema = 'public' AND column_name = 'club_id'`,
    );
    expect((left[0] as { n: string }[]).filter((t) => t.n !== "0")).toEqual([]);
    expect((await people.coach.ask("GET", "/api/me")).body.clubs).toEqual([]);
  });
});

describe("where a write comes from", () => {
  const write = (headers: Record<string, string>) =>
    server.send(
      {
        method: "POST",
        url: `/api/clubs/${server.clubId}/athletes`,
        payload: { name: "From elsewhere" },
        headers: { host: "hall.example", ...headers },
      },
      server.owner.cookie,
    );

  it.each<[string, Record<string, string>, number]>([
    ["its own page", { origin: "http://hall.example" }, 201],
    ["no browser", {}, 201],
    ["the address bar", { "sec-fetch-site": "none" }, 201],
    ["another site", { origin: "https://evil.example" }, 403],
    ["another port", { origin: "http://hall.example:81" }, 403],
    ["a page of no origin", { origin: "null" }, 403],
    ["another site, by the browser's word alone", { "sec-fetch-site": "cross-site" }, 403],
    ["a sister site", { "sec-fetch-site": "same-site" }, 403],
  ])("%s", async (_, headers, status) => {
    expect((await write(headers)).statusCode).toBe(status);
  });
});

it("sends every answer with the headers that keep a page to itself", async () => {
  for (const url of ["/health", "/api/auth", "/api/nothing", "/api/me"]) {
    const { headers } = await server.send({ url });
    expect(headers["content-security-policy"]).toMatch(/default-src 'none';script-src 'self';/);
    expect(headers).toMatchObject({
      "x-content-type-options": "nosniff",
      "referrer-policy": "no-referrer",
      "x-request-id": expect.stringMatching(/^[\w-]{8,}$/),
    });
  }
});
