import fc from "fast-check";
import { checkPlan } from "../../src/checks/checkPlan";
import { judge, judgeFully } from "../../src/checks/judge";
import { withProvenMends } from "../../src/checks/provenMends";
import { knownOf, noted } from "../../src/checks/setAside";
import { situationOf } from "../../src/checks/terms/situation";
import { usualSetting } from "../../src/conditions/setting";
import { plainEvent } from "../../src/event/eventType";
import { fitPlan } from "../../src/fit/fit";
import { editedPlan, editedSetting } from "../../src/plan/edit/editedPlan";
import type { PlanBody } from "../../src/plan/plan";
import { openDay } from "../../src/venue/context";
import { anyDay, SMALL_DAY } from "../made/anyDay";
import { cases } from "../made/cases";
import { anyPlan, drill, planOf } from "../made/generate";
import { anyId } from "../made/ids";
import { made, planId, reps, timed } from "../made/situations";

const checked = (plan: PlanBody, seconds: number) =>
  checkPlan(
    situationOf({
      plan,
      fit: fitPlan(plan, seconds),
      context: openDay(),
      setting: { ...usualSetting(), temperature: 35 },
      athlete: null,
      event: null,
      day: null,
      readySeconds: null,
      untilStart: null,
      shelf: [],
      earlier: [],
      culprit: null,
    }),
  ).map((f) => [f.severity, f.code, f.words]);

it("puts what stops before what only warns, and says what the fit says", () => {
  const rung = (name: string, intensity: number) =>
    drill(name, { phase: "technical", intensity, priority: "essential" });
  const plan = planOf([rung("Waltz jump", 20), rung("Axel", 90)], { limits: { volumePercent: 20 } });
  const said = checked(plan, 600);
  expect(said[0]).toEqual(["stop", "essentials-short", expect.stringContaining("steeper step apart")]);
  expect(said[1]).toEqual(["stop", "heat", expect.stringContaining("follow the venue's rule")]);
  expect(said).toContainEqual([
    "warn",
    "step-too-steep",
    expect.stringContaining("70 points up from Waltz jump"),
  ]);
  expect(said).toContainEqual(["warn", "asked-but-not-kept", expect.stringContaining("usual session")]);
  expect(said.map(([severity]) => severity)).toContain("stop");
});

it("says by how much time is short", () => {
  const plan = planOf([drill("Laps", { priority: "essential" })], {
    wait: { leastSeconds: 100, longestSeconds: 100 },
  });
  // 30 s at its floor and 100 s of wait: 20 s are missing at 110.
  expect(checked(plan, 110)).toContainEqual(["stop", "essentials-short", "The essentials need 20 s more."]);
});

describe("what mends a finding", () => {
  const anySituation = fc
    .record({
      plan: anyPlan(6),
      seconds: fc.integer({ min: 100, max: 2400 }),
      layers: fc.boolean(),
      age: fc.constantFrom(null, "under-10" as const, "13-15" as const),
    })
    .map(({ plan, seconds, layers, age }) => {
      const base = made({ athlete: { ageBand: age } });
      return situationOf({
        ...base,
        plan,
        fit: fitPlan(plan, seconds),
        setting: { ...usualSetting(), temperature: 12, indoors: false, layers, people: 0 },
        event: plainEvent("Final"),
      });
    });

  it("removes it, adds no stop, and leaves the plan it began with as it was", () => {
    let tried = 0;
    fc.assert(
      fc.property(anySituation, (situation) => {
        const before = JSON.stringify(situation.plan);
        const findings = checkPlan(situation);
        for (const finding of withProvenMends(situation, findings, { figures: [], makeId: anyId })) {
          const [mend] = finding.mends;
          if (!mend) continue;
          tried++;
          const plan = editedPlan(situation.plan, mend.edits, anyId);
          const setting = editedSetting(situation.setting, mend.edits);
          const fit = fitPlan(plan, situation.fit.availableSeconds);
          const after = checkPlan(situationOf({ ...situation, plan, setting, fit }));
          const same = (f: (typeof after)[number]) => f.code === finding.code && f.itemId === finding.itemId;
          if (finding.itemId) expect(after.filter(same)).toEqual([]);
          const stops = findings.filter((f) => f.severity === "stop").length;
          expect(after.filter((f) => f.severity === "stop").length).toBeLessThanOrEqual(stops);
        }
        expect(JSON.stringify(situation.plan)).toBe(before);
      }),
      cases(15),
    );
    expect(tried).toBeGreaterThan(4);
  });

  it("is not offered where what was found is still there after it", () => {
    const situation = made({ rows: [["Axel", "technical", 95, reps(4)]], athlete: { ageBand: "under-10" } });
    const found = checkPlan(situation);
    const itemId = planId(0);
    const to = (intensity: number) => ({
      words: `Lower it to ${intensity} %`,
      edits: [{ kind: "change" as const, itemId, change: { intensity } }],
    });
    const mends = found.flatMap((finding) =>
      finding.code === "too-hard-for-the-age" ? [{ ...finding, mends: [to(90), to(60)] }] : [],
    );
    expect(mends).toHaveLength(1);
    const [tried] = withProvenMends(situation, mends, { figures: [], makeId: anyId });
    expect(tried?.mends.map(({ words }) => words)).toEqual(["Lower it to 60 %"]);
  });
});

