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
    const { begin, high, low } = this.labels;
    for (let n = 0; n < list.length; n++) {
      const id = list[n] as number;
      this.add(begin[id] as number, 0, high[id] as number, low[id] as number, id, -1);
    }
  }

  /**
   * Offers a drill at one level before every label of a list. The same as reckoning each and adding it, in one tight
   * loop, because most of the time of a fit goes by here: as the list goes back in time, so does the stretch that fits.
   */
  addAll(list: Int32Array, placing: Placing, seconds: number, worth: Worth, level: number): void {
    const { high, low, parent, span, level: levels } = this;
    const { begin: begins, high: highs, low: lows } = this.labels;
    const { openings, deadline } = placing;
    const { high: addHigh, low: addLow } = worth;
    const isPlain = placing.busy.length === 0 || placing.way === 0;
    const shift = Math.max(placing.way, placing.rest);
    let k = -1;
    let from = Infinity;
    let to = 0;
    let takes = 0;
    let first = this.first;
    let last = this.last;
    for (let n = 0; n < list.length; n++) {
      const id = list[n] as number;
      const next = begins[id] as number;
      let end = isPlain ? next - shift : latestEnd(placing, next, next);
      if (end > deadline) end = deadline;
      while ((end < to ? end : to) - takes < from) {
        const open = openings[++k];
        if (!open) break;
        from = open.from;
        to = open.to;
        takes = seconds * open.turns;
      }
      if (k >= openings.length) break;
      const at = takes - (end < to ? end : to);
      const newHigh = (highs[id] as number) + addHigh;
      const oldHigh = high[at] as number;
      if (newHigh < oldHigh) continue;
      const newLow = (lows[id] as number) + addLow;
      if (newHigh === oldHigh && newLow <= (low[at] as number)) continue;
      high[at] = newHigh;
      low[at] = newLow;
      parent[at] = id;
      span[at] = takes;
      levels[at] = level;
      if (at < first) first = at;
      if (at > last) last = at;
    }
    this.first = first;
    this.last = last;
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
