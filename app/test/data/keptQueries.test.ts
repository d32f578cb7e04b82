import { QueryClient } from "@tanstack/react-query";

/** Stands in for the browser's database, which the tests' page does not have. */
const mockStore = new Map<string, unknown>();
jest.mock("idb-keyval", () => ({
  createStore: () => "store",
  get: async (key: string) => mockStore.get(key),
  set: async (key: string, value: unknown) => void mockStore.set(key, JSON.parse(JSON.stringify(value))),
  del: async (key: string) => void mockStore.delete(key),
  clear: async () => mockStore.clear(),
}));

import { forgetQueries, keepQueries } from "~/data/queries/keptQueries";

const whose = { personId: "ada", clubId: "club" };
let client: QueryClient;

beforeEach(() => {
  jest.useFakeTimers({ now: Date.parse("2026-06-01T10:00:00.000Z") });
  mockStore.clear();
  client = new QueryClient();
});
afterEach(() => {
  client.clear();
  jest.useRealTimers();
});

/** Opens the application: what is kept is there a moment later. */
async function opened(client: QueryClient, who = whose): Promise<() => void> {
  const end = keepQueries(client, who);
  await jest.advanceTimersByTimeAsync(10);
  return end;
}

/** Keeps what a client has read, and opens the application anew. */
async function keptAndOpenedAgain(read: (client: QueryClient) => void, later = whose): Promise<QueryClient> {
  const end = await opened(client);
  read(client);
  await jest.advanceTimersByTimeAsync(1000);
  end();
  const next = new QueryClient();
  await opened(next, later);
  return next;
}

it("has the day's starts again, to be shown until the server has answered and asked for anew", async () => {
  const next = await keptAndOpenedAgain((c) => c.setQueryData(["starts"], [{ id: "a" }]));
  expect(next.getQueryData(["starts"])).toEqual([{ id: "a" }]);
  expect(
    next
      .getQueryCache()
      .find({ queryKey: ["starts"] })
      ?.isStaleByTime(60_000),
  ).toBe(true);
});

it("never puts what was kept over what the server has just said", async () => {
  await keptAndOpenedAgain((c) => c.setQueryData(["starts"], ["old"]));
  const next = new QueryClient();
  next.setQueryData(["starts"], ["new"]);
  await opened(next);
  expect(next.getQueryData(["starts"])).toEqual(["new"]);
});

it("keeps nothing of athletes' profiles, nothing for others, and nothing for longer than a day and a half", async () => {
  const both = (c: QueryClient) => {
    c.setQueryData(["athletes"], ["sore knee"]);
    c.setQueryData(["starts"], ["a"]);
  };
  const next = await keptAndOpenedAgain(both);
  expect(next.getQueryData(["athletes"])).toBeUndefined();
  expect(JSON.stringify([...mockStore])).not.toContain("sore knee");
  const other = await keptAndOpenedAgain(both, { ...whose, clubId: "other" });
  expect(other.getQueryData(["starts"])).toBeUndefined();
  const stranger = await keptAndOpenedAgain(both, { ...whose, personId: "bo" });
  expect(stranger.getQueryData(["starts"])).toBeUndefined();
  jest.setSystemTime(Date.now() + 37 * 3_600_000);
  const late = new QueryClient();
  await opened(late);
  expect(late.getQueryData(["starts"])).toBeUndefined();
});

it("forgets everything at signing out", async () => {
  await keptAndOpenedAgain((c) => c.setQueryData(["starts"], ["a"]));
  expect(mockStore.size).toBe(1);
  await forgetQueries();
  expect(mockStore.size).toBe(0);
});

it("writes nothing that was read before signing out after it, however late", async () => {
  const end = await opened(client);
  client.setQueryData(["starts"], ["a"]);
  client.setQueryData(["starts"], ["b"]);
  await forgetQueries();
  client.setQueryData(["starts"], ["c"]);
  await jest.advanceTimersByTimeAsync(2000);
  end();
  expect(mockStore.size).toBe(0);
});

it("keeps what there is while nothing is read anew, and writes nothing for a page that was left", async () => {
  await keptAndOpenedAgain((c) => c.setQueryData(["starts"], ["a"]));
  const [before] = mockStore.values();
  const next = new QueryClient();
  const end = keepQueries(next, { ...whose, clubId: "other" });
  next.setQueryData(["athletes"], ["b"]);
  await jest.advanceTimersByTimeAsync(1000);
  expect([...mockStore.values()]).toEqual([before]);
  end();
  next.setQueryData(["starts"], ["c"]);
  await jest.advanceTimersByTimeAsync(1000);
  expect([...mockStore.values()]).toEqual([before]);
});
