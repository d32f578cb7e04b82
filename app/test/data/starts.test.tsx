import { QueryClient } from "@tanstack/react-query";
import { act, renderHook, waitFor } from "@testing-library/react-native";
import { noProfile } from "@tonodrome/core";
import type { Start } from "@tonodrome/core/api";
import { CLUB, makeMe as mockMe } from "~/test/made/makeMe";
import { makeStart } from "~/test/made/makeStart";

jest.mock("~/data/account/useAccount", () => ({ useMembership: () => mockMe().clubs[0] }));
jest.mock("~/data/account/account", () => ({
  ...jest.requireActual("~/data/account/account"),
  refreshMe: async () => undefined,
}));
let mockHear: (change: { topic: string; id?: string }) => void = () => undefined;
jest.mock("~/data/client/changes", () => ({
  followChanges: (_path: string, onChange: typeof mockHear) => {
    mockHear = onChange;
    return () => undefined;
  },
}));

import { putGlance } from "~/data/queries/glances";
import { useKeptGlance } from "~/data/queries/useKeptGlance";
import { useCreateAthlete } from "~/data/resources/athletes";
import { useLiveClub } from "~/data/resources/liveClub";
import { useStarts } from "~/data/resources/starts";
import { startsPath, wholePath } from "~/early/asks";
import { withClient } from "~/test/made/withClient";

const idOf = (n: number) => `22222222-2222-4222-8222-${String(n).padStart(12, "0")}`;
const startAt = (n: number, stamp = "1.1.1.0") =>
  makeStart({ id: idOf(n), stamp, startsAt: new Date(Date.now() + n * 60_000).toISOString() });

let starts: Start[];
let asked: string[];
let fails = false;
const bodies: unknown[] = [];
let glances: object[] = [];

beforeEach(() => {
  jest.useRealTimers();
  starts = Array.from({ length: 25 }, (_, i) => startAt(i + 1));
  asked = [];
  bodies.length = 0;
  glances = [];
  globalThis.tonodromeEarly = undefined;
  fails = false;
  Object.assign(AbortSignal, { timeout: () => undefined });
  Object.assign(globalThis, {
    fetch: async (url: string, init: { method: string; body?: string }) => {
      const path = url.replace(`/api/clubs/${CLUB}`, "");
      asked.push(`${init.method} ${path.replace(/from=[^&]*/, "from")}`);
      if (init.body) bodies.push(JSON.parse(init.body));
      if (fails) throw new TypeError("Failed to fetch");
      return { ok: true, headers: new Map(), json: async () => answer(path, init.body) };
    },
  });
});

function answer(path: string, body: string | undefined): unknown {
  if (path.startsWith("/starts?"))
    return { starts: starts.map(({ setting: _, facts: __, plan: ___, ...row }) => row) };
  const ids = /ids=(.*)$/.exec(path)?.[1]?.split(",");
  if (ids) return { starts: starts.filter((s) => ids.includes(s.id)), glances };
  const id = /\/starts\/(.+)$/.exec(path)?.[1];
  if (id) return starts.find((s) => s.id === id);
  return { version: 1, profile: noProfile(), ...JSON.parse(body ?? "{}") };
}

function wrapped<T>(hook: () => T) {
  const client = new QueryClient({ defaultOptions: { queries: { retry: false } } });
  const wrapper = withClient(client);
  return { client, ...renderHook(hook, { wrapper }) };
}

it("reads the bodies of starts several at once, and again only of those that changed", async () => {
  const { client, result } = wrapped(() => useStarts());
  await waitFor(() => expect(result.current.data).toHaveLength(25));
  expect(asked.map((a) => a.replace(/ids=.*/, "ids"))).toEqual([
    "GET /starts?from",
    "GET /starts/whole?ids",
    "GET /starts/whole?ids",
  ]);
  asked = [];
  starts[3] = { ...(starts[3] as Start), title: "Another title", stamp: "2.1.1.0" };
  await act(() => client.invalidateQueries({ queryKey: ["starts"] }));
  expect(asked).toEqual(["GET /starts?from", `GET /starts/whole?ids=${idOf(4)}`]);
  await waitFor(() => expect(result.current.data?.[3]?.title).toBe("Another title"));
});

