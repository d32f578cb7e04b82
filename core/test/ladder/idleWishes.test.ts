import fc from "fast-check";
import { generateLadder } from "../../src/ladder/generateLadder";
import { idleWishes, type TriedWish, WISH_STEPS } from "../../src/ladder/idleWishes";
import { FIRST_WISH, type LadderWish, ladderShapeSchema } from "../../src/ladder/ladderWish";
import { cases } from "../made/cases";

it("says which wishes a shape does not go by, and when more time is no use", () => {
  const idle = idleWishes(FIRST_WISH);
  expect(idle.hits).toBe("“Even climb” does not go by it.");
  expect(idle.seconds).toMatch(/^All that is wished for takes 4:35/);
  expect(idle.reps).toBeUndefined();
  expect(idleWishes({ ...FIRST_WISH, shape: "confidence" }).reps).toContain("does not go by it");
});

it("says that other wishes or the time are in the way, where they are", () => {
  expect(idleWishes({ ...FIRST_WISH, reps: 1 }).taperPercent).toBe(
    "As the other wishes stand it changes nothing.",
  );
  const short = idleWishes({ ...FIRST_WISH, shape: "targets", seconds: 200 });
  expect(Object.values(short)).toContain("There is no time for it: give the ladder more.");
  expect(short.seconds).toBeUndefined();
});

it("never calls a wish idle of which one step more makes another ladder", () => {
  fc.assert(
    fc.property(
      fc.constantFrom(...ladderShapeSchema.options),
      fc.integer({ min: 3, max: 30 }),
      fc.integer({ min: 1, max: 12 }),
      fc.integer({ min: 8, max: 20 }),
      (shape, time, reps, top) => {
        const wish = { ...FIRST_WISH, shape, seconds: time * 30, reps, top: top * 5 };
        const made = (more: Partial<LadderWish>) => generateLadder({ ...wish, ...more }, () => "");
        const now = made({});
        if (!now.ok) return;
        for (const field of Object.keys(idleWishes(wish)) as (TriedWish | "seconds")[]) {
          const more = made({ [field]: wish[field] + (field === "seconds" ? 30 : WISH_STEPS[field]) });
          if (more.ok) expect(more).toEqual(now);
        }
      },
    ),
    cases(100),
  );
});
