import { QueryClient } from "@tanstack/react-query";
import { act, renderHook } from "@testing-library/react-native";
import { emptyPlan, type PlanBody, type PlanItem } from "@tonodrome/core";
import { signedInAs } from "~/data/account/account";
import { sendEverything } from "~/data/outbox/unsent";
import { unsavedDrafts } from "~/data/plan/planDraft";
import { usePlanDraft } from "~/data/plan/usePlanDraft";
import { makeMe } from "~/test/made/makeMe";
import { makeStart, twoMinutePlan } from "~/test/made/makeStart";
import { withClient } from "~/test/made/withClient";

const blank = makeStart();
const start = { ...blank, plan: { ...blank.plan, version: 3 } };

const sent: { version: number; body: { stepPoints: number } }[] = [];
let answer: (write: (typeof sent)[number]) => { ok: boolean; data: unknown } | null;

beforeEach(() => {
  localStorage.clear();
  signedInAs(makeMe());
  sent.length = 0;
  Object.assign(AbortSignal, { timeout: () => undefined });
  Object.assign(globalThis, {
    fetch: async (_: string, init: { body: string }) => {
      const write = JSON.parse(init.body);
      sent.push(write);
      const said = answer(write);
      if (!said) throw new TypeError("Failed to fetch");
      return { ok: said.ok, json: async () => said.data };
    },
  });
});

function draftIn() {
  const client = new QueryClient();
  client.setQueryData(["start", start.id], start);
  const wrapper = withClient(client);
  return renderHook(() => usePlanDraft(start), { wrapper });
}
const draftOf = () => draftIn().result;

const steps = (points: number) => (body: ReturnType<typeof emptyPlan>) => ({ ...body, stepPoints: points });
const saved = (write: (typeof sent)[number]) => ({
  ok: true,
  data: { id: start.plan.id, version: write.version + 1, body: write.body },
});

it("keeps edits on the device until the server has them, against the version they began from", async () => {
  answer = saved;
  const draft = draftOf();
  act(() => draft.current.edit(steps(25)));
  expect(draft.current).toMatchObject({ dirty: true, body: { stepPoints: 25 } });
  expect(draftOf().current).toMatchObject({ restored: true, body: { stepPoints: 25 } });

  await act(() => draft.current.save());
  expect(sent).toMatchObject([{ version: 3, body: { stepPoints: 25 } }]);
  expect(draft.current.dirty).toBe(false);
  expect(unsavedDrafts()).toBe(0);
});

it("edits what was saved, also before that has been drawn", async () => {
  answer = saved;
  const draft = draftOf();
  act(() => draft.current.edit(steps(25)));
  // As it is in the hands of whatever was drawn before the save landed.
  const { edit } = draft.current;
  await act(() => draft.current.save());
  act(() => edit((body) => ({ ...body, stepPoints: body.stepPoints + 1 })));
  expect(draft.current.body.stepPoints).toBe(26);
  await act(() => draft.current.save());
  expect(sent.map((s) => [s.version, s.body.stepPoints])).toEqual([
    [3, 25],
    [4, 26],
  ]);
});

it("takes edits back one by one", () => {
  const draft = draftOf();
  expect(draft.current.undo).toBeNull();
  act(() => draft.current.edit(steps(25)));
  act(() => draft.current.edit(steps(30)));
  act(() => draft.current.undo?.());
  expect(draft.current.body.stepPoints).toBe(25);
  act(() => draft.current.undo?.());
  expect(draft.current.body.stepPoints).toBe(20);
  expect(draft.current.undo).toBeNull();
});

it("does again what was taken back, until something else is edited", () => {
  const draft = draftOf();
  for (const points of [25, 30]) act(() => draft.current.edit(steps(points)));
  act(() => draft.current.undo?.());
  act(() => draft.current.undo?.());
  act(() => draft.current.redo?.());
  expect(draft.current.body.stepPoints).toBe(25);
  act(() => draft.current.edit(steps(40)));
  expect(draft.current.redo).toBeNull();
  act(() => draft.current.undo?.());
  expect(draft.current.body.stepPoints).toBe(25);
});

