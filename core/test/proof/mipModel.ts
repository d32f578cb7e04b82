import { idealLevel, levelsOf } from "../../src/dose/levelsOf";
import type { PlanBody, PlanItem } from "../../src/plan/plan";
import type { FitContext } from "../../src/venue/context";
import { playDrill, type Stretch } from "./playDose";

/**
 * The fit as a mixed-integer programme in the LP text format, written from docs/fit.md alone. What goes on through a day
 * (effort reached, rest under way, rest owed, general work on end) is a quantity that each drill in turn changes. For plans
 * in which every drill has a place that the day knows and its place in the order, and days whose fixed points are wherever
 * the athlete is.
 */
export interface MipModel {
  /** What is maximised, most important first; each only among the best of those before. */
  stages: string[];
  /** Everything but the objective: what goes between "subject to" and "end". */
  rows: string[];
  binaries: string[];
  /** What each stage comes to for a choice of levels (−1: left out), and whether the wait is not too long. */
  valuesOf: (levels: readonly number[], waitHolds: boolean) => number[];
}

type Term = readonly [number, string];

const HARD = 85;
const EASY = 40;

/** "+ 3 x - 2 y" */
function sum(terms: readonly Term[]): string {
  const text = terms.filter(([c]) => c !== 0).map(([c, v]) => `${c < 0 ? "-" : "+"} ${Math.abs(c)} ${v}`);
  return text.join(" ") || "0 none";
}

interface Line {
  item: PlanItem;
  ideal: number;
  levels: Stretch[][];
  /** Chosen levels; whether it is kept; when it begins and ends, seconds after the earliest beginning. */
  y: string[];
  kept: string;
  begin: string;
  end: string;
}

const seconds = (level: readonly Stretch[]) => level.reduce((all, s) => all + s.clock + s.rest, 0);
const worked = (level: readonly Stretch[], least = 0) =>
  level.reduce((all, s) => all + (s.effort >= least ? s.work : 0), 0);
const actions = (level: readonly Stretch[]) => level.reduce((all, s) => all + s.actions, 0);
const easy = (level: readonly Stretch[]) =>
  level.reduce((all, s) => all + (s.effort <= EASY ? s.clock + s.rest : 0), 0);

const isKit = ({ phase }: PlanItem) => phase === "kit";
const isWork = (i: PlanItem) => !isKit(i) && i.calm === undefined;
const isFlagged = (i: PlanItem, flag: "explosive" | "breather" | "no-condition") =>
  i.details?.flags.includes(flag) === true;

/** Whether the climb goes on from it. */
const leadsOrClimbs = (i: PlanItem) => {
  const purposes = i.details?.purposes ?? [];
  const forTheHead = purposes.length > 0 && !purposes.some((p) => p !== "mental");
  return isWork(i) && !isFlagged(i, "breather") && !forTheHead;
};

/** What a coefficient is of each level, as terms. */
const each = (x: Line, of: (level: readonly Stretch[]) => number): Term[] =>
  x.levels.map((level, k) => [of(level), x.y[k] as string]);

const minus = (terms: readonly Term[]): Term[] => terms.map(([c, v]) => [-c, v]);

export function mipModel(plan: PlanBody, day: FitContext, availableSeconds: number): MipModel {
  const H = availableSeconds;
  const binaries: string[] = [];
  const choice = (name: string) => {
    binaries.push(name);
    return name;
  };
  const lines = plan.items
    .filter((item) => !item.alreadyOn)
    .map(
      (item, i): Line => ({
        item,
        ideal: idealLevel(item.dose),
        levels: levelsOf(item.dose).map((level) => playDrill(item.dose, item.intensity, level)),
        y: levelsOf(item.dose).map((_, k) => choice(`y${i}_${k}`)),
        kept: choice(`k${i}`),
        begin: `b${i}`,
        end: `e${i}`,
      }),
    );
  const held = choice("held");
  const rows = [
    ...timeRows(plan, day, lines, H, choice),
    ...wayRows(day, lines, H),
    ...dependRows(plan, lines),
    ...courseRows(plan, day, lines, H),
    ...totalRows(plan, day, lines),
  ];
  // The wait is not too long when something that keeps warm ends late enough.
  const late = lines
    .filter(({ item }) => isWork(item) || item.calm === "keep-warm")
    .map((x): Term => {
      const ends = choice(`u${x.end}`);
      rows.push(
        `${sum([
          [1, ends],
          [-1, x.kept],
        ])} <= 0`,
      );
      rows.push(
        `${sum([
          [1, x.end],
          [-H, ends],
        ])} >= ${-plan.wait.longestSeconds}`,
      );
      return [-1, ends];
    });
  rows.push(`${sum([[1, held], ...late])} <= 0`);
  const stages = stagesOf(lines, held);
  return {
    stages: stages.map(sum),
    rows,
    binaries,
    valuesOf(levels, waitHolds) {
      const chosen = plan.items.flatMap((item, i) => (item.alreadyOn ? [] : [levels[i] as number]));
      const on = new Set(
        lines.flatMap((x, i) => ((chosen[i] as number) < 0 ? [] : [x.kept, x.y[chosen[i] as number]])),
      );
      if (waitHolds) on.add(held);
      return stages.map((terms) => terms.reduce((all, [c, v]) => all + (on.has(v) ? c : 0), 0));
    },
  };
}

