import fc from "fast-check";
import { noDetails } from "../../src/drill/details";
import { topUpFor } from "../../src/forecast/answers/topUp";
import { topUpLine } from "../../src/forecast/answers/topUpLine";
import { MIDDLE_PERSON } from "../../src/forecast/model/parameters";
import type { ShelfContent } from "../../src/plan/drillContent";
import { cases } from "../made/cases";
import { integrated } from "./integrate";
import { done, mild } from "./pieces";

const range = (n: number) => ({ floor: n, ideal: n + 30, ceiling: n + 60 });
const drill = (
  name: string,
  phase: ShelfContent["phase"],
  intensity: number,
  seconds: number,
): ShelfContent => ({
  name,
  phase,
  intensity,
  priority: "useful",
  dose: { kind: "time", seconds: range(seconds), step: 30, sides: "one", changeoverSeconds: 0 },
  focus: "",
  place: "",
});

const anyShelf = fc.array(
  fc.oneof(
    fc
      .record({ effort: fc.constantFrom(15, 20, 35, 50, 60, 70), long: fc.constant(120) })
      .map(({ effort, long }) => drill(`easy ${effort}`, "raise", effort, long)),
    fc
      .record({ effort: fc.constantFrom(60, 75, 85, 95), long: fc.constantFrom(10, 30, 60, 240) })
      .map(({ effort, long }) => drill(`hard ${effort} ${long}`, "prime", effort, long)),
  ),
  { maxLength: 5 },
);
const anyPieces = fc
  .tuple(
    fc.constantFrom(8, 14),
    fc.constantFrom(50, 65),
    fc.constantFrom(0, 0.5),
    fc.integer({ min: 3, max: 25 }),
  )
  .map(([long, effort, hard, wait]) =>
    done(
      [
        [long, effort],
        [hard, 92],
      ],
      wait,
    ),
  );

/** Readiness of the document, by numerical integration. */
function ready(pieces: ReturnType<typeof done>, at: number) {
  const { warmth, sharpness, tiredness } = integrated(pieces, MIDDLE_PERSON, mild, at);
  const { perDeg, full, sTop } = MIDDLE_PERSON;
  return 100 * (perDeg * (Math.min(warmth, full) - full) + sTop * sharpness - tiredness);
}

