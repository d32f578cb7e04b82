import { QueryClient, type UseMutationResult } from "@tanstack/react-query";
import { act, renderHook, waitFor } from "@testing-library/react-native";
import { emptyPlan, noProfile } from "@tonodrome/core";
import type { Athlete, Member, Start } from "@tonodrome/core/api";
import { currentAccount, signedInAs } from "~/data/account/account";
import { ApiFailure } from "~/data/client/api";
import * as athletes from "~/data/resources/athletes";
import { circumstancesOf } from "~/data/resources/circumstances";
import * as club from "~/data/resources/club";
import * as drills from "~/data/resources/drills";
import * as events from "~/data/resources/events";
import * as invites from "~/data/resources/invites";
import * as log from "~/data/resources/log";
import * as members from "~/data/resources/members";
import * as shares from "~/data/resources/shares";
import * as starters from "~/data/resources/starters";
import * as startsOf from "~/data/resources/starts";
import * as templates from "~/data/resources/templates";
import { putStart } from "~/data/starts/startCache";
import { CLUB, makeMe } from "~/test/made/makeMe";
import { makeStart } from "~/test/made/makeStart";
import { withClient } from "~/test/made/withClient";

interface Request {
  method: string;
  path: string;
  body: unknown;
}

let asked: Request[];
let answers: (request: Request) => unknown;
let client: QueryClient;
let reread: string[];

beforeEach(() => {
  localStorage.clear();
  signedInAs(makeMe());
  asked = [];
  answers = ({ path }) => (path === "/starters" ? { name: "x", added: 1, kept: 0 } : { done: true });
  Object.assign(AbortSignal, { timeout: () => undefined });
  Object.assign(globalThis, {
    fetch: async (url: string, init: { method: string; body?: string }) => {
      const path = url.replace(`/api/clubs/${CLUB}`, "");
      const body = typeof init.body === "string" ? JSON.parse(init.body) : init.body;
      const request = { method: init.method, path, body };
      asked.push(request);
      return {
        ok: true,
        headers: new Map(),
        json: async () => (path === "/api/me" ? makeMe() : answers(request)),
      };
    },
  });
  client = new QueryClient({ defaultOptions: { queries: { retry: false } } });
  reread = [];
  jest.spyOn(client, "invalidateQueries").mockImplementation(async (filter) => {
    reread.push(filter?.queryKey ? String(filter.queryKey[0]) : "everything");
  });
});
afterEach(() => client.clear());

function hook<T>(use: () => T) {
  const wrapper = withClient(client);
  return renderHook(use, { wrapper }).result;
}

// biome-ignore lint/suspicious/noExplicitAny: mutations of every kind, sent alike
type AnyMutation = () => UseMutationResult<any, Error, any>;

const ID = "99999999-9999-4999-8999-999999999999";
const athlete = { id: ID, version: 1, name: "Ada", profile: noProfile() } as Athlete;
const member = { userId: ID } as Member;
const me = ["GET /api/me"];

