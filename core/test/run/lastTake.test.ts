import { lastTake } from "../../src/run/log/lastTake";
import { runEventSchema } from "../../src/run/log/runEvent";
import { anyId } from "../made/ids";

const take = (second: number, id = anyId()) =>
  runEventSchema.parse({
    id,
    at: new Date(Date.parse("2026-06-01T12:00:00.000Z") + second * 1000).toISOString(),
    kind: "take",
    who: "00000000-0000-4000-8000-000000000001",
  });

it("is the latest by the clock, in whatever order they came, and nobody's where none was", () => {
  const [first, second] = [take(10), take(20)];
  expect(lastTake([second, first])?.id).toBe(second.id);
  expect(lastTake([first, second])?.id).toBe(second.id);
  expect(lastTake([])).toBeNull();
});

it("two of one instant are told apart the same everywhere", () => {
  const [low, high] = [
    take(10, "00000000-0000-4000-8000-00000000000a"),
    take(10, "00000000-0000-4000-8000-00000000000b"),
  ];
  expect(lastTake([low, high])?.id).toBe(high.id);
  expect(lastTake([high, low])?.id).toBe(high.id);
});
