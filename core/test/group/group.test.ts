import fc from "fast-check";
import { type AthleteProfile, ageOf, athleteProfileSchema, noProfile } from "../../src/athlete/profile";
import { settingSchema, usualSetting } from "../../src/conditions/setting";
import { noDetails } from "../../src/drill/details";
import { fitPlan } from "../../src/fit/fit";
import { groupOf, groupSize, MOST_IN_GROUP } from "../../src/group/group";
import { groupProfile } from "../../src/group/groupProfile";
import { circumstancesOn, obstacleTo } from "../../src/plan/usable";
import { groupStand, groupWords, isOwnStep } from "../../src/run/live/groupStand";
import { type RunEvent, runEventSchema } from "../../src/run/log/runEvent";
import { runState } from "../../src/run/log/runState";
import { runPlanOf } from "../../src/run/steps/freezeFit";
import { runPlanSchema } from "../../src/run/steps/runPlan";
import { openDay } from "../../src/venue/context";
import { cases } from "../made/cases";
import { drill, planOf } from "../made/generate";

const START = Date.parse("2026-06-01T12:00:00.000Z");
const startsAt = new Date(START).toISOString();
const idOf = (n: number) => `00000000-0000-4000-8000-${String(n).padStart(12, "0")}`;
const names = ["Odalys Brandt", "Ines Vantongeren", "Mirko Sand", "Ada Finch"];
const club = names.map((name, i) => ({ id: idOf(i + 1), name }));
const [odalys, ines, mirko, ada] = club as [
  (typeof club)[0],
  (typeof club)[0],
  (typeof club)[0],
  (typeof club)[0],
];

it("a group has whose start it is first, then the others by name; who left the club is not in it any more", () => {
  const start = (group: string[]) => ({ athlete: odalys, setting: { group } });
  expect(groupOf(start([mirko.id, ada.id, idOf(99)]), club)).toEqual([odalys, ada, mirko]);
  expect(groupOf(start([idOf(99), odalys.id]), club)).toBeUndefined();
  expect(groupOf({ athlete: odalys, setting: {} }, club)).toBeUndefined();
  expect([groupSize({}), groupSize({ group: [ines.id, ada.id] })]).toEqual([1, 3]);
});

it("no more than thirty warm up as one group, and nobody twice", () => {
  const put = (group: string[]) => settingSchema.safeParse({ ...usualSetting(), group }).success;
  const many = (n: number) => Array.from({ length: n }, (_, i) => idOf(i + 1));
  expect([put(many(MOST_IN_GROUP - 1)), put(many(MOST_IN_GROUP)), put([ada.id, ada.id])]).toEqual([
    true,
    false,
    false,
  ]);
});

describe("a warm-up for a group is for all of them:", () => {
  const anyProfile = fc
    .record({
      ageYears: fc.option(fc.integer({ min: 3, max: 60 })),
      protectedAreas: fc.uniqueArray(
        fc.record({
          area: fc.constantFrom("knee" as const, "shoulder" as const, "back" as const),
          until: fc.option(fc.constantFrom("2026-06-01", "2026-07-01", "2026-12-01")),
        }),
        { selector: (p) => p.area, maxLength: 3 },
      ),
      equipment: fc.uniqueArray(fc.constantFrom("Rope", "band", "mat"), { maxLength: 3 }),
    })
    .map((more): AthleteProfile => ({ ...noProfile(), ...more }));

  it("whatever any one of them may not do, or has not got, the group does not; nothing else changes", () => {
    fc.assert(
      fc.property(anyProfile, fc.array(anyProfile, { maxLength: 6 }), (own, others) => {
        const group = groupProfile(own, others);
        expect(athleteProfileSchema.parse(group)).toEqual(group);
        for (const day of ["2026-05-01", "2026-06-15", "2026-08-01", "2027-01-01"]) {
          const spares = (p: typeof own) => circumstancesOn(usualSetting(), p, day).protectedAreas;
          const all = new Set([own, ...others].flatMap(spares));
          expect(new Set(spares(group))).toEqual(all);
        }
        const ages = [own, ...others].flatMap((p) => ageOf(p) ?? []);
        expect(ageOf(group)).toBe(ages.length > 0 ? Math.min(...ages) : null);
        for (const piece of ["rope", "band", "mat"]) {
          const has = (p: typeof own) => p.equipment.some((e) => e.toLowerCase() === piece);
          expect(has(group)).toBe([own, ...others].every(has));
        }
        expect({ ...group, ageYears: 0, ageBand: null, protectedAreas: [], equipment: [] }).toEqual({
          ...{ ...own, ageYears: 0, ageBand: null, protectedAreas: [], equipment: [] },
        });
      }),
    );
  });

  it("they are at hand for each other: a drill for two works in a group of two, with nobody else there", () => {
    const forTwo = { details: { ...noDetails(), people: 2 } };
    const day = (group?: string[]) =>
      circumstancesOn({ ...usualSetting(), people: 0, ...(group ? { group } : {}) }, null, null);
    expect(obstacleTo(forTwo, day())).toBe("people");
    expect(obstacleTo(forTwo, day([ada.id]))).toBeNull();
  });
});

