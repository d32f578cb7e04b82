import type { Fault } from "../words/fault";
import type { Phase } from "../words/phase";

/** Most drills of one block that may stand anywhere in it: every order of them is tried. */
export const MOST_FREE = 5;

/** What of a drill says where it may stand. */
export interface Ordered {
  id: string;
  phase: Phase;
  free?: true | undefined;
  after?: string | undefined;
}

/** A block: drills next to each other that are of one phase, as indices from and up to (not including). */
export interface Block {
  from: number;
  to: number;
}

/** The blocks of a plan: runs of neighbours of the same phase, in order. */
export function blocksOf(items: readonly Pick<Ordered, "phase">[]): Block[] {
  const blocks: Block[] = [];
  items.forEach(({ phase }, i) => {
    const last = blocks.at(-1);
    if (last && items[i - 1]?.phase === phase) last.to = i + 1;
    else blocks.push({ from: i, to: i + 1 });
  });
  return blocks;
}

/** A fault of one field of one drill. */
interface OrderFault extends Fault {
  path: [index: number, field: "free" | "after"];
}

/** The first thing in the order of a plan that cannot hold, or null. */
export function orderFault(items: readonly Ordered[]): OrderFault | null {
  const blocks = blocksOf(items);
  for (const { from, to } of blocks) {
    const free = items.slice(from, to).filter((i) => i.free).length;
    if (free > MOST_FREE) {
      const index = from + items.slice(from, to).findLastIndex((i) => i.free);
      return {
        path: [index, "free"],
        message: `At most ${MOST_FREE} drills of one part may stand anywhere in it: give some of them their place.`,
      };
    }
  }
  const at = new Map(items.map((item, i) => [item.id, i]));
  for (const [index, item] of items.entries()) {
    if (item.after === undefined) continue;
    const message = pairFault(items, at, blocks, index, item.after);
    if (message) return { path: [index, "after"], message };
  }
  return null;
}

function pairFault(
  items: readonly Ordered[],
  at: ReadonlyMap<string, number>,
  blocks: readonly Block[],
  index: number,
  after: string,
): string | null {
  const leader = at.get(after);
  if (leader === undefined) return "It must follow a drill that is not in the plan: choose another, or none.";
  if (leader === index) return "A drill cannot follow itself.";
  const seen = new Set([index]);
  for (let i: number | undefined = leader; i !== undefined; ) {
    if (seen.has(i)) return "These drills must each follow the other: take one of the pairs out.";
    seen.add(i);
    const next: string | undefined = items[i]?.after;
    i = next === undefined ? undefined : at.get(next);
  }
  if (leader < index) return null;
  const block = blocks.find((p) => index >= p.from && index < p.to);
  const together = block !== undefined && leader < block.to;
  if (together && (items[index]?.free || items[leader]?.free)) return null;
  return "It must follow a drill that comes later in the plan: move one of them, or take the pair out.";
}

/** The same drills without what of their order no longer holds, after some were moved or taken out. */
export function withoutBrokenPairs<T extends Ordered>(items: T[]): T[] {
  let now = items;
  for (let fault = orderFault(now); fault; fault = orderFault(now)) {
    const [index, field] = fault.path;
    now = now.map((item, i) => {
      if (i !== index) return item;
      const { [field]: _gone, ...rest } = item;
      return rest as T;
    });
  }
  return now;
}
