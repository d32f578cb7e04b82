import type { FitContext } from "../day/context";
import { idealLevel, levelsOf } from "../dose/levelsOf";
import { climbOf } from "../ladder/climb";
import type { PlanBody } from "../plan/plan";

/**
 * The fit as a mixed-integer programme in the LP text format, written from the rules alone. For plans in which every
 * drill has a place and its place in the order, and days whose fixed points are wherever the athlete is.
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
  const rows: string[] = [];
  const binaries: string[] = [];
  const bin = (name: string) => {
    binaries.push(name);
    return name;
  };
  const items = plan.items.map((item, i) => {
    const levels = levelsOf(item.dose);
    return {
      item,
      levels,
      ideal: idealLevel(item.dose),
      y: levels.map((_, k) => bin(`y${i}_${k}`)),
      kept: bin(`k${i}`),
      b: `b${i}`,
      e: `e${i}`,
      works: item.calm === undefined && item.phase !== "kit",
      warms: item.calm === "keep-warm" || (item.calm === undefined && item.phase !== "kit"),
      technical: item.phase === "technical" && item.calm === undefined,
      climbs: levels.map((l) => climbOf(item, l)),
    };
  });
  type Item = (typeof items)[number];
  const sum = (terms: [number, string][]) =>
    terms
      .filter(([c]) => c !== 0)
      .map(([c, v]) => `${c < 0 ? "-" : "+"} ${Math.abs(c)} ${v}`)
      .join(" ") || `0 ${items[0]?.kept}`;
  const over = (x: Item, of: (k: number) => number): [number, string][] => x.y.map((v, k) => [of(k), v]);
  const way = (a: string, b: string) =>
    a === b
      ? 0
      : (day.travel.find((t) => (t.from === a && t.to === b) || (t.from === b && t.to === a))?.seconds ?? 0);
  const hard = (x: Item, k: number) => {
    const level = x.levels[k];
    if (level?.rungs) return level.rungs.filter((r) => r.intensity >= 85).reduce((s, r) => s + r.seconds, 0);
    return x.item.intensity >= 85 ? (level?.workSeconds ?? 0) : 0;
  };
  const restOf = (x: Item, k: number) => {
    const rest = x.item.restAfter;
    if (!rest || x.item.calm) return 0;
    return rest.kind === "seconds" ? rest.seconds : rest.times * (x.levels[k]?.workSeconds ?? 0);
  };

  items.forEach((x, i) => {
    rows.push(`${sum(over(x, () => 1))} - ${x.kept} = 0`);
    rows.push(`${x.e} - ${x.b} ${sum(over(x, (k) => -(x.levels[k]?.seconds ?? 0)))} = 0`);
    rows.push(`${x.e} <= ${H}`);
    const next = items[i + 1];
    if (next) rows.push(`${next.b} - ${x.e} >= 0`);
    // Latest ends: the wait, and what hard work owes.
    const least = x.item.calm ? 0 : plan.wait.leastSeconds;
    const owed = (k: number) => (x.item.calm ? 0 : (plan.wait.times ?? 0) * hard(x, k));
    rows.push(`${x.e} ${sum(over(x, (k) => Math.max(least, owed(k))))} <= ${H}`);
    const windows = day.places.find((p) => p.name === x.item.place)?.windows ?? [];
    if (windows.length > 0) {
      const inside = windows.map((_, w) => bin(`v${i}_${w}`));
      rows.push(`${sum(inside.map((v) => [1, v]))} - ${x.kept} = 0`);
      windows.forEach((w, n) => {
        rows.push(`${x.b} - ${H} ${inside[n]} >= ${Math.max(0, w.fromSeconds + H) - H}`);
        rows.push(`${x.e} + ${H} ${inside[n]} <= ${Math.min(H, w.toSeconds + H) + H}`);
        if (w.room === "half" && x.item.wholePlace) rows.push(`${inside[n]} <= 0`);
      });
    }
    day.points.forEach((p, n) => {
      const before = bin(`q${i}_${n}`);
      rows.push(`${x.e} + ${H} ${before} <= ${p.fromSeconds + H + H}`);
      rows.push(`${x.b} + ${H} ${before} - ${H} ${x.kept} >= ${p.toSeconds + H - H}`);
      if (p.closesPractice && !x.item.calm) rows.push(`${x.e} + ${H} ${x.kept} <= ${p.fromSeconds + H + H}`);
    });
    // Rests, and ways to every later place: gone without fixed points.
    const rest = over(x, (k) => -restOf(x, k));
    if (rest.some(([c]) => c !== 0)) rows.push(`- 1 ${x.e} ${sum(rest)} >= ${-H}`);
    items.slice(i + 1).forEach((z) => {
      if (z.works && rest.some(([c]) => c !== 0))
        rows.push(`${z.b} - ${x.e} ${sum(rest)} - ${2 * H} ${z.kept} >= ${-2 * H}`);
      const seconds = way(x.item.place, z.item.place);
      if (seconds === 0) return;
      const j = items.indexOf(z);
      const busy = day.points.flatMap((p, n): [number, string][] => {
        const long = p.toSeconds - p.fromSeconds;
        return [
          [-long, `q${i}_${n}`],
          [long, `q${j}_${n}`],
        ];
      });
      const M = H + seconds + day.points.reduce((s, p) => s + p.toSeconds - p.fromSeconds, 0);
      rows.push(
        `${z.b} - ${x.e} ${busy.length > 0 ? sum(busy) : ""} - ${M} ${x.kept} - ${M} ${z.kept} >= ${seconds - 2 * M}`,
      );
    });
    if (x.item.after) {
      const leader = items.find((o) => o.item.id === x.item.after);
      rows.push(`${x.kept} - ${leader?.kept} <= 0`);
    }
  });

  // The climb.
  const technical = items.filter((x) => x.technical);
  technical.forEach((x, n) => {
    x.climbs.forEach(({ rise, to }, k) => {
      if (rise > plan.stepPoints) rows.push(`${x.y[k]} <= 0`);
      technical.slice(n + 1).forEach((z, m) => {
        if ((z.climbs[0]?.from ?? 0) - to <= plan.stepPoints) return;
        const between = technical.slice(n + 1, n + 1 + m).map((t): [number, string] => [-1, t.kept]);
        rows.push(`${x.y[k]} + ${z.kept} ${between.length > 0 ? sum(between) : ""} <= 1`);
      });
    });
  });

  const { generalMinutes, volumePercent, explosiveReps, easyPercent } = plan.limits ?? {};
  const general = (x: Item) =>
    !x.item.calm &&
    ["raise", "mobilise"].includes(x.item.phase) &&
    !x.item.details?.flags.includes("breather");
  if (generalMinutes !== undefined) {
    items.forEach((x, i) => {
      if (!general(x)) return;
      items.slice(i).forEach((z, m) => {
        if (!general(z)) return;
        const run = items.slice(i, i + m + 1);
        const terms = run.flatMap((t): [number, string][] =>
          general(t) ? over(t, (k) => t.levels[k]?.seconds ?? 0) : [[-3 * H, t.kept]],
        );
        rows.push(`${sum(terms)} <= ${generalMinutes * 60}`);
      });
    });
  }
  const counted = (x: Item, k: number) => {
    const volume = x.levels[k]?.volume;
    return volume && ["reps", "attempts", "tries"].includes(volume.unit) ? volume.amount : 0;
  };
  const own = items.filter((x) => x.item.phase === "technical" || x.item.phase === "prime");
  if (volumePercent !== undefined && day.usualReps > 0)
    rows.push(
      `${sum(own.flatMap((x) => over(x, (k) => counted(x, k))))} <= ${Math.floor((volumePercent * day.usualReps) / 100)}`,
    );
  if (explosiveReps !== undefined) {
    const explosive = items.filter((x) => x.item.details?.flags.includes("explosive"));
    rows.push(`${sum(explosive.flatMap((x) => over(x, (k) => counted(x, k))))} <= ${explosiveReps}`);
  }
  if (easyPercent !== undefined) {
    const debt = (x: Item, k: number) => {
      const level = x.levels[k];
      const all = level?.seconds ?? 0;
      const easy = level?.rungs
        ? level.rungs.filter((r) => r.intensity <= 40).reduce((s, r) => s + r.seconds + r.restSeconds, 0)
        : x.item.intensity <= 40
          ? all
          : 0;
      return easyPercent * all - 100 * easy;
    };
    const work = items.filter((x) => x.item.phase !== "kit" && !x.item.calm);
    rows.push(`${sum(work.flatMap((x) => over(x, (k) => debt(x, k))))} <= 0`);
  }

  // A wait that is not too long: something that keeps warm ends late enough.
  const held = bin("held");
  const late = items
    .filter((x) => x.warms)
    .map((x) => {
      const u = bin(`u${x.b}`);
      rows.push(`${u} - ${x.kept} <= 0`);
      rows.push(`${x.e} - ${H} ${u} >= ${-plan.wait.longestSeconds}`);
      return u;
    });
  rows.push(`${sum([[1, held], ...late.map((u): [number, string] => [-1, u])])} <= 0`);

  // What it is worth.
  const points = (x: Item, k: number) => (k >= x.ideal ? 60 : Math.round((60 * k) / x.ideal));
  const of = (priority: string) => items.filter((x) => x.item.priority === priority);
  const many = items.length + 1;
  const worth = (list: Item[], kept: number) => list.flatMap((x) => over(x, (k) => kept + points(x, k)));
  const beyond = (x: Item, k: number) =>
    k <= x.ideal ? 0 : Math.round((60 * (k - x.ideal)) / (x.levels.length - 1 - x.ideal));
  const stages = [
    [
      ...of("essential").map((x): [number, string] => [x.item.phase === "kit" ? 2 * many + 2 : 2, x.kept]),
      [1, held] as [number, string],
    ],
    of("essential").flatMap((x) => over(x, (k) => points(x, k))),
    worth(of("useful"), 60 * many),
    worth(of("extra"), 60 * many),
    items.flatMap((x) => over(x, (k) => beyond(x, k))),
  ];
  const valuesOf = (levels: readonly number[], waitHolds: boolean) => {
    const on = new Set(
      items.flatMap((x, i) => ((levels[i] as number) < 0 ? [] : [x.kept, x.y[levels[i] as number]])),
    );
    if (waitHolds) on.add(held);
    return stages.map((terms) => terms.reduce((total, [c, v]) => total + (on.has(v) ? c : 0), 0));
  };
  return { stages: stages.map(sum), rows, binaries, valuesOf };
}

/** The model with one of its stages as the objective, and the values of those before it kept. */
export function lpText(
  { stages, rows, binaries }: MipModel,
  stage: number,
  reached: readonly number[],
): string {
  const kept = reached.slice(0, stage).map((value, s) => `${stages[s]} >= ${value}`);
  const all = [...rows, ...kept].map((row, n) => `c${n}: ${row}`);
  return ["maximize", `obj: ${stages[stage]}`, "subject to", ...all, "binary", ...binaries, "end"].join("\n");
}
