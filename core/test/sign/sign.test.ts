/** @jest-environment node */

import { APPROACHES } from "../../src/approach/approaches";
import { noProfile } from "../../src/athlete/profile";
import { checkPlan } from "../../src/checks/checkPlan";
import { situationOf } from "../../src/checks/terms/situation";
import { usualSetting } from "../../src/conditions/setting";
import { type FillEffort, fillPlan } from "../../src/fill/fillPlan";
import type { FillInput } from "../../src/fill/input/fillInput";
import { type Fit, fitPlan } from "../../src/fit/fit";
import { idsFrom } from "../../src/maths/idsFrom";
import { openDay } from "../../src/venue/context";
import { IS_LONG, sampleOf } from "../made/cases";
import { absurdities } from "./absurd";
import { SPORTS, type Sport } from "./starters";

/*
 * Every starter filled by every approach at every length, for five ages and on the days that make trouble, judged by an eye of
 * its own (absurd.ts): plans as they come first, without seeking, and some of them as users get them.
 */

interface Case {
  sport: Sport;
  approach: (typeof APPROACHES)[number];
  minutes: number;
  age: number | null;
  name: string;
  more: Partial<FillInput>;
}

const LENGTHS = [4, 6, 8, 12, 20, 35, 40];
const AGES = [8, 11, 14, 55];
const outdoors = { ...usualSetting(), indoors: false };

const sore = (area: "knee" | "shoulder") => ({ ...noProfile(), protectedAreas: [{ area, until: null }] });

/** Days that make trouble, for an adult; and one without a minute for the kit. */
const DAYS: [string, Partial<FillInput>][] = [
  ["kit on", { kit: "on" }],
  ["alone", { setting: { ...usualSetting(), people: 0 } }],
  ["cold", { setting: { ...outdoors, temperature: 2 } }],
  ["hot", { setting: { ...outdoors, temperature: 34, humidity: 60 } }],
  ["sore knee", { athlete: sore("knee") }],
  ["sore shoulder", { athlete: sore("shoulder") }],
];

/** An adult, other ages, and days that make trouble. */
const VARIANTS: [string, number | null, Partial<FillInput>][] = [
  ["adult", null, {}],
  ...AGES.map((age): [string, number, Partial<FillInput>] => [`${age}`, age, {}]),
  ...DAYS.map(([name, more]): [string, null, Partial<FillInput>] => [name, null, more]),
];

/** An adult at every length; of the others every second one, so that all meet all: ages and days, lengths, approaches, sports. */
const CASES: Case[] = sampleOf(
  SPORTS.flatMap((sport, s) =>
    APPROACHES.flatMap((approach, a) =>
      LENGTHS.flatMap((minutes, l): Case[] =>
        VARIANTS.filter((_, v) => v === 0 || (s + a + l + v) % 2 === 0).map(([name, age, more]) => ({
          ...{ sport, approach, minutes, age, more },
          name: `${sport.key}, ${approach.id}, ${minutes} min, ${name}`,
        })),
      ),
    ),
  ),
  13,
);

function inputOf({ sport, approach, minutes, age, more }: Case): FillInput {
  return {
    ...{ approach, shelf: sport.shelf, event: sport.event, setting: usualSetting(), day: "2026-11-27" },
    ...{ context: openDay(), figures: [], earlier: [], availableSeconds: minutes * 60, seed: minutes },
    ...{ keep: [], avoid: [], makeId: idsFrom("sign") },
    athlete: { ...noProfile(), ageYears: age },
    ...more,
  };
}

interface Judged {
  wrong: string[];
  stops: string[];
  fit: Fit;
}

/** @param effort that of a first plan unless given; none is what users get */
function judged(of: Case, effort: FillEffort = { tries: 1 }): Judged {
  const input = inputOf(of);
  const { body } = fillPlan(input, effort);
  const { availableSeconds, context, athlete, event, setting, day, earlier } = input;
  const fit = fitPlan(body, availableSeconds, context);
  const wrong = absurdities({
    ...{ fit, minutes: of.minutes, effort: of.sport.event.effort, age: of.age, step: body.stepPoints },
    most: of.approach.minutes.most,
    climbs: of.approach.sides.order === "easy-to-hard",
    has: { sides: true, own: !of.name.includes("sore") && !(of.age !== null && of.age < 10) },
  });
  const found = checkPlan(
    situationOf({
      ...{ plan: body, fit, context, setting, athlete, event, day, earlier },
      ...{ readySeconds: null, untilStart: null, shelf: [], culprit: fit.culprit },
    }),
  );
  // Heat is said of the day, whatever is done in it.
  return {
    wrong,
    fit,
    stops: found.flatMap((f) => (f.severity === "stop" && f.code !== "heat" ? [f.code] : [])),
  };
}

it("a coach would sign nearly all of them, and none harms", () => {
  expect(CASES.length).toBeGreaterThan(IS_LONG ? 2500 : 150);
  const counts = new Map<string, string[]>();
  const stops: string[] = [];
  let clean = 0;
  for (const of of CASES) {
    const { wrong, stops: harm } = judged(of);
    if (wrong.length === 0) clean++;
    for (const name of wrong) counts.set(name, [...(counts.get(name) ?? []), of.name]);
    if (harm.length > 0) stops.push(`${of.name}: ${harm.join(", ")}`);
  }
  const table = [...counts].map(([name, of]) => `${of.length} × ${name} (${of[0]})`);
  console.info([`${clean} of ${CASES.length} with nothing absurd`, ...table.toSorted()].join("\n"));
  expect(stops).toEqual([]);
  expect(clean / CASES.length).toBeGreaterThan(0.995);
});

it("what users get, after seeking, is signed as well: nothing harms, and seeking brings no absurdity", () => {
  const some = CASES.filter((_, i) => i % 17 === 0);
  const brought = some.flatMap((of) => {
    const { wrong, stops } = judged(of, {});
    const before = new Set(judged(of).wrong);
    return [...stops, ...wrong.filter((name) => !before.has(name))].map((what) => `${of.name}: ${what}`);
  });
  expect(brought).toEqual([]);
});

it("slid from 35 minutes down to 4 a plan never keeps others and leaves out everything that raises", () => {
  for (const sport of SPORTS)
    for (const approach of sampleOf(APPROACHES.slice(0, 3), 3)) {
      const input = inputOf({ sport, approach, minutes: 35, age: null, name: "", more: {} });
      const { body } = fillPlan(input, { tries: 1 });
      for (let minutes = 4; minutes <= 20; minutes++) {
        const done = fitPlan(body, minutes * 60).placements.filter((p) => p.level && p.item.phase !== "kit");
        const moves = done.filter((p) => !p.item.calm);
        expect([sport.key, approach.id, minutes, moves.length > 0]).toEqual([
          sport.key,
          approach.id,
          minutes,
          true,
        ]);
        expect(moves.some((p) => p.item.phase === "raise")).toBe(true);
      }
    }
});