describe("the top-up", () => {
  test("is the shortest of all there are, by brute force", () => {
    fc.assert(
      fc.property(
        anyShelf,
        anyPieces,
        fc.constantFrom(300, 900, 1800),
        fc.boolean(),
        (drills, pieces, late, hard) => {
          const found = topUpFor({
            pieces,
            around: mild,
            delaySeconds: late,
            drills,
            withEffort: hard,
            waitSeconds: 120,
          });
          const end = pieces.at(-1)?.toSeconds ?? 0;
          const planned = ready(pieces, 0);
          const without = ready(pieces, late);
          // Every minute of every easy drill, every hard drill at its shortest, each alone and the two together.
          const easy = drills
            .filter((d) => d.phase === "raise" && d.intensity >= 20 && d.intensity <= 60)
            .flatMap((d) => [1, 2, 3, 4, 5, 6].map((m) => [60 * m, d.intensity] as const));
          const efforts = drills
            .filter((d) => hard && d.phase === "prime" && d.intensity >= 75)
            .map((d) => [(d.dose as { seconds: { floor: number } }).seconds.floor, d.intensity] as const)
            .filter(([seconds]) => seconds <= 180);
          const sets = [
            ...easy.map((e) => [e]),
            ...efforts.map((h) => [h]),
            ...easy.flatMap((e) => efforts.map((h) => [e, h])),
          ];
          const tried = sets.flatMap((set) => {
            const long = set.reduce((sum, [seconds]) => sum + seconds, 0);
            const gap = late - 120 - long - end;
            if (gap < 0) return [];
            const all = [
              ...pieces,
              ...done(
                [[gap / 60, 0], ...set.map(([seconds, effort]) => [seconds / 60, effort] as const)],
                (120 - late) / 60,
              ),
            ];
            return [{ long, ready: ready(all, late) }];
          });
          const back = tried.filter((t) => t.ready >= planned - 1 + 1e-7).map((t) => t.long);
          if (without >= planned - 1 - 1e-7) return;
          if (back.length > 0) {
            expect(found?.isBack).toBe(true);
            expect((found?.steps ?? []).reduce((sum, s) => sum + s.toSeconds - s.fromSeconds, 0)).toBe(
              Math.min(...back),
            );
            expect(found?.steps.at(-1)?.toSeconds).toBe(-120);
            return;
          }
          const most = Math.max(without, ...tried.map((t) => t.ready));
          if (found) expect(found.with).toBeGreaterThan(most - 1e-6);
          else expect(most).toBeLessThan(without + 1 + 1e-6);
        },
      ),
      cases(40),
    );
  });

  test("is not needed where nothing is lost, and not worth it where nothing gives it back", () => {
    const pieces = done([[12, 60]], 4);
    const wanted = {
      pieces,
      around: mild,
      drills: [drill("Jog", "raise", 40, 60)],
      withEffort: true,
      waitSeconds: 120,
    };
    expect(topUpFor({ ...wanted, delaySeconds: 30 })).toBeNull();
    expect(topUpFor({ ...wanted, drills: [], delaySeconds: 1800 })).toBeNull();
    expect(topUpFor({ ...wanted, pieces: [], delaySeconds: 1800 })).toBeNull();
  });

  test("what gives less than a point and does not bring it back is not offered", () => {
    const wanted = {
      pieces: done(
        [
          [14, 65],
          [0.5, 95],
        ],
        4,
      ),
      around: mild,
      delaySeconds: 600,
      drills: [drill("Stroll", "raise", 25, 60)],
      withEffort: false,
      waitSeconds: 300,
    };
    const { perDeg, full } = MIDDLE_PERSON;
    // Strolling keeps some tenths of a degree.
    expect(100 * perDeg * full).toBeGreaterThan(10);
    expect(topUpFor(wanted)).toBeNull();
    expect(topUpFor({ ...wanted, drills: [drill("Jog", "raise", 60, 60)] })).not.toBeNull();
  });

  test("takes as much of what is counted as whole minutes hold, and only what is done alone and without hops", () => {
    const skips = (more: Partial<ShelfContent> = {}): ShelfContent => ({
      ...drill("Skips", "raise", 50, 60),
      // Twenty seconds and ten of rest, again and again: two make 50 s, four 110 s.
      dose: {
        kind: "reps",
        sets: { floor: 1, ideal: 4, ceiling: 8 },
        reps: { floor: 10, ideal: 10, ceiling: 10 },
        secondsPerRep: 2,
        sides: "one",
        restSeconds: 10,
      },
      ...more,
    });
    const wanted = {
      pieces: done(
        [
          [14, 65],
          [0.5, 95],
        ],
        4,
      ),
      around: mild,
      delaySeconds: 900,
      withEffort: false,
      waitSeconds: 120,
    };
    const found = topUpFor({ ...wanted, drills: [skips()] });
    const long = (found?.steps ?? []).reduce((sum, s) => sum + s.toSeconds - s.fromSeconds, 0);
    expect([50, 110, 170, 230]).toContain(long);
    expect(
      topUpFor({ ...wanted, drills: [skips({ details: { ...noDetails(), flags: ["explosive"] } })] }),
    ).toBeNull();
    const both = { ...skips().dose, sides: "both" } as ShelfContent["dose"];
    expect(topUpFor({ ...wanted, drills: [skips({ dose: both })] })).toBeNull();
  });

  test("says what to do and when", () => {
    const found = topUpFor({
      pieces: done(
        [
          [12, 60],
          [0.5, 92],
        ],
        4,
      ),
      around: mild,
      delaySeconds: 1200,
      drills: [drill("Jog", "raise", 50, 60), drill("One strong jump", "prime", 92, 20)],
      withEffort: true,
      waitSeconds: 180,
    });
    expect(topUpLine(found as NonNullable<typeof found>)).toMatch(
      /^\d min of Jog at −\d:\d\d and 20 s of One strong jump at −3:20 bring /,
    );
  });
});
