import { idsIn, type KeptExchange } from "../../core/test/made/exchanges";
import exchanges from "./release/requests.json";
import { testServer } from "./testServer";

const INSTANT = /\d{4}-\d\d-\d\dT\d\d:\d\d:\d\d\.\d{3}Z/g;
const kept = JSON.stringify(exchanges);
/** When it was recorded: at its last press. */
const recordedAt = Math.max(
  ...[...kept.matchAll(/"at":"([^"]+)"/g)].map(([, at]) => Date.parse(at as string)),
);
/** The same day as if it were pressed now: a link that was good for a day then is good for a day. */
const shiftedToNow = (text: string) =>
  text.replace(INSTANT, (at) => new Date(Date.parse(at) + Date.now() - recordedAt).toISOString());

/** What the release before this one asks of the server, as its client did, is answered as it was then. */
it("a phone with the release before this one goes through a whole day", async () => {
  const server = await testServer();
  /** Ids that the server made then, and those that it makes now in their place. */
  const now = new Map<string, string>();
  const asNow = (text: string) => [...now].reduce((all, [then, id]) => all.replaceAll(then, id), text);
  const answers: string[] = [];
  for (const { method, path, body, status, ids } of JSON.parse(shiftedToNow(kept)) as KeptExchange[]) {
    const answer = await server.ask(
      method as "GET",
      asNow(path),
      body === null ? undefined : JSON.parse(asNow(JSON.stringify(body))),
    );
    answers.push(`${method} ${path} ${answer.status}`);
    expect(answers.at(-1)).toBe(`${method} ${path} ${status}`);
    const made = idsIn(answer.body);
    for (const [at, then] of Object.entries(ids)) if (made[at]) now.set(then, made[at]);
  }
  const kinds = new Set(answers.map((line) => line.replace(/[0-9a-f-]{36}/g, "*").replace(/\?.*/, "")));
  for (const deed of [
    "POST /api/:club/starts/*/move",
    "PUT /api/:club/plans/*",
    "POST /api/:club/runs/*/events",
  ])
    expect([...kinds].some((kind) => kind.startsWith(deed))).toBe(true);
  await server.close();
}, 60_000);
