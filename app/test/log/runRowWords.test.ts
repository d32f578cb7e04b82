import type { RunRow } from "@tonodrome/core/api";
import { runRowWords } from "~/features/log/runRowWords";

const row = (more: Partial<RunRow> = {}) =>
  ({
    kind: "warm-up",
    title: "Free skate",
    athleteName: "Noor Whitlock",
    zone: "UTC",
    startsAt: "2026-11-28T10:00:00.000Z",
    beganAt: "2026-11-28T09:20:00.000Z",
    endedAt: "2026-11-28T09:50:00.000Z",
    drills: 10,
    done: 9,
    skipped: 1,
    plannedSeconds: 1500,
    realSeconds: 1573,
    ...more,
  }) as RunRow;
const NOW = Date.parse("2026-11-28T12:00:00.000Z");

it("says when, what, how much and against what was planned", () => {
  expect(runRowWords(row(), NOW)).toEqual({
    when: "Today 09:20",
    what: "Free skate",
    done: "9 of 10 done, 1 skipped",
    real: "26:13",
    against: "1:13 over",
  });
});

it("of a run that did not begin or end it says so", () => {
  const words = runRowWords(row({ beganAt: null, endedAt: null, kind: "cool-down", skipped: 0 }), NOW);
  expect(words).toMatchObject({
    when: "Today 10:00",
    what: "Cool-down, Free skate",
    done: "9 of 10 done, not ended",
  });
  expect(runRowWords(row({ realSeconds: 1500 }), NOW).against).toBe("as planned");
  expect(runRowWords(row({ realSeconds: 1497 }), NOW).against).toBe("0:03 under");
});
