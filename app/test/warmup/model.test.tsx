import { act, renderHook } from "@testing-library/react-native";
import { emptyPlan, noProfile } from "@tonodrome/core";
import type { Athlete, ClubEvent, ShelfDrill, Start } from "@tonodrome/core/api";
import { useStartFit } from "~/features/warmup/model/useStartFit";
import { useWarmUp, type WarmUpModel } from "~/features/warmup/model/useWarmUp";
import { drill } from "~/test/made/makeDrill";
import { idOf, item, planOf } from "~/test/made/makePlan";
import { makeStart, twoMinutePlan } from "~/test/made/makeStart";

const mock = {
  may: new Set(["read", "build", "run"]),
  isWide: false,
  before: { data: [], isLoading: false } as { data: Start[] | undefined; isLoading: boolean },
  openRun: null as string | null,
  elsewhere: null as { id: string } | null,
  went: [] as string[],
  begun: [] as { start: Start; fit: { workSeconds: number } }[],
  saved: [] as { changes: object }[],
  isSaved: true,
  athletes: [] as Athlete[],
  events: [] as ClubEvent[],
  drills: [] as ShelfDrill[],
  sent: 0,
  setting: null as Start["setting"] | null,
  kit: [] as string[],
};
jest.mock("~/data/account/useAccount", () => ({
  useMay: (action: string) => mock.may.has(action),
  useAccount: () => ({ me: { name: "Bo" } }),
}));
jest.mock("~/data/day/useKitThere", () => ({
  useKitThere: () => ({
    there: mock.kit,
    press: (piece: string, isThere: boolean) => {
      mock.kit = isThere ? [...mock.kit, piece] : mock.kit.filter((p) => p !== piece);
    },
  }),
}));
jest.mock("~/data/resources/figures", () => ({ useFigures: () => [] }));
jest.mock("~/data/resources/log", () => ({ useEarlierRuns: () => undefined }));
jest.mock("~/data/starts/useStartDraft", () => ({
  useStartDraft: (start: Start) => ({
    draft: { setting: mock.setting ?? start.setting },
    change: ({ setting }: { setting: Start["setting"] }) => {
      mock.setting = setting;
    },
    save: () => undefined,
    state: { failed: false, words: "Saved" },
  }),
}));
jest.mock("~/ui/hooks/useWide", () => ({ useWide: () => mock.isWide }));
jest.mock("expo-router", () => ({ useRouter: () => ({ push: (to: string) => mock.went.push(to) }) }));
jest.mock("~/data/runs/useRuns", () => ({ useOpenRun: () => mock.openRun }));
jest.mock("~/data/resources/openRuns", () => ({ useRunElsewhere: () => mock.elsewhere }));
jest.mock("~/features/run/useStartRun", () => ({
  useStartRun: () => ({
    startRun: (what: (typeof mock.begun)[number]) => mock.begun.push(what),
    failure: null,
  }),
}));
jest.mock("~/data/resources/athletes", () => ({ useAthletes: () => ({ data: mock.athletes }) }));
jest.mock("~/data/resources/events", () => ({ useEvents: () => ({ data: mock.events }) }));
jest.mock("~/data/resources/drills", () => ({
  useDrills: (enabled: boolean) => ({ data: enabled ? mock.drills : undefined }),
}));
jest.mock("~/data/resources/starts", () => ({
  useStartsBefore: () => mock.before,
  useSaveStart: () => ({
    isPending: false,
    error: null,
    mutate: (what: { changes: object }, { onSuccess }: { onSuccess: () => void }) => {
      mock.saved.push(what);
      onSuccess();
    },
  }),
}));
jest.mock("~/features/fit/askFit", () => ({ askFit: () => () => undefined }));
jest.mock("~/data/client/useNow", () => ({ useNowNear: () => Date.parse("2026-06-01T11:00:00.000Z") }));
jest.mock("~/data/plan/usePlanDraft", () => ({
  usePlanDraft: (start: Start) => {
    const { useState } = require("react");
    const [body, setBody] = useState(start.plan.body);
    return {
      body,
      edit: (change: (body: unknown) => unknown) => setBody(change),
      save: async () => {
        mock.sent++;
        return mock.isSaved;
      },
    };
  },
}));

