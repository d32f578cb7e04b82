/** @jest-environment node */

import { readFileSync } from "node:fs";
import path from "node:path";
import { transformSync } from "@babel/core";
import fc from "fast-check";
import type * as Problem from "../../src/fit/model/problemOf";
import type * as Solve from "../../src/fit/search/solve";
import { anyClimb, anyDay, anyHardDay, anyLimitedDay, GRID, SMALL_DAY } from "../made/anyDay";
import { hardDay } from "../made/hardDays";
import { type BruteAnswer, bruteFit, rankOf } from "./bruteFit";
import { checkSchedule, type Done, waitsTooLong } from "./checkSchedule";

/*
 * Breaks each rule in the solver's own text, one at a time, and asks that the generated cases notice. A line that no
 * longer reads as it does here fails too, so that the list keeps up with the solver.
 */

/** Files are named from here. */
const SOURCES = path.join(__dirname, "../../src");

type Mutant = [what: string, file: string, from: string, to: string];

const MUTANTS: Mutant[] = [
  [
    "the climb goes on from what was reached",
    "fit/search/search",
    "reached < 0 ? coldFrom : reached",
    "coldFrom",
  ],
  ["nobody primes a cold body", "fit/search/search", "reached < 0 ? coldFrom : reached", "reached"],
  ["general work leads up to the climb", "plan/stepRule", '"climbs" : "leads"', '"climbs" : null'],
  ["priming climbs", "plan/stepRule", 'phase === "technical" || phase === "prime"', 'phase === "technical"'],
  ["a breather does not lead", "plan/stepRule", ' || details?.flags.includes("breather")', ""],
  ["what is for the head does not lead", "plan/stepRule", " || isForHead(details)", ""],
  ["what is calm does not lead", "plan/stepRule", '"kit" || calm ||', '"kit" ||'],
  ["kit does not lead", "plan/stepRule", 'phase === "kit" || calm', "calm"],
  [
    "what leads up settles the climb",
    "fit/search/search",
    "return leads ? { entry: -1, coldFrom: -1 }",
    "return false ? { entry: -1, coldFrom: -1 }",
  ],
  ["the first steps are worth most", "fit/model/worth", "(1 - k / steps) ** 2", "(1 - k / steps)"],
  ["in proportion to the way", "fit/model/worth", "(POINTS * seconds) / Math.max(1, longest)", "POINTS"],
  ["what raises first goes last", "fit/model/worth", "isRaise ? keptRaise :", ""],
  ["the first that raises alone", "fit/model/worth", 'phase === "raise" && priority', "priority"],
  ["the step between drills", "fit/search/search", "f.state.entry - to <= problem.stepPoints", "true"],
  ["the step between the rungs of a ladder", "fit/search/search", "if (climbs && rise > points) return;", ""],
  [
    "a ladder leaves at the top of what is climbed",
    "fit/search/search",
    "const top = leads ? to : 0;",
    "const top = 100;",
  ],
  ["windows", "fit/model/problemOf", "p.windows", "[]"],
  [
    "a drill within one window",
    "fit/search/bucketCollector",
    "earliest: from + takes + shift",
    "earliest: from + shift",
  ],
  [
    "half a place",
    "fit/search/search",
    "drill.wholePlace ? openings.filter((s) => s.whole) : openings",
    "openings",
  ],
  ["turns", "fit/model/openings", "turns,\n    whole", "turns: 1,\n    whole"],
  ["ways between places", "fit/model/problemOf", 'off("travel") ? [] : context.travel', "[]"],
  ["the shortest way", "fit/model/travelTimes", "round < (given[a]?.[b] ?? 0)", "false"],
  [
    "the way to the start",
    "fit/model/problemOf",
    "startPlace: indexOf(context.startPlace)",
    "startPlace: -1",
  ],
  ["no way during a fixed point", "fit/model/openings", "left -= free;", "left -= at - from;"],
  ["fixed points", "fit/model/openings", "cut(left, blocked(point, place, travel))", "left"],
  [
    "the way to a fixed point",
    "fit/model/openings",
    "[point.from - way, point.to + way]",
    "[point.from, point.to]",
  ],
  ["no practice after closing", "fit/model/openings", "cut(calm, [closing, Infinity])", "calm"],
  ["what is calm may follow closing", "fit/search/search", "drill.calm ? 1 : 0", "0"],
  ["the least wait", "fit/model/drillCosts", "calm ? 0 : shape.leastWait", "0"],
  [
    "what is calm may be in the wait",
    "fit/model/drillCosts",
    "Math.max(calm ? 0 : shape.leastWait, owes)",
    "Math.max(shape.leastWait, owes)",
  ],
  [
    "rest owed before the start",
    "fit/model/drillCosts",
    "Math.max(calm ? 0 : shape.leastWait, owes)",
    "calm ? 0 : shape.leastWait",
  ],
  ["what is spent counts", "fit/model/problemOf", "most - (context.spent?.[total] ?? 0)", "most"],
  [
    "what is used up is not owed back",
    "fit/model/problemOf",
    "Math.max(0, most - (context.spent?.[total] ?? 0))",
    "most - (context.spent?.[total] ?? 0)",
  ],
  [
    "hard rungs alone owe it",
    "fit/model/drillCosts",
    "r.intensity >= HARD_EFFORT ? r.workSeconds : 0",
    "r.workSeconds",
  ],
  [
    "rests and a partner's turns owe nothing",
    "fit/model/drillCosts",
    "? r.workSeconds : 0",
    "? r.seconds : 0",
  ],
  [
    "what hard drills owe adds up",
    "fit/search/brokenLimits",
    "if (-(begin + span) < needed) return true;",
    "",
  ],
  ["what is owed is looked after", "fit/search/search", "if (dims.owed >= 0 && cost.owes > 0)", "if (false)"],
  [
    "time between hard drills pays",
    "fit/search/spending",
    "now + cost.owes + end - begin",
    "now + 2 * cost.owes + end - begin",
  ],
  ["a hard drill's own time does not pay", "fit/search/spending", "cost.owes + end - begin", "cost.owes"],
  [
    "so far off that it makes no difference",
    "fit/search/spending",
    "Math.max(needed, -begin - ahead.owes)",
    "Math.max(needed, -begin)",
  ],
  ["kit is a condition", "fit/model/problemOf", 'off("kit") ? [] : (kit[i] as number[])', "[]"],
  [
    "what is on already is not fitted",
    "fit/model/problemOf",
    "plan.items.filter((i) => !i.alreadyOn)",
    "plan.items",
  ],
  ["the longest wait", "fit/search/search", "finish >= -problem.longestWait", "true"],
  ["what keeps warm ends the wait", "fit/model/drillCosts", 'item.calm === "keep-warm" ||', "false ||"],
  ["rest after a drill", "fit/model/drillCosts", "restOwed(item.restAfter, level.workSeconds)", "0"],
  ["rest goes on through kit and quiet", "fit/search/spending", "drill.resting ? ready : begin", "begin"],
  ["rest counts once with the way", "fit/search/bucketCollector", "Math.max(way, rest)", "way + rest"],
  [
    "continuous general work",
    "fit/search/brokenLimits",
    "if (asks && longestGeneral(problem, steps) > problem.generalMost)",
    "if (false)",
  ],
  [
    "a breather ends general work",
    "fit/model/drillCosts",
    '!(item.details?.flags.includes("breather") ?? false)',
    "true",
  ],
  ["general work spent", "fit/search/spending", "if (now > problem.generalMost) return false;", ""],
  ["caps in the end", "fit/search/search", "list.filter((id) => canBeMended(workspace, id, ahead))", "list"],
  ["caps", "fit/search/brokenLimits", "used > (problem.caps[k]?.most ?? 0)", "false"],
  [
    "what can still mend a cap",
    "fit/search/spending",
    "now + (ahead.least[k] as number) > most",
    "now > most",
  ],
  [
    "explosive repetitions",
    "plan/counted",
    '.includes("explosive") ?? false',
    '.includes("static-hold") ?? false',
  ],
  ["the sport's own repetitions", "plan/counted", 'phase === "technical" || phase === "prime"', "false"],
  [
    "kit that nothing depends on",
    "plan/kit",
    'return details?.flags.includes("no-condition") ? "loose" : "needed";',
    'return "needed";',
  ],
  ["what is calm needs no kit", "plan/kit", 'item.phase === "kit" || item.calm', 'item.phase === "kit"'],
  ["one word in two spellings", "words/sameWord", '.normalize("NFC")', ""],
  [
    "a label that can come to what is asked for is kept",
    "fit/search/narrow",
    "< missing) return false",
    "<= missing + 1e6) return false",
  ],
  ["what a bound promises is never too little", "fit/bounds/longestPaths", "+ add;", "- add;"],
  [
    "of a bound every way is tried",
    "fit/bounds/network",
    "arcs.push({ from, to, level, holds: false, stretches });",
    "",
  ],
  [
    "a rank is settled before the next",
    "fit/search/limited",
    "demands.push(best(rank",
    "demands.slice(best(rank",
  ],
  [
    "rest is time only where nothing fills it",
    "fit/bounds/network",
    "ordered && restIsTime(problem, index)",
    "ordered",
  ],
  [
    "a price is paid for what is left as well",
    "fit/bounds/outlook",
    "(multipliers[n] as number) * (amounts[n] as number)",
    "0",
  ],
  [
    "the easy share",
    "fit/model/drillCosts",
    "item.intensity <= EASY_EFFORT ? percent - 100 : percent",
    "percent - 100",
  ],
  [
    "the easy share of a ladder",
    "fit/model/drillCosts",
    "return level.seconds * percent - easy * 100;",
    "return 0;",
  ],
  [
    "a leader is kept",
    "fit/search/search",
    "if (mine.some((bit) => bit > 0 && has(state.awaited, bit))) continue;",
    "",
  ],
  [
    "what follows is owed its leader",
    "fit/search/search",
    "if (bit !== undefined && !has(awaited, bit)) awaited += bit;",
    "",
  ],
  [
    "what is free stands anywhere in its part",
    "fit/model/problemOf",
    "if (items.slice(from, to).some((i) => i.free)) return [{ from, to }];",
    "",
  ],
  ["what is fixed keeps its order", "fit/search/search", "!drills[i]?.free", "false"],
  [
    "where the next one is done",
    "fit/search/search",
    "drill.place >= 0 ? drill.place : state.place",
    "drill.place",
  ],
  [
    "what was spent is compared",
    "fit/search/labels",
    "return below !== undefined && !labels.worthMore(id, below);",
    "return true;",
  ],
  ["of one second the best is kept", "fit/search/bucketCollector", "newHigh < oldHigh", "false"],
  [
    "what cannot be as good is dropped, and only that",
    "fit/search/narrow",
    "hope < least.high",
    "hope > least.high",
  ],
  [
    "of those before which it ends when the stretch does, the last",
    "fit/search/bucketCollector",
    "this.offer(n - 1,",
    "this.offer(before,",
  ],
  [
    "what ends when the stretch does fits it",
    "fit/search/bucketCollector",
    "if (latest - takes < from) continue;",
    "",
  ],
  ["the bound goes as far as it grows", "fit/bounds/bound", "Math.max(least, flat + length)", "least"],
  [
    "what can be added beyond that is as much",
    "fit/bounds/bound",
    "high.fill(high[to + reached] as number, to + reached, to + width);",
    "",
  ],
  [
    "what is left of a cap counts all that is ahead",
    "fit/search/ahead",
    "Math.min(low, c.uses[k] as number)",
    "Math.max(low, c.uses[k] as number)",
  ],
  [
    "essential before useful",
    "fit/model/worth",
    "const point = below + many * (usefulKept + POINTS * usefulPoint) + 1;",
    "const point = 1;",
  ],
];

