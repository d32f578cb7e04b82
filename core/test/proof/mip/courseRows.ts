import type { PlanBody } from "../../../src/plan/plan";
import type { FitContext } from "../../../src/venue/context";
import type { Stretch } from "../play/playDose";
import {
  EASY,
  each,
  HARD,
  isFlagged,
  isWork,
  type Line,
  leadsOrClimbs,
  minus,
  seconds,
  sum,
  type Term,
  worked,
} from "./terms";

/** A quantity after the drill of an index, and before the first of them. */
const after = (quantity: string, i: number) => `${quantity}${i < 0 ? "_" : i}`;

/** What goes on from one drill to the next: effort, rest under way, rest owed, general work on end. */
export function courseRows(plan: PlanBody, day: FitContext, lines: readonly Line[], H: number): string[] {
  return [
    ...effortRows(plan, day, lines),
    ...restRows(lines, H),
    ...owedRows(plan, lines, H),
    ...generalRows(plan, lines),
  ];
}

/** Effort reached: a drill that climbs may begin a step above it; it and one that leads leave it at their own. */
function effortRows({ stepPoints }: PlanBody, day: FitContext, lines: readonly Line[]): string[] {
  const rows = [`effort_ <= ${day.reached ?? 100}`];
  lines.forEach((x, i) => {
    const [now, before] = [after("effort", i), after("effort", i - 1)];
    const leads = leadsOrClimbs(x.item);
    rows.push(`${sum([[1, now], [-1, before], ...(leads ? [[-100, x.kept] as Term] : [])])} <= 0`);
    if (!leads) return;
    rows.push(`${sum([[1, now], ...minus(each(x, (l) => l.at(-1)?.effort ?? 0)), [100, x.kept]])} <= 100`);
    if (x.item.phase !== "technical" && x.item.phase !== "prime") return;
    const first = each(x, (l) => l[0]?.effort ?? 0);
    rows.push(`${sum([...first, [-1, before]])} <= ${stepPoints}`);
    // With nothing before it, priming goes on from easy effort: something before it, or no more than that and a step.
    if (x.item.phase === "prime" && day.reached === undefined) {
      const leadsUp = lines.slice(0, i).filter((y) => leadsOrClimbs(y.item));
      rows.push(`${sum([...first, ...leadsUp.map((y): Term => [-100, y.kept])])} <= ${EASY + stepPoints}`);
    }
    x.levels.forEach((level, k) => {
      const isSteep = level.some((s, r) => r > 0 && s.effort - (level[r - 1]?.effort ?? 0) > stepPoints);
      if (isSteep) rows.push(`${x.y[k]} <= 0`);
    });
  });
  return rows;
}

/** Rest under way lasts until then; no work begins before. */
function restRows(lines: readonly Line[], H: number): string[] {
  const owedAfter =
    ({ item: { restAfter, calm } }: Line) =>
    (level: readonly Stretch[]) => {
      if (!restAfter || calm) return 0;
      return restAfter.kind === "seconds" ? restAfter.seconds : restAfter.times * worked(level);
    };
  const rows = ["rest_ >= 0"];
  lines.forEach((x, i) => {
    const [now, before] = [after("rest", i), after("rest", i - 1)];
    rows.push(
      `${sum([
        [1, now],
        [-1, before],
      ])} >= 0`,
    );
    rows.push(`${sum([[1, now], [-1, x.end], ...minus(each(x, owedAfter(x)))])} >= 0`);
    if (!isWork(x.item)) return;
    const begins: Term[] = [
      [1, x.begin],
      [-1, before],
      [-2 * H, x.kept],
    ];
    rows.push(`${sum(begins)} >= ${-2 * H}`);
  });
  return lines.length > 0 ? [...rows, `${after("rest", lines.length - 1)} <= ${H}`] : rows;
}

/** Rest owed: less by what goes by before a hard drill, more by what that owes. */
function owedRows({ wait: { times = 0 } }: PlanBody, lines: readonly Line[], H: number): string[] {
  const rows = ["owed_ >= 0"];
  lines.forEach((x, i) => {
    const [now, before] = [after("owed", i), after("owed", i - 1)];
    const last = lines[i - 1];
    const since = (moment: string): Term[] =>
      last
        ? [
            [1, moment],
            [-1, last.end],
          ]
        : [];
    const owes = times > 0 && !x.item.calm ? each(x, (l) => times * worked(l, HARD)) : [];
    if (owes.some(([c]) => c > 0)) {
      rows.push(`${sum([[1, now], ...minus(owes)])} >= 0`);
      // At a level with nothing hard in it, its own time pays too.
      const easily = each(x, (l) => (worked(l, HARD) === 0 ? seconds(l) : 0));
      rows.push(`${sum([[1, now], [-1, before], ...since(x.begin), ...easily, ...minus(owes)])} >= 0`);
    } else {
      // Nothing hard: its own time pays too.
      rows.push(`${now} >= 0`, `${sum([[1, now], [-1, before], ...since(x.end)])} >= 0`);
    }
  });
  const last = lines.at(-1);
  if (!last) return rows;
  const end: Term[] = [
    [1, after("owed", lines.length - 1)],
    [1, last.end],
  ];
  return [...rows, `${sum(end)} <= ${H}`];
}

/** General work on end: anything else that is done ends it. */
function generalRows({ limits }: PlanBody, lines: readonly Line[]): string[] {
  const { generalMinutes } = limits ?? {};
  const most = (generalMinutes ?? 0) * 60;
  const rows = ["general_ >= 0"];
  lines.forEach((x, i) => {
    const { phase, calm } = x.item;
    const [now, before] = [after("general", i), after("general", i - 1)];
    const goesOn = (phase === "raise" || phase === "mobilise") && !calm && !isFlagged(x.item, "breather");
    const ends: Term[] = [
      [1, now],
      [-1, before],
      [most, x.kept],
    ];
    const adds: Term[] = [[1, now], [-1, before], ...minus(each(x, seconds))];
    rows.push(`${now} >= 0`, `${sum(goesOn ? adds : ends)} >= 0`);
    if (generalMinutes !== undefined) rows.push(`${now} <= ${most}`);
  });
  return rows;
}