beforeEach(() => {
  mock.may = new Set(["read", "build", "run"]);
  Object.assign(mock, {
    isWide: false,
    before: { data: [], isLoading: false },
    openRun: null,
    elsewhere: null,
    isSaved: true,
    sent: 0,
    setting: null,
  });
  Object.assign(mock, { went: [], begun: [], saved: [], athletes: [], events: [], drills: [] });
});

describe("a plan fitted to its start", () => {
  const start = makeStart({}, twoMinutePlan);
  const hook = (of = start, mayBuild = true) =>
    renderHook(() => useStartFit(of, of.plan.body, mayBuild)).result;

  it("is for the time that is saved, or another that is tried and then saved", () => {
    const now = hook();
    expect(now.current).toMatchObject({ minutes: 45, mostMinutes: 90, isCapped: false, newMinutes: false });
    expect(now.current.fit.availableSeconds).toBe(45 * 60);
    act(() => now.current.saveMinutes());
    expect(mock.saved).toEqual([]);
    act(() => now.current.setMinutes(20));
    expect([now.current.newMinutes, now.current.fit.availableSeconds]).toEqual([true, 1200]);
    act(() => now.current.saveMinutes());
    expect(mock.saved).toEqual([{ start, changes: { readyAt: "2026-06-01T11:40:00.000Z" } }]);
    expect(now.current.newMinutes).toBe(false);
  });

  it("is for no more time than there is, and for as much as was once saved", () => {
    const soon = makeStart(
      { startsAt: "2026-06-01T11:10:00.000Z", readyAt: "2026-06-01T10:00:00.000Z" },
      twoMinutePlan,
    );
    expect(hook(soon).current).toMatchObject({ isCapped: true, fit: { availableSeconds: 600 } });
    const long = makeStart({ readyAt: "2026-06-01T09:00:00.000Z" }, twoMinutePlan);
    expect(hook(long).current.mostMinutes).toBe(180);
    expect(hook(start, false).current.newMinutes).toBe(false);
  });
});