interface Case {
  plan: Parameters<typeof bruteFit>[0];
  day: Parameters<typeof bruteFit>[1];
  available: number;
  best: BruteAnswer;
}

let cases: Case[];

beforeAll(() => {
  const sample = (any: ReturnType<typeof anyDay>, numRuns: number) =>
    fc.sample(fc.tuple(any, fc.integer({ min: 4, max: SMALL_DAY / GRID })), { numRuns, seed: 20_261_126 });
  const kinds = [
    sample(anyHardDay(3), 500),
    sample(anyDay(3), 700),
    sample(anyLimitedDay(3), 500),
    sample(anyDay(2), 2000),
    sample(anyClimb(3), 600),
  ].map((kind) =>
    kind.map(([{ plan, day }, tens]): Case => {
      const available = tens * GRID;
      return { plan, day, available, best: bruteFit(plan, day, available, GRID) };
    }),
  );
  cases = kinds.flat();
  mixed = kinds
    .flatMap((kind) => kind.map((one, i) => ({ one, at: i / kind.length })))
    .sort((a, b) => a.at - b.at)
    .map(({ one }) => one);
}, 300_000);

/** Days of a dozen drills with every limit tight, and the worth of their best plans, which another solver agrees with. */
let hard: { plan: Case["plan"]; day: Case["day"]; available: number; high: number }[];

