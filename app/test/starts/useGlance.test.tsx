import { QueryClient } from "@tanstack/react-query";
import { act, renderHook, waitFor } from "@testing-library/react-native";
import type { Start } from "@tonodrome/core/api";
import type { Glance } from "@tonodrome/core/judge";
import { putGlance } from "~/data/queries/glances";
import type { FitAsk } from "~/features/fit/fitWorker";
import { useGlance } from "~/features/starts/useGlance";
import { makeStart, twoMinutePlan } from "~/test/made/makeStart";
import { withClient } from "~/test/made/withClient";

interface Asked {
  ask: Extract<FitAsk, { kind: "glance" }>;
  answer: (glance: unknown) => void;
  fail: (sentence: string) => void;
  calledOff: boolean;
}
const mockAsked: Asked[] = [];
const mockRead = {
  events: { data: [] as object[], isPending: false },
  athletes: { data: [] as object[], isPending: false },
};
jest.mock("~/data/resources/events", () => ({ useEvents: () => mockRead.events }));
jest.mock("~/data/resources/athletes", () => ({ useAthletes: () => mockRead.athletes }));
jest.mock("~/features/fit/askInTurn", () => ({
  askInTurn: (ask: Asked["ask"], on: { onAnswer: Asked["answer"]; onFailure: Asked["fail"] }) => {
    const asked = { ask, answer: on.onAnswer, fail: on.onFailure, calledOff: false };
    mockAsked.push(asked);
    return () => {
      asked.calledOff = true;
    };
  },
}));

const start = makeStart({}, twoMinutePlan);
const glance = (word: string): Glance => ({
  ...{ beginSeconds: -420, workSeconds: 120, word, fits: true, givenUp: "", segments: [] },
  ...{ needs: { full: 420, essentials: 360 }, state: null },
});
const last = () => mockAsked.at(-1) as Asked;

interface Shown {
  start: Start;
  seconds: number | null;
  others: Start[];
}

function shown(first: Partial<Shown> = {}, client = new QueryClient()) {
  const wrapper = withClient(client);
  const initialProps: Shown = { start, seconds: 2700, others: [], ...first };
  const hook = renderHook((p: Shown) => useGlance(p.start, p.seconds, p.others), { wrapper, initialProps });
  return { client, ...hook, show: (more: Partial<Shown>) => hook.rerender({ ...initialProps, ...more }) };
}

beforeEach(() => {
  mockAsked.length = 0;
  mockRead.events = { data: [], isPending: false };
  mockRead.athletes = { data: [], isPending: false };
});

it("asks for how a start stands once, and again only when something that it goes by is another", async () => {
  const { result, show } = shown();
  expect(result.current.glance).toBeNull();
  await act(async () => last().answer(glance("fits")));
  await waitFor(() => expect(result.current.glance?.word).toBe("fits"));
  show({});
  // Within the minute it holds.
  show({ seconds: 2759 });
  expect(mockAsked).toHaveLength(1);
  show({ seconds: 2640 });
  expect([mockAsked.length, last().ask.start.seconds]).toEqual([2, 2640]);
  // What was found before stands until then.
  expect(result.current.glance?.word).toBe("fits");
  await act(async () => last().answer(glance("tight")));
  await waitFor(() => expect(result.current.glance?.word).toBe("tight"));
});

it("says nothing of a start that has become another until that is known", async () => {
  const { result, show } = shown();
  await act(async () => last().answer(glance("fits")));
  await waitFor(() => expect(result.current.glance?.word).toBe("fits"));
  const moved = { ...start, stamp: "2.1.1.0", startsAt: "2026-06-01T12:30:00.000Z" };
  show({ start: moved });
  expect(result.current.glance).toBeNull();
  expect(last().ask.start.day.startsAt).toBe(moved.startsAt);
  await act(async () => last().answer(glance("tight")));
  await waitFor(() => expect(result.current.glance?.word).toBe("tight"));
});

it("waits for what it goes by, and shows meanwhile what the device has", () => {
  mockRead.athletes = { data: [], isPending: true };
  const client = new QueryClient();
  putGlance(client, start.id, { stamp: start.stamp, glance: glance("as told") });
  const { result, show } = shown({}, client);
  expect([result.current.glance?.word, mockAsked.length]).toEqual(["as told", 0]);
  const profile = { ageBand: "adult" };
  mockRead.athletes = { data: [{ id: start.athlete.id, profile }], isPending: false };
  show({});
  expect(last().ask.start.training).toEqual(profile);
});

it("goes by what the same athlete starts before, on the same day alone", () => {
  const hour = (n: number) => new Date(Date.parse(start.startsAt) - n * 3_600_000).toISOString();
  const other = (n: number, more: Partial<Start> = {}) =>
    makeStart({ id: `other-${n}`, startsAt: hour(n), ...more });
  const others = [
    start,
    other(2, { title: "Heat" }),
    other(3, { athlete: { id: "somebody", name: "Else" } }),
    other(-1),
    other(20),
  ];
  shown({ others });
  expect(last().ask.before.map((b) => [b.title, b.agoSeconds])).toEqual([["Heat", 7200]]);
});

it("asks nothing where it does not matter, says why there is no answer, and asks for nothing once left", async () => {
  const { result, show, unmount } = shown({ seconds: null });
  expect(mockAsked).toEqual([]);
  show({ seconds: 2700 });
  await act(async () => last().fail("It broke."));
  expect(result.current.failure).toBe("It broke.");
  show({ seconds: 600 });
  expect(result.current.failure).toBeNull();
  unmount();
  expect(last().calledOff).toBe(true);
});