const glance = (word: string) => ({
  ...{ beginSeconds: -600, workSeconds: 300, word, fits: true, givenUp: "", segments: [] },
  ...{ needs: { full: 600, essentials: 300 }, state: null },
});

it("has with the first of them how they stand, until that is computed here", async () => {
  glances = [{ id: idOf(1), stamp: "1.1.1.0", glance: glance("as told") }];
  const { client, result } = wrapped(() => [useStarts().data, useKeptGlance(idOf(1))] as const);
  await waitFor(() => expect(result.current[1]?.glance.word).toBe("as told"));
  act(() => putGlance(client, idOf(1), { stamp: "1.1.1.0", of: "all", glance: glance("computed") }));
  act(() => putGlance(client, idOf(1), { stamp: "1.1.1.0", glance: glance("told again") }));
  await waitFor(() => expect(result.current[1]?.glance.word).toBe("computed"));
  act(() => putGlance(client, idOf(1), { stamp: "2.1.1.0", glance: glance("of another reading") }));
  await waitFor(() => expect(result.current[1]?.glance.word).toBe("of another reading"));
});

it("opens with what was asked before the application was there, where that is all of it", async () => {
  starts = starts.slice(0, 2);
  const asIf = (listed: Start[], whole: Start[]) => {
    const at = `/clubs/${CLUB}`;
    const rows = listed.map(({ setting: _, facts: __, plan: ___, ...row }) => row);
    const bodies = new Map<string, unknown>([
      [at + startsPath(Date.now()), { starts: rows }],
      [at + wholePath(listed.map((s) => s.id)), { starts: whole, glances: [] }],
    ]);
    globalThis.tonodromeEarly = { since: Date.now(), answers: new Map(), bodies, sight: null };
  };
  asIf(starts, starts);
  expect(wrapped(() => useStarts()).result.current.data).toEqual(starts);
  asIf(starts, starts.slice(1));
  expect(wrapped(() => useStarts()).result.current.data).toBeUndefined();
  // What was asked long ago is asked again.
  asIf(starts, starts);
  if (globalThis.tonodromeEarly) globalThis.tonodromeEarly.since -= 60_000;
  expect(wrapped(() => useStarts()).result.current.data).toBeUndefined();
});

it("reads one start alone when it is told that it changed, and puts it in its place", async () => {
  const { result } = wrapped(() => {
    useLiveClub();
    return useStarts();
  });
  await waitFor(() => expect(result.current.data).toHaveLength(25));
  asked = [];
  const later = new Date(Date.now() + 3_600_000).toISOString();
  starts[0] = { ...(starts[0] as Start), startsAt: later, stamp: "2.1.1.0" };
  act(() => mockHear({ topic: "starts", id: idOf(1) }));
  await waitFor(() => expect(result.current.data?.at(-1)?.id).toBe(idOf(1)));
  expect(asked).toEqual([`GET /starts/${idOf(1)}`]);
  starts[20] = {
    ...(starts[20] as Start),
    startsAt: new Date(Date.now() + 1000).toISOString(),
    stamp: "3.1.1.0",
  };
  act(() => mockHear({ topic: "starts", id: idOf(21) }));
  await waitFor(() => expect(result.current.data?.[0]?.id).toBe(idOf(21)));
});

it("sends what is made again with the id it had, until it is made; then, and for other input, another", async () => {
  const { result } = wrapped(() => useCreateAthlete());
  const make = (name: string) => act(() => result.current.mutateAsync({ name }).catch(() => undefined));
  fails = true;
  await make("Ada");
  await make("Ada");
  await make("Bo");
  fails = false;
  await make("Bo");
  await make("Bo");
  const ids = bodies.map((b) => (b as { id: string }).id);
  expect(ids[1]).toBe(ids[0]);
  expect(ids[2]).not.toBe(ids[0]);
  expect(ids[3]).toBe(ids[2]);
  expect(ids[4]).not.toBe(ids[3]);
});
