import { formatLength } from "../../time/clock";
import { idealPlain, plainLevels } from "../kinds/plainLevels";
import type { DoseLevel, LevelCount, LevelRung, Volume } from "../terms/level";
import type { LadderDose, Rung } from "./ladderDose";

/** A way of climbing: the level of each rung that is climbed, lowest rung first. */
type Climb = readonly number[];

const known = new WeakMap<LadderDose, { levels: DoseLevel[]; ideal: number }>();

/** Every level of a ladder, shortest first. */
export function ladderLevels(dose: LadderDose): DoseLevel[] {
  return compute(dose).levels;
}

/** The index of the ideal among `ladderLevels(dose)`. */
export function idealOfLadder(dose: LadderDose): number {
  return compute(dose).ideal;
}

function compute(dose: LadderDose): { levels: DoseLevel[]; ideal: number } {
  const before = known.get(dose);
  if (before) return before;
  const rungs = dose.rungs.map((rung) => ({
    rung,
    levels: plainLevels(rung.dose),
    ideal: idealPlain(rung.dose),
  }));
  const ideal: Climb = rungs.map((r) => r.ideal);
  const shorter = shorterThan(ideal, dose.leastRungs);
  const longer = longerThan(
    ideal,
    rungs.map((r) => r.levels.length - 1),
  );
  const computed = {
    levels: [...shorter.toReversed(), ideal, ...longer].map((climb) => levelOf(rungs, climb)),
    ideal: shorter.length,
  };
  known.set(dose, computed);
  return computed;
}

/**
 * What is given up, a little at a time: fewer repetitions, hardest rung first and every rung in turn, so that volume
 * keeps falling towards the top; when all are at their floors, the top.
 */
function shorterThan(ideal: Climb, leastRungs: number): Climb[] {
  const climbs: Climb[] = [];
  let now = ideal;
  while (now.some((level) => level > 0)) {
    for (let i = now.length - 1; i >= 0; i--) {
      if ((now[i] as number) === 0) continue;
      now = now.with(i, (now[i] as number) - 1);
      climbs.push(now);
    }
  }
  while (now.length > leastRungs) {
    now = now.slice(0, -1);
    climbs.push(now);
  }
  return climbs;
}

/** What may be added beyond the ideal: easiest rung first, every rung in turn. */
function longerThan(ideal: Climb, most: readonly number[]): Climb[] {
  const climbs: Climb[] = [];
  let now = ideal;
  while (now.some((level, i) => level < (most[i] as number))) {
    for (let i = 0; i < now.length; i++) {
      if ((now[i] as number) >= (most[i] as number)) continue;
      now = now.with(i, (now[i] as number) + 1);
      climbs.push(now);
    }
  }
  return climbs;
}

function levelOf(rungs: readonly { rung: Rung; levels: DoseLevel[] }[], climb: Climb): DoseLevel {
  const climbed = climb.map((k, i): { of: LevelRung; level: DoseLevel } => {
    const { rung, levels } = rungs[i] as { rung: Rung; levels: DoseLevel[] };
    const level = levels[k] as DoseLevel;
    const restSeconds = i === climb.length - 1 ? 0 : rung.restSeconds;
    const { id, intensity, focus } = rung;
    return {
      of: {
        id,
        name: rungName(rung),
        intensity,
        focus,
        words: level.words,
        counts: level.counts,
        seconds: level.seconds,
        restSeconds,
        workSeconds: level.workSeconds,
        actions: level.actions,
      },
      level,
    };
  });
  const levels = climbed.map((c) => c.level);
  const held = heldIn(levels);
  const first = climbed[0]?.of.intensity ?? 0;
  const top = Math.max(...climbed.map((c) => c.of.intensity));
  const sums = held.filter((h) => h.amount > 0).map(countWords);
  const all = new Set(rungs.flatMap((r) => r.levels.map((level) => unitOf(level.volume))));
  return {
    seconds: climbed.reduce((sum, { of }) => sum + of.seconds + of.restSeconds, 0),
    workSeconds: levels.reduce((sum, level) => sum + level.workSeconds, 0),
    volume: volumeOf(levels),
    actions: levels.reduce((sum, level) => sum + level.actions, 0),
    ...(levels.some((level) => level.uncounted) ? { uncounted: true as const } : {}),
    words: [`${climb.length} ${climb.length === 1 ? "rung" : "rungs"}`, `${first} to ${top} %`, ...sums].join(
      ", ",
    ),
    // The same things at every level of it, so that two levels can be told apart thing by thing.
    counts: [
      { noun: ["rung", "rungs"], amount: climb.length },
      ...held.filter((h) => all.has(h.unit)).map(({ noun, amount }) => ({ noun, amount })),
    ],
    rungs: climbed.map((c) => c.of),
  };
}

/**
 * Returns what a rung is called: its label and effort, or the effort alone.
 * @example rungName({ label: "Single Axel", intensity: 50 }) // "Single Axel, 50 %"
 */
export function rungName({ label, intensity }: Pick<Rung, "label" | "intensity">): string {
  return label ? `${label}, ${intensity} %` : `${intensity} %`;
}

/** Repetitions of whatever kind together, or seconds of work where nothing is counted. */
function volumeOf(levels: readonly DoseLevel[]): Volume {
  const counted = levels.filter(({ volume }) => ["reps", "attempts", "tries"].includes(volume.unit));
  return counted.length > 0
    ? { unit: "reps", amount: counted.reduce((sum, { volume }) => sum + volume.amount, 0) }
    : { unit: "seconds", amount: levels.reduce((sum, { workSeconds }) => sum + workSeconds, 0) };
}

/** What the rungs of a ladder are counted in. */
type Unit = "reps" | "tries" | "metres" | "counts" | "seconds";

/** In the order in which they are said. */
const UNITS: readonly { unit: Unit; noun: LevelCount["noun"] }[] = [
  { unit: "reps", noun: ["rep", "reps"] },
  { unit: "tries", noun: ["try", "tries"] },
  { unit: "metres", noun: ["m", "m"] },
  { unit: "counts", noun: ["count", "counts"] },
  { unit: "seconds", noun: null },
];

const unitOf = ({ unit }: Volume): Unit => (unit === "attempts" ? "reps" : unit);

/** Everything that rungs hold, each in what it is counted in: nothing of a ladder goes unsaid because another rung is counted otherwise. */
function heldIn(levels: readonly DoseLevel[]): (LevelCount & { unit: Unit })[] {
  return UNITS.map(({ unit, noun }) => ({
    unit,
    noun,
    amount: levels
      .filter(({ volume }) => unitOf(volume) === unit)
      .reduce((sum, { volume }) => sum + volume.amount, 0),
  }));
}

function countWords({ noun, amount }: LevelCount): string {
  return noun ? `${amount} ${noun[amount === 1 ? 0 : 1]}` : formatLength(amount);
}
