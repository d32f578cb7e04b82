import type { FitContext } from "../day/context";
import { levelsOf } from "../dose/levelsOf";
import type { PlanBody, PlanItem } from "../plan/plan";

/** What is done when: one entry per drill that is kept. */
export interface Done {
  id: string;
  levelIndex: number;
  beginSeconds: number;
  /** Seconds from its beginning to its end, turns included. */
  spanSeconds: number;
}

const same = (a: string, b: string) => a.trim().toLowerCase() === b.trim().toLowerCase();

/**
 * Reads a schedule against every rule there is and names what is broken. Written from the rules alone: it shares
 * nothing with the solver.
 */
export function checkSchedule(
  plan: PlanBody,
  day: FitContext,
  done: readonly Done[],
  availableSeconds: number,
): string[] {
  const broken: string[] = [];
  const say = (rule: string, what: string) => broken.push(`${rule}: ${what}`);
  const byTime = done
    .map((d) => {
      const item = plan.items.find((i) => i.id === d.id) as PlanItem;
      const at = plan.items.indexOf(item);
      const level = levelsOf(item.dose)[d.levelIndex];
      if (!level) say("level", item.name);
      return {
        ...d,
        item,
        at,
        level: level as NonNullable<typeof level>,
        end: d.beginSeconds + d.spanSeconds,
      };
    })
    .sort((a, b) => a.beginSeconds - b.beginSeconds || a.end - b.end);
  const knows = (name: string) => name !== "" && day.places.some((p) => same(p.name, name));
  const way = (a: string | null, b: string | null) =>
    a && b && knows(a) && knows(b) ? shortest(day, a, b) : 0;

  for (const d of byTime) {
    if (d.beginSeconds < -availableSeconds) say("horizon", d.item.name);
    if (d.end > 0) say("start", d.item.name);
  }
  byTime.forEach((d, k) => {
    const next = byTime[k + 1];
    if (next && d.end > next.beginSeconds) say("overlap", `${d.item.name} and ${next.item.name}`);
  });

  // The order: as written, except that what is free may stand anywhere among its neighbours of the same phase.
  for (const a of byTime) {
    for (const b of byTime) {
      if (a.at >= b.at || byTime.indexOf(a) < byTime.indexOf(b)) continue;
      const between = plan.items.slice(a.at, b.at + 1);
      const onePart = between.every((i) => i.phase === a.item.phase);
      if (!(onePart && (a.item.free || b.item.free))) say("order", `${b.item.name} before ${a.item.name}`);
    }
  }
  for (const d of byTime) {
    if (!d.item.after) continue;
    const leader = byTime.findIndex((o) => o.id === d.item.after);
    if (leader < 0 || leader > byTime.indexOf(d)) say("pair", d.item.name);
  }

  // Places: what needs none is done where the next one is.
  const whereNext = (k: number): string | null => {
    for (const d of byTime.slice(k)) if (knows(d.item.place)) return d.item.place;
    return day.startPlace;
  };
  byTime.forEach((d, k) => {
    const here = whereNext(k);
    const windows = knows(d.item.place)
      ? (day.places.find((p) => same(p.name, d.item.place))?.windows ?? [])
      : [];
    const within = windows.filter(
      (w) =>
        w.fromSeconds <= d.beginSeconds &&
        d.end <= w.toSeconds &&
        d.spanSeconds === d.level.seconds * w.turns,
    );
    if (windows.length > 0) {
      if (within.length === 0) say("window", d.item.name);
      else if (d.item.wholePlace && within.every((w) => w.room === "half")) say("half", d.item.name);
    } else if (d.spanSeconds !== d.level.seconds) say("span", d.item.name);
    for (const p of day.points) {
      const to = way(here, p.place);
      if (p.fromSeconds - to === p.toSeconds + to) continue;
      if (d.beginSeconds < p.toSeconds + to && d.end > p.fromSeconds - to)
        say("point", `${d.item.name}, ${p.name}`);
    }
    for (const p of day.points) {
      if (p.closesPractice && !d.item.calm && d.end > p.fromSeconds) say("closed", d.item.name);
    }
    const needed = knows(d.item.place) ? way(d.item.place, whereNext(k + 1)) : 0;
    const until = byTime[k + 1]?.beginSeconds ?? 0;
    if (until - d.end - busyBetween(day, d.end, until) < needed) say("travel", d.item.name);
  });

  // Rests inside, then before the start.
  byTime.forEach((d, k) => {
    if (d.item.calm || !d.item.restAfter) return;
    const owed =
      d.item.restAfter.kind === "seconds"
        ? d.item.restAfter.seconds
        : d.item.restAfter.times * d.level.workSeconds;
    const next = byTime.slice(k + 1).find((o) => !o.item.calm && o.item.phase !== "kit");
    if ((next?.beginSeconds ?? 0) - d.end < owed) say("rest", d.item.name);
  });
  for (const d of byTime) {
    if (d.item.calm) continue;
    if (-d.end < plan.wait.leastSeconds) say("wait", d.item.name);
    const hard = d.level.rungs
      ? d.level.rungs.filter((r) => r.intensity >= 85).reduce((s, r) => s + r.seconds, 0)
      : d.item.intensity >= 85
        ? d.level.workSeconds
        : 0;
    if (-d.end < (plan.wait.times ?? 0) * hard) say("owed", d.item.name);
  }

  // The climb, rung by rung.
  const climb = [
    ...(day.reached === undefined ? [] : [day.reached]),
    ...byTime
      .filter((d) => d.item.phase === "technical" && !d.item.calm)
      .flatMap((d) => d.level.rungs?.map((r) => r.intensity) ?? [d.item.intensity]),
  ];
  climb.forEach((effort, k) => {
    if (k > 0 && effort - (climb[k - 1] as number) > plan.stepPoints)
      say("step", `${climb[k - 1]} to ${effort}`);
  });

  const { generalMinutes, volumePercent, explosiveReps, easyPercent } = plan.limits ?? {};
  let general = 0;
  for (const { item, level } of byTime) {
    const goesOn =
      !item.calm && ["raise", "mobilise"].includes(item.phase) && !item.details?.flags.includes("breather");
    general = goesOn ? general + level.seconds : 0;
    if (general > (generalMinutes ?? Infinity) * 60) say("general", item.name);
  }
  const counted = byTime.filter((d) => ["reps", "attempts", "tries"].includes(d.level.volume.unit));
  const actions = counted
    .filter((d) => d.item.phase === "technical" || d.item.phase === "prime")
    .reduce((s, d) => s + d.level.volume.amount, 0);
  if (volumePercent && day.usualReps > 0 && actions * 100 > volumePercent * day.usualReps)
    say("volume", `${actions}`);
  const explosive = counted
    .filter((d) => d.item.details?.flags.includes("explosive"))
    .reduce((s, d) => s + d.level.volume.amount, 0);
  if (explosiveReps !== undefined && explosive > explosiveReps) say("explosive", `${explosive}`);
  if (easyPercent) {
    let easy = 0;
    let all = 0;
    for (const { item, level } of byTime) {
      if (item.phase === "kit" || item.calm) continue;
      all += level.seconds;
      if (!level.rungs) easy += item.intensity <= 40 ? level.seconds : 0;
      else for (const r of level.rungs) easy += r.intensity <= 40 ? r.seconds + r.restSeconds : 0;
    }
    if (easy * 100 < easyPercent * all) say("easy", `${easy} of ${all}`);
  }
  return broken;
}

