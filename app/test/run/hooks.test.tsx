import { act, renderHook } from "@testing-library/react-native";
import {
  type OrderNews,
  type RunClock,
  type RunEvent,
  type RunPlan,
  type RunState,
  runClock,
  runState,
  stepKey,
} from "@tonodrome/core";
import type { KeptRun } from "~/data/runs/keptRun";
import type { RunSettings } from "~/features/run/device/runSettings";
import { useWakeLock } from "~/features/run/device/useWakeLock";
import { type PulseSource, usePulse } from "~/features/run/follow/usePulse";
import { type OrderSource, useRunningOrder } from "~/features/run/follow/useRunningOrder";
import { useAutomatics } from "~/features/run/presses/useAutomatics";
import { pressesOf, usePresses } from "~/features/run/presses/usePresses";
import { useCues } from "~/features/run/sound/useCues";

const mockPressed: { id: string; event: Partial<RunEvent> }[] = [];
jest.mock("~/data/runs/press", () => ({
  pressRun: (id: string, event: Partial<RunEvent>) => mockPressed.push({ id, event }),
}));
const mockMoved: { startsAt: string; simulated?: boolean }[] = [];
jest.mock("~/data/runs/moveRun", () => ({
  moveRun: (_id: string, startsAt: string, _version: number | null, simulated?: boolean) =>
    mockMoved.push({ startsAt, ...(simulated ? { simulated } : {}) }),
}));
const mockHeard: string[] = [];
jest.mock("~/features/run/sound/tones", () => ({
  playTone: (tone: string) => mockHeard.push(`tone ${tone}`),
  buzz: (tone: string) => mockHeard.push(`buzz ${tone}`),
  speak: (words: string) => mockHeard.push(`say ${words}`),
}));

const START = Date.parse("2026-06-01T12:00:00.000Z");
const at = (second: number) => new Date(START - 600_000 + second * 1000).toISOString();
const idOf = (n: number) => `22222222-2222-4222-8222-${String(n).padStart(12, "0")}`;
const step = (n: number, more: object = {}) => ({
  ...{ itemId: idOf(n), name: `Step ${n}`, phase: "raise" as const, intensity: 40, focus: "", place: "" },
  ...{ words: "", plannedSeconds: 60 },
  ...more,
});
const plan: RunPlan = {
  drills: [step(1), step(1, { name: "Rest", wait: { leastSeconds: 20 }, plannedSeconds: 20 }), step(2)],
  waitSeconds: 120,
  startsAt: new Date(START).toISOString(),
};
const press = (kind: string, second: number, more: object = {}) =>
  ({ id: idOf(100 + second), at: at(second), kind, ...more }) as RunEvent;
const stateOf = (...events: RunEvent[]) => runState(plan, events);
const keptOf = (...events: RunEvent[]) => ({ run: { id: "run", plan }, events }) as unknown as KeptRun;
const pressed = () => mockPressed.splice(0).map(({ event }) => event);

beforeEach(() => {
  mockPressed.length = 0;
  mockMoved.length = 0;
  mockHeard.length = 0;
});

describe("presses", () => {
  const key = (n: number) => stepKey(plan.drills[n] as RunPlan["drills"][number]);
  const begun = stateOf(press("begin", 0));

  it("for a step say which it is, so that on two phones they count once; those for the run do not", () => {
    const presses = pressesOf("run", () => begun);
    for (const name of ["done", "skip", "back", "hit", "miss", "more"] as const) presses[name]();
    expect(pressed()).toEqual([
      { kind: "done", of: key(0) },
      { kind: "skip", of: key(0) },
      { kind: "back", of: key(0) },
      { kind: "hit", of: key(0) },
      { kind: "miss", of: key(0) },
      { kind: "extend", seconds: 30, of: key(0) },
    ]);
    presses.begin();
    presses.end();
    presses.jump(key(2));
    presses.takeBack("this");
    expect(pressed()).toEqual([
      { kind: "begin" },
      { kind: "end" },
      { kind: "jump", to: key(2) },
      { kind: "undo", undoes: "this" },
    ]);
  });

  it("hold and go on in turn, take back the last one, and move the start from where it stands", () => {
    let state = begun;
    const presses = pressesOf("run", () => state);
    presses.undo();
    expect(pressed()).toEqual([]);
    presses.hold();
    state = stateOf(press("begin", 0), press("hold", 10), press("start-moved", 11, { startsAt: at(900) }));
    presses.hold();
    presses.undo();
    presses.moveStart(2);
    expect(pressed()).toEqual([{ kind: "hold" }, { kind: "release" }, { kind: "undo", undoes: idOf(110) }]);
    expect(mockMoved).toEqual([{ startsAt: at(1020) }]);
    // After the last step there is none to name.
    state = { ...state, index: state.splits.length };
    presses.back();
    expect(pressed()).toEqual([{ kind: "back" }]);
  });

  it("put in a drill, and take a re-fit with its time where it has one", () => {
    const presses = pressesOf("run", () => begun);
    const drill = step(9);
    presses.insert(drill);
    const refit = {
      drills: [drill],
      waitSeconds: 60,
      line: "One left out.",
      until: at(50),
      keeps: [],
      left: [],
    };
    presses.refit(refit as never);
    presses.refit({ ...refit, until: undefined } as never);
    const made = { kind: "refit", drills: [drill], waitSeconds: 60, line: "One left out." };
    expect(pressed()).toEqual([{ kind: "insert", drill }, { ...made, until: at(50) }, made]);
  });

  it("stay the same functions, and mean the step that is under way when they are pressed", () => {
    const { result, rerender } = renderHook(({ state }: { state: RunState }) => usePresses("run", state), {
      initialProps: { state: begun },
    });
    const before = result.current;
    rerender({ state: stateOf(press("begin", 0), press("done", 60)) });
    expect(result.current).toBe(before);
    before.skip();
    expect(pressed()).toEqual([{ kind: "skip", of: key(1) }]);
  });
});

