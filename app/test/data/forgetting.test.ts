import { makeMe } from "~/test/made/makeMe";

const forgot: string[] = [];
jest.mock("~/data/queries/keptQueries", () => ({ forgetQueries: async () => void forgot.push("queries") }));
jest.mock("~/data/runs/send", () => ({ forgetSentRuns: () => void forgot.push("runs") }));

beforeEach(() => {
  forgot.length = 0;
  localStorage.clear();
  localStorage.setItem("me", JSON.stringify(makeMe()));
  Object.assign(AbortSignal, { timeout: () => undefined });
});

/** The application as it is opened, with a server that answers so. */
function opened(status: number, body: unknown) {
  const account: {
    load?: typeof import("~/data/account/account");
    ask?: typeof import("~/data/client/api").ask;
  } = {};
  Object.assign(globalThis, {
    fetch: async () => ({ ok: status < 400, headers: new Map(), json: async () => body }),
  });
  jest.isolateModules(() => {
    require("~/data/forgetting");
    account.load = require("~/data/account/account");
    account.ask = require("~/data/client/api").ask;
  });
  return account as Required<typeof account>;
}

it("takes from this device what the server has when the session was ended elsewhere, as of a phone that was lost", async () => {
  const { load, ask } = opened(401, { code: "signed_out", message: "Signed out.", path: null });
  await expect(ask("me", "GET", "/clubs/x/starts")).rejects.toThrow("Signed out.");
  expect(load.currentAccount().me).toBeNull();
  expect(forgot.sort()).toEqual(["queries", "runs"]);
  expect(localStorage.getItem("me")).toBeNull();
});

it("and when one signs out here; and not when the server is only away", async () => {
  const { load, ask } = opened(503, { code: "unavailable", message: "Away.", path: null });
  await expect(ask("me", "GET", "/me")).rejects.toThrow("Away.");
  expect(forgot).toEqual([]);
  load.signedOutHere();
  expect(forgot.sort()).toEqual(["queries", "runs"]);
});
