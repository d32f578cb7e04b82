import { readdirSync, readFileSync } from "node:fs";
import path from "node:path";
import type { Drill, Starter } from "@tonodrome/core/api";
import type { StarterShelf } from "@tonodrome/core/starter";
import { readStarter } from "../src/starters/readStarter";
import { STARTERS, type TestServer, testServer } from "./testServer";

let server: TestServer;
beforeAll(async () => {
  server = await testServer();
});
afterAll(() => server.close());

const files = readdirSync(STARTERS).map(
  (name) => [name, readFileSync(path.join(STARTERS, name), "utf8")] as const,
);

function shelfOf(text: string): StarterShelf {
  const read = readStarter(text);
  if ("faults" in read) throw new Error(JSON.stringify(read.faults, null, 1));
  return read.shelf;
}

describe.each(files)("%s", (name, text) => {
  const shelf = shelfOf(text);

  it("is complete enough to coach from", () => {
    expect(`${shelf.key}.json`).toBe(name);
    const technical = shelf.drills.filter((d) => d.phase === "technical");
    const rungs = technical.map((d) => (d.dose.kind === "ladder" ? d.dose.rungs.length : 1));
    if (name === "general-preparation.json") expect(shelf.drills.length).toBeGreaterThanOrEqual(40);
    else expect(rungs.reduce((a, b) => a + b, 0)).toBeGreaterThanOrEqual(25);
  });

  it.each(shelf.drills.map((d) => [d.name, d] as const))(
    "%s has cues, faults, cautions and an alternative",
    (_, drill) => {
      const { cues, faults, cautions, easier, harder, instead } = drill.details;
      expect(drill.focus).not.toBe("");
      expect(cues?.see || cues?.feel || cues?.listen).toBeTruthy();
      expect(faults?.length).toBeGreaterThan(0);
      expect(cautions?.length).toBeGreaterThan(0);
      expect(easier ?? harder ?? instead).toBeTruthy();
      expect(drill.details.purposes?.length).toBeGreaterThan(0);
    },
  );
});

describe("installing", () => {
  it("is one press, does nothing twice, and writes over nothing", async () => {
    const first = await server.ask("POST", "/api/:club/starters", { key: "archery" });
    expect(first.body).toMatchObject({ name: "Archery", kept: 0 });
    const before: Drill[] = (await server.ask("GET", "/api/:club/drills")).body.drills;
    expect(before).toHaveLength(first.body.added);
    const [{ id, changedAt: _, uses: __, ...drill }] = before as unknown as [Drill & { uses: number }];
    await server.ask("PUT", `/api/:club/drills/${id}`, { ...drill, name: "Ours now" });
    const again = await server.ask("POST", "/api/:club/starters", { key: "archery" });
    expect(again.body).toMatchObject({ added: 0, kept: before.length });
    const after: Drill[] = (await server.ask("GET", "/api/:club/drills")).body.drills;
    expect(after.find((d) => d.id === id)?.name).toBe("Ours now");
    // Links lead to drills of this shelf.
    const ids = new Set(after.map((d) => d.id));
    for (const { details } of after)
      for (const to of [details?.easier, details?.harder, details?.instead])
        if (to) expect(ids).toContain(to);
    const { starters } = (await server.ask("GET", "/api/:club/starters")).body;
    const { events } = (await server.ask("GET", "/api/:club/events")).body;
    expect(events.map(({ id, name }: Starter["events"][number]) => ({ id, name }))).toEqual(
      starters.find((s: Starter) => s.key === "archery").events,
    );
    expect(starters.map((s: Starter) => [s.key, s.installed === s.drills])).toEqual([
      // A sport brings what there is to warm with.
      ["general-preparation", true],
      ["archery", true],
      ["artistic-gymnastics", false],
      ["fencing", false],
      ["figure-skating", false],
      ["golf", false],
      ["high-jump", false],
      ["karate-forms", false],
      ["springboard-diving", false],
      ["table-tennis", false],
      ["trampoline", false],
    ]);
  });

  it("two at the same moment come to the same", async () => {
    const { person } = await server.signUp("Eager");
    const both = await Promise.all(
      [1, 2].map(() => person.ask("POST", "/api/:club/starters", { key: "fencing" })),
    );
    expect(both.map((b) => b.status)).toEqual([200, 200]);
    const { starters } = (await person.ask("GET", "/api/:club/starters")).body;
    expect(starters.find((s: Starter) => s.key === "fencing")).toMatchObject({ installed: 29, drills: 29 });
  });

  const good = files.find(([name]) => name === "fencing.json")?.[1] as string;
  const lineOf = (text: string) => good.slice(0, good.indexOf(text)).split("\n").length;
  it.each([
    [
      "a dose below its least",
      '"floor": 180',
      '"floor": 0',
      lineOf('"floor": 180'),
      "drills.0.dose.seconds.floor",
    ],
    [
      "an unknown part of the body",
      '"hip", "knee"',
      '"hip", "wing"',
      lineOf('"hip", "knee"'),
      "details.areas.1",
    ],
    [
      "an alternative that is not there",
      '"harder": "changes-of-pace"',
      '"harder": "changes"',
      lineOf('"harder": "changes-of-pace"'),
      "details.harder",
    ],
    ["a comma too few", '"version": 1,', '"version": 1', 4, "comma expected"],
    ["another format", "tonodrome-shelf", "other", 2, "format"],
  ])("a file with %s installs nothing and says line, field and reason", async (_, from, to, line, field) => {
    expect(good).toContain(from);
    const { person } = await server.signUp("Careful");
    const answer = await person.ask("POST", "/api/:club/starters", { text: good.replace(from, to) });
    expect(answer.body).toMatchObject({ code: "invalid_input", path: "text" });
    expect(answer.body.message).toMatch(new RegExp(`Nothing was installed\\. Line ${line}(\\D|$)`));
    expect(answer.body.message).toContain(field);
    expect((await person.ask("GET", "/api/:club/drills")).body.drills).toEqual([]);
  });

  it("a club's own file is taken like one that ships", async () => {
    const { person } = await server.signUp("Own");
    const text = good
      .replace('"key": "fencing"', '"key": "ours"')
      .replace('"name": "Fencing"', '"name": "Ours"');
    expect((await person.ask("POST", "/api/:club/starters", { text })).body).toEqual({
      name: "Ours",
      added: 29,
      kept: 0,
    });
  });
});