it("ends a wait that is over, and begins when that is due and wished, in every run that goes on here", () => {
  const begun = keptOf(press("begin", 0), press("done", 60));
  const { rerender } = renderHook(
    ({ runs, second, wished }: { runs: KeptRun[]; second: number; wished: boolean }) =>
      useAutomatics(runs, Date.parse(at(second)), wished),
    { initialProps: { runs: [begun], second: 70, wished: false } },
  );
  expect(pressed()).toEqual([]);
  rerender({ runs: [begun], second: 80, wished: false });
  expect(pressed()).toEqual([{ kind: "done", of: `${idOf(1)}~` }]);
  // 140 s of steps and 120 of wait before the start.
  const ready = [keptOf()];
  rerender({ runs: ready, second: 341, wished: false });
  expect(pressed()).toEqual([]);
  rerender({ runs: ready, second: 339, wished: true });
  expect(pressed()).toEqual([]);
  rerender({ runs: ready, second: 341, wished: true });
  expect(pressed()).toEqual([{ kind: "begin" }]);
});

describe("cues", () => {
  const all = { silent: false, tones: true, vibration: true, speech: true } as RunSettings;
  const look = (settings: RunSettings) => {
    const props = (events: RunEvent[], second: number) => {
      const state = stateOf(...events);
      return { state, clock: runClock(state, Date.parse(at(second))) };
    };
    const begin = press("begin", 0);
    const { rerender } = renderHook(
      ({ state, clock }: { state: RunState; clock: RunClock }) => useCues("run", state, clock, settings),
      {
        initialProps: props([begin], 49),
      },
    );
    return (events: RunEvent[], second: number) => {
      mockHeard.length = 0;
      rerender(props([begin, ...events], second));
      return [...mockHeard];
    };
  };

  it("are heard, felt and said as things happen, and not for what was over before", () => {
    const at = look(all);
    expect(at([], 51)).toEqual(["tone soon", "buzz soon"]);
    expect(at([], 60)).toEqual(["tone over", "buzz over"]);
    expect(at([press("done", 61)], 61)).toEqual(["tone begin", "buzz begin", "say Rest"]);
    expect(at([press("done", 61)], 62)).toEqual([]);
  });

  it("keep to what is wished, and are still when that is wished", () => {
    expect(look({ ...all, tones: false, vibration: false })([press("done", 51)], 51)).toEqual(["say Rest"]);
    expect(look({ ...all, speech: false, vibration: false })([], 51)).toEqual(["tone soon"]);
    expect(look({ ...all, silent: true })([press("done", 51)], 51)).toEqual([]);
  });
});