/** Levels, lengths, order, windows, fixed points, and what ends long enough before the start. */
function timeRows(
  plan: PlanBody,
  day: FitContext,
  lines: readonly Line[],
  H: number,
  choice: (name: string) => string,
): string[] {
  return lines.flatMap((x, i) => {
    const rows = [
      `${sum([...each(x, () => 1), [-1, x.kept]])} = 0`,
      `${sum([[1, x.end], [-1, x.begin], ...minus(each(x, seconds))])} = 0`,
      x.item.calm
        ? `${x.end} <= ${H}`
        : `${sum([
            [1, x.end],
            [plan.wait.leastSeconds, x.kept],
          ])} <= ${H}`,
    ];
    const next = lines[i + 1];
    if (next)
      rows.push(
        `${sum([
          [1, next.begin],
          [-1, x.end],
        ])} >= 0`,
      );
    const windows = day.places.find((p) => p.name === x.item.place)?.windows ?? [];
    const inside = windows.map((_, w) => choice(`v${i}_${w}`));
    if (windows.length > 0) rows.push(`${sum([...inside.map((v): Term => [1, v]), [-1, x.kept]])} = 0`);
    windows.forEach((w, n) => {
      const there = inside[n] as string;
      rows.push(
        `${sum([
          [1, x.begin],
          [-H, there],
        ])} >= ${Math.max(0, w.fromSeconds + H) - H}`,
      );
      rows.push(
        `${sum([
          [1, x.end],
          [H, there],
        ])} <= ${Math.min(H, w.toSeconds + H) + H}`,
      );
      if (w.room === "half" && x.item.wholePlace) rows.push(`${there} <= 0`);
    });
    day.points.forEach((p, n) => {
      const before = choice(`q${i}_${n}`);
      rows.push(
        `${sum([
          [1, x.end],
          [H, before],
        ])} <= ${p.fromSeconds + H + H}`,
      );
      rows.push(
        `${sum([
          [1, x.begin],
          [H, before],
          [-H, x.kept],
        ])} >= ${p.toSeconds}`,
      );
      if (p.closesPractice && !x.item.calm)
        rows.push(
          `${sum([
            [1, x.end],
            [H, x.kept],
          ])} <= ${p.fromSeconds + 2 * H}`,
        );
    });
    return rows;
  });
}

/** From each place to each later one, in time that no fixed point takes. */
function wayRows(day: FitContext, lines: readonly Line[], H: number): string[] {
  const way = (a: string, b: string) =>
    day.travel.find((t) => (t.from === a && t.to === b) || (t.from === b && t.to === a))?.seconds ?? 0;
  const busy = day.points.map((p) => p.toSeconds - p.fromSeconds);
  return lines.flatMap((x, i) =>
    lines.slice(i + 1).flatMap((z, m) => {
      const long = x.item.place === z.item.place ? 0 : way(x.item.place, z.item.place);
      if (long === 0) return [];
      // A point lies between the two when it is after the one and before the other.
      const between = busy.flatMap((b, n): Term[] => [
        [-b, `q${i}_${n}`],
        [b, `q${i + 1 + m}_${n}`],
      ]);
      const M = H + long + busy.reduce((all, b) => all + b, 0);
      return [
        `${sum([[1, z.begin], [-1, x.end], ...between, [-M, x.kept], [-M, z.kept]])} >= ${long - 2 * M}`,
      ];
    }),
  );
}

/** Pairs, and what is not done without its kit. */
function dependRows(plan: PlanBody, lines: readonly Line[]): string[] {
  const line = (id: string | undefined) => lines.find((x) => x.item.id === id);
  const rows: string[] = [];
  const dependsOn = (x: Line, leader: Line) =>
    rows.push(
      `${sum([
        [1, x.kept],
        [-1, leader.kept],
      ])} <= 0`,
    );
  const guards = new Map<string, PlanItem>();
  for (const item of plan.items) {
    const x = line(item.id);
    if (isKit(item)) {
      // One piece of equipment for each in these plans, or none: then the name tells kit from kit.
      const kit = item.details?.equipment[0] ?? item.name;
      guards.delete(kit);
      if (x && !isFlagged(item, "no-condition")) guards.set(kit, item);
    } else if (x && isWork(item)) {
      for (const kit of guards.values()) dependsOn(x, line(kit.id) as Line);
    }
    const leader = line(item.after);
    if (x && leader) dependsOn(x, leader);
  }
  return rows;
}

