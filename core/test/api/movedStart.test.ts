import { movedStart } from "../../src/api/starts/movedStart";
import type { Start } from "../../src/api/starts/starts";
import { LONGEST_AVAILABLE_SECONDS } from "../../src/conditions/timeAvailable";

const start = { startsAt: "2026-06-01T12:00:00.000Z", readyAt: "2026-06-01T11:15:00.000Z" } as Start;
const minutes = (n: number) => Date.parse(start.startsAt) + n * 60_000;
const iso = (at: number) => new Date(at).toISOString();

it("leaves when the athlete is ready, but never after the start, nor longer before it than may be", () => {
  expect(movedStart(start, minutes(10))).toEqual({ startsAt: iso(minutes(10)), readyAt: start.readyAt });
  expect(movedStart(start, minutes(-60))).toEqual({
    startsAt: iso(minutes(-60)),
    readyAt: iso(minutes(-60)),
  });
  const far = minutes(2 * 24 * 60);
  expect(movedStart(start, far)).toEqual({
    startsAt: iso(far),
    readyAt: iso(far - LONGEST_AVAILABLE_SECONDS * 1000),
  });
});