const solverNow = (): typeof Problem & typeof Solve => ({
  ...require("../../src/fit/model/problemOf"),
  ...require("../../src/fit/search/solve"),
});

const highOf = (
  { problemOf, solveAt }: typeof Problem & typeof Solve,
  of: Omit<(typeof hard)[number], "high">,
) =>
  solveAt(problemOf(of.plan, of.day, { horizon: of.available }), undefined, {
    few: 0,
    many: 300_000,
  }).high.at(-1) ?? 0;

beforeAll(() => {
  hard = [1, 2, 3, 4].map((seed) => {
    const { plan, day, availableSeconds } = hardDay(12, seed);
    const of = { plan, day, available: availableSeconds };
    return { ...of, high: highOf(solverNow(), of) };
  });
});

/**
 * The same cases, each kind spread over all of them: what only one kind notices is noticed soon, whichever kind that is, and a
 * line is done with at the first case that notices.
 */
let mixed: Case[];

/** Cases in which totals are limited. */
const limitedCases = () =>
  cases.filter((c) => c.plan.limits !== undefined || c.plan.wait.times).slice(0, 700);

/** The solver with one line of one of its files changed. */
function mutated([, file, from, to]: Mutant): typeof Problem & typeof Solve {
  const filename = path.join(SOURCES, `${file}.ts`);
  const source = readFileSync(filename, "utf8");
  expect(source).toContain(from);
  const code = transformSync(source.replace(from, to), {
    filename,
    presets: [["@babel/preset-env", { targets: { node: "current" } }], "@babel/preset-typescript"],
    configFile: false,
    babelrc: false,
  })?.code as string;
  jest.resetModules();
  jest.doMock(filename.replace(/\.ts$/, ""), () => {
    const made = { exports: {} };
    const near = (name: string) =>
      require(name.startsWith(".") ? path.join(path.dirname(filename), name) : name);
    new Function("module", "exports", "require", code)(made, made.exports, near);
    return made.exports;
  });
  const solver = solverNow();
  jest.dontMock(filename.replace(/\.ts$/, ""));
  return solver;
}

