import type { Worth } from "../model/worth";
import type { Collector } from "./collector";
import type { Labels } from "./labels";
import { latestEnd, type Placing } from "./placing";

/** The columns of the last one: it leaves them as it found them, and making new ones takes longer than a small fit. */
let columns = columnsOf(0);

function columnsOf(room: number) {
  return {
    high: new Float64Array(room).fill(-1),
    low: new Float64Array(room),
    parent: new Int32Array(room),
    span: new Int32Array(room),
    level: new Int16Array(room),
  };
}

/** One place per second: with nothing but time to compare, the best of each second is enough. */
export class BucketCollector implements Collector {
  readonly spentOf = new Int32Array(0);
  private readonly high: Float64Array;
  private readonly low: Float64Array;
  private readonly parent: Int32Array;
  private readonly span: Int32Array;
  /** Level of a new label, or −1 when `parent` is a label that stands. */
  private readonly level: Int16Array;
  private first: number;
  private last = -1;
  /** The list gone through last, and its figures. */
  private gathered: Int32Array = new Int32Array(0);
  private begins = new Int32Array(0);
  private highs = new Float64Array(0);
  private lows = new Float64Array(0);

  constructor(
    private readonly labels: Labels,
    horizon: number,
  ) {
    if (columns.high.length <= horizon) columns = columnsOf(horizon + 1);
    this.high = columns.high;
    this.low = columns.low;
    this.parent = columns.parent;
    this.span = columns.span;
    this.level = columns.level;
    this.first = this.high.length;
  }

  load(list: Int32Array): void {
    const { high, low, parent, level } = this;
    const { begin, high: highs, low: lows } = this.labels;
    // No two of a list begin at the same second, and nothing is here yet.
    for (let n = 0; n < list.length; n++) {
      const id = list[n] as number;
      const at = -(begin[id] as number);
      high[at] = highs[id] as number;
      low[at] = lows[id] as number;
      parent[at] = id;
      level[at] = -1;
    }
    if (list.length === 0) return;
    this.first = -(begin[list[0] as number] as number);
    this.last = -(begin[list[list.length - 1] as number] as number);
  }

  /**
   * Offers a drill at one level before every label of a list. The same as computing each and adding it, in one tight
   * loop, because most of the time of a fit goes by here: as the list goes back in time, so does the stretch that fits.
   */
  addAll(list: Int32Array, placing: Placing, seconds: number, worth: Worth, level: number): void {
    const { openings, deadline, busy, way, rest } = placing;
    if (list !== this.gathered) this.gather(list);
    const isPlain = busy.length === 0 || way === 0;
    const ends = isPlain ? this.begins : this.endsBefore(placing, list.length);
    const shift = isPlain ? Math.max(way, rest) : 0;
    let n = 0;
    for (const { from, to, turns } of openings) {
      const takes = seconds * turns;
      const latest = to < deadline ? to : deadline;
      if (latest - takes < from) continue;
      const before = n;
      while (n < list.length && (ends[n] as number) - shift >= latest) n++;
      // Of those before which it ends when the stretch does, the last is worth most.
      if (n > before) this.offer(n - 1, takes - latest, takes, worth, level);
      n = this.offerFrom(
        n,
        { earliest: from + takes + shift, takes, shift: shift + takes },
        ends,
        worth,
        level,
      );
      if (n === list.length) break;
    }
  }

  /** Offers it before each label from the n-th on, as long as it fits; where it does no longer is what comes back. */
  private offerFrom(
    n: number,
    { earliest, takes, shift }: { earliest: number; takes: number; shift: number },
    ends: Int32Array,
    { high: addHigh, low: addLow }: Worth,
    level: number,
  ): number {
    const { high, low, parent, span, level: levels, highs, lows } = this;
    const list = this.gathered;
    const many = list.length;
    const from = n;
    for (; n < many; n++) {
      const end = ends[n] as number;
      if (end < earliest) break;
      const at = shift - end;
      const newHigh = (highs[n] as number) + addHigh;
      const oldHigh = high[at] as number;
      if (newHigh < oldHigh) continue;
      const newLow = (lows[n] as number) + addLow;
      if (newHigh === oldHigh && newLow <= (low[at] as number)) continue;
      high[at] = newHigh;
      low[at] = newLow;
      parent[at] = list[n] as number;
      span[at] = takes;
      levels[at] = level;
    }
    if (n > from) {
      this.first = Math.min(this.first, shift - (ends[from] as number));
      this.last = Math.max(this.last, shift - (ends[n - 1] as number));
    }
    return n;
  }

  /** Offers it before the n-th of what is gathered. */
  private offer(n: number, at: number, takes: number, worth: Worth, level: number): void {
    const high = (this.highs[n] as number) + worth.high;
    this.add(-at, takes, high, (this.lows[n] as number) + worth.low, this.gathered[n] as number, level);
  }

  /** Lays the figures of a list side by side, because every level goes through them again. */
  private gather(list: Int32Array): void {
    const { begin, high, low } = this.labels;
    if (this.begins.length < list.length) {
      this.begins = new Int32Array(2 * list.length);
      this.highs = new Float64Array(2 * list.length);
      this.lows = new Float64Array(2 * list.length);
    }
    const { begins, highs, lows } = this;
    for (let n = 0; n < list.length; n++) {
      const id = list[n] as number;
      begins[n] = begin[id] as number;
      highs[n] = high[id] as number;
      lows[n] = low[id] as number;
    }
    this.gathered = list;
  }

  /** The latest ends that fixed points and the way leave before each of what is gathered. */
  private endsBefore(placing: Placing, many: number): Int32Array {
    return this.begins.subarray(0, many).map((next) => latestEnd(placing, next, next));
  }

  add(begin: number, span: number, high: number, low: number, parent: number, level: number): void {
    const at = -begin;
    const old = this.high[at] as number;
    if (high < old || (high === old && low <= (this.low[at] as number))) return;
    this.high[at] = high;
    this.low[at] = low;
    this.parent[at] = parent;
    this.span[at] = span;
    this.level[at] = level;
    if (at < this.first) this.first = at;
    if (at > this.last) this.last = at;
  }

  drain(drill: number): Int32Array {
    const { labels, first, last, high, low } = this;
    const list = new Int32Array(Math.max(0, last - first + 1));
    labels.reserve(list.length);
    let n = 0;
    let bestHigh = -1;
    let bestLow = -1;
    for (let at = first; at <= last; at++) {
      const h = high[at] as number;
      if (h < 0) continue;
      high[at] = -1;
      const l = low[at] as number;
      if (h < bestHigh || (h === bestHigh && l <= bestLow)) continue;
      bestHigh = h;
      bestLow = l;
      if ((this.level[at] as number) < 0) {
        list[n++] = this.parent[at] as number;
        continue;
      }
      const id = labels.count++;
      labels.begin[id] = -at;
      labels.span[id] = this.span[at] as number;
      labels.high[id] = h;
      labels.low[id] = l;
      labels.parent[id] = this.parent[at] as number;
      labels.drill[id] = drill;
      labels.level[id] = this.level[at] as number;
      list[n++] = id;
    }
    this.first = high.length;
    this.last = -1;
    return list.slice(0, n);
  }
}
