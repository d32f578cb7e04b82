import { QueryClient, type UseMutationResult } from "@tanstack/react-query";
import { act, renderHook, waitFor } from "@testing-library/react-native";
import { currentAccount, signedInAs } from "~/data/account/account";
import { makeQueryClient } from "~/data/queries/queryClient";
import * as door from "~/data/resources/door";
import { CLUB, makeMe } from "~/test/made/makeMe";
import { withClient } from "~/test/made/withClient";

const SECOND = "77777777-7777-4777-8777-777777777777";
let asked: { request: string; body: unknown }[];
let answer: (request: string) => unknown;
let joined = 0;

beforeEach(() => {
  localStorage.clear();
  asked = [];
  joined = 0;
  answer = () => makeMe();
  Object.assign(AbortSignal, { timeout: () => undefined });
  Object.assign(globalThis, {
    fetch: async (url: string, { method, body }: { method: string; body?: string }) => {
      const request = `${method} ${url.replace("/api", "")}`;
      asked.push({ request, body: body && JSON.parse(body) });
      return { ok: true, headers: new Map(), json: async () => answer(request) };
    },
  });
});

function hook<T>(use: () => T) {
  const client = new QueryClient({ defaultOptions: { queries: { retry: false } } });
  const wrapper = withClient(client);
  return renderHook(use, { wrapper }).result;
}

// biome-ignore lint/suspicious/noExplicitAny: mutations of every kind, sent alike
type AnyMutation = () => UseMutationResult<any, Error, any>;

it.each<[string, AnyMutation, unknown, string, unknown]>([
  ["signing in", door.useSignIn, { email: "a" }, "POST /auth/sign-in", { email: "a" }],
  ["signing up", door.useSignUp, { email: "a" }, "POST /auth/sign-up", { email: "a" }],
  ["the demo", door.useOpenDemo, undefined, "POST /auth/demo", undefined],
  [
    "a new password by a link",
    door.useResetPassword,
    { password: "p" },
    "POST /auth/reset",
    { password: "p" },
  ],
  [
    "joining",
    () => door.useJoin("t", () => joined++),
    { name: "n" },
    "POST /invites/t/sign-up",
    { name: "n" },
  ],
])("one is signed in by %s", async (_, use, input, request, body) => {
  const result = hook(use);
  await act(() => result.current.mutateAsync(input));
  expect(asked).toEqual([{ request, body }]);
  expect(currentAccount().me?.name).toBe("Ada");
  expect(joined).toBe(request.includes("invites") ? 1 : 0);
});

it.each<[string, AnyMutation, unknown, string, unknown]>([
  ["signing out here", door.useSignOut, "here", "POST /auth/sign-out", undefined],
  ["signing out everywhere", door.useSignOut, "everywhere", "POST /me/sign-out-everywhere", undefined],
  ["deleting the account", door.useDeleteAccount, "p", "POST /me/delete", { password: "p" }],
])("one is signed out by %s", async (_, use, input, request, body) => {
  signedInAs(makeMe());
  answer = () => ({ done: true });
  const result = hook(use);
  await act(() => result.current.mutateAsync(input));
  expect(asked).toEqual([{ request, body }]);
  expect(currentAccount().me).toBeNull();
});

it("goes on in the club that was joined or made", async () => {
  signedInAs(makeMe());
  const membership = { ...makeMe().clubs[0], id: SECOND, name: "Second" };
  answer = (request) =>
    request === "GET /me" ? { ...makeMe(), clubs: [...makeMe().clubs, membership] } : membership;
  const accept = hook(() => door.useAccept("t", () => joined++));
  await act(() => accept.current.mutateAsync());
  expect([currentAccount().club?.id, joined]).toEqual([SECOND, 1]);
  signedInAs(makeMe());
  expect(currentAccount().club?.id).toBe(CLUB);
  const made = hook(() => door.useNewClub(() => joined++));
  await act(() => made.current.mutateAsync("Second"));
  expect([currentAccount().club?.id, joined]).toEqual([SECOND, 2]);
  expect(asked.filter((a) => a.request.startsWith("POST")).map((a) => a.request)).toEqual([
    "POST /invites/t/accept",
    "POST /clubs",
  ]);
});

it("changes one's password and stays signed in", async () => {
  signedInAs(makeMe());
  answer = () => ({ done: true });
  const result = hook(door.useChangePassword);
  await act(() => result.current.mutateAsync({ password: "old", next: "new" } as never));
  expect(asked[0]?.request).toBe("POST /me/password");
  expect(currentAccount().me?.name).toBe("Ada");
});

it("reads what an invitation says from its address", async () => {
  answer = () => ({ club: "Hall club" });
  const result = hook(() => door.useInvitation("t"));
  await waitFor(() => expect(asked.map((a) => a.request)).toEqual(["GET /invites/t"]));
  expect(result.current.data).toBeUndefined();
});

it("asks a server that cannot be reached again, twice, and one that refuses never", () => {
  const { ApiFailure } = jest.requireActual("~/data/client/api");
  const retry = makeQueryClient().getDefaultOptions().queries?.retry as (n: number, error: Error) => boolean;
  const away = new ApiFailure("unreachable", "");
  expect([retry(0, away), retry(1, away), retry(2, away)]).toEqual([true, true, false]);
  expect(retry(0, new ApiFailure("forbidden", ""))).toBe(false);
  expect(retry(0, new Error("other"))).toBe(false);
});
