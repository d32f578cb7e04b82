/** What has to happen for a gate to open: hits in all, in a row, or among the last so many tries. */
export type GateRule = { kind: "total" } | { kind: "row" } | { kind: "of"; window: number };

/**
 * The chances that a gate has opened after 1, 2, 3 … tries, exactly, each try a hit by the same chance and independent
 * of the others. In all: the negative binomial distribution. In a row, and among the last ones: a Markov chain over the
 * streak so far, or over which of the last tries were hits.
 * @param hits wanted, 1 or more; with a window at most its length
 * @param chance of a hit, above 0 and below 1
 * @param most tries to look at
 * @returns `most` numbers, never falling, each from 0 to 1
 */
export function gateDistribution(rule: GateRule, hits: number, chance: number, most: number): number[] {
  const chances: number[] = [];
  follow(rule, hits, chance, most, (opened) => {
    chances.push(opened);
    return true;
  });
  return chances;
}

/**
 * How many tries open the gate with at least this probability.
 * @returns null when `most` tries do not
 */
export function triesFor(
  rule: GateRule,
  hits: number,
  chance: number,
  probability: number,
  most: number,
): number | null {
  let tries: number | null = null;
  follow(rule, hits, chance, most, (opened, n) => {
    if (opened >= probability) tries = n;
    return tries === null;
  });
  return tries;
}

/**
 * Tries on average, when it is over after `most` of them whatever was hit: the sum over n of the chance that it has not
 * opened before the n-th.
 */
export function meanTries(rule: GateRule, hits: number, chance: number, most: number): number {
  return gateDistribution(rule, hits, chance, Math.max(0, most - 1)).reduce(
    (sum, opened) => sum + 1 - opened,
    1,
  );
}

/** Takes one try after the other and tells the chance that the gate is open by then, for as long as it is asked to go on. */
function follow(
  rule: GateRule,
  hits: number,
  chance: number,
  most: number,
  goesOn: (opened: number, tries: number) => boolean,
): void {
  const window = rule.kind === "of" ? rule.window : hits;
  const step = STEPS[rule.kind](hits, window);
  const size = rule.kind === "of" ? 2 ** (window - 1) : hits;
  // The open gate is one state more, which is never left.
  const stateAfter = (hit: boolean) =>
    Int16Array.from({ length: size }, (_, state) => {
      const to = step(state, hit);
      return to === OPEN ? size : to;
    });
  const onHit = stateAfter(true);
  const onMiss = stateAfter(false);
  let now = new Float64Array(size + 1);
  let next = new Float64Array(size + 1);
  now[0] = 1;
  for (let n = 1; n <= most; n++) {
    next.fill(0);
    next[size] = now[size] as number;
    for (let state = 0; state < size; state++) {
      const p = now[state] as number;
      if (p === 0) continue;
      const hit = p * chance;
      next[onHit[state] as number] = (next[onHit[state] as number] as number) + hit;
      next[onMiss[state] as number] = (next[onMiss[state] as number] as number) + p - hit;
    }
    [now, next] = [next, now];
    if (!goesOn(Math.min(1, now[size] as number), n)) return;
  }
}

const OPEN = -1;

type Step = (state: number, hit: boolean) => number;

const STEPS: Record<GateRule["kind"], (hits: number, window: number) => Step> = {
  total: (hits) => (had, hit) => (hit ? (had + 1 === hits ? OPEN : had + 1) : had),
  row: (hits) => (streak, hit) => (hit ? (streak + 1 === hits ? OPEN : streak + 1) : 0),
  // The state is which of the last tries were hits, a bit each, without the one that the next try pushes out.
  of: (hits, window) => (last, hit) => {
    const seen = (last << 1) | (hit ? 1 : 0);
    return bits(seen) >= hits ? OPEN : seen & ((1 << (window - 1)) - 1);
  },
};

function bits(n: number): number {
  let count = 0;
  for (let rest = n; rest > 0; rest &= rest - 1) count++;
  return count;
}
