import { makeMe } from "~/test/made/makeMe";

let account: typeof import("~/data/account/account");
let says: () => { ok: boolean; data: unknown } | null;

/** Opens the application anew on the same device. */
function load(): void {
  jest.isolateModules(() => {
    account = require("~/data/account/account");
  });
}

beforeEach(() => {
  localStorage.clear();
  Object.assign(AbortSignal, { timeout: () => undefined });
  Object.assign(globalThis, {
    fetch: async () => {
      const said = says();
      if (!said) throw new TypeError("Failed to fetch");
      return { ok: said.ok, json: async () => said.data };
    },
  });
  load();
});

const signedOut = () => ({ ok: false, data: { code: "signed_out", message: "Not signed in.", path: null } });

it("does not know who one is until the server or this device says so", async () => {
  expect(account.currentAccount().me).toBeUndefined();
  says = () => null;
  await account.refreshMe();
  expect(account.currentAccount()).toMatchObject({
    me: undefined,
    failure: expect.stringContaining("reached"),
  });
  says = () => ({ ok: true, data: makeMe() });
  await account.refreshMe();
  expect(account.currentAccount()).toMatchObject({
    me: makeMe(),
    club: { name: "Hall club" },
    failure: null,
  });
});

it("takes who one is from what was asked before the application was there, and keeps it as any answer", async () => {
  const bodies = new Map([["/me", makeMe()]]);
  globalThis.tonodromeEarly = { since: Date.now(), answers: new Map(), bodies, sight: null };
  load();
  expect(account.currentAccount().me?.name).toBe("Ada");
  globalThis.tonodromeEarly = undefined;
  // The same said again is no news; the device has it all the same.
  says = () => ({ ok: true, data: makeMe() });
  await account.refreshMe();
  load();
  says = () => null;
  await account.refreshMe();
  expect(account.currentAccount().me?.name).toBe("Ada");
});

it("goes on without a connection after a reload, and ends when the server no longer knows the session", async () => {
  account.signedInAs(makeMe());
  load();
  says = () => null;
  await account.refreshMe();
  expect(account.currentAccount().me?.name).toBe("Ada");
  says = signedOut;
  await account.refreshMe();
  expect(account.currentAccount()).toMatchObject({ me: null, club: null });
  load();
  expect(account.currentAccount().me).toBeUndefined();
});

it("knows where one was when the session ended by itself, until one is there again", async () => {
  account.signedInAs(makeMe());
  window.history.pushState(null, "", "/warm-up/7");
  says = signedOut;
  await account.refreshMe();
  expect(account.currentAccount()).toMatchObject({ me: null, wanted: "/warm-up/7" });
  account.arrived();
  expect(account.currentAccount().wanted).toBeNull();
  window.history.pushState(null, "", "/");
});

it("stays in the club that was chosen, and takes another when that one is gone", () => {
  const second = { ...makeMe().clubs[0], id: "77777777-7777-4777-8777-777777777777", name: "Second" };
  const me = { ...makeMe(), clubs: [...makeMe().clubs, second] } as ReturnType<typeof makeMe>;
  account.signedInAs(me);
  account.chooseClub(second.id);
  expect(account.currentAccount().club?.name).toBe("Second");
  load();
  expect(account.currentAccount().club?.name).toBe("Second");
  account.signedInAs(makeMe());
  expect(account.currentAccount().club?.name).toBe("Hall club");
});
