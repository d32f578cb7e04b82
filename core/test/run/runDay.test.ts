import { runDay } from "../../src/run/log/runDay";
import type { RunEvent } from "../../src/run/log/runEvent";

const event = (more: object) => ({ id: "x", at: "2026-06-01T12:00:00.000Z", ...more }) as RunEvent;
const moved = (more: object = {}) =>
  event({ kind: "start-moved", startsAt: "2026-06-01T13:00:00.000Z", ...more });
const pulse = (rates: (number | null)[], more: object = {}) =>
  event({ kind: "pulse", everySeconds: 5, rates, ...more });

it("tells how often the start moved and between which rates the heart beat, and what was made up", () => {
  expect(runDay([event({ kind: "begin" }), moved(), moved({ simulated: true })])).toEqual({
    moves: { times: 2, simulated: 1 },
    rates: null,
  });
  expect(runDay([pulse([null, 120, 96]), pulse([151], { simulated: true })]).rates).toEqual({
    least: 96,
    most: 151,
    times: 3,
    simulated: 1,
  });
  expect(runDay([pulse([null])]).rates).toBeNull();
});