describe("saving by itself", () => {
  beforeEach(() => jest.useFakeTimers());
  afterEach(() => jest.useRealTimers());
  const pass = (ms: number) => act(() => jest.advanceTimersByTimeAsync(ms));

  it("waits for a pause, and keeps what can be taken back", async () => {
    answer = saved;
    const draft = draftOf();
    act(() => draft.current.edit(steps(25)));
    await pass(700);
    act(() => draft.current.edit(steps(30)));
    await pass(700);
    expect(sent).toEqual([]);
    await pass(700);
    expect(sent).toMatchObject([{ version: 3, body: { stepPoints: 30 } }]);
    expect(draft.current.dirty).toBe(false);
    act(() => draft.current.undo?.());
    expect(draft.current.body.stepPoints).toBe(25);
  });

  it("saves what is edited while a save is under way next, against the version that came of it", async () => {
    let finish = () => {};
    answer = saved;
    const slow = globalThis.fetch;
    Object.assign(globalThis, {
      fetch: async (url: string, init: never) => {
        const said = await slow(url, init);
        if (sent.length === 1) await new Promise<void>((done) => (finish = done));
        return said;
      },
    });
    const draft = draftOf();
    act(() => draft.current.edit(steps(25)));
    await pass(1300);
    act(() => draft.current.edit(steps(30)));
    finish();
    await pass(2000);
    expect(sent).toMatchObject([
      { version: 3, body: { stepPoints: 25 } },
      { version: 4, body: { stepPoints: 30 } },
    ]);
    expect(draft.current.dirty).toBe(false);
  });

  it("does not save what was found from an earlier visit before somebody edits it", async () => {
    answer = saved;
    localStorage.setItem(
      `draft:${start.plan.id}`,
      JSON.stringify({ version: 3, body: steps(25)(start.plan.body) }),
    );
    const found = draftOf();
    await pass(20_000);
    await act(() => sendEverything());
    expect([found.current.restored, found.current.body.stepPoints, sent]).toEqual([true, 25, []]);
    act(() => found.current.edit(steps(30)));
    await pass(1300);
    expect(sent).toMatchObject([{ version: 3, body: { stepPoints: 30 } }]);
  });

  it("tries again by itself when the server was away", async () => {
    answer = () => null;
    const draft = draftOf();
    act(() => draft.current.edit(steps(25)));
    await pass(1300);
    expect(draft.current.failure).toContain("cannot be reached");
    answer = saved;
    await pass(9000);
    expect(draft.current).toMatchObject({ failure: null, dirty: false });
  });
});

it("takes its own save whose answer was lost for no conflict, and goes on from there", async () => {
  answer = () => null;
  const draft = draftOf();
  act(() => draft.current.edit(steps(25)));
  await act(() => draft.current.save());
  const current = { id: start.plan.id, version: 4, body: sent[0]?.body };
  const data = { code: "version_conflict", message: "Saved.", path: "version", current };
  answer = (write) => (write.version === 4 ? saved(write) : { ok: false, data });
  await act(() => draft.current.save());
  expect(draft.current).toMatchObject({ conflict: null, merged: null });
  await act(() => draft.current.save());
  expect(draft.current).toMatchObject({ dirty: false, body: { stepPoints: 25 } });
});

it("what is changed back after a lost answer is changed back, also when somebody else saves in between", async () => {
  answer = () => null;
  const draft = draftOf();
  act(() => draft.current.edit(steps(25)));
  await act(() => draft.current.save());
  const conflict = (current: object) => ({
    ok: false,
    data: { code: "version_conflict", message: "Saved.", path: "version", current },
  });
  // It had arrived after all.
  answer = () => conflict({ id: start.plan.id, version: 4, body: sent[0]?.body });
  await act(() => draft.current.save());
  act(() => draft.current.edit(steps(20)));
  const theirs = { ...(sent[0]?.body as PlanBody), wait: { leastSeconds: 60, longestSeconds: 600 } };
  answer = (write) =>
    write.version === 5 ? saved(write) : conflict({ id: start.plan.id, version: 5, body: theirs });
  await act(() => draft.current.save());
  expect(draft.current).toMatchObject({ conflict: null, body: { stepPoints: 20, wait: theirs.wait } });
});

it("saves once, however often it is told to, and at once when the page is left", async () => {
  answer = saved;
  const { result: draft, unmount } = draftIn();
  act(() => draft.current.edit(steps(25)));
  await act(async () => {
    const both = [draft.current.save(), draft.current.save()];
    expect(await Promise.all(both)).toEqual([true, false]);
  });
  expect(sent).toHaveLength(1);
  act(() => draft.current.edit(steps(30)));
  unmount();
  await act(async () => undefined);
  expect(sent).toMatchObject([{ body: { stepPoints: 25 } }, { body: { stepPoints: 30 } }]);
});

it("takes a pair apart whose drills are no longer one after the other", () => {
  const draft = draftOf();
  const [laps] = twoMinutePlan.items as [PlanItem];
  const item = (n: number, more: Partial<PlanItem> = {}) => ({
    ...laps,
    id: laps.id.slice(0, -1) + n,
    ...more,
  });
  const pair = [item(1), item(2, { after: item(1).id })];
  act(() => draft.current.edit((body) => ({ ...body, items: pair })));
  expect(draft.current.body.items[1]?.after).toBe(item(1).id);
  act(() => draft.current.edit((body) => ({ ...body, items: body.items.slice(1) })));
  expect(draft.current.body.items).toEqual([item(2)]);
});

