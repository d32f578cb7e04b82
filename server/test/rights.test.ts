import { randomUUID } from "node:crypto";
import { LONGEST_SHARE_DAYS } from "@tonodrome/core/api";
import fc from "fast-check";
import { cases } from "../../core/test/made/cases";
import { makeResetLink } from "../src/access/password/passwordReset";
import { makeOwnerLink } from "../src/access/session/ownerLink";
import { purge } from "../src/upkeep/purge";
import { makeStart, orderInput, runInput } from "./make";
import { fullClub } from "./people";
import { cookieOf, PASSWORD, type TestServer, testServer } from "./testServer";

let server: TestServer;
beforeAll(async () => {
  server = await testServer();
});
afterAll(() => server.close());

const look = (token: string) => server.send({ url: `/api/invites/${token}` });
const open = (token: string) => server.send({ url: `/api/shared/${token}` });

describe("what a person set up ends with that person's rights:", () => {
  type Club = Awaited<ReturnType<typeof fullClub>>;
  const ways: [string, (club: Club, userId: string) => Promise<unknown>][] = [
    ["removed", ({ people }, id) => people.owner.ask("DELETE", `/api/:club/members/${id}`)],
    [
      "made an assistant",
      ({ people }, id) =>
        people.owner.ask("PUT", `/api/:club/members/${id}`, {
          role: "assistant",
          athleteId: null,
          was: "owner",
        }),
    ],
    [
      "demoted past the server, by whatever there is beside it",
      ({ clubId }, id) =>
        server.sequelize.query("UPDATE members SET role = 'assistant' WHERE club_id = $1 AND user_id = $2", {
          bind: [clubId, id],
        }),
    ],
    [
      "gone with their account, past the server",
      (_, id) => server.sequelize.query("DELETE FROM users WHERE id = $1", { bind: [id] }),
    ],
  ];
  it.each(ways)("an owner's invitation and link, once they are %s", async (_, end) => {
    const club = await fullClub(server);
    const { owner } = club.people;
    const second = await server.member("owner", null, owner, club.clubId);
    const invite = (
      await second.ask("POST", `/api/clubs/${club.clubId}/invites`, { role: "owner", athleteId: null })
    ).body;
    const share = (
      await second.ask("POST", `/api/clubs/${club.clubId}/starts/${club.ids.start}/shares`, { until: "day" })
    ).body;
    expect([(await look(invite.token)).statusCode, (await open(share.token)).statusCode]).toEqual([200, 200]);
    await end(club, second.userId);
    for (const answer of [await look(invite.token), await open(share.token)])
      expect(answer.json()).toMatchObject({ code: "link_over" });
    // They cannot let themselves back in.
    const back = await second.ask("POST", `/api/invites/${invite.token}/accept`);
    expect([401, 410]).toContain(back.status);
    const fresh = await server.send({
      method: "POST",
      url: `/api/invites/${invite.token}/sign-up`,
      payload: { name: "B", email: `${randomUUID()}@example.org`, password: PASSWORD },
    });
    expect(fresh.statusCode).toBe(410);
    // They are on no list of what is open.
    const ids = async (what: string) =>
      (await owner.ask("GET", `/api/:club/${what}`)).body[what].map((x: { id: string }) => x.id);
    expect(await ids("invites")).not.toContain(invite.id);
    expect(await ids("shares")).not.toContain(share.id);
  });

  it("and does not come back when they are made an owner again; a coach keeps links and loses invitations", async () => {
    const club = await fullClub(server);
    const { owner } = club.people;
    const second = await server.member("owner", null, owner, club.clubId);
    const make = (what: string, body: object) =>
      second.ask("POST", `/api/clubs/${club.clubId}/${what}`, body);
    const invite = (await make("invites", { role: "coach", athleteId: null })).body;
    const share = (await make(`starts/${club.ids.start}/shares`, { until: "day" })).body;
    const change = (role: string, was: string) =>
      owner.ask("PUT", `/api/:club/members/${second.userId}`, { role, athleteId: null, was });
    await change("coach", "owner");
    expect([(await look(invite.token)).statusCode, (await open(share.token)).statusCode]).toEqual([410, 200]);
    await change("owner", "coach");
    expect((await look(invite.token)).statusCode).toBe(410);
  });

  it("leaving counts; what whoever runs the server made stands by itself", async () => {
    const club = await fullClub(server);
    const { owner } = club.people;
    const second = await server.member("owner", null, owner, club.clubId);
    const share = (
      await second.ask("POST", `/api/clubs/${club.clubId}/starts/${club.ids.start}/shares`, { until: "day" })
    ).body;
    await second.ask("POST", `/api/clubs/${club.clubId}/leave`);
    expect((await open(share.token)).statusCode).toBe(410);
    const link = await makeOwnerLink(server, club.clubId);
    expect((await look(link.split("/").at(-1) as string)).statusCode).toBe(200);
  });
});