describe("what is written is sent where it belongs, and what it changes is read again:", () => {
  it.each<[string, AnyMutation, unknown, string, unknown, string[]]>([
    [
      "an athlete",
      athletes.useSaveAthlete,
      { id: ID, write: { version: 1 } },
      `PUT /athletes/${ID}`,
      { version: 1 },
      ["athletes", "starts", "start"],
    ],
    [
      "a name taken away",
      athletes.useAnonymiseAthlete,
      athlete,
      `POST /athletes/${ID}/anonymise`,
      undefined,
      ["everything"],
    ],
    [
      "an athlete deleted",
      athletes.useDeleteAthlete,
      athlete,
      `DELETE /athletes/${ID}`,
      undefined,
      ["everything"],
    ],
    [
      "a drill",
      drills.useSaveDrill,
      { id: ID, write: { version: 2 } },
      `PUT /drills/${ID}`,
      { version: 2 },
      ["drills"],
    ],
    [
      "an event",
      events.useSaveEvent,
      { id: ID, write: { version: 2 } },
      `PUT /events/${ID}`,
      { version: 2 },
      ["events"],
    ],
    [
      "a template deleted",
      templates.useDeleteTemplate,
      ID,
      `DELETE /templates/${ID}`,
      undefined,
      ["templates"],
    ],
    [
      "an invitation withdrawn",
      invites.useWithdrawInvite,
      ID,
      `DELETE /invites/${ID}`,
      undefined,
      ["invites"],
    ],
    ["a link withdrawn", shares.useWithdrawShare, ID, `DELETE /shares/${ID}`, undefined, ["shares"]],
    [
      "a starter",
      starters.useInstallStarter,
      { name: "x" },
      "POST /starters",
      { name: "x" },
      ["drills", "events", "starters"],
    ],
    [
      "a member",
      members.useSaveMember,
      { member, write: { role: "coach" } },
      `PUT /members/${ID}`,
      { role: "coach" },
      ["members"],
    ],
    ["a member taken out", members.useRemoveMember, member, `DELETE /members/${ID}`, undefined, ["members"]],
    ["the club's name", club.useRenameClub, "New", "PUT ", { name: "New" }, []],
    ["the club deleted", club.useDeleteClub, "Hall club", "DELETE ", { name: "Hall club" }, []],
    ["leaving the club", club.useLeaveClub, undefined, "POST /leave", undefined, []],
    [
      "a club's file",
      club.useImportClub,
      { file: '"lines"', name: "keep" },
      "POST /import?name=keep",
      "lines",
      ["everything"],
    ],
  ])("%s", async (_, use, input, request, body, keys) => {
    const result = hook(use);
    // What the answer looks like is another test's business.
    await act(() => result.current.mutateAsync(input).catch(() => undefined));
    const [first] = asked;
    expect([`${first?.method} ${first?.path}`, first?.body]).toEqual([request, body]);
    if (keys.length > 0 && keys[0] !== "everything") expect(reread).toEqual(keys);
  });

  it.each<[string, AnyMutation, unknown, string, string]>([
    ["a drill", drills.useCreateDrill, { name: "Hops" }, "/drills", "drills"],
    ["an event", events.useCreateEvent, { name: "Final" }, "/events", "events"],
    ["a template", templates.useCreateTemplate, { name: "Usual" }, "/templates", "templates"],
    ["an invitation", invites.useInvite, { role: "coach" }, "/invites", "invites"],
    ["a link", () => shares.useShare(ID), "day", `/starts/${ID}/shares`, "shares"],
    ["a start", startsOf.useCreateStart, { title: "Final" }, "/starts", ""],
  ])("%s is made with an id of its own", async (_, use, input, path) => {
    const result = hook(use);
    await act(() => result.current.mutateAsync(input).catch(() => undefined));
    expect(`${asked[0]?.method} ${asked[0]?.path}`).toBe(`POST ${path}`);
    expect((asked[0] as { body: { id: string } }).body.id).toMatch(/^[\da-f-]{36}$/);
  });
});

it("reads everything again after what changes everything, and who one is after leaving", async () => {
  const gone = hook(athletes.useDeleteAthlete);
  await act(() => gone.current.mutateAsync(athlete));
  expect(reread).toEqual(["everything"]);
  asked = [];
  const left = hook(club.useLeaveClub);
  await act(() => left.current.mutateAsync());
  expect(asked.map((r) => `${r.method} ${r.path}`)).toEqual(["POST /leave", ...me]);
});

describe("what is read comes from where it is, and of it what is listed", () => {
  it.each<[string, () => { data: unknown }, string, string]>([
    ["athletes", athletes.useAthletes, "/athletes", "athletes"],
    ["drills", drills.useDrills, "/drills", "drills"],
    ["events", events.useEvents, "/events", "events"],
    ["templates", templates.useTemplates, "/templates", "templates"],
    ["invitations", invites.useInvites, "/invites", "invites"],
    ["members", members.useMembers, "/members", "members"],
    ["starters", starters.useStarters, "/starters", "starters"],
    ["a start's links", () => shares.useShares(ID), `/starts/${ID}/shares`, "shares"],
    ["the club's links", shares.useClubShares, "/shares", "shares"],
  ])("%s", async (_, use, path, field) => {
    answers = () => ({ [field]: [] });
    const result = hook(use);
    await waitFor(() => expect(result.current.data).toEqual([]));
    expect(asked.map((r) => `${r.method} ${r.path}`)).toEqual([`GET ${path}`]);
  });

  it("nothing of the shelf for whom it is not", () => {
    hook(() => drills.useDrills(false));
    expect(asked).toEqual([]);
  });

  it("the log and the trail a page at a time, from where the last one ended", async () => {
    const next = `2026-06-01T12:00:00.000Z~${ID}`;
    answers = ({ path }) => ({
      [path.slice(1, 5) === "runs" ? "runs" : "entries"]: [],
      next: path.includes("before") ? null : next,
    });
    for (const [use, path] of [
      [log.useRuns, "/runs"],
      [club.useAudit, "/audit"],
    ] as const) {
      asked = [];
      const result = hook(() => use() as ReturnType<typeof log.useRuns>);
      await waitFor(() => expect(result.current.hasNextPage).toBe(true));
      await act(() => result.current.fetchNextPage());
      await waitFor(() => expect(result.current.hasNextPage).toBe(false));
      expect(asked.map((r) => decodeURIComponent(r.path))).toEqual([path, `${path}?before=${next}`]);
    }
  });

  it("an athlete's starts before one, whole", async () => {
    const start = makeStart();
    answers = ({ path }) =>
      path.includes("whole") ? { starts: [start], glances: [] } : { starts: [rowOf(start)] };
    const result = hook(() => startsOf.useStartsBefore(start.athlete.id, start.startsAt));
    await waitFor(() => expect(result.current.data).toEqual([start]));
    expect(asked.map((r) => r.path)).toEqual([
      `/starts?athleteId=${start.athlete.id}&before=${start.startsAt}`,
      `/starts/whole?ids=${start.id}`,
    ]);
  });
});

