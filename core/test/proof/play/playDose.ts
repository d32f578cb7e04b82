import type { Dose } from "../../../src/dose/dose";
import type { PlainDose } from "../../../src/dose/kinds/plainDose";
import type { LevelCount } from "../../../src/dose/terms/level";

/*
 * Plays a dose through by the clock, bout by bout, as docs/doses.md tells it, instead of computing how long it takes.
 */

/** What is seen of one athlete who plays a dose through. */
export interface Played {
  /** Seconds on the clock at the end. */
  clock: number;
  /** Seconds in which the athlete works. */
  work: number;
  actions: number;
}

/** One bout: what the athlete does in it, in order, and how many actions there are in it. */
interface Bout {
  stretches: { works: boolean; seconds: number }[];
  actions: number;
}

interface Script {
  bouts: Bout[];
  pause: number;
  /** A bout begins so many seconds after the one before. */
  every?: number;
  /** And nothing ends before that. */
  notBefore?: number;
}

const works = (seconds: number) => ({ works: true, seconds });
const idles = (seconds: number) => ({ works: false, seconds });
const nextSecond = (seconds: number) => Math.ceil(seconds - 1e-9);

/** @param amounts what the level is counted in, as a coach would say it: sets and reps, rounds and lengths, … */
export function playDose(dose: PlainDose, amounts: readonly number[], tries = 0): Played {
  const script = scriptOf(dose, amounts, tries);
  const mode = dose.partner?.mode ?? "together";
  const once = perform(script, mode === "alternating");
  const capped = dose.kind === "gate" ? atMost(once, dose, mode === "alternating") : once;
  if (mode !== "swapped") return capped;
  return { ...capped, clock: capped.clock + (dose.partner?.changeoverSeconds ?? 0) + capped.clock };
}

function perform({ bouts, pause, every, notBefore = 0 }: Script, inTurn: boolean): Played {
  let clock = 0;
  let work = 0;
  let actions = 0;
  let began = 0;
  let rested = 0;
  bouts.forEach((bout, n) => {
    if (n > 0) clock = Math.max(clock, rested, every === undefined ? 0 : began + every);
    began = clock;
    const long = bout.stretches.reduce((sum, s) => sum + s.seconds, 0);
    work += bout.stretches.reduce((sum, s) => sum + (s.works ? s.seconds : 0), 0);
    actions += bout.actions;
    clock += long;
    rested = clock + pause;
    // The partner's bout, which the athlete watches.
    if (inTurn) clock += long;
  });
  return { clock: Math.max(clock, notBefore, every === undefined ? 0 : began + every), work, actions };
}

function scriptOf(dose: PlainDose, [first = 0, second = 0]: readonly number[], tries: number): Script {
  const bodySides = "sides" in dose && dose.sides === "both" ? 2 : 1;
  const times = (n: number, bout: Bout): Bout[] => Array.from({ length: n }, () => bout);
  switch (dose.kind) {
    case "time": {
      let actions = 0;
      if (dose.secondsPerAction)
        for (let at = dose.secondsPerAction; at <= first; at += dose.secondsPerAction) actions++;
      return {
        bouts: times(bodySides, { stretches: [works(first)], actions }),
        pause: dose.changeoverSeconds,
      };
    }
    case "counts":
      return {
        bouts: times(bodySides, {
          stretches: [works(nextSecond((first * dose.counts) / (dose.beatsPerMinute / 60)))],
          actions: first,
        }),
        pause: dose.changeoverSeconds,
      };
    case "reps": {
      const halves = second * (dose.secondsPerRep * 2);
      const set: Bout = { stretches: [works(nextSecond(halves / 2))], actions: second };
      const bouts = times(first * bodySides, set);
      if (dose.slotSeconds === undefined) return { bouts, pause: dose.restSeconds };
      return dose.slotFor
        ? { bouts, pause: 0, notBefore: dose.slotSeconds }
        : { bouts, pause: 0, every: dose.slotSeconds };
    }
    case "attempts":
      return {
        bouts: times(first * bodySides, { stretches: [works(dose.secondsEach)], actions: 1 }),
        pause:
          dose.rest.kind === "fixed" ? dose.rest.seconds : nextSecond(dose.rest.times * dose.secondsEach),
      };
    case "lengths": {
      const stretches: Bout["stretches"] = [];
      let ways = 0;
      for (let length = 0; length < second; length++) {
        for (let way = 0; way < (dose.back === "same" ? 2 : 1); way++) {
          if (ways++ > 0) stretches.push(idles(dose.turnSeconds));
          stretches.push(works(dose.secondsEach));
        }
        if (dose.back === "walk" && length < second - 1) stretches.push(idles(dose.walkSeconds));
      }
      return { bouts: times(first, { stretches, actions: ways }), pause: dose.restSeconds };
    }
    case "circuit": {
      const stretches: Bout["stretches"] = [];
      for (const m of dose.movements) {
        if (stretches.length > 0) stretches.push(idles(dose.restSeconds));
        stretches.push(works(m.seconds));
        if (m.back) stretches.push(works(m.seconds));
      }
      const actions = dose.movements.reduce((sum, m) => sum + (m.actions ?? 0), 0);
      return { bouts: times(first, { stretches, actions }), pause: dose.roundRestSeconds };
    }
    case "gate":
      return {
        bouts: times(tries, { stretches: [works(dose.secondsEach)], actions: 1 }),
        pause: dose.restSeconds,
      };
  }
}

/** A gate is played a side at a time; the cap ends a side, for each of two partners. */
function atMost(side: Played, dose: PlainDose & { kind: "gate" }, inTurn: boolean): Played {
  const sides = dose.sides === "both" ? 2 : 1;
  const clock = Math.min(side.clock, dose.capSeconds * (inTurn ? 2 : 1));
  return { clock: clock * sides, work: side.work * sides, actions: side.actions * sides };
}

/** One stretch of effort of a drill as it is played: a rung, or all of it. */
export interface Stretch extends Played {
  effort: number;
  /** Seconds rested after it, within the drill. */
  rest: number;
}

/** What says how a drill is done: amounts, and of a ladder those of each rung climbed. */
export interface Instruction {
  counts: readonly LevelCount[];
  rungs?: readonly { id: string; counts: readonly LevelCount[] }[];
  /** Tries planned, of a gate; gates in ladders are not played here. */
  tries?: number;
}

/** Plays a whole drill: a ladder rung by rung. */
export function playDrill(dose: Dose, effort: number, { counts, rungs = [], tries }: Instruction): Stretch[] {
  const amounts = (of: readonly LevelCount[]) => of.map((c) => c.amount);
  if (dose.kind !== "ladder") return [{ ...playDose(dose, amounts(counts), tries), effort, rest: 0 }];
  return rungs.map((climbed, n) => {
    const rung = dose.rungs.find((r) => r.id === climbed.id);
    if (!rung) throw new Error("a rung that the ladder does not have");
    return {
      ...playDose(rung.dose, amounts(climbed.counts)),
      effort: rung.intensity,
      rest: n < rungs.length - 1 ? rung.restSeconds : 0,
    };
  });
}