describe("in the run of a group", () => {
  const body = planOf([drill("Laps"), drill("Jumps", { phase: "technical", intensity: 40 })]);
  const plan = runPlanOf(fitPlan(body, 400), startsAt, { plan: body, context: openDay(), group: club });
  const [laps, jumps] = plan.drills.map((d) => d.itemId) as [string, string];
  let made = 0;
  const press = (kind: RunEvent["kind"], secondsBefore: number, more: object = {}): RunEvent =>
    runEventSchema.parse({
      id: idOf(1000 + made++),
      at: new Date(START - secondsBefore * 1000).toISOString(),
      kind,
      ...more,
    });
  const stand = (...events: RunEvent[]) => {
    const state = runState(plan, events);
    const group = groupStand(plan, state);
    if (!group) throw new Error("it has a group");
    return { ...group, words: groupWords(group, state.splits[state.index]?.drill) };
  };
  const begin = press("begin", 400);
  const done = press("done", 300);

  it("it is kept with the run, and a run of one athlete has none", () => {
    expect(runPlanSchema.parse(plan)).toEqual(plan);
    const alone = runPlanOf(fitPlan(body, 400), startsAt, { plan: body, context: openDay() });
    expect("group" in alone).toBe(false);
    expect(groupStand(alone, runState(alone, []))).toBeNull();
  });

  it("all are expected; who is missing is marked by name, and taken back by the same", () => {
    expect(stand().words).toBe("All together, all 4 there");
    const gone = press("there", 390, { who: ada.id, isThere: false });
    expect(stand(begin, gone)).toMatchObject({ there: 3, words: "All together, 3 of 4 there" });
    expect(stand(begin, gone, press("there", 380, { who: ada.id, isThere: true })).there).toBe(4);
  });

  it("one press moves all of them on; at their own ladder each is counted by themselves", () => {
    expect(plan.drills.map(isOwnStep)).toEqual([false, true]);
    // Waiting is nobody's own.
    expect(isOwnStep({ phase: "technical", wait: { leastSeconds: 60 } })).toBe(false);
    const mark = (who: string, m: string | null, at: number) =>
      press("mark", at, { who, step: jumps, mark: m });
    const now = stand(begin, done, mark(ines.id, "done", 290), mark(mirko.id, "out", 280));
    expect(now).toMatchObject({ done: 1, words: "Each their own, 1 of 4 done" });
    expect(now.members.map((m) => [m.mark, m.satOut])).toEqual([
      [null, []],
      ["done", []],
      ["out", ["Jumps"]],
      [null, []],
    ]);
    // Whoever is not there is not counted.
    expect(
      stand(begin, done, press("there", 295, { who: ines.id, isThere: false }), mark(ines.id, "done", 290)),
    ).toMatchObject({
      done: 0,
      there: 3,
    });
    expect(stand(begin, done, mark(ines.id, "done", 290), mark(ines.id, null, 285)).done).toBe(0);
  });

  it("marks of two phones come out the same in any order, and are not among what Undo takes back", () => {
    const anyMark = fc.record({
      who: fc.constantFrom(...club.map((m) => m.id)),
      at: fc.integer({ min: 1, max: 200 }),
      step: fc.constantFrom(laps, jumps),
      mark: fc.constantFrom("done", "out", null, "there", "missing"),
    });
    fc.assert(
      fc.property(fc.array(anyMark, { maxLength: 20 }), fc.infiniteStream(fc.nat()), (marks, chance) => {
        const events = marks.map(({ who, at, step, mark }) =>
          mark === "there" || mark === "missing"
            ? press("there", at, { who, isThere: mark === "there" })
            : press("mark", at, { who, step, mark }),
        );
        const shuffled = events
          .map((e) => ({ e, by: chance.next().value as number }))
          .sort((a, b) => a.by - b.by)
          .map(({ e }) => e);
        const [one, other] = [
          runState(plan, [begin, ...events]),
          runState(plan, [...shuffled, begin, ...events]),
        ];
        expect(groupStand(plan, other)).toEqual(groupStand(plan, one));
        expect(one.undoable).toEqual([]);
        // By hand: of each the last word.
        for (const { id } of club) {
          const last = events
            .filter((e) => e.kind === "there" && e.who === id)
            .sort((a, b) => Date.parse(a.at) - Date.parse(b.at) || (a.id < b.id ? -1 : 1))
            .at(-1);
          const isThere = last?.kind === "there" ? last.isThere : true;
          expect(groupStand(plan, one)?.members.find((m) => m.id === id)?.isThere).toBe(isThere);
        }
      }),
      cases(200),
    );
  });
});