it("whoever's role changes in the middle: links and invitations are good exactly as long as their makers may make them", async () => {
  const { people, clubId, ids } = await fullClub(server);
  const { owner } = people;
  // Those that there were are the owner's, whose role nobody changes.
  const names = ["first", "second", "third"] as const;
  type Name = (typeof names)[number];
  const step = fc.oneof(
    fc.record({
      what: fc.constant("role" as const),
      who: fc.constantFrom(...names),
      role: fc.constantFrom("owner", "coach", "assistant", "gone"),
    }),
    fc.record({ what: fc.constantFrom("invite" as const, "share" as const), who: fc.constantFrom(...names) }),
  );
  await fc.assert(
    fc.asyncProperty(fc.array(step, { minLength: 4, maxLength: 14 }), async (steps) => {
      const persons = {} as Record<Name, Awaited<ReturnType<typeof server.member>>>;
      const role: Record<Name, string> = { first: "owner", second: "coach", third: "assistant" };
      for (const name of names)
        persons[name] = await server.member(role[name] as "owner", null, owner, clubId);
      /** Links that are good by the rule alone: dead for good once their maker may not make them. */
      const made: { kind: "invite" | "share"; who: Name; token: string; good: boolean }[] = [];
      const may = (kind: string, of: string) => of === "owner" || (kind === "share" && of === "coach");
      for (const one of steps) {
        const { who } = one;
        if (one.what === "role") {
          if (role[who] === "gone") continue;
          const url = `/api/:club/members/${persons[who].userId}`;
          const answer =
            one.role === "gone"
              ? await owner.ask("DELETE", url)
              : await owner.ask("PUT", url, { role: one.role, athleteId: null, was: role[who] });
          expect(answer.status).toBe(200);
          role[who] = one.role;
          for (const link of made) if (link.who === who && !may(link.kind, one.role)) link.good = false;
        } else {
          const at = one.what === "invite" ? "invites" : `starts/${ids.start}/shares`;
          const body = one.what === "invite" ? { role: "coach", athleteId: null } : { until: "day" };
          const answer = await persons[who].ask("POST", `/api/clubs/${clubId}/${at}`, body);
          expect([role[who], answer.status === 201]).toEqual([role[who], may(one.what, role[who])]);
          if (answer.status === 201) made.push({ kind: one.what, who, token: answer.body.token, good: true });
        }
        for (const { kind, token, good } of made) {
          const answer = kind === "invite" ? await look(token) : await open(token);
          expect(answer.statusCode).toBe(good ? 200 : 410);
        }
      }
      // Room for the next.
      await server.sequelize.query("UPDATE shares SET withdrawn_at = now() WHERE club_id = $1", {
        bind: [clubId],
      });
    }),
    cases(12, 4),
  );
}, 60_000);

it("lists every open link of the club for its owners, with who made it and until when", async () => {
  const { people, ids } = await fullClub(server);
  const { owner, coach } = people;
  await coach.ask(
    "POST",
    `/api/clubs/${(await owner.ask("GET", "/api/me")).body.clubs[0].id}/starts/${ids.start}/shares`,
    {
      until: "day",
    },
  );
  const { shares } = (await owner.ask("GET", "/api/:club/shares")).body;
  expect(shares).toHaveLength(2);
  for (const share of shares)
    expect(share).toMatchObject({
      startId: ids.start,
      athleteName: "Ada Finch",
      madeBy: "Somebody",
      title: "Free skate",
    });
  const { invites } = (await owner.ask("GET", "/api/:club/invites")).body;
  expect(invites).toMatchObject([{ madeBy: "Somebody" }]);
  const days = (Date.parse(invites[0].expiresAt) - Date.now()) / 86_400_000;
  expect(days).toBeGreaterThan(13.9);
  expect(days).toBeLessThanOrEqual(14);
});

it("a link ends thirty days after its start at the latest, also when the start moves", async () => {
  const start = await makeStart(server);
  const day = (n: number) => new Date(Date.parse(start.startsAt) + n * 86_400_000).toISOString();
  const make = (until: string) => server.ask("POST", `/api/:club/starts/${start.id}/shares`, { until });
  expect((await make(day(LONGEST_SHARE_DAYS + 1))).body).toMatchObject({
    code: "invalid_input",
    path: "until",
  });
  const link = (await make(day(LONGEST_SHARE_DAYS - 1))).body;
  const moved = new Date(Date.now() - (LONGEST_SHARE_DAYS + 1) * 86_400_000);
  await server.models.Start.update({ startsAt: moved, readyAt: moved }, { where: { id: start.id } });
  expect((await open(link.token)).json()).toMatchObject({ code: "link_over" });
});

