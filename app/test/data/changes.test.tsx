import { QueryClient } from "@tanstack/react-query";
import { act, renderHook } from "@testing-library/react-native";
import { fitPlan, runPlanOf } from "@tonodrome/core";
import { signedInAs } from "~/data/account/account";
import { useChanges } from "~/data/client/useChanges";
import { KEYS } from "~/data/queries/keys";
import { useLiveClub } from "~/data/resources/liveClub";
import { adoptRun } from "~/data/runs/press";
import { CLUB, makeMe } from "~/test/made/makeMe";
import { makeStart, twoMinutePlan } from "~/test/made/makeStart";
import { withClient } from "~/test/made/withClient";

/** Stands in for the browser's stream of events. */
class FakeStream {
  static readonly CLOSED = 2;
  static all: FakeStream[] = [];
  readyState = 1;
  onopen = () => undefined;
  onmessage = (_: { data: string }) => undefined;
  onerror = () => undefined;
  constructor(readonly url: string) {
    FakeStream.all.push(this);
  }
  close() {
    this.readyState = FakeStream.CLOSED;
  }
}

let visible = true;
const see = (now: boolean) => {
  visible = now;
  act(() => void document.dispatchEvent(new Event("visibilitychange")));
};
const open = () => FakeStream.all.filter((s) => s.readyState !== FakeStream.CLOSED);
const last = () => FakeStream.all.at(-1) as FakeStream;

beforeEach(() => {
  jest.useFakeTimers();
  localStorage.clear();
  visible = true;
  FakeStream.all = [];
  Object.assign(globalThis, { EventSource: FakeStream });
  Object.assign(AbortSignal, { timeout: () => undefined });
  jest.spyOn(document, "visibilityState", "get").mockImplementation(() => (visible ? "visible" : "hidden"));
});
afterEach(() => jest.restoreAllMocks());
const realTime = () => void jest.useRealTimers();

describe("a stream of changes", () => {
  // Before what was drawn is taken down, which waits for real time.
  afterEach(realTime);

  function heard() {
    const news: unknown[] = [];
    const hook = renderHook(() =>
      useChanges(
        "/changes",
        (change) => news.push(change),
        () => news.push("missed"),
      ),
    );
    return { news, unmount: hook.unmount };
  }

  it("that takes long to open comes too late for what changed since the page was read", () => {
    const { news } = heard();
    jest.advanceTimersByTime(300);
    last().onopen();
    expect(news).toEqual([]);
    const late = heard();
    jest.advanceTimersByTime(2000);
    last().onopen();
    expect(late.news).toEqual(["missed"]);
  });

  it("tells of each, and passes over what it does not understand", () => {
    const { news, unmount } = heard();
    expect(last().url).toBe("/api/changes");
    last().onopen();
    last().onmessage({ data: JSON.stringify({ topic: "drills" }) });
    last().onmessage({ data: JSON.stringify({ topic: "something else" }) });
    expect(news).toEqual([{ topic: "drills" }]);
    unmount();
    expect(open()).toEqual([]);
  });

  it("is held only while the page is in sight, and says that some were missed", () => {
    const { news } = heard();
    last().onopen();
    see(false);
    expect(open()).toEqual([]);
    see(true);
    expect(open()).toHaveLength(1);
    expect(news).toEqual([]);
    last().onopen();
    expect(news).toEqual(["missed"]);
  });

  it("is asked for again when it was refused, not when it only broke, and not once the page is left", () => {
    const { news, unmount } = heard();
    last().onerror();
    jest.advanceTimersByTime(60_000);
    expect(FakeStream.all).toHaveLength(1);
    last().close();
    last().onerror();
    expect(news).toEqual(["missed"]);
    jest.advanceTimersByTime(9_000);
    expect(FakeStream.all).toHaveLength(1);
    jest.advanceTimersByTime(2_000);
    expect(FakeStream.all).toHaveLength(2);
    last().close();
    last().onerror();
    unmount();
    jest.advanceTimersByTime(60_000);
    expect(FakeStream.all).toHaveLength(2);
  });
});

describe("what others change in the club", () => {
  afterEach(realTime);

  const asked: string[] = [];
  let client: QueryClient;
  let reread: string[];
  let up = true;

  beforeEach(() => {
    asked.length = 0;
    up = true;
    Object.assign(globalThis, {
      fetch: async (url: string) => {
        asked.push(url);
        if (!up) throw new TypeError("Failed to fetch");
        return { ok: true, headers: new Map(), json: async () => makeMe() };
      },
    });
    signedInAs(makeMe());
    client = new QueryClient();
    reread = [];
    jest.spyOn(client, "invalidateQueries").mockImplementation(async (filter) => {
      const isRead = filter?.refetchType !== "none";
      reread.push(`${(filter?.queryKey ?? ["everything"]).join(" ")}${isRead ? "" : ", later"}`);
    });
    const wrapper = withClient(client);
    renderHook(() => useLiveClub(), { wrapper });
    last().onopen();
  });

  const hear = (change: object) => act(async () => last().onmessage({ data: JSON.stringify(change) }));

  it("is read again, by what it is", async () => {
    expect(last().url).toBe(`/api/clubs/${CLUB}/changes`);
    await hear({ topic: "athletes" });
    expect(reread).toEqual(KEYS.athletes);
    reread.length = 0;
    await hear({ topic: "runs", id: "22222222-2222-4222-8222-222222222222" });
    const of = "22222222-2222-4222-8222-222222222222";
    expect(reread).toEqual([`run ${of}`, `run-news ${of}`]);
    expect(asked).toEqual([]);
  });

  it("is a run that has presses this device does not; one that was pressed here is not read again for it", async () => {
    const id = "22222222-2222-4222-8222-222222222222";
    const [own, other] = ["33333333-3333-4333-8333-333333333331", "33333333-3333-4333-8333-333333333332"];
    const { title, venue, zone, startsAt, athlete } = makeStart();
    adoptRun({
      ...{ id, startId: null, title, venue, zone, startsAt, athleteName: athlete.name },
      plan: runPlanOf(fitPlan(twoMinutePlan, 2700), startsAt),
      events: [{ id: own, at: startsAt, kind: "begin" }],
    });
    await hear({ topic: "runs", id, presses: [own] });
    await hear({ topic: "runs", id, presses: [own, other] });
    await hear({ topic: "runs", id });
    const now = [`run ${id}`, `run-news ${id}`];
    expect(reread).toEqual([...now.map((key) => `${key}, later`), ...now, ...now]);
  });

  it("is who one is too, where it is the club", async () => {
    await hear({ topic: "club" });
    expect(reread).toEqual(KEYS.club);
    expect(asked).toEqual(["/api/me"]);
  });

  it("is read again by whoever shows it, where a start is gone", async () => {
    up = false;
    await hear({ topic: "starts", id: "22222222-2222-4222-8222-222222222222" });
    const id = "22222222-2222-4222-8222-222222222222";
    expect(reread).toEqual(["edits", "before", `day ${id}`, "open-lists", "starts", `start ${id}`]);
  });

  it("is everything, after some were missed", async () => {
    see(false);
    see(true);
    await act(async () => last().onopen());
    expect(reread).toEqual(["everything"]);
    expect(asked).toEqual(["/api/me"]);
  });
});