describe("a warm-up", () => {
  const start = makeStart({ eventId: "77777777-7777-4777-8777-777777777777" }, planOf(item(1), item(2)));
  const hook = (of: Start = start): { current: WarmUpModel } => renderHook(() => useWarmUp(of)).result;

  it("opens a drill in its place, and beside the stair where there is room", () => {
    const now = hook();
    act(() => now.current.select(idOf(2)));
    expect([now.current.sheet, now.current.selected?.item.name]).toEqual([null, "Drill 2"]);
    act(() => now.current.open("drill"));
    act(() => now.current.choose(true));
    expect([now.current.sheet, now.current.chosen?.size]).toEqual([null, 0]);
    mock.isWide = true;
    const wide = hook();
    act(() => wide.current.select(idOf(1)));
    expect([wide.current.sheet, wide.current.selectedId]).toEqual([null, idOf(1)]);
  });

  it("is run as it fits, gone back to where it is running, and asks for drills where there are none", () => {
    const now = hook();
    act(() => now.current.run());
    expect(mock.begun).toMatchObject([{ start, fit: { workSeconds: 240 } }]);
    mock.openRun = "run-1";
    const running = hook();
    expect(running.current.running).toBe("here");
    act(() => running.current.run());
    expect(mock.went).toEqual(["/run/run-1"]);
    mock.openRun = null;
    // One that another device runs is followed: no second one comes about by chance.
    mock.elsewhere = { id: "run-2" };
    const elsewhere = hook();
    expect(elsewhere.current.running).toBe("elsewhere");
    act(() => elsewhere.current.run());
    expect([mock.went.at(-1), mock.begun.length]).toEqual(["/run/run-2", 1]);
    mock.elsewhere = null;
    const empty = hook(makeStart({}, emptyPlan()));
    act(() => empty.current.run());
    expect(empty.current.sheet).toBe("shelf");
    mock.may.delete("run");
    const watcher = hook();
    act(() => watcher.current.run());
    expect([mock.begun.length, watcher.current.mayRun]).toEqual([1, false]);
  });

  it("says why nothing can be run where nothing fits", () => {
    const none = makeStart({ readyAt: "2026-06-01T11:59:00.000Z" }, planOf(item(1)));
    const now = hook(none);
    act(() => now.current.run());
    expect([mock.begun, now.current.sheet]).toEqual([[], "given-up"]);
  });

  it("saves the plan and then the time, and the time only where the plan was saved", async () => {
    const now = hook();
    act(() => now.current.setMinutes(20));
    mock.isSaved = false;
    await act(async () => now.current.save());
    expect([mock.sent, mock.saved.length]).toEqual([1, 0]);
    mock.isSaved = true;
    await act(async () => now.current.save());
    expect([mock.sent, mock.saved.length]).toEqual([2, 1]);
  });

  it("knows what the event asks for, which the same drills touch as long as they fit", () => {
    const event = { id: start.eventId, actions: ["jump"], areas: ["hip"] } as unknown as ClubEvent;
    mock.events = [event];
    const now = hook();
    const before = now.current.coverage;
    expect(before?.actions).toEqual([{ what: "jump", by: [] }]);
    act(() => now.current.setMinutes(30));
    expect(now.current.coverage).toBe(before);
    act(() => now.current.removeDrill(idOf(1)));
    expect(now.current.coverage).not.toBe(before);
    mock.events = [{ ...event, actions: [], areas: [] } as ClubEvent];
    expect(hook().current.coverage).toBeNull();
  });

  it("mends with one press, and takes that back as it was", () => {
    const of = makeStart({}, planOf(item(1), item(2)));
    const now = hook(of);
    const before = now.current.draft.body;
    let undo = () => {};
    act(() => {
      undo = now.current.applyEdits([
        { kind: "remove", itemId: idOf(2) },
        { kind: "setting", change: { layers: true } },
      ]);
    });
    expect(now.current.draft.body.items.map((i) => i.id)).toEqual([idOf(1)]);
    expect(mock.setting?.layers).toBe(true);
    act(() => undo());
    expect(now.current.draft.body).toBe(before);
    expect(mock.setting?.layers).toBe(of.setting.layers);
  });

  it("what of the kit is there is ticked, not written into the start, and goes to what is judged", () => {
    mock.kit = ["boots"];
    const now = hook(makeStart({}, planOf(item(1))));
    expect(now.current.judgeInput.setting.kitReady).toEqual(["boots"]);
    let undo = () => {};
    act(() => {
      undo = now.current.applyEdits([{ kind: "setting", change: { kitReady: ["boots", "guards"] } }]);
    });
    expect(mock.kit).toEqual(["boots", "guards"]);
    expect(mock.setting).toBeNull();
    act(() => undo());
    expect(mock.kit).toEqual(["boots"]);
  });

  it("sets a finding aside under one's own name, with a reason, and looks at it again", () => {
    const of = makeStart({}, planOf(item(1)));
    const now = hook(of);
    const finding = {
      code: "wet",
      severity: "warn" as const,
      where: [],
      itemId: null,
      words: "Wet.",
      mends: [],
    };
    act(() => now.current.setAside(finding));
    expect(mock.setting?.known).toMatchObject([{ code: "wet", itemId: null, by: "Bo", reason: "" }]);
    const again = hook(of);
    act(() => again.current.setAside(finding, "A roof"));
    expect(mock.setting?.known).toMatchObject([{ code: "wet", reason: "A roof" }]);
    const last = hook(of);
    act(() => last.current.lookAgain(finding));
    expect(mock.setting?.known).toEqual([]);
  });

  it("waits for the athlete's earlier starts while they are read, and goes on without them where they cannot be", () => {
    const of = makeStart({}, planOf(item(1)));
    mock.before = { data: undefined, isLoading: true };
    expect(hook(of).current.isBeforeKnown).toBe(false);
    // Without a network nothing is being read.
    mock.before = { data: undefined, isLoading: false };
    expect(hook(of).current.isBeforeKnown).toBe(true);
    expect(hook(of).current.judgeInput.before).toEqual([]);
  });

  it("hides what is known of athletes and the shelf from whom it is not for", () => {
    const profile = { ...noProfile(), protectedAreas: [{ area: "knee" as const, until: null }] };
    mock.athletes = [{ id: start.athlete.id, version: 1, name: "Ada", profile }];
    mock.drills = [drill(1)];
    const of = makeStart({}, planOf(item(1)));
    expect(hook(of).current.judgeInput.athlete?.protectedAreas).toEqual(profile.protectedAreas);
    mock.may.delete("build");
    expect(hook(of).current.judgeInput.athlete).toBeNull();
    mock.may.delete("read");
    expect(hook(of).current.drills).toEqual([]);
  });
});