describe("expiry goes by one clock, the database's", () => {
  const realNow = Date.now;
  afterEach(() => {
    Date.now = realNow;
  });
  it.each([40 * 86_400_000, -40 * 86_400_000])(
    "a server whose own is wrong by %d ms begins no session that is over, nor ends one that is not",
    async (off) => {
      const { person } = await server.signUp();
      const { ids, people } = await fullClub(server);
      const invite = (
        await people.owner.ask("POST", "/api/:club/invites", { role: "coach", athleteId: null })
      ).body;
      const soon = new Date(realNow() + 3_600_000).toISOString();
      await server.models.Start.update(
        { startsAt: new Date(soon), readyAt: new Date(soon) },
        { where: { id: ids.start } },
      );
      const share = (
        await people.owner.ask("POST", `/api/:club/starts/${ids.start}/shares`, { until: "day" })
      ).body;
      Date.now = () => realNow() + off;
      expect((await person.ask("GET", "/api/me")).status).toBe(200);
      expect((await look(invite.token)).statusCode).toBe(200);
      expect((await open(share.token)).statusCode).toBe(200);
      const signIn = await server.send({
        method: "POST",
        url: "/api/auth/sign-in",
        payload: { email: person.email, password: PASSWORD },
      });
      Date.now = realNow;
      const session = await server.models.Session.findOne({
        where: { userId: person.userId },
        order: [["expiresAt", "DESC"]],
      });
      const days = ((session?.expiresAt.getTime() ?? 0) - realNow()) / 86_400_000;
      expect(Math.round(days)).toBe(30);
      expect((await server.askWith(cookieOf(signIn))("GET", "/api/me")).status).toBe(200);
    },
  );
});

describe("a way back from a forgotten password", () => {
  const reset = (path: string, password: string) =>
    server.send({
      method: "POST",
      url: "/api/auth/reset",
      payload: { token: path.split("/").at(-1), password },
    });
  const signIn = async (email: string, password: string) =>
    (await server.send({ method: "POST", url: "/api/auth/sign-in", payload: { email, password } }))
      .statusCode;

  it("is a link that whoever runs the server makes: used once, within a day, it signs everybody else out", async () => {
    const { person } = await server.signUp();
    const path = (await makeResetLink(server, person.email.toUpperCase())) as string;
    expect((await reset(path, "1234567890")).json()).toMatchObject({
      code: "invalid_input",
      path: "password",
    });
    const done = await reset(path, "three new words here");
    expect(done.json()).toMatchObject({ email: person.email });
    expect((await person.ask("GET", "/api/me")).status).toBe(401);
    expect([
      await signIn(person.email, PASSWORD),
      await signIn(person.email, "three new words here"),
    ]).toEqual([401, 200]);
    expect((await reset(path, "three more words here")).json().code).toBe("link_over");
    const late = (await makeResetLink(server, person.email)) as string;
    await server.sequelize.query("UPDATE password_resets SET expires_at = now() - interval '1 minute'");
    expect((await reset(late, "three more words here")).json().code).toBe("link_over");
    expect(await makeResetLink(server, "nobody@example.org")).toBeNull();
  });
});

describe("deleting one's account", () => {
  const end = (person: { cookie: string }, password = PASSWORD) =>
    server.send({ method: "POST", url: "/api/me/delete", payload: { password } }, person.cookie);

  it("asks for the password, and for a hand-over where others would be left without an owner", async () => {
    const { people, clubId } = await fullClub(server);
    const { owner, coach } = people;
    expect((await end(owner, "a wrong password")).json()).toMatchObject({
      code: "wrong_password",
      path: "password",
    });
    expect((await end(owner)).json()).toMatchObject({
      code: "last_owner",
      message: expect.stringContaining("A full club"),
    });
    expect((await owner.ask("GET", "/api/me")).status).toBe(200);
    await owner.ask("PUT", `/api/:club/members/${coach.userId}`, {
      role: "owner",
      athleteId: null,
      was: "coach",
    });
    expect((await end(owner)).statusCode).toBe(200);
    expect((await owner.ask("GET", "/api/me")).status).toBe(401);
    expect(await server.models.User.count({ where: { id: owner.userId } })).toBe(0);
    // The club goes on, and what they did is there without their name.
    const trail = (await coach.ask("GET", `/api/clubs/${clubId}/audit`)).body.entries;
    expect(trail.some((e: { who: string | null }) => e.who === null)).toBe(true);
    expect((await coach.ask("GET", `/api/clubs/${clubId}/starts`)).body.starts).toHaveLength(1);
  });

  it("takes clubs along that nobody else is in", async () => {
    const { person, me } = await server.signUp();
    expect((await end(person)).statusCode).toBe(200);
    expect(await server.models.Club.count({ where: { id: me.clubs[0]?.id } })).toBe(0);
  });
});

