import { inTurn } from "~/data/outbox/turn";

/** Lets everything that is ready go on. */
const settled = () => new Promise((done) => setTimeout(done, 0));

/** Whatever another tab holds. */
let held: Set<string>;

beforeEach(() => {
  held = new Set();
  Object.defineProperty(navigator, "locks", {
    configurable: true,
    value: {
      request: (name: string, _how: object, act: (lock: object | null) => Promise<unknown>) =>
        act(held.has(name) ? null : { name }),
    },
  });
});
afterEach(() => void Reflect.deleteProperty(navigator, "locks"));

it("leaves alone what another tab is sending, and says so", async () => {
  held.add("tonodrome run 1");
  const did: string[] = [];
  const note = (what: string) => async () => void did.push(what);
  expect(await inTurn("run 1", 3, note("run 1"))).toBe(false);
  expect(await inTurn("run 2", 3, note("run 2"))).toBe(true);
  expect(did).toEqual(["run 2"]);
});

it("does so many at a time, and the next when one is over, however it ended", async () => {
  const ends: (() => void)[] = [];
  const begun: number[] = [];
  const turns = [1, 2, 3].map((n) =>
    inTurn(`run ${n}`, 2, () => {
      begun.push(n);
      return new Promise<void>((done, fail) => ends.push(n === 1 ? () => fail(new Error("refused")) : done));
    }),
  );
  await settled();
  expect(begun).toEqual([1, 2]);
  ends[0]?.();
  await expect(turns[0]).rejects.toThrow("refused");
  await settled();
  expect(begun).toEqual([1, 2, 3]);
  for (const end of ends) end();
  expect(await Promise.all(turns.slice(1))).toEqual([true, true]);
});
