import type { PlanBody } from "../../../src/plan/plan";
import type { FitContext } from "../../../src/venue/context";
import { each, type Line, minus, seconds, sum, type Term } from "./terms";

/** Levels, lengths, order, windows, fixed points, and what ends long enough before the start. */
export function timeRows(
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
export function wayRows(day: FitContext, lines: readonly Line[], H: number): string[] {
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