/** Files that matter only where totals are limited, and labels are dropped before they are many. */
const OF_LIMITS = /^fit\/(bounds\/(?!bound$)|search\/(limited|narrow)|model\/rank)/;

/**
 * Whether a solver's answers to one case are the best there are: asked for every time and for its time alone, or, about
 * limits, for its time alone in one go and rank by rank.
 */
function isRight(
  { problemOf, solve, solveAt }: typeof Problem & typeof Solve,
  { plan, day, available, best }: Case,
  aboutLimits: boolean,
) {
  const problem = problemOf(plan, day, { horizon: available });
  const lastOf = (s: ReturnType<typeof solve>) => s.stepsOf(s.begins.length - 1);
  const ways = [Infinity, 0].map((many) => ({ few: 0, many }));
  const answers = aboutLimits
    ? ways.map((way) => lastOf(solveAt(problem, undefined, way)))
    : [lastOf(solve(problem)), lastOf(solveAt(problem))];
  return answers.every((steps) => {
    const done = steps.map(
      (s): Done => ({
        id: problem.drills[s.drill]?.item.id as string,
        levelIndex: s.level,
        beginSeconds: s.begin,
        spanSeconds: s.span,
      }),
    );
    if (checkSchedule(plan, day, done, available).length > 0) return false;
    const levels = plan.items.map((i) => done.find((d) => d.id === i.id)?.levelIndex ?? -1);
    const rank = rankOf(plan, levels, !waitsTooLong(plan, done));
    return String(rank) === String(best.rank) && (done[0]?.beginSeconds ?? 0) === best.beginSeconds;
  });
}

it("finds nothing wrong with the solver as it is", () => {
  const solver = solverNow();
  expect(cases.filter((c) => !isRight(solver, c, false))).toEqual([]);
  expect(limitedCases().filter((c) => !isRight(solver, c, true))).toEqual([]);
});

it.each(MUTANTS)("notices when this is broken: %s", (...mutant) => {
  const solver = mutated(mutant);
  const aboutLimits = OF_LIMITS.test(mutant[1]);
  const fails = (wrong: () => boolean) => {
    try {
      return wrong();
    } catch {
      return true;
    }
  };
  const noticed =
    (aboutLimits && hard.some((of) => fails(() => highOf(solver, of) !== of.high))) ||
    (aboutLimits ? limitedCases() : mixed).some((c) => fails(() => !isRight(solver, c, aboutLimits)));
  expect(noticed).toBe(true);
});
