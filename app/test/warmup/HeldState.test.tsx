import { act, render } from "@testing-library/react-native";
import { fitPlan } from "@tonodrome/core";
import { HeldState } from "~/features/warmup/dock/HeldState";
import { type HeldFit, useHeldFit } from "~/features/warmup/model/useHeldFit";
import { item, planOf } from "~/test/made/makePlan";
import { makeStart } from "~/test/made/makeStart";

const mockAsked: {
  ask: { kind: string; fit: { availableSeconds: number } };
  answer: (a: unknown) => void;
}[] = [];
const mockSeen = { line: null as string | null };
jest.mock("~/features/judge/JudgementLine", () => ({
  StatePress: ({ line }: { line: string | null }) => {
    mockSeen.line = line;
    return null;
  },
}));
jest.mock("~/features/fit/askFit", () => ({
  askFit: (ask: (typeof mockAsked)[number]["ask"], { onAnswer }: { onAnswer: (a: unknown) => void }) => {
    mockAsked.push({ ask, answer: onAnswer });
    return () => undefined;
  },
}));

const plan = planOf(item(1), item(2));
const fitFor = (minutes: number) => fitPlan(plan, minutes * 60);
const input = { setting: makeStart().setting, athlete: null };

it("follows the finger with what the worker answers, and stands until what everything goes by is judged", async () => {
  let held: HeldFit | undefined;
  let settle: (minutes: number) => void = () => undefined;
  function Shown({ minutes, judgement }: { minutes: number; judgement: { line: string | null } }) {
    held = useHeldFit(fitFor, minutes, (to) => settle(to));
    const settled = { minutes, fit: fitFor(minutes) };
    return <HeldState held={held} settled={settled} input={input} judgement={judgement} onPress={() => {}} />;
  }
  const first = { line: "warm, sharp, fresh" };
  const { rerender } = render(<Shown minutes={45} judgement={first} />);
  expect([mockSeen.line, mockAsked.length]).toEqual(["warm, sharp, fresh", 0]);
  const answer = (state: string) => act(async () => mockAsked.at(-1)?.answer(state));
  const paint = () =>
    act(async () => new Promise((done) => requestAnimationFrame(() => setTimeout(done, 5))));

  act(() => held?.take());
  act(() => held?.move(20));
  await paint();
  expect(mockAsked.at(-1)?.ask).toMatchObject({ kind: "state", fit: { availableSeconds: 1200 } });
  // Not blank, and not of nothing, until it is known.
  expect(mockSeen.line).toBe("warm, sharp, fresh");
  await answer("almost warm");
  expect(mockSeen.line).toBe("almost warm");

  settle = (to) => rerender(<Shown minutes={to} judgement={first} />);
  await act(async () => held?.letGo());
  // What was judged before is of forty-five minutes.
  expect([mockSeen.line, held?.store.getState().after]).toEqual(["almost warm", null]);
  rerender(<Shown minutes={20} judgement={{ line: "almost warm, fresh" }} />);
  expect(mockSeen.line).toBe("almost warm, fresh");

  // The next time it begins with what is known then.
  settle = () => undefined;
  act(() => held?.take());
  act(() => held?.move(30));
  await paint();
  expect(mockSeen.line).toBe("almost warm, fresh");
});
