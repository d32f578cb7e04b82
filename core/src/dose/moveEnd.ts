import type { Range } from "./terms/range";

/** One end of a range, or what is wanted between them. */
export type DoseEnd = "floor" | "ideal" | "ceiling";

/**
 * Moves one end of a range by whole steps and pushes the others along so that floor ≤ ideal ≤ ceiling still holds. The
 * ceiling goes with the ideal, so that less of a drill is less of it, however much time there is to grow into.
 * @param steps positive or negative; `step` the size of one; nothing is moved beyond `least`..`most`, and what lies
 * beyond already stays
 * @example moveEnd({ floor: 2, ideal: 4, ceiling: 6 }, "floor", 3, { step: 1, least: 1, most: 9 }) // { floor: 5, ideal: 5, ceiling: 6 }
 */
export function moveEnd(
  range: Range,
  end: DoseEnd,
  steps: number,
  limits: { step: number; least: number; most: number },
): Range {
  const moved = (from: number) => {
    const to = from + steps * limits.step;
    return steps < 0 ? Math.min(from, Math.max(limits.least, to)) : Math.max(from, Math.min(limits.most, to));
  };
  const value = moved(range[end]);
  switch (end) {
    case "floor":
      return {
        floor: value,
        ideal: Math.max(value, range.ideal),
        ceiling: Math.max(value, range.ceiling),
      };
    case "ideal":
      return {
        floor: Math.min(value, range.floor),
        ideal: value,
        ceiling: Math.max(value, moved(range.ceiling)),
      };
    case "ceiling":
      return {
        floor: Math.min(value, range.floor),
        ideal: Math.min(value, range.ideal),
        ceiling: value,
      };
  }
}
