/**
 * Partial plans, counted back from the start: each is what was kept of the later drills, at which levels, and when the
 * first of it begins. Kept as columns of numbers, because there are many.
 */
export class Labels {
  count = 0;
  /** Comparisons made among them, for giving up in time. */
  comparisons = 0;
  /** When its first drill begins, seconds from the start. */
  begin = new Int32Array(ROOM);
  /** Seconds its first drill takes. */
  span = new Int32Array(ROOM);
  high = new Float64Array(ROOM);
  low = new Float64Array(ROOM);
  /** The label of what comes after; −1 for the start itself. */
  parent = new Int32Array(ROOM);
  drill = new Int16Array(ROOM);
  level = new Int16Array(ROOM);
  /** `dims` figures a label, of each of which less is better. */
  spent: Int32Array;

  constructor(readonly dims: number) {
    this.spent = new Int32Array(ROOM * dims);
  }

  /** Makes room for so many more. */
  reserve(more: number): void {
    const room = this.begin.length;
    if (this.count + more <= room) return;
    const next = Math.max(room * 2, this.count + more);
    this.begin = grown(this.begin, new Int32Array(next));
    this.span = grown(this.span, new Int32Array(next));
    this.high = grown(this.high, new Float64Array(next));
    this.low = grown(this.low, new Float64Array(next));
    this.parent = grown(this.parent, new Int32Array(next));
    this.drill = grown(this.drill, new Int16Array(next));
    this.level = grown(this.level, new Int16Array(next));
    this.spent = grown(this.spent, new Int32Array(next * this.dims));
  }

  /** True when `a` is worth more than `b`. */
  worthMore(a: number, b: number): boolean {
    const ha = this.high[a] as number;
    const hb = this.high[b] as number;
    return ha > hb || (ha === hb && (this.low[a] as number) > (this.low[b] as number));
  }

  /** True when whatever can come of `b` can come of `a`, given that `a` begins no earlier, and is worth as much. */
  dominates(a: number, b: number): boolean {
    const { high, spent, dims } = this;
    const ha = high[a] as number;
    const hb = high[b] as number;
    if (hb > ha || (hb === ha && (this.low[b] as number) > (this.low[a] as number))) return false;
    const of = a * dims;
    const against = b * dims;
    for (let k = 0; k < dims; k++)
      if ((spent[of + k] as number) > (spent[against + k] as number)) return false;
    return true;
  }

  /** Order of a list: the latest beginning first, and of equals what is worth more. */
  compare(a: number, b: number): number {
    const gap = (this.begin[b] as number) - (this.begin[a] as number);
    if (gap !== 0) return gap;
    return this.worthMore(a, b) ? -1 : this.worthMore(b, a) ? 1 : a - b;
  }
}

const ROOM = 1024;
/**
 * With several figures to compare, a label is held against so many of those kept last, and so many of those that have beaten
 * others lately (custom: the quickest tried). One that should go and is not noticed costs time, never the answer.
 */
const LOOKED_AT = 50;
const CHAMPIONS = 24;

function grown<T extends Int32Array | Float64Array | Int16Array>(from: T, into: T): T {
  into.set(from);
  return into;
}

/** Keeps of labels that come in the order of a list only those that no other dominates. */
export class Sieve {
  private readonly kept: Int32Array;
  private many = 0;
  private bestHigh = -1;
  private bestLow = -1;
  private readonly stairs: number[] = [];
  /** Those that have beaten others, the latest first. */
  private readonly champions: number[] = [];

  constructor(
    private readonly labels: Labels,
    most: number,
  ) {
    this.kept = new Int32Array(most);
  }

  offer(id: number): void {
    const { labels } = this;
    const h = labels.high[id] as number;
    const l = labels.low[id] as number;
    if (h > this.bestHigh || (h === this.bestHigh && l > this.bestLow)) {
      this.bestHigh = h;
      this.bestLow = l;
    } else if (labels.dims === 0 || this.beaten(id)) return;
    this.kept[this.many++] = id;
    if (labels.dims === 1) this.climb(id);
  }

