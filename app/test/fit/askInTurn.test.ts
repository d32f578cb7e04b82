import { askInTurn } from "~/features/fit/askInTurn";

const mock = {
  asked: [] as { n: number; answer: (a: unknown) => void; fail: (s: string) => void; off: boolean }[],
};
jest.mock("~/features/fit/askFit", () => ({
  askFit: (ask: { n: number }, on: { onAnswer: (a: unknown) => void; onFailure: (s: string) => void }) => {
    const one = { n: ask.n, answer: on.onAnswer, fail: on.onFailure, off: false };
    mock.asked.push(one);
    return () => {
      one.off = true;
    };
  },
}));

it("asks one after the other, goes on after a failure and after what was called off, and asks nothing that nobody wants", () => {
  const said: string[] = [];
  const ask = (n: number) =>
    askInTurn({ kind: "state", n } as never, {
      onAnswer: (a) => said.push(`${n} ${a}`),
      onFailure: () => said.push(`${n} failed`),
    });
  const [, , third, fourth] = [ask(1), ask(2), ask(3), ask(4), ask(5)];
  const numbers = () => mock.asked.map((a) => a.n);
  expect(numbers()).toEqual([1]);
  mock.asked[0]?.answer("warm");
  expect(numbers()).toEqual([1, 2]);
  third?.();
  mock.asked[1]?.fail("no");
  // The third was called off while it waited.
  expect(numbers()).toEqual([1, 2, 4]);
  fourth?.();
  expect(mock.asked[2]?.off).toBe(true);
  expect(numbers()).toEqual([1, 2, 4, 5]);
  fourth?.();
  mock.asked[3]?.answer("cold");
  expect(said).toEqual(["1 warm", "2 failed", "5 cold"]);
  ask(6);
  expect(numbers()).toEqual([1, 2, 4, 5, 6]);
});