/** What goes on from one drill to the next: effort, rest under way, rest owed, general work on end. */
function courseRows(plan: PlanBody, day: FitContext, lines: readonly Line[], H: number): string[] {
  const rows: string[] = [];
  const restAfter =
    ({ item }: Line) =>
    (level: readonly Stretch[]) => {
      if (!item.restAfter || item.calm) return 0;
      return item.restAfter.kind === "seconds"
        ? item.restAfter.seconds
        : item.restAfter.times * worked(level);
    };
  const { generalMinutes } = plan.limits ?? {};
  const most = (generalMinutes ?? 0) * 60;
  rows.push(`effort_ <= ${day.reached ?? 100}`, "rest_ >= 0", "owed_ >= 0", "general_ >= 0");
  let before = {
    end: null as string | null,
    effort: "effort_",
    rest: "rest_",
    owed: "owed_",
    general: "general_",
  };
  lines.forEach((x, i) => {
    const now = {
      end: x.end,
      effort: `effort${i}`,
      rest: `rest${i}`,
      owed: `owed${i}`,
      general: `general${i}`,
    };
    // Effort reached: a drill that climbs may begin a step above it; it and one that leads leave it at their own.
    const leads = leadsOrClimbs(x.item);
    const climbs = leads && (x.item.phase === "technical" || x.item.phase === "prime");
    rows.push(
      `${sum([[1, now.effort], [-1, before.effort], ...(leads ? [[-100, x.kept] as Term] : [])])} <= 0`,
    );
    if (leads)
      rows.push(
        `${sum([[1, now.effort], ...minus(each(x, (l) => l.at(-1)?.effort ?? 0)), [100, x.kept]])} <= 100`,
      );
    if (climbs) {
      const first = each(x, (l) => l[0]?.effort ?? 0);
      rows.push(`${sum([...first, [-1, before.effort]])} <= ${plan.stepPoints}`);
      // With nothing before it, priming goes on from easy effort: something before it, or no more than that and a step.
      if (x.item.phase === "prime" && day.reached === undefined) {
        const leadsUp = lines
          .slice(0, i)
          .filter((y) => leadsOrClimbs(y.item))
          .map((y): Term => [-100, y.kept]);
        rows.push(`${sum([...first, ...leadsUp])} <= ${EASY + plan.stepPoints}`);
      }
      x.levels.forEach((level, k) => {
        const isSteep = level.some(
          (s, r) => r > 0 && s.effort - (level[r - 1]?.effort ?? 0) > plan.stepPoints,
        );
        if (isSteep) rows.push(`${x.y[k]} <= 0`);
      });
    }
    // Rest under way lasts until then; no work begins before.
    rows.push(
      `${sum([
        [1, now.rest],
        [-1, before.rest],
      ])} >= 0`,
    );
    rows.push(`${sum([[1, now.rest], [-1, x.end], ...minus(each(x, restAfter(x)))])} >= 0`);
    if (isWork(x.item))
      rows.push(
        `${sum([
          [1, x.begin],
          [-1, before.rest],
          [-2 * H, x.kept],
        ])} >= ${-2 * H}`,
      );
    // Rest owed: less by what goes by before a hard drill, more by what that owes.
    const owes =
      plan.wait.times && !x.item.calm ? each(x, (l) => (plan.wait.times ?? 0) * worked(l, HARD)) : [];
    if (owes.some(([c]) => c > 0)) {
      rows.push(`${sum([[1, now.owed], ...minus(owes)])} >= 0`);
      const gap: Term[] =
        before.end === null
          ? []
          : [
              [1, x.begin],
              [-1, before.end],
            ];
      // At a level with nothing hard in it, its own time pays too.
      const easily = each(x, (l) => (worked(l, HARD) === 0 ? seconds(l) : 0));
      rows.push(`${sum([[1, now.owed], [-1, before.owed], ...gap, ...easily, ...minus(owes)])} >= 0`);
    } else {
      // Nothing hard: its own time pays too.
      const gone: Term[] =
        before.end === null
          ? []
          : [
              [1, x.end],
              [-1, before.end],
            ];
      rows.push(`${now.owed} >= 0`, `${sum([[1, now.owed], [-1, before.owed], ...gone])} >= 0`);
    }
    // General work on end: anything else that is done ends it.
    const general =
      (x.item.phase === "raise" || x.item.phase === "mobilise") &&
      !x.item.calm &&
      !isFlagged(x.item, "breather");
    rows.push(`${now.general} >= 0`);
    rows.push(
      general
        ? `${sum([[1, now.general], [-1, before.general], ...minus(each(x, seconds))])} >= 0`
        : `${sum([
            [1, now.general],
            [-1, before.general],
            [most, x.kept],
          ])} >= 0`,
    );
    if (generalMinutes !== undefined) rows.push(`${now.general} <= ${most}`);
    before = now;
  });
  if (before.end !== null)
    rows.push(
      `${before.rest} <= ${H}`,
      `${sum([
        [1, before.owed],
        [1, before.end],
      ])} <= ${H}`,
    );
  return rows;
}