describe("a password", () => {
  const signUp = (password: string, email = `${randomUUID()}@example.org`) =>
    server.send({
      method: "POST",
      url: "/api/auth/sign-up",
      payload: { name: "Ada Finch", email, password, clubName: "Ring" },
    });
  it.each([
    "1234567890",
    "abcdefghijkl",
    "aaaaaaaaaaaa",
    "          ",
    "qwertyuiop",
    "password12",
    "ada finch 1",
    "passwordpassword",
  ])("that is guessed first is not taken: “%s”", async (password) => {
    expect((await signUp(password)).json()).toMatchObject({ code: "invalid_input", path: "password" });
  });
  it("is not one's own address, and is the same however a keyboard composes its letters", async () => {
    const email = "ada.finch.of.aldermere@example.org";
    expect((await signUp(email, email)).json()).toMatchObject({ path: "password" });
    const other = `${randomUUID()}@example.org`;
    expect((await signUp("müde füße überall".normalize("NFD"), other)).statusCode).toBe(201);
    for (const form of ["NFC", "NFD"] as const) {
      const payload = { email: other, password: "müde füße überall".normalize(form) };
      expect((await server.send({ method: "POST", url: "/api/auth/sign-in", payload })).statusCode).toBe(200);
    }
  });
});

it("signing up can be closed, which an invitation opens", async () => {
  const closed = await server.another({ signUp: false });
  expect((await closed.inject("/api/auth")).json()).toMatchObject({ signUp: false });
  const person = { name: "Ada", email: `${randomUUID()}@example.org`, password: PASSWORD };
  const payload = { ...person, clubName: "Mine" };
  expect((await closed.inject({ method: "POST", url: "/api/auth/sign-up", payload })).json().code).toBe(
    "forbidden",
  );
  const { token } = (await server.ask("POST", "/api/:club/invites", { role: "coach", athleteId: null })).body;
  const joined = await closed.inject({
    method: "POST",
    url: `/api/invites/${token}/sign-up`,
    payload: person,
  });
  expect(joined.statusCode).toBe(201);
});

it("purges what has expired, and nothing that has not", async () => {
  const { people, ids } = await fullClub(server);
  const { models, sequelize } = server;
  const share = (await people.owner.ask("POST", `/api/:club/starts/${ids.start}/shares`, { until: "day" }))
    .body;
  await people.owner.ask("POST", "/api/:club/runs", runInput(ids.start));
  await people.owner.ask("DELETE", `/api/:club/shares/${ids.share}`);
  await sequelize.query("UPDATE shares SET withdrawn_at = now() - interval '91 days' WHERE id = $1", {
    bind: [ids.share],
  });
  await sequelize.query("UPDATE invites SET expires_at = now() - interval '91 days' WHERE id = $1", {
    bind: [ids.invite],
  });
  await models.Session.update({ expiresAt: new Date(0) }, { where: { userId: people.athlete.userId } });
  // An order of long ago in which nobody stands any more, and one in which somebody does.
  const past = orderInput().slots.map((slot) => ({ ...slot, at: slot.at.replace("2098", "2020") }));
  const order = async (...startIds: string[]) =>
    (await people.owner.ask("POST", "/api/:club/orders", { ...orderInput(...startIds), slots: past })).body
      .id;
  const [left, stood] = [await order(), await order(ids.start)];
  await people.owner.ask("DELETE", `/api/:club/calendars/${ids.calendar}`);
  await sequelize.query("UPDATE calendars SET withdrawn_at = now() - interval '91 days' WHERE id = $1", {
    bind: [ids.calendar],
  });
  const before = await models.Run.count();
  expect(await purge(server)).toBe(true);
  expect(
    (await models.Order.findAll({ where: { id: [left, stood, ids.order] } })).map((o) => o.id).sort(),
  ).toEqual([stood, ids.order].sort());
  expect(await models.Calendar.count({ where: { id: ids.calendar } })).toBe(0);
  expect(await models.Share.count({ where: { id: [ids.share, share.id] } })).toBe(1);
  expect(await models.Invite.count({ where: { id: ids.invite } })).toBe(0);
  expect(await models.Session.count({ where: { userId: people.athlete.userId } })).toBe(0);
  expect(await models.Session.count({ where: { userId: people.owner.userId } })).toBe(1);
  expect(await models.Run.count()).toBe(before);
});