it("loses nothing when the server is away, and says so", async () => {
  answer = () => null;
  const draft = draftOf();
  act(() => draft.current.edit(steps(25)));
  await act(() => draft.current.save());
  expect(draft.current).toMatchObject({ dirty: true, body: { stepPoints: 25 } });
  expect(draft.current.failure).toContain("cannot be reached");
});

it("has both versions in hand when someone else saved, and saves over theirs only when told to", async () => {
  const theirs = { id: start.plan.id, version: 7, body: { ...emptyPlan(), stepPoints: 40 } };
  const conflict = {
    code: "version_conflict",
    message: "Bo saved.",
    path: "version",
    current: theirs,
    by: "Bo",
  };
  answer = (write) => (write.version === 7 ? saved(write) : { ok: false, data: conflict });
  const draft = draftOf();
  act(() => draft.current.edit(steps(25)));
  await act(() => draft.current.save());
  expect(draft.current.conflict).toEqual({
    theirs,
    by: "Bo",
    meetings: [{ what: "The largest step", mine: "25", theirs: "40" }],
  });
  expect(draft.current.body.stepPoints).toBe(25);

  await act(() => draft.current.keepMine());
  expect(sent.at(-1)).toMatchObject({ version: 7, body: { stepPoints: 25 } });
  expect(draft.current).toMatchObject({ conflict: null, dirty: false });
});

it("puts both together when someone else saved something else, and takes back only one's own", async () => {
  const theirs = {
    id: start.plan.id,
    version: 7,
    body: { ...emptyPlan(), wait: { leastSeconds: 60, longestSeconds: 600 } },
  };
  const current = { code: "version_conflict", message: "Saved.", path: "version", current: theirs };
  answer = (write) => (write.version === 7 ? saved(write) : { ok: false, data: current });
  const draft = draftOf();
  act(() => draft.current.edit(steps(25)));
  await act(() => draft.current.save());
  expect(draft.current).toMatchObject({ conflict: null, merged: "", dirty: true });
  expect(draft.current.body).toMatchObject({ stepPoints: 25, wait: theirs.body.wait });
  await act(() => draft.current.save());
  expect(sent.at(-1)).toMatchObject({ version: 7, body: { stepPoints: 25, wait: theirs.body.wait } });
  act(() => draft.current.undo?.());
  expect(draft.current.body).toMatchObject({ stepPoints: 20, wait: theirs.body.wait });
  act(() => draft.current.forgetMerged());
  expect(draft.current.merged).toBeNull();
});

it("takes theirs where told so, and sends nothing then", async () => {
  const theirs = { id: start.plan.id, version: 7, body: { ...emptyPlan(), stepPoints: 40 } };
  answer = () => ({
    ok: false,
    data: { code: "version_conflict", message: "Saved.", path: "version", current: theirs },
  });
  const draft = draftOf();
  act(() => draft.current.edit(steps(25)));
  await act(() => draft.current.save());
  await act(() => draft.current.takeTheirs());
  expect(sent).toHaveLength(1);
  expect(draft.current).toMatchObject({ conflict: null, dirty: false });
});

it("what was done can be taken back after one has left and come back, as long as nobody else saved", async () => {
  answer = saved;
  const client = new QueryClient();
  client.setQueryData(["start", start.id], start);
  const wrapper = withClient(client);
  const visit = (version: number) =>
    renderHook(() => usePlanDraft({ ...start, plan: { ...start.plan, version } }), { wrapper });
  const first = visit(3);
  act(() => first.result.current.edit(steps(25)));
  await act(() => first.result.current.save());
  first.unmount();
  const second = visit(4);
  act(() => second.result.current.undo?.());
  expect(second.result.current.body.stepPoints).toBe(20);
  second.unmount();
  expect(visit(9).result.current.undo).toBeNull();
});

it("what is saved while one leaves stands in its place, and can be taken back likewise", async () => {
  answer = saved;
  const client = new QueryClient();
  client.setQueryData(["start", start.id], start);
  const wrapper = withClient(client);
  const read = () => client.getQueryData<typeof start>(["start", start.id]) ?? start;
  const first = renderHook(() => usePlanDraft(start), { wrapper });
  act(() => first.result.current.edit(steps(25)));
  first.unmount();
  await act(() => new Promise((done) => setTimeout(done, 20)));
  expect(read().plan).toMatchObject({ version: 4, body: { stepPoints: 25 } });
  const second = renderHook(() => usePlanDraft(read()), { wrapper });
  act(() => second.result.current.undo?.());
  expect(second.result.current.body.stepPoints).toBe(20);
});
