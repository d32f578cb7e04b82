import type { EffortProfile } from "../../src/event/eventType";
import type { Fit, Placement } from "../../src/fit/fit";

/**
 * What an experienced eye calls absurd in a filled warm-up, read off the clock of what is done. Written from what coaches
 * sign (the shape of a sensible warm-up at every length), not from the checks.
 */
export interface Seen {
  fit: Fit;
  minutes: number;
  effort: EffortProfile;
  /** Years; null for an adult. */
  age: number | null;
  /** Largest step, points. */
  step: number;
  /** The most that the approach has, minutes of drills. */
  most: number;
  /** Whether the approach climbs in order from easy to hard. */
  climbs: boolean;
  /** Whether there are drills of the shelf done on both sides, and for the event's own actions. */
  has: { sides: boolean; own: boolean };
}

/** One thing done, a ladder's rungs by themselves. */
interface Done {
  place: Placement;
  from: number;
  to: number;
  effort: number;
  actions: number;
}

const done = (fit: Fit): Done[] =>
  fit.placements.flatMap((place) => {
    if (!place.level || place.spanSeconds === 0) return [];
    const rungs = place.level.rungs ?? [];
    const whole = {
      place,
      from: place.beginSeconds,
      to: place.beginSeconds + place.spanSeconds,
      effort: place.item.intensity,
      actions: place.level.actions,
    };
    if (rungs.length === 0) return [whole];
    let at = place.beginSeconds;
    return rungs.map((r) => {
      const from = at;
      at += r.seconds + r.restSeconds;
      return { place, from, to: from + r.seconds, effort: r.intensity, actions: r.actions };
    });
  });

const seconds = (list: readonly Done[]) => list.reduce((sum, d) => sum + d.to - d.from, 0);
const inPhase =
  (...phases: string[]) =>
  (d: Done) =>
    phases.includes(d.place.item.phase);
const isMental = (d: Done) =>
  d.place.item.calm === "quiet" || (d.place.item.details?.purposes.every((p) => p === "mental") ?? false);
const isExplosive = (d: Done) => d.place.item.details?.flags.includes("explosive") ?? false;

/** Names of everything absurd about it; none for a plan that a coach would sign. */
export function absurdities(seen: Seen): string[] {
  const { fit, minutes, effort, age, step, most, climbs, has } = seen;
  const all = done(fit);
  const moves = all.filter((d) => d.place.item.phase !== "kit" && !isMental(d));
  const raise = moves.filter(inPhase("raise"));
  const mobilise = moves.filter(inPhase("mobilise"));
  const own = moves.filter(inPhase("technical"));
  const prime = moves.filter(inPhase("prime"));
  const wrong: string[] = [];
  const say = (isWrong: boolean, name: string) => {
    if (isWrong && !wrong.includes(name)) wrong.push(name);
  };
  say(moves.length === 0, "no movement");
  if (moves.length === 0) return wrong;
  say(raise.length === 0, "nothing raises");
  say(raise.length > 0 && seconds(raise) < 45, "raise under 45 s");
  say(minutes >= 15 && seconds(raise) < 0.1 * seconds(moves) && seconds(raise) < 240, "raise a tenth");
  say(mobilise.length === 0, "nothing mobilises");
  say(minutes >= 8 && own.length === 0 && has.own, "nothing of the sport");
  say(minutes >= 8 && has.sides && !moves.some((d) => bothSides(d)), "a side cold");
  // From anything to anything harder once the sport's own has its turn; general work among itself is free.
  moves.forEach((d, i) => {
    const before = moves[i - 1];
    if (before && ["technical", "prime"].includes(d.place.item.phase))
      say(d.effort - before.effort > step, "a jump");
  });
  const first = own[0];
  say(first !== undefined && first.effort > 50, "first own action above half effort");
  const firstOwn = first?.from ?? Infinity;
  say(
    moves.some(
      (d) => ["raise", "mobilise"].includes(d.place.item.phase) && d.from >= firstOwn && !d.place.item.calm,
    ),
    "general after own",
  );
  if (climbs) {
    let top = 0;
    for (const d of own) {
      say(top - d.effort > step, "hard first, basics after");
      top = Math.max(top, d.effort);
    }
  }
  say(effort === "precision" && moves.some(isExplosive), "explosive before aiming");
  const places = new Set(own.map((d) => d.place.item.place));
  const generalPlaces = new Set(["Off the field of play"]);
  say(
    own.length > 0 &&
      prime.some(
        (d) => generalPlaces.has(d.place.item.place) && !places.has(d.place.item.place) && d.from >= firstOwn,
      ),
    "generic sprint after own",
  );
  if (age !== null && age < 13) {
    const top = age < 10 ? 70 : 80;
    say(
      moves.some((d) => inPhase("prime")(d) && d.effort > top),
      "child primed hard",
    );
    say(
      moves.some((d) => d.effort > 80),
      "child above 80",
    );
    say(moves.filter(isExplosive).reduce((sum, d) => sum + d.actions, 0) > 6, "child explosive");
  }
  const easy = seconds(moves.filter((d) => d.effort <= 40));
  say(easy < 0.4 * seconds(moves), "easy under 40 %");
  say(seconds(moves) > most * 60, "longer than the approach's most");
  const kitLost = fit.placements.some(
    (p) => p.item.phase === "kit" && !p.level && !p.item.details?.flags.includes("no-condition"),
  );
  say(kitLost && own.length > 0, "kit dropped, sport kept");
  const near = moves.filter((d) => d.effort >= 85);
  near.forEach((d, i) => {
    const before = near[i - 1];
    if (before && before.place !== d.place) say(d.from - before.to < 60, "near-limit back to back");
  });
  const rooms = fit.placements.filter(
    (p) => p.item.priority === "useful" && p.item.phase !== "kit" && p.level,
  );
  for (const a of rooms)
    for (const b of rooms)
      if (a.ideal.seconds === b.ideal.seconds && a.item.phase === b.item.phase)
        say(a.spanSeconds < 0.35 * a.ideal.seconds && b.spanSeconds > 0.9 * b.ideal.seconds, "lopsided");
  say(fit.waitSeconds < 60, "no wait");
  say(fit.waitSeconds > 1500, "wait over 25 min");
  say(minutes <= 10 && moves.filter(isMental).length > 2, "too much for the head");
  return wrong;
}

const bothSides = (d: Done): boolean => {
  const { dose } = d.place.item;
  const doses = dose.kind === "ladder" ? dose.rungs.map((r) => r.dose) : [dose];
  return doses.some((o) => "sides" in o && o.sides === "both");
};
