import { renderHook } from "@testing-library/react-native";
import { type RunEvent, runState } from "@tonodrome/core";
import type { Start } from "@tonodrome/core/api";
import fc from "fast-check";
import type { KeptRun } from "~/data/runs/keptRun";
import { useFollowedStart } from "~/features/run/follow/useFollowedStart";
import { makeStart } from "~/test/made/makeStart";

/** The server's start as it was last read, and what has been sent and not answered. */
const mockServer = {
  data: undefined as Start | undefined,
  dataUpdatedAt: 0,
  sent: [] as { version: number; startsAt: string }[],
  isPending: false,
  isSuccess: false,
};
const mockPressed: RunEvent[] = [];
const mockPress = (event: object) =>
  mockPressed.push({ id: String(mockPressed.length), at: "2026-06-01T11:00:00.000Z", ...event } as RunEvent);
let mockMay = (_action: string) => true;
jest.mock("~/data/account/account", () => ({ useMay: (action: string) => mockMay(action) }));
jest.mock("~/data/resources/starts", () => ({
  useStart: () => mockServer,
  useMoveStart: () => ({
    isPending: mockServer.isPending,
    isSuccess: mockServer.isSuccess,
    mutate: ({ start, startsAt }: { start: Start; startsAt: string }) => {
      mockServer.sent.push({ version: start.version, startsAt });
      mockServer.isPending = true;
      mockServer.isSuccess = false;
    },
  }),
}));
jest.mock("~/data/runs/press", () => ({
  pressRun: (_id: string, event: object) => mockPress(event),
}));

const at = (minute: number) =>
  new Date(Date.parse("2026-06-01T12:00:00.000Z") + minute * 60_000).toISOString();

/** A run and a server's start that move apart and together again, minutes after noon. */
function twoPlaces() {
  let truth = makeStart({ startsAt: at(0), readyAt: at(-60) });
  const run = { id: "run", startId: truth.id, plan: { drills: [], waitSeconds: 60, startsAt: at(0) } };
  Object.assign(mockServer, { data: truth, dataUpdatedAt: 1, sent: [], isPending: false, isSuccess: false });
  mockPressed.length = 0;
  let hook = mount();
  function mount() {
    return renderHook(() => {
      const kept = { run, events: [...mockPressed] } as unknown as KeptRun;
      useFollowedStart(kept, runState(kept.run.plan, kept.events));
    });
  }
  const settle = () => hook.rerender({});
  const here = () => minuteOf(runState(run.plan, mockPressed as RunEvent[]).startsAt);
  const there = () => minuteOf(Date.parse(truth.startsAt));
  const hear = () => {
    Object.assign(mockServer, { data: truth, dataUpdatedAt: mockServer.dataUpdatedAt + 1 });
    settle();
    settle();
  };
  return {
    here,
    there,
    hear,
    moveHere(minute: number) {
      mockPress({ kind: "start-moved", startsAt: at(minute) });
      settle();
    },
    /** Somebody else moves it; it is not known here yet. */
    moveThere(minute: number) {
      truth = { ...truth, version: truth.version + 1, startsAt: at(minute) };
    },
    /** What was sent arrives, if it was made from the newest version, or does not. */
    answer(reaches: boolean) {
      const last = mockServer.sent.at(-1);
      if (!mockServer.isPending || !last) return;
      const isStale = last.version !== truth.version;
      if (reaches && !isStale) truth = { ...truth, version: truth.version + 1, startsAt: last.startsAt };
      mockServer.isPending = false;
      mockServer.isSuccess = reaches && !isStale;
      // A refusal comes with what the server has.
      if (reaches) hear();
      else settle();
    },
    /** The page is closed and opened again; an answer under way is lost. */
    reopen() {
      hook.unmount();
      Object.assign(mockServer, { isPending: false, isSuccess: false });
      hook = mount();
    },
  };
}

const minuteOf = (time: number) => (time - Date.parse(at(0))) / 60_000;

it("is told to the server when it moves here, and followed when it moves there", () => {
  const places = twoPlaces();
  expect(mockServer.sent).toEqual([]);
  places.moveHere(5);
  places.answer(true);
  expect([places.here(), places.there()]).toEqual([5, 5]);
  places.moveThere(9);
  places.hear();
  expect([places.here(), places.there()]).toEqual([9, 9]);
  // Back to where it once was is a move too.
  places.moveThere(5);
  places.hear();
  expect([places.here(), places.there()]).toEqual([5, 5]);
  expect(mockServer.sent).toHaveLength(1);
});

it("moves and follows for nobody who may not run", () => {
  mockMay = () => false;
  const places = twoPlaces();
  places.moveHere(5);
  places.moveThere(9);
  places.hear();
  expect([places.here(), mockServer.sent]).toEqual([5, []]);
  mockMay = () => true;
});

it("keeps a second move that is made before the first has been answered", () => {
  const places = twoPlaces();
  places.moveHere(1);
  places.moveHere(2);
  places.answer(true);
  places.answer(true);
  expect([places.here(), places.there()]).toEqual([2, 2]);
});

it("tells it once the server is heard from again, not over and over meanwhile", () => {
  const places = twoPlaces();
  places.moveHere(5);
  places.answer(false);
  places.answer(false);
  expect(mockServer.sent).toHaveLength(1);
  places.reopen();
  places.answer(true);
  expect([places.here(), places.there()]).toEqual([5, 5]);
});

it("in the end both agree, whatever happens in between, and a move made here alone is never lost", () => {
  const minute = fc.integer({ min: 1, max: 4 });
  const step = fc.oneof(
    minute.map((m) => ["moveHere", m] as const),
    minute.map((m) => ["moveThere", m] as const),
    fc.constantFrom(
      ["hear"] as const,
      ["reopen"] as const,
      ["answer", true] as const,
      ["answer", false] as const,
    ),
  );
  fc.assert(
    fc.property(fc.array(step, { maxLength: 12 }), (steps) => {
      const places = twoPlaces();
      let last: number | null = null;
      for (const [what, how] of steps) {
        if (what === "moveHere") {
          last = how;
          places.moveHere(how);
        } else if (what === "moveThere") {
          last = null;
          places.moveThere(how);
        } else if (what === "answer") places.answer(how);
        else places[what]();
      }
      for (let i = 0; i < 4; i++) {
        places.hear();
        places.answer(true);
      }
      expect(places.here()).toBe(places.there());
      if (last !== null && !steps.some(([what]) => what === "moveThere")) expect(places.there()).toBe(last);
    }),
  );
});
