import { idealLevel, levelsOf } from "../../src/dose/levelsOf";
import type { PlanBody } from "../../src/plan/plan";
import type { FitContext } from "../../src/venue/context";
import { courseRows } from "./mip/courseRows";
import { dependRows } from "./mip/dependRows";
import { stagesOf } from "./mip/stages";
import { isWork, type Line, sum, type Term } from "./mip/terms";
import { timeRows, wayRows } from "./mip/timeRows";
import { totalRows } from "./mip/totalRows";
import { playDrill } from "./play/playDose";

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
