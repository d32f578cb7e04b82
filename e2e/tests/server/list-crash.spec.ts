import { expect, test } from "@playwright/test";
import { withOwnServer } from "../../ownServer";

const ROWS = 2_000;

test("a server that is killed in the middle of a start list has taken all of it or nothing, and takes it then", {
  tag: "@long",
}, async () => {
  test.setTimeout(200_000);
  await withOwnServer(async ({ server, ask, club }) => {
    const rows = Array.from({ length: ROWS }, (_, i) => ({
      line: i + 2,
      athlete: `Athlete ${i % 500}`,
      title: `Round ${i % 7}`,
      venue: "Hall",
      zone: "UTC",
      startsAt: new Date(Date.UTC(2098, 5, 1, 8) + i * 60_000).toISOString(),
      number: (i % 400) + 1,
    }));
    const send = (agreed: string | null) =>
      ask("POST", `${club}/start-list`, { rows, addAthletes: true, agreed });
    const made = async () => {
      const table = (await ask("GET", `${club}/tables/starts`)).text;
      return table.trim().split("\r\n").length - 1;
    };
    const { mark } = JSON.parse((await send(null)).text);
    // Killed later and later, until it was too late.
    let taken = 0;
    let halfway = 0;
    for (let after = 100; taken === 0 && after < 20_000; after = Math.ceil(after * 1.6)) {
      const answer = send(mark).catch(() => null);
      const isDone = await Promise.race([
        answer.then(() => true),
        new Promise<boolean>((resolve) => setTimeout(() => resolve(false), after)),
      ]);
      if (!isDone) halfway++;
      await server.kill();
      await answer;
      expect(await server.start()).toBeNull();
      taken = await made();
      expect([0, ROWS]).toContain(taken);
    }
    expect(halfway).toBeGreaterThan(0);
    expect(taken).toBe(ROWS);
    // Sent again, because no answer came: there is nothing left to do.
    expect(JSON.parse((await send(mark)).text)).toMatchObject({ taken: true });
    expect(await made()).toBe(ROWS);
  });
});