/** The shortest way between two places, over others if need be, by trying ever longer ones. */
function shortest(day: FitContext, from: string, to: string): number {
  if (same(from, to)) return 0;
  const best = new Map([[from.trim().toLowerCase(), 0]]);
  for (let round = 0; round < day.places.length; round++) {
    for (const t of day.travel) {
      for (const [a, b] of [
        [t.from, t.to],
        [t.to, t.from],
      ] as const) {
        const reached = best.get(a.trim().toLowerCase());
        if (reached === undefined) continue;
        const key = b.trim().toLowerCase();
        best.set(key, Math.min(best.get(key) ?? Infinity, reached + t.seconds));
      }
    }
  }
  return best.get(to.trim().toLowerCase()) ?? 0;
}

/** Seconds of fixed points between two moments, each second once. */
function busyBetween(day: FitContext, from: number, to: number): number {
  let busy = 0;
  for (let s = from; s < to; s++) if (day.points.some((p) => p.fromSeconds <= s && s < p.toSeconds)) busy++;
  return busy;
}

/** Whether the wait, from the last that keeps warm to the start, is longer than tolerated; true with nothing kept. */
export function waitsTooLong(plan: PlanBody, done: readonly Done[]): boolean {
  const ends = done.flatMap((d) => {
    const item = plan.items.find((i) => i.id === d.id) as PlanItem;
    const warms = item.calm === "keep-warm" || (item.calm === undefined && item.phase !== "kit");
    return warms ? [d.beginSeconds + d.spanSeconds] : [];
  });
  return ends.length === 0 || -Math.max(...ends) > plan.wait.longestSeconds;
}
