import type { Collector } from "./collector";
import { type Labels, Sieve } from "./labels";

/** All of them, sorted in the end: when more than time is compared, several of one second may be needed. */
export class SortingCollector implements Collector {
  readonly spentOf: Int32Array;
  private standing: Int32Array[] = [];
  private mark: number;

  constructor(private readonly labels: Labels) {
    this.spentOf = new Int32Array(labels.dims);
    this.mark = labels.count;
  }

  load(list: Int32Array): void {
    this.standing.push(list);
  }

  add(begin: number, span: number, high: number, low: number, parent: number, level: number): void {
    const { labels } = this;
    labels.reserve(1);
    const id = labels.count++;
    labels.begin[id] = begin;
    labels.span[id] = span;
    labels.high[id] = high;
    labels.low[id] = low;
    labels.parent[id] = parent;
    labels.level[id] = level;
    const { dims, spent } = labels;
    // Quicker than to set a handful of figures at once.
    for (let k = 0; k < dims; k++) spent[id * dims + k] = this.spentOf[k] as number;
  }

  drain(drill: number): Int32Array {
    const { labels, mark, standing } = this;
    const made = labels.count - mark;
    const all = new Int32Array(standing.reduce((sum, s) => sum + s.length, made));
    for (let n = 0; n < made; n++) all[n] = mark + n;
    let at = made;
    for (const list of standing) {
      all.set(list, at);
      at += list.length;
    }
    all.sort((a, b) => labels.compare(a, b));
    const sieve = new Sieve(labels, all.length);
    for (let n = 0; n < all.length; n++) sieve.offer(all[n] as number);
    const list = sieve.list();
    this.keepOnly(list, drill);
    this.standing = [];
    this.mark = labels.count;
    return list;
  }

  /** Moves the new labels that are in the list down to where the new ones begin, and drops the others. */
  private keepOnly(list: Int32Array, drill: number): void {
    const { labels, mark } = this;
    const { dims, spent } = labels;
    const fresh = list.filter((id) => id >= mark).sort();
    const moved = new Int32Array(labels.count - mark);
    fresh.forEach((id, n) => {
      const to = mark + n;
      moved[id - mark] = to;
      labels.begin[to] = labels.begin[id] as number;
      labels.span[to] = labels.span[id] as number;
      labels.high[to] = labels.high[id] as number;
      labels.low[to] = labels.low[id] as number;
      labels.parent[to] = labels.parent[id] as number;
      labels.level[to] = labels.level[id] as number;
      labels.drill[to] = drill;
      for (let k = 0; k < dims; k++) spent[to * dims + k] = spent[id * dims + k] as number;
    });
    for (let n = 0; n < list.length; n++) {
      const id = list[n] as number;
      if (id >= mark) list[n] = moved[id - mark] as number;
    }
    labels.count = mark + fresh.length;
  }
}
