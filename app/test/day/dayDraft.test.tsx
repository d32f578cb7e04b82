import { QueryClient } from "@tanstack/react-query";
import { act, renderHook, waitFor } from "@testing-library/react-native";
import type { Day } from "@tonodrome/core/api";
import { type DayStep, usualDay, withoutStep } from "@tonodrome/core/day";
import { signedInAs } from "~/data/account/account";
import { useDayDraft } from "~/data/day/useDayDraft";
import { unsavedDrafts } from "~/data/plan/planDraft";
import { makeMe } from "~/test/made/makeMe";
import { withClient } from "~/test/made/withClient";

const ID = "11111111-1111-4111-8111-111111111111";
const steps = usualDay({
  startsAt: "2026-12-05T13:20:00.000Z",
  zone: "UTC",
  warmUpSeconds: 2400,
  event: null,
  travel: { usual: 25, bad: 40 },
});
const [shorter, shortest] = [withoutStep(steps, "snack"), withoutStep(withoutStep(steps, "snack"), "meal")];

let sent: Day[];
let answer: (write: Day) => { ok: boolean; data: unknown } | null;

beforeEach(() => {
  localStorage.clear();
  signedInAs(makeMe());
  sent = [];
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

function draftIn(read: Day = { version: 1, steps: null }) {
  const client = new QueryClient();
  const wrapper = withClient(client);
  return renderHook(() => useDayDraft(ID, read), { wrapper }).result;
}
const saved = ({ version, steps: written }: Day) => ({
  ok: true,
  data: { version: version + 1, steps: written },
});
const refused = (current: Day) => ({
  ok: false,
  data: { code: "version_conflict", message: "Changed meanwhile.", path: "version", current, by: "Bo Larch" },
});
const idsOf = (list: readonly DayStep[] | null) => list?.map((s) => s.id);

it("keeps edits on the device until the server has them, each against the version that has come to be", async () => {
  answer = saved;
  const draft = draftIn();
  act(() => draft.current.edit(shorter));
  expect([draft.current.dirty, unsavedDrafts()]).toEqual([true, 1]);
  // A tab that is closed costs nothing.
  expect(idsOf(draftIn().current.steps)).toEqual(idsOf(shorter));
  await act(async () => draft.current.save());
  act(() => draft.current.edit(shortest));
  await act(async () => draft.current.save());
  expect(sent.map((s) => [s.version, s.steps?.length])).toEqual([
    [1, shorter.length],
    [2, shortest.length],
  ]);
  expect([draft.current.dirty, unsavedDrafts()]).toEqual([false, 0]);
  expect(idsOf(draft.current.steps)).toEqual(idsOf(shortest));
});

it("what was edited while a save was under way is kept, against the version that save made", async () => {
  let landed = (_: unknown) => {};
  Object.assign(globalThis, {
    fetch: (_: string, init: { body: string }) => {
      const write = JSON.parse(init.body);
      sent.push(write);
      const said = { ok: true, json: async () => saved(write).data };
      return sent.length === 1 ? new Promise((done) => (landed = () => done(said))) : Promise.resolve(said);
    },
  });
  const draft = draftIn();
  act(() => draft.current.edit(shorter));
  act(() => {
    void draft.current.save();
  });
  await waitFor(() => expect(sent).toHaveLength(1));
  act(() => draft.current.edit(shortest));
  await act(async () => landed(null));
  await waitFor(() => expect(draft.current.saving).toBe(false));
  expect([draft.current.dirty, idsOf(draft.current.steps)]).toEqual([true, idsOf(shortest)]);
  await act(async () => draft.current.save());
  expect(sent.map((s) => s.version)).toEqual([1, 2]);
});

it("without an answer it says so and keeps everything; what was only lost on the way back is no conflict", async () => {
  answer = () => null;
  const draft = draftIn();
  act(() => draft.current.edit(shorter));
  await act(async () => draft.current.save());
  expect([draft.current.failure === null, draft.current.dirty]).toEqual([false, true]);
  answer = (write) => refused({ version: 2, steps: write.steps });
  await act(async () => draft.current.save());
  expect([draft.current.conflict, draft.current.dirty]).toEqual([null, false]);
});

it("what somebody else saved is written over only when that is asked for", async () => {
  const theirs = { version: 5, steps: shortest };
  answer = () => refused(theirs);
  const draft = draftIn();
  act(() => draft.current.edit(shorter));
  await act(async () => draft.current.save());
  expect(draft.current.conflict).toEqual({ theirs, by: "Bo Larch" });
  answer = saved;
  await act(async () => draft.current.keepMine());
  expect(sent.at(-1)?.version).toBe(5);
  expect([draft.current.conflict, idsOf(draft.current.steps)]).toEqual([null, idsOf(shorter)]);

  answer = () => refused({ ...theirs, version: 8 });
  act(() => draft.current.edit(steps));
  await act(async () => draft.current.save());
  act(() => draft.current.takeTheirs());
  expect([draft.current.dirty, idsOf(draft.current.steps)]).toEqual([false, idsOf(shortest)]);
});

it("what somebody else saved meanwhile is nothing to take back", async () => {
  answer = saved;
  let read: Day = { version: 1, steps: null };
  const client = new QueryClient();
  const wrapper = withClient(client);
  const { result, rerender } = renderHook(() => useDayDraft(ID, read), { wrapper });
  act(() => result.current.edit(shorter));
  await act(async () => result.current.save());
  expect(result.current.undo).not.toBeNull();
  read = { version: 3, steps: shortest };
  rerender(undefined);
  expect([idsOf(result.current.steps), result.current.undo]).toEqual([idsOf(shortest), null]);
});

it("takes back and does again, and puts it back to the usual day", () => {
  answer = () => null;
  const draft = draftIn();
  act(() => draft.current.edit(shorter));
  act(() => draft.current.edit(null));
  expect(draft.current.steps).toBeNull();
  act(() => draft.current.undo?.());
  expect(idsOf(draft.current.steps)).toEqual(idsOf(shorter));
  act(() => draft.current.redo?.());
  expect([draft.current.steps, draft.current.redo]).toEqual([null, null]);
});