describe("a strap", () => {
  let say: (rate: number | null) => void = () => undefined;
  let intensity = () => -1;
  let listening = 0;
  const strap: PulseSource = {
    simulated: true,
    listen(of, onRate) {
      intensity = of;
      say = (rate) => act(() => onRate(rate));
      listening++;
      return () => {
        listening--;
      };
    },
  };

  it("is listened to while it is wished and the run goes on, and tells the effort that goes on", () => {
    const { result, rerender } = renderHook(
      ({ state, wanted }: { state: RunState; wanted: boolean }) => usePulse(strap, "run", state, wanted),
      {
        initialProps: { state: stateOf(press("begin", 0)), wanted: false },
      },
    );
    expect([listening, result.current]).toEqual([0, null]);
    rerender({ state: stateOf(press("begin", 0)), wanted: true });
    say(120);
    expect(result.current).toEqual({ simulated: true, rate: 120, recent: [120] });
    expect(intensity()).toBe(40);
    rerender({ state: stateOf(press("begin", 0), press("hold", 5)), wanted: true });
    expect(intensity()).toBe(0);
    rerender({ state: stateOf(press("end", 9)), wanted: true });
    expect([listening, result.current]).toEqual([0, null]);
  });

  it("is recorded one in five seconds, a minute together, and what is left at the end", () => {
    const { unmount } = renderHook(() => usePulse(strap, "run", stateOf(press("begin", 0)), true));
    for (let second = 0; second < 62; second++) say(second === 5 ? null : 100 + second);
    const rates = [100, null, ...Array.from({ length: 10 }, (_, i) => 110 + i * 5)];
    expect(pressed()).toEqual([{ kind: "pulse", everySeconds: 5, rates, simulated: true }]);
    unmount();
    expect(pressed()).toEqual([{ kind: "pulse", everySeconds: 5, rates: [160], simulated: true }]);
  });
});

describe("a running order", () => {
  let tell: (news: OrderNews) => void = () => undefined;
  let following = 0;
  const source: OrderSource = {
    follow(_, onNews) {
      tell = (news) => act(() => onNews(news));
      following++;
      return () => {
        following--;
      };
    },
  };
  const news = (second: number) => ({ startsAt: at(second), simulated: true }) as OrderNews;
  const { run } = keptOf();

  it("moves the start as it says, once for each piece of news, and not for a few seconds", () => {
    const { result, rerender } = renderHook(
      ({ state }: { state: RunState }) => useRunningOrder(source, run, state, true),
      {
        initialProps: { state: stateOf(press("begin", 0)) },
      },
    );
    tell(news(610));
    expect(mockMoved).toEqual([]);
    tell(news(720));
    expect(mockMoved.splice(0)).toEqual([{ startsAt: at(720), simulated: true }]);
    // The coach may move it too: that stands until there is news.
    rerender({ state: stateOf(press("begin", 0), press("start-moved", 5, { startsAt: at(900) })) });
    expect(mockMoved).toEqual([]);
    expect(result.current).toEqual(news(720));
  });

  it("is followed while it is wished, and not when the run is over", () => {
    const { rerender } = renderHook(
      ({ state, wanted }: { state: RunState; wanted: boolean }) =>
        useRunningOrder(source, run, state, wanted),
      {
        initialProps: { state: stateOf(), wanted: false },
      },
    );
    expect(following).toBe(0);
    rerender({ state: stateOf(), wanted: true });
    expect(following).toBe(1);
    rerender({ state: stateOf(press("end", 9)), wanted: true });
    expect(following).toBe(0);
  });
});

describe("the screen is kept awake", () => {
  let held = 0;
  let refuses = false;
  let visible = true;
  beforeEach(() => {
    [held, refuses, visible] = [0, false, true];
    const request = async () => {
      if (refuses) throw new Error("low battery");
      held++;
      return { release: async () => void held-- };
    };
    Object.defineProperty(navigator, "wakeLock", { value: { request }, configurable: true });
    jest.spyOn(document, "visibilityState", "get").mockImplementation(() => (visible ? "visible" : "hidden"));
  });
  afterEach(() => jest.restoreAllMocks());
  const settle = () => act(async () => undefined);

  it("while it is wished, again when the page comes back into sight, and no longer", async () => {
    const { rerender, unmount } = renderHook(({ wanted }: { wanted: boolean }) => useWakeLock(wanted), {
      initialProps: { wanted: false },
    });
    await settle();
    expect(held).toBe(0);
    rerender({ wanted: true });
    await settle();
    expect(held).toBe(1);
    // A browser lets go of it by itself.
    held = 0;
    visible = false;
    document.dispatchEvent(new Event("visibilitychange"));
    await settle();
    expect(held).toBe(0);
    visible = true;
    document.dispatchEvent(new Event("visibilitychange"));
    await settle();
    expect(held).toBe(1);
    unmount();
    await settle();
    expect(held).toBe(0);
  });

  it("and goes on without, where it is refused", async () => {
    refuses = true;
    const { unmount } = renderHook(() => useWakeLock(true));
    await settle();
    unmount();
    expect(held).toBe(0);
  });
});
