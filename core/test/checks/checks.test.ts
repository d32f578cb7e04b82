import { checkPlan } from "../../src/checks/checkPlan";
import { clubFiguresSchema } from "../../src/checks/clubFigures";
import { CHECKS } from "../../src/checks/list";
import { withProvenMends } from "../../src/checks/provenMends";
import type { Check } from "../../src/checks/terms/check";
import { type ClubFigures, figuresOf } from "../../src/checks/terms/figures";
import { type Situation, situationOf } from "../../src/checks/terms/situation";
import { fitPlan } from "../../src/fit/fit";
import type { Finding } from "../../src/plan/finding";
import { anyId } from "../made/ids";
import { ladder, type Made, made, reps, timed } from "../made/situations";
import { withMore } from "../made/withMore";
import { CASES } from "./cases";

const speaks = (check: Check, of: Made, figures: ClubFigures = []) =>
  check.find(made(of), figuresOf(check, figures), figures).length > 0;

/** What mends a finding, tried. */
const mended = (situation: Situation, finding: Finding) => {
  const found = checkPlan(situation);
  const is = (f: Finding) =>
    f.code === finding.code && f.itemId === finding.itemId && f.words === finding.words;
  return withProvenMends(situation, found, { figures: [], makeId: anyId }).find(is)?.mends ?? [];
};

describe.each(CHECKS.map((c) => [c.code, c] as const))("%s", (code, check) => {
  const cases = CASES[code];

  test("speaks where it should, and not in the nearest cases where it should not", () => {
    expect(cases?.fires.length).toBeGreaterThan(0);
    expect(cases?.not.length).toBeGreaterThan(0);
    expect(cases?.fires.map((of) => speaks(check, of))).toEqual(cases?.fires.map(() => true));
    expect(cases?.not.map((of) => speaks(check, of))).toEqual(cases?.not.map(() => false));
  });

  test("says what is the matter in a sentence, with its own code", () => {
    for (const of of cases?.fires ?? [])
      for (const finding of check.find(made(of), figuresOf(check, []))) {
        expect(finding.code).toBe(code);
        expect(finding.words).toMatch(/^\S.*[.!?]$/);
        expect(finding.words).not.toMatch(/undefined|null|NaN/);
      }
  });

  test("goes by its figures: each of them, moved by one either way, changes a case", () => {
    const all = [...(cases?.fires ?? []), ...(cases?.not ?? [])];
    const said = (figures: ClubFigures) =>
      JSON.stringify(
        all.map((of) =>
          check.find(made(of), figuresOf(check, figures)).map((f) => [f.severity, f.itemId, f.mends]),
        ),
      );
    const usual = said([]);
    for (const [key, { value }] of Object.entries(check.figures)) {
      const moved = [-1, 1].map((by) => said([{ check: code, figure: key, value: value + by }]));
      expect([key, moved.some((m) => m !== usual)]).toEqual([key, true]);
    }
  });

  if (CASES[code]?.mends)
    test("mends what it finds, and brings no stop", () => {
      const situation = made(cases?.fires[0] as Made);
      const [finding] = check.find(situation, figuresOf(check, []));
      expect(finding?.mends.length).toBeGreaterThan(0);
      const mends = mended(situation, finding as Finding);
      expect(mends.length).toBeGreaterThan(0);
      // And so of a plan that a later release says more of.
      const plan = withMore(situation.plan);
      const fit = fitPlan(plan, situation.fit.availableSeconds, situation.context);
      const later = situationOf({ ...situation, plan, fit });
      expect(mended(later, finding as Finding).map((m) => m.words)).toEqual(mends.map((m) => m.words));
    });
});

test("every check has its cases, a name and a ground of its own", () => {
  expect(Object.keys(CASES).toSorted()).toEqual(CHECKS.map((c) => c.code).toSorted());
  expect(new Set(CHECKS.map((c) => c.name)).size).toBe(CHECKS.length);
  for (const { when, rests } of CHECKS) {
    expect(when).toMatch(/\.$/);
    expect(rests.length).toBeGreaterThan(10);
  }
});

