import { isDeepStrictEqual } from "node:util";
import type { PlanBody } from "@tonodrome/core";
import type { Plan, Start } from "@tonodrome/core/api";
import fc from "fast-check";
import { cases } from "../../core/test/made/cases";
import { drillInput, eventInput, makeStart, planBody, startWrite } from "./make";
import { type TestServer, testServer } from "./testServer";

let server: TestServer;
beforeAll(async () => {
  server = await testServer();
});
afterAll(() => server.close());

/** What one of two people does next: reads, or saves what they have made of what they last read. */
interface Step {
  who: 0 | 1;
  does: "read" | "save" | "save-again" | "take-theirs-and-save";
  /** Whether it is sent before the step before has been answered. */
  atOnce: boolean;
}

const anySteps = fc.array(
  fc.record<Step>({
    who: fc.constantFrom(0, 1),
    does: fc.constantFrom("read", "save", "save", "save-again", "take-theirs-and-save"),
    atOnce: fc.boolean(),
  }),
  { minLength: 4, maxLength: 16 },
);

it("two people edit one warm-up in any order: every edit is the plan's, or kept among its edits, and who lost is told", async () => {
  await fc.assert(
    fc.asyncProperty(anySteps, async (steps) => {
      const { plan } = await makeStart(server);
      const people = [0, 1].map(() => ({ version: 1, last: null as PlanBody | null }));
      const sent: PlanBody[] = [];
      const saved: { version: number; body: PlanBody }[] = [];
      let made = 0;

      const act = async ({ who, does }: Step) => {
        const person = people[who] as (typeof people)[0];
        if (does === "read") {
          person.version = (await server.ask("GET", `/api/:club/plans/${plan.id}`)).body.version;
          return;
        }
        const body = does === "save-again" && person.last ? person.last : planBody(`${who} edit ${made++}`);
        const write = async () => {
          const { version } = person;
          const answer = await server.ask("PUT", `/api/:club/plans/${plan.id}`, {
            version,
            body,
          });
          if (answer.status === 200) {
            expect(answer.body.body).toEqual(body);
            saved.push({ version: answer.body.version, body });
            person.version = answer.body.version;
          } else {
            expect(answer).toMatchObject({ status: 409, body: { code: "version_conflict" } });
            expect(answer.body.current.version).not.toBe(version);
          }
          return answer;
        };
        person.last = body;
        sent.push(body);
        const answer = await write();
        if (does === "take-theirs-and-save" && answer.status === 409) {
          person.version = answer.body.current.version;
          await write();
        }
      };

      let before = Promise.resolve();
      for (const step of steps) {
        if (!step.atOnce) await before;
        before = Promise.all([before, act(step)]).then(() => undefined);
      }
      await before;

      const { edits } = (await server.ask("GET", `/api/:club/plans/${plan.id}/edits`)).body as {
        edits: { version: number; outcome: string; body: PlanBody }[];
      };
      for (const body of sent) expect(edits.some((e) => isDeepStrictEqual(e.body, body))).toBe(true);
      for (const { version, body } of saved) {
        const kept = edits.filter((e) => e.outcome === "saved" && e.version === version);
        expect(kept.map((e) => e.body)).toEqual([body]);
      }
      const versions = edits.filter((e) => e.outcome === "saved").map((e) => e.version);
      expect(versions).toEqual(versions.map((_, i) => versions.length + 1 - i));
      const now = (await server.ask("GET", `/api/:club/plans/${plan.id}`)).body as Plan;
      expect(now.version).toBe(versions.length + 1);
      if (versions.length > 0) expect(edits.find((e) => e.version === now.version)?.body).toEqual(now.body);
    }),
    cases(40, 8),
  );
}, 60_000);