it("answers for any plan on any day, whatever is known", () => {
  fc.assert(
    fc.property(anyDay(8), ({ plan, day: context }) => {
      const base = made({});
      const input = { ...base, plan, context, fit: fitPlan(plan, SMALL_DAY, context), figures: [] };
      const { findings, forecast } = judge(input);
      expect(findings.every(({ finding }) => finding.words.length > 3)).toBe(true);
      expect(Number.isFinite(forecast.atStart.readiness.middle)).toBe(true);
    }),
    cases(200),
  );
});

describe("setting a finding aside", () => {
  const situation = made({ rows: [["Jump", "technical", 30, reps(5), { focus: "" }]] });
  const [finding] = checkPlan(situation).filter((f) => f.code === "nothing-to-attend-to");
  const known = knownOf(finding as NonNullable<typeof finding>, situation.plan, {
    reason: "She knows",
    by: "Mara",
  });

  it("holds as long as the drill is as it was", () => {
    expect(noted([finding as never], situation.plan, [known])[0]?.known).toEqual(known);
    const longer = editedPlan(
      situation.plan,
      [{ kind: "change", itemId: finding?.itemId ?? "", change: { dose: reps(6) } }],
      anyId,
    );
    expect(noted([finding as never], longer, [known])[0]?.known).toBeNull();
    expect(noted([finding as never], situation.plan, [{ ...known, code: "wet" }])[0]?.known).toBeNull();
  });

  it("of the plan as a whole holds as long as the sentence does", () => {
    const whole = { code: "too-short", itemId: null, words: "3 min of work." };
    const aside = knownOf(whole, situation.plan, { reason: "", by: "Mara" });
    const again = (words: string) => noted([{ ...whole, words } as never], situation.plan, [aside])[0]?.known;
    expect(again("3 min of work.")).toEqual(aside);
    expect(again("2 min of work.")).toBeNull();
  });
});

describe("the judgement", () => {
  it("says the state in a line, and nothing of an empty plan", () => {
    const warm = made({
      rows: [
        ["Jog", "raise", 50, timed(900)],
        ["Sprint", "prime", 92, timed(20)],
      ],
      wait: { leastSeconds: 240 },
    });
    expect(judge({ ...warm, figures: [] }).line).toBe("warm, sharp, fresh");
    const cooling = made({ rows: [["Jog", "raise", 50, timed(900)]], wait: { leastSeconds: 2400 } });
    expect(judge({ ...cooling, figures: [] }).line).toBe("cooling or cold by the start");
    expect(judge({ ...made({}), figures: [] }).line).toBeNull();
  });

  it("in full says for each slip what would bring it back", () => {
    const warm = made({
      rows: [
        ["Jog", "raise", 50, timed(900)],
        ["Sprint", "prime", 92, timed(20)],
      ],
      wait: { leastSeconds: 240 },
    });
    const { topUps } = judgeFully({ ...warm, figures: [] }, anyId);
    expect(topUps.map((t) => t.delaySeconds)).toEqual([300, 600, 1200, 2400]);
    expect(topUps[1]).toMatchObject({ isNeeded: true, topUp: { isBack: true } });
  });
});
