import { isKit, type Line, seconds, type Term } from "./terms";

/** What it is worth, rank after rank; ranks of which one cannot take from the other share a stage. */
export function stagesOf(lines: readonly Line[], held: string): Term[][] {
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