  list(): Int32Array {
    return this.kept.slice(0, this.many);
  }

  private beaten(id: number): boolean {
    if (this.labels.dims === 1) return this.beatenOnStairs(id);
    const { labels, kept, champions } = this;
    for (let k = 0; k < champions.length; k++) {
      const champion = champions[k] as number;
      if (!labels.dominates(champion, id)) continue;
      labels.comparisons += k + 1;
      champions.copyWithin(1, 0, k);
      champions[0] = champion;
      return true;
    }
    labels.comparisons += champions.length;
    const least = Math.max(0, this.many - LOOKED_AT);
    for (let k = this.many - 1; k >= least; k--) {
      const other = kept[k] as number;
      labels.comparisons++;
      if (!labels.dominates(other, id)) continue;
      if (champions.length < CHAMPIONS) champions.push(other);
      champions.copyWithin(1, 0, champions.length - 1);
      champions[0] = other;
      return true;
    }
    return false;
  }

  /** With one figure to compare, those that matter stand like stairs: who has spent more is worth more. */
  private beatenOnStairs(id: number): boolean {
    const { labels, stairs } = this;
    const { spent } = labels;
    const own = spent[id] as number;
    let low = 0;
    let high = stairs.length;
    while (low < high) {
      const middle = (low + high) >> 1;
      if ((spent[stairs[middle] as number] as number) <= own) low = middle + 1;
      else high = middle;
    }
    const below = stairs[low - 1];
    return below !== undefined && !labels.worthMore(id, below);
  }

  /** Puts a label that nothing dominates on the stairs, and takes off those that it leaves without a point. */
  private climb(id: number): void {
    const { labels, stairs } = this;
    const { spent } = labels;
    const own = spent[id] as number;
    let at = stairs.length;
    while (at > 0 && (spent[stairs[at - 1] as number] as number) >= own) at--;
    let to = at;
    while (to < stairs.length && !labels.worthMore(stairs[to] as number, id)) to++;
    stairs.splice(at, to - at, id);
  }
}

/** Merges two lists into one, keeping only what nothing else dominates. Of equals the first list's stays. */
export function mergeLists(labels: Labels, a: Int32Array, b: Int32Array): Int32Array {
  if (a.length === 0) return b;
  if (b.length === 0) return a;
  const sieve = new Sieve(labels, a.length + b.length);
  const { begin } = labels;
  let i = 0;
  let j = 0;
  while (i < a.length && j < b.length) {
    const x = a[i] as number;
    const y = b[j] as number;
    const gap = (begin[x] as number) - (begin[y] as number);
    if (gap > 0 || (gap === 0 && !labels.worthMore(y, x))) {
      sieve.offer(x);
      i++;
    } else {
      sieve.offer(y);
      j++;
    }
  }
  for (; i < a.length; i++) sieve.offer(a[i] as number);
  for (; j < b.length; j++) sieve.offer(b[j] as number);
  return sieve.list();
}

/** Merges that are asked for again and again: from drill to drill most of the lists stay as they were. */
export class Merges {
  private readonly known = new WeakMap<Int32Array, WeakMap<Int32Array, Int32Array>>();

  constructor(private readonly labels: Labels) {}

  /** All of some lists merged. Those that change most often stand last. */
  of(lists: readonly Int32Array[]): Int32Array {
    return lists.reduce((all, list) => this.pair(all, list), NOTHING);
  }

  private pair(a: Int32Array, b: Int32Array): Int32Array {
    if (a.length === 0) return b;
    const before = this.known.get(a) ?? new WeakMap<Int32Array, Int32Array>();
    this.known.set(a, before);
    const known = before.get(b);
    if (known) return known;
    const merged = mergeLists(this.labels, a, b);
    before.set(b, merged);
    return merged;
  }
}

const NOTHING: Int32Array = new Int32Array(0);
