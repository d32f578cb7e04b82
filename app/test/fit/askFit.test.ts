import { openDay } from "@tonodrome/core";
import { twoMinutePlan } from "~/test/made/makeStart";

/** Stands in for a browser's worker. */
class MockWorker {
  static all: MockWorker[] = [];
  onmessage: ((event: { data: unknown }) => void) | null = null;
  onerror: ((event: { preventDefault: () => void }) => void) | null = null;
  onmessageerror: (() => void) | null = null;
  asked: unknown[] = [];
  ended = false;
  constructor() {
    MockWorker.all.push(this);
  }
  postMessage(ask: unknown): void {
    this.asked.push(ask);
  }
  terminate(): void {
    this.ended = true;
  }
}

// `import.meta.url` is Metro's to give; here nobody reads the address.
jest.mock("~/features/fit/newFitWorker", () => ({ newFitWorker: () => new MockWorker() }));

import { askFit } from "~/features/fit/askFit";

const ask = { kind: "trade", plan: twoMinutePlan, context: openDay(), seconds: 600, itemId: "x" } as const;
const told: string[] = [];
const listening = {
  onProgress: (progress: number) => told.push(`progress ${progress}`),
  onAnswer: (answer: unknown) => told.push(`answer ${JSON.stringify(answer)}`),
  onFailure: (sentence: string) => told.push(sentence),
};
const worker = () => MockWorker.all.at(-1) as MockWorker;

beforeEach(() => {
  told.length = 0;
});

it("tells how far it is, then the answer, and keeps the worker for the next question", () => {
  askFit(ask, listening);
  worker().onmessage?.({ data: { progress: 0.5 } });
  worker().onmessage?.({ data: { answer: null } });
  expect(told).toEqual(["progress 0.5", "answer null"]);
  const many = MockWorker.all.length;
  askFit(ask, listening);
  expect(MockWorker.all).toHaveLength(many);
  expect(worker().asked).toHaveLength(2);
  worker().onmessage?.({ data: { answer: null } });
});

it.each([
  ["throws", (w: MockWorker) => w.onmessage?.({ data: { failed: true } })],
  ["cannot be loaded", (w: MockWorker) => w.onerror?.({ preventDefault: () => undefined })],
  ["sends what cannot be read", (w: MockWorker) => w.onmessageerror?.()],
])("says one sentence when the worker %s, ends it, and asks a new one next", (_, breaks) => {
  askFit(ask, listening);
  const broken = worker();
  breaks(broken);
  breaks(broken);
  expect(told).toEqual(["What could be swapped out could not be worked out. Try again."]);
  expect(broken.ended).toBe(true);
  askFit(ask, listening);
  expect(worker()).not.toBe(broken);
  worker().onmessage?.({ data: { answer: null } });
  expect(told.at(-1)).toBe("answer null");
});

it("ends a worker that nobody waits for any more, and hears nothing of it", () => {
  const callOff = askFit(ask, listening);
  const busy = worker();
  callOff();
  busy.onmessage?.({ data: { answer: null } });
  expect(busy.ended).toBe(true);
  expect(told).toEqual([]);
});