it("people who move a start at once, on two servers: each version is one person's, and nobody is told a move that did not hold", async () => {
  const other = await server.another();
  await fc.assert(
    fc.asyncProperty(
      fc.array(fc.integer({ min: 1, max: 40 }), { minLength: 2, maxLength: 6 }),
      async (moves) => {
        const start = await makeStart(server);
        const answers = await Promise.all(
          moves.map(async (minutes, i) => {
            const startsAt = new Date(Date.parse(start.startsAt) + minutes * 60_000).toISOString();
            const answer = await (i % 2 ? other : server.app).inject({
              method: "PUT",
              url: `/api/clubs/${server.clubId}/starts/${start.id}`,
              headers: { cookie: server.owner.cookie },
              payload: startWrite(start, { startsAt }),
            });
            return { startsAt, status: answer.statusCode, body: answer.json() };
          }),
        );
        const now = (await server.ask("GET", `/api/:club/starts/${start.id}`)).body as Start;
        expect(now.version).toBe(2);
        for (const { startsAt, status, body } of answers) {
          // The same move by two people is one move.
          if (status === 200) expect([startsAt, body.version]).toEqual([now.startsAt, 2]);
          else expect(body).toMatchObject({ code: "version_conflict", current: { startsAt: now.startsAt } });
        }
        expect(answers.some((a) => a.status === 200)).toBe(true);
      },
    ),
    cases(25, 8),
  );
}, 60_000);

describe("whatever is written over,", () => {
  /** How each is made, and what of it two people may change. */
  const things: [string, () => Promise<{ path: string; write: (name: string) => object }>][] = [
    [
      "a drill",
      async () => {
        const made = (await server.ask("POST", "/api/:club/drills", drillInput("Hops"))).body;
        return {
          path: `/api/:club/drills/${made.id}`,
          write: (name) => ({ ...drillInput(name), details: made.details, archived: false, version: 1 }),
        };
      },
    ],
    [
      "an athlete",
      async () => {
        const made = (await server.ask("POST", "/api/:club/athletes", { name: "Ada Finch" })).body;
        return {
          path: `/api/:club/athletes/${made.id}`,
          write: (name) => ({ name, profile: made.profile, version: 1 }),
        };
      },
    ],
    [
      "an event",
      async () => {
        const made = (await server.ask("POST", "/api/:club/events", eventInput("Free"))).body;
        return {
          path: `/api/:club/events/${made.id}`,
          write: (name) => ({ ...eventInput(name), archived: false, version: 1 }),
        };
      },
    ],
    [
      "a start",
      async () => {
        const start = await makeStart(server);
        return {
          path: `/api/:club/starts/${start.id}`,
          write: (title) => startWrite(start, { title }),
        };
      },
    ],
    [
      "a warm-up",
      async () => {
        const { plan } = await makeStart(server);
        const bodies = new Map<string, PlanBody>();
        const bodyOf = (name: string) => bodies.get(name) ?? bodies.set(name, planBody(name)).get(name);
        return {
          path: `/api/:club/plans/${plan.id}`,
          write: (name) => ({ version: 1, body: bodyOf(name) }),
        };
      },
    ],
  ];

  it.each(things)(
    "%s is one person's of all who write at once, and the same edit sent again counts as saved",
    async (_, make) => {
      const { path, write } = await make();
      const names = Array.from({ length: 8 }, (_, i) => `Name ${i}`);
      const answers = await Promise.all(names.map((name) => server.ask("PUT", path, write(name))));
      const won = answers.flatMap(({ status }, i) => (status === 200 ? [i] : []));
      expect(answers.map((a) => a.status).toSorted()).toEqual([200, ...Array(7).fill(409)]);
      const [winner] = won as [number];
      const again = await server.ask("PUT", path, write(names[winner] as string));
      expect([again.status, again.body.version]).toEqual([200, 2]);
      const other = await server.ask("PUT", path, write("Another"));
      expect([other.status, other.body.code, other.body.current.version]).toEqual([
        409,
        "version_conflict",
        2,
      ]);
    },
  );
});