const rowOf = ({ setting: _, facts: __, plan: ___, ...row }: Start) => row;

it("writes a start over with what changed of it and the rest as it was read, and shows the answer everywhere", async () => {
  const start = makeStart({ startsAt: new Date(Date.now() + 3_600_000).toISOString() });
  const moved = { ...start, version: 2, title: "Semi-final" };
  answers = () => moved;
  client.setQueryData(["starts"], [start]);
  const result = hook(startsOf.useSaveStart);
  await act(() => result.current.mutateAsync({ start, changes: { title: "Semi-final" } }));
  const { plan: _, facts: __, stamp: ___, order: ____, id, athlete: who, ...rest } = start;
  expect(asked[0]).toEqual({
    method: "PUT",
    path: `/starts/${id}`,
    body: { ...rest, athleteId: who.id, title: "Semi-final" },
  });
  expect(client.getQueryData(["start", id])).toEqual(moved);
  expect(client.getQueryData(["starts"])).toEqual([moved]);
});

it("does not list a start that is long over", () => {
  const over = makeStart({ startsAt: new Date(Date.now() - 4 * 3_600_000).toISOString() });
  client.setQueryData(["starts"], [over]);
  putStart(client, over);
  expect(client.getQueryData(["starts"])).toEqual([]);
});

it("puts a start that is read anew in its place in time", () => {
  const inHours = (hours: number, id: string) =>
    makeStart({ id, startsAt: new Date(Date.now() + hours * 3_600_000).toISOString() });
  const [first, second] = [inHours(1, "first"), inHours(2, "second")];
  client.setQueryData(["starts"], [second]);
  putStart(client, first);
  putStart(client, inHours(3, "third"));
  expect(client.getQueryData<(typeof first)[]>(["starts"])?.map(({ id }) => id)).toEqual([
    "first",
    "second",
    "third",
  ]);
});

it("knows a link that is over for good from a server that cannot be reached", () => {
  const over = (code: "link_over" | "not_found" | "unreachable") =>
    shares.isLinkOver(new ApiFailure(code, ""));
  expect([over("link_over"), over("not_found"), over("unreachable")]).toEqual([true, true, false]);
});

it("exports the club that is open, with or without earlier versions", () => {
  expect(hook(() => club.useExportAddress(true)).current).toBe(`/api/clubs/${CLUB}/export`);
  expect(hook(() => club.useExportAddress(false)).current).toBe(`/api/clubs/${CLUB}/export?edits=no`);
  expect(currentAccount().club?.id).toBe(CLUB);
});

it("tells what there is at a start and who it is for: the youngest of an age band, and what is protected that day", () => {
  const start = makeStart({}, emptyPlan());
  const until = (day: string) => [{ area: "knee" as const, until: day }];
  const profile = { ...noProfile(), ageBand: "10-12" as const, equipment: ["Boots"] };
  const of = (day: string) =>
    circumstancesOf(start, { ...athlete, profile: { ...profile, protectedAreas: until(day) } });
  expect(of("2026-06-01")).toMatchObject({ own: ["Boots"], age: 10, protectedAreas: ["knee"] });
  expect(of("2026-05-31").protectedAreas).toEqual([]);
  expect(circumstancesOf(start, undefined)).toMatchObject({ own: [], age: null, protectedAreas: [] });
});