test("the gravest comes first, and a plan without fault has nothing said against it", () => {
  const young = made({
    rows: [
      ["Walk", "raise", 20, timed(300), { focus: "" }],
      ["Hops", "mobilise", 30, reps(2), { details: { loads: ["knee"] } }],
      ["Lift", "technical", 30, reps(2), { focus: "", details: { leastAge: 16 } }],
    ],
    athlete: { ageBand: "10-12", protectedAreas: [{ area: "knee", until: null }] },
  });
  const found = checkPlan(young).map((f) => f.severity);
  expect(found[0]).toBe("stop");
  expect(found).toEqual(found.toSorted((a, b) => GRAVEST.indexOf(a) - GRAVEST.indexOf(b)));
  const sound = made({ rows: [["Jog", "raise", 40, timed(600)]], wait: { leastSeconds: 120 } });
  expect(checkPlan(sound)).toEqual([]);
});

const GRAVEST = ["stop", "warn", "hint"];

test("a step between drills and one within a ladder are said apart, and a ladder that is full gets no rung more", () => {
  const said = (rows: Made["rows"]) => {
    const situation = made({ rows: rows ?? [], stepPoints: 20 });
    const check = CHECKS.find((c) => c.code === "step-too-steep") as Check;
    const [finding] = check.find(situation, {});
    return {
      words: finding?.words,
      mends: finding ? mended(situation, finding).map((m) => m.words) : [],
    };
  };
  const between = said([
    ["Jump", "technical", 30, reps(3)],
    ["Axel", "technical", 60, reps(3)],
  ]);
  expect(between.words).toMatch(/^30 points up from Jump, more than the 20 /);
  expect(between.mends).toEqual(["Lower it to 50 %"]);
  const within = said([["Axel", "technical", 60, ladder([20, 3], [60, 3])]]);
  expect(within.words).toMatch(/^A step of this ladder rises by 40 points, more than the 20 /);
  expect(within.mends).toEqual(["A rung between"]);
  const full = Array.from({ length: 15 }, (_, i) => [20 + i, 1] as const);
  expect(said([["Axel", "technical", 90, ladder(...full, [90, 1])]]).mends).toEqual([]);
});

describe("a club's own figures", () => {
  test("take the place of the usual ones", () => {
    const near = CASES["too-short"]?.not[3] as Made;
    const check = CHECKS.find((c) => c.code === "too-short") as Check;
    expect(speaks(check, near)).toBe(false);
    expect(speaks(check, near, [{ check: "too-short", figure: "any", value: 5 }])).toBe(true);
  });

  test("hold for another check that goes by them", () => {
    // A child who may go to 80 % is far enough at 75, and not where the club lets it go to 90.
    const child = CASES["never-at-level"]?.not[0] as Made;
    const check = CHECKS.find((c) => c.code === "never-at-level") as Check;
    expect(speaks(check, child)).toBe(false);
    expect(speaks(check, child, [{ check: "too-hard-for-the-age", figure: "under13", value: 90 }])).toBe(
      true,
    );
  });

  test("are refused where there is no such check or figure, or no such number", () => {
    const faults = (check: string, figure: string, value: unknown) =>
      clubFiguresSchema.safeParse([{ check, figure, value }]).error?.issues.map((i) => i.path.join("."));
    expect(faults("too-short", "any", 5)).toBeUndefined();
    expect(faults("too-tall", "any", 5)).toEqual(["0.check"]);
    expect(faults("too-short", "least", 5)).toEqual(["0.figure"]);
    expect(faults("too-short", "any", 0)).toEqual(["0.value"]);
    expect(faults("too-short", "any", 4.5)).toEqual(["0.value"]);
    expect(faults("too-short", "any", "5")).toEqual(["0.value"]);
  });
});
