import fc from "fast-check";
import { glanceSchema } from "../../src/api/starts/glance";
import { usualSetting } from "../../src/conditions/setting";
import { fitAt } from "../../src/fit/fit";
import { profileAt } from "../../src/fit/profile";
import { glanceOf, quickGlanceOf } from "../../src/glance/glance";
import { emptyPlan, type PlanBody } from "../../src/plan/plan";
import { cases } from "../made/cases";

const day = {
  startsAt: "2026-06-01T12:00:00.000Z",
  setting: usualSetting(),
  facts: { points: [], places: [], usualReps: 0 },
};

const drill = (n: number, seconds: number, intensity: number): PlanBody["items"][number] => ({
  id: `11111111-1111-4111-8111-${String(n).padStart(12, "0")}`,
  drillId: null,
  name: `Drill ${n}`,
  phase: "raise",
  priority: n % 2 ? "essential" : "extra",
  intensity,
  dose: {
    kind: "time",
    seconds: { floor: Math.ceil(seconds / 2), ideal: seconds, ceiling: seconds },
    step: 15,
    sides: "one",
    changeoverSeconds: 0,
  },
  focus: "",
  place: "",
});

const plans = fc
  .array(
    fc.record({ seconds: fc.integer({ min: 2, max: 40 }), intensity: fc.integer({ min: 0, max: 20 }) }),
    {
      maxLength: 8,
    },
  )
  .map((drills) => ({
    ...emptyPlan(),
    items: drills.map((d, n) => drill(n, d.seconds * 15, d.intensity * 5)),
  }));

it("tells of a start what its fit is, told by the server in passing or computed by the device", () => {
  fc.assert(
    fc.property(plans, fc.integer({ min: 0, max: 60 }), (plan, minutes) => {
      const seconds = minutes * 60;
      const glance = glanceOf({ plan, day, seconds, training: null, before: [] });
      const { places: _, ...context } = {
        places: [],
        travel: [],
        points: [],
        startPlace: null,
        usualReps: 0,
      };
      const fit = fitAt(profileAt(plan, { ...context, places: [] }, seconds), seconds);
      expect([glance.beginSeconds, glance.workSeconds, glance.fits]).toEqual([
        fit.beginSeconds,
        fit.workSeconds,
        fit.state === "fits",
      ]);
      // What is drawn begins when it begins and ends with the start.
      if (glance.workSeconds > 0) {
        expect(glance.segments[0]?.fromSeconds).toBe(glance.beginSeconds);
        expect(glance.segments.at(-1)?.toSeconds).toBe(0);
      }
      // What it says is what may be sent, and needs at most as much for the essentials as for everything.
      expect(glanceSchema.safeParse(glance).success).toBe(true);
      expect(glance.needs.essentials ?? 0).toBeLessThanOrEqual(glance.needs.full ?? Number.POSITIVE_INFINITY);
      expect(quickGlanceOf({ plan, day, seconds })).toEqual({ ...glance, state: null });
    }),
    cases(100),
  );
});

it("needs no time of what never fits, so that it can be told", () => {
  const window = {
    opens: "2026-06-01T10:00:00.000Z",
    closes: "2026-06-01T10:01:00.000Z",
    room: "all",
    turns: 1,
  };
  const places = [{ name: "Ice", windows: [window] }] as never;
  const closed = { ...day, setting: { ...day.setting, places } };
  const plan = { ...emptyPlan(), items: [{ ...drill(1, 600, 20), place: "Ice" }] };
  const glance = glanceOf({ plan, day: closed, seconds: 7200, training: null, before: [] });
  expect([glance.fits, glance.needs, glanceSchema.safeParse(glance).success]).toEqual([
    false,
    { full: null, essentials: null },
    true,
  ]);
});

it("is not told in passing where that could take long, or where the best is not found at once", () => {
  const plan = { ...emptyPlan(), items: Array.from({ length: 31 }, (_, n) => drill(n, 60, 20)) };
  expect(quickGlanceOf({ plan, day, seconds: 3600 })).toBeNull();
  const few = { ...plan, items: plan.items.slice(0, 5) };
  expect(quickGlanceOf({ plan: few, day, seconds: 3600 })).not.toBeNull();
  expect(quickGlanceOf({ plan: few, day, seconds: 4 * 3600 })).toBeNull();
  // Every other of them passes a limit on what is done: the best within it takes a search.
  const limited = { ...few, limits: { generalMinutes: 1 } };
  expect(quickGlanceOf({ plan: limited, day, seconds: 3600 })).toBeNull();
  expect(
    glanceOf({ plan: limited, day, seconds: 3600, training: null, before: [] }).workSeconds,
  ).toBeLessThan(300);
});
