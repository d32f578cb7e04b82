import { render } from "@testing-library/react-native";
import { type RunEvent, runState } from "@tonodrome/core";
import type { KeptRun } from "~/data/runs/keptRun";
import { FollowedStart } from "~/features/run/follow/FollowedStart";

const mockReads = jest.fn();
jest.mock("~/data/resources/starts", () => ({
  useStart: (id: string) => {
    mockReads(id);
    return {};
  },
}));
jest.mock("~/data/runs/press", () => ({ pressRun: () => undefined }));

const at = "2026-06-01T12:00:00.000Z";
const run = { id: "run", startId: "start", plan: { drills: [], waitSeconds: 60, startsAt: at } };
const element = (...events: object[]) => {
  const kept = {
    run,
    events: events.map((e, i) => ({ id: `${i}`, at, ...e })) as RunEvent[],
  } as unknown as KeptRun;
  return <FollowedStart kept={kept} state={runState(kept.run.plan, kept.events)} />;
};

it("is looked at anew when the start is moved or the run goes another way, not with every press", () => {
  const begun = { kind: "begin" };
  const shown = render(element(begun));
  expect(mockReads).toHaveBeenCalledTimes(1);
  shown.rerender(element(begun, { kind: "clock", aheadSeconds: 7 }));
  shown.rerender(element(begun, { kind: "hold" }));
  expect(mockReads).toHaveBeenCalledTimes(1);
  const away = { kind: "start-moved", startsAt: "2026-06-01T12:05:00.000Z" };
  shown.rerender(element(begun, away));
  expect(mockReads).toHaveBeenCalledTimes(2);
  // There and back is where it was, and yet the server may have either.
  shown.rerender(element(begun));
  shown.rerender(element(begun, away, { kind: "start-moved", startsAt: at }));
  expect(mockReads).toHaveBeenCalledTimes(4);
  shown.rerender(element(begun, away, { kind: "start-moved", startsAt: at }, { kind: "end" }));
  expect(mockReads).toHaveBeenCalledTimes(5);
});
