import { act, renderHook } from "@testing-library/react-native";
import { fitPlan, runPlanOf } from "@tonodrome/core";
import { signedInAs } from "~/data/account/account";
import { adoptRun, createRun, pressRun } from "~/data/runs/press";
import { stateOf } from "~/data/runs/stateOf";
import { get } from "~/data/runs/store";
import * as hooks from "~/data/runs/useRuns";
import { makeMe } from "~/test/made/makeMe";
import { makeStart, twoMinutePlan } from "~/test/made/makeStart";

const start = makeStart({ startsAt: new Date(Date.now() + 1_800_000).toISOString() }, twoMinutePlan);

it("shows a run as it is pressed, which runs there are, and how the server does", () => {
  signedInAs(makeMe());
  Object.assign(AbortSignal, { timeout: () => undefined });
  Object.assign(globalThis, { fetch: () => new Promise(() => undefined) });
  const shown = renderHook(() => ({
    open: hooks.useOpenRuns(),
    of: hooks.useOpenRun(start),
    keeps: hooks.useKeeps(),
  }));
  expect(shown.result.current).toEqual({ open: [], of: null, keeps: true });
  let id = "";
  act(() => {
    id = createRun(start, runPlanOf(fitPlan(twoMinutePlan, 2700), start.startsAt));
  });
  const run = renderHook(() => hooks.useKeptRun(id));
  act(() => pressRun(id, { kind: "begin" }));
  expect(run.result.current?.events.map((e) => e.kind)).toEqual(["begin"]);
  expect(shown.result.current).toMatchObject({ open: [{ run: { id } }], of: id });
  const list = shown.result.current.open;
  shown.rerender({});
  expect(shown.result.current.open).toBe(list);
  act(() => pressRun(id, { kind: "end" }));
  expect(shown.result.current).toMatchObject({ open: [], of: null });
  expect(renderHook(() => hooks.useLink()).result.current).toBe("reached");
});

it("what is shown beside a run is not drawn anew with its presses, and they are replayed once", () => {
  signedInAs(makeMe());
  Object.assign(AbortSignal, { timeout: () => undefined });
  Object.assign(globalThis, { fetch: () => new Promise(() => undefined) });
  const make = () => createRun(start, runPlanOf(fitPlan(twoMinutePlan, 2700), start.startsAt));
  let [here, other] = ["", ""];
  act(() => {
    [here, other] = [make(), make()];
  });
  const about = jest.fn();
  const shown = renderHook(() => {
    about();
    return { others: hooks.useOtherRuns(here), about: hooks.useKeptAbout(here) };
  });
  const before = shown.result.current;
  expect(before).toMatchObject({ about: { run: { id: here }, isCreated: false } });
  expect(before.others.map(({ run }) => run.id)).toContain(other);
  expect(before.others.map(({ run }) => run.id)).not.toContain(here);
  act(() => pressRun(here, { kind: "begin" }));
  expect(about).toHaveBeenCalledTimes(1);
  act(() => pressRun(other, { kind: "begin" }));
  expect(about).toHaveBeenCalledTimes(2);
  expect(renderHook(() => hooks.useKeptAbout("nowhere")).result.current).toBeNull();

  const kept = get(here) as NonNullable<ReturnType<typeof get>>;
  const state = stateOf(kept);
  expect(state.status).toBe("under-way");
  expect(stateOf({ run: kept.run, events: kept.events })).toBe(state);
  act(() => pressRun(here, { kind: "end" }));
  expect(stateOf(get(here) as typeof kept).status).toBe("ended");
  act(() => pressRun(other, { kind: "end" }));
});

it("takes up a run that the server has and this device has not, as one of the club that is open", () => {
  signedInAs(makeMe());
  const plan = runPlanOf(fitPlan(twoMinutePlan, 2700), start.startsAt);
  const { id: startId, title, venue, zone, startsAt } = start;
  const run = { id: "99999999-9999-4999-8999-999999999999", startId, title, venue, zone, startsAt, plan };
  const begin = {
    id: "99999999-9999-4999-8999-999999999998",
    at: new Date().toISOString(),
    kind: "begin" as const,
  };
  adoptRun({ ...run, athleteName: "Ada", events: [begin] });
  expect(get(run.id)).toMatchObject({
    clubId: makeMe().clubs[0]?.id,
    created: true,
    recorded: [begin.id],
    events: [begin],
  });
});
