/** What a dose amounts to, in the unit it is counted in. */
export interface Volume {
  unit: "seconds" | "reps" | "attempts" | "metres" | "counts" | "tries";
  amount: number;
}

/** One whole-number way of doing a drill: a real instruction, never 2.4 repetitions. */
export interface DoseLevel {
  /** Seconds from beginning to end, rests and changeovers included. */
  seconds: number;
  /** Seconds of actual work. */
  workSeconds: number;
  volume: Volume;
  /** Single actions in it (repetitions, attempts, tries, lengths, phrases), as far as known; the partner's not among them. */
  actions: number;
  /** There may be more actions in it that nobody has counted, as in a length of time. */
  uncounted?: true;
  /** The instruction as a coach would say it, without its duration: "3 × 5 a side, 30 s rest". */
  words: string;
  /** The counted things that may differ between levels of one dose, for saying what changed. */
  counts: readonly LevelCount[];
  /** Of a ladder: the rungs that are climbed, lowest first. */
  rungs?: readonly LevelRung[];
  /** Of a gate: tries on average, those that run into the cap among them. */
  meanTries?: number;
}

/** One rung of a ladder, at the level it is done at. */
export interface LevelRung {
  id: string;
  /** "50 %", or what it is on the athlete's scale and how hard: "Single Axel, 50 %". */
  name: string;
  intensity: number;
  focus: string;
  /** The dose in words. */
  words: string;
  /** What is counted in it, as of a level. */
  counts: readonly LevelCount[];
  /** Seconds of the rung itself, and of the rest after it (0 after the last). */
  seconds: number;
  restSeconds: number;
  /** Seconds of actual work in it: neither its rests nor a partner's turns. */
  workSeconds: number;
  /** Single actions in it, as of a level. */
  actions: number;
}

/** One of the things that are counted in a level. */
export interface LevelCount {
  /** One and many: "set", "sets". A time has no noun and is written m:ss. */
  noun: readonly [string, string] | null;
  amount: number;
}