function totalRows(plan: PlanBody, day: FitContext, lines: readonly Line[]): string[] {
  const { volumePercent, explosiveReps, easyPercent } = plan.limits ?? {};
  const total = (is: (i: PlanItem) => boolean, of: (level: readonly Stretch[]) => number) =>
    sum(lines.filter((x) => is(x.item)).flatMap((x) => each(x, of)));
  const rows: string[] = [];
  if (volumePercent !== undefined && day.usualReps > 0) {
    const most = Math.max(0, Math.floor((volumePercent * day.usualReps) / 100) - (day.spent?.volume ?? 0));
    rows.push(`${total((i) => i.phase === "technical" || i.phase === "prime", actions)} <= ${most}`);
  }
  if (explosiveReps !== undefined)
    rows.push(
      `${total((i) => isFlagged(i, "explosive"), actions)} <= ${Math.max(0, explosiveReps - (day.spent?.explosive ?? 0))}`,
    );
  if (easyPercent !== undefined)
    rows.push(`${total(isWork, (l) => easyPercent * seconds(l) - 100 * easy(l))} <= 0`);
  return rows;
}

/** What it is worth, rank after rank; ranks of which one cannot take from the other share a stage. */
function stagesOf(lines: readonly Line[], held: string): Term[][] {
  const many = lines.length + 1;
  // Seconds of the way from the floor to the ideal, and on to the ceiling.
  const length = (x: Line, k: number) => seconds(x.levels[k] ?? []);
  const up = (x: Line) => length(x, x.ideal) - length(x, 0);
  const on = (x: Line) => length(x, x.levels.length - 1) - length(x, x.ideal);
  const value = (n: number, way: number, longest: number) =>
    Math.max(n, longest === 0 ? 0 : Math.round((60 * way) / longest));
  const spread = (k: number, n: number, all: number) => k + Math.round((all - n) * (1 - ((n - k) / n) ** 2));
  const longestUp = Math.max(0, ...lines.map(up));
  const longestOn = Math.max(0, ...lines.map(on));
  const points = (x: Line, k: number) => {
    const all = value(x.ideal, up(x), longestUp);
    return k >= x.ideal ? 60 : 60 - all + spread(k, x.ideal, all);
  };
  const beyond = (x: Line, k: number) => {
    const n = x.levels.length - 1 - x.ideal;
    return k <= x.ideal ? 0 : spread(k - x.ideal, n, value(n, on(x), longestOn));
  };
  const essentials = lines.filter((x) => x.item.priority === "essential");
  const raise = essentials.find((x) => x.item.phase === "raise" && !x.item.calm);
  const whole = (x: Line) =>
    x === raise ? 2 * essentials.length + 1 : isKit(x.item) ? essentials.length + 1 : 1;
  const of = (priority: string) => lines.filter((x) => x.item.priority === priority);
  const levels = (of: readonly Line[], worth: (x: Line, k: number) => number) =>
    of.flatMap((x) => x.y.map((v, k): Term => [worth(x, k), v]));
  return [
    [...essentials.map((x): Term => [2 * whole(x), x.kept]), [1, held]],
    levels(
      of("essential").filter((x) => isKit(x.item)),
      points,
    ),
    levels(
      of("essential").filter((x) => !isKit(x.item)),
      points,
    ),
    levels(of("useful"), (x, k) => 60 * many + points(x, k)),
    levels(of("extra"), (x, k) => 60 * many + points(x, k)),
    levels(lines, beyond),
  ];
}

/** The model with one of its stages as the objective, and the values of those before it kept. */
export function lpText(
  { stages, rows, binaries }: MipModel,
  stage: number,
  reached: readonly number[],
): string {
  // Values are whole numbers: half of one less allows for the solver's tolerances, and for nothing else.
  const kept = reached.slice(0, stage).map((value, s) => `${stages[s]} >= ${value - 0.5}`);
  const all = [...rows, ...kept].map((row, n) => `c${n}: ${row}`);
  return ["maximize", `obj: ${stages[stage]}`, "subject to", ...all, "binary", ...binaries, "end"].join("\n");
}
