import type { Labels } from "./labels";

/** A plan kept in part: what begins when, the earliest first. */
export interface SolvedStep {
  drill: number;
  level: number;
  begin: number;
  span: number;
}

/** The best plans there are: each begins earlier and is worth more than the one before. */
export interface Solution {
  begins: Int32Array;
  high: Float64Array;
  low: Float64Array;
  /** The plan of one of them, earliest drill first. */
  stepsOf(index: number): SolvedStep[];
  /** Labels made, for measuring. */
  labels: number;
}

/** The plans that labels stand for, the latest beginning first. */
export function solutionOf(labels: Labels, list: Int32Array): Solution {
  const begins = new Int32Array(list.length);
  const high = new Float64Array(list.length);
  const low = new Float64Array(list.length);
  for (let n = 0; n < list.length; n++) {
    const id = list[n] as number;
    begins[n] = labels.begin[id] as number;
    high[n] = labels.high[id] as number;
    low[n] = labels.low[id] as number;
  }
  return {
    begins,
    high,
    low,
    labels: labels.count,
    stepsOf(index) {
      const steps: SolvedStep[] = [];
      for (let id = list[index] as number; id !== undefined; id = labels.parent[id] as number) {
        if ((labels.parent[id] as number) < 0) break;
        steps.push({
          drill: labels.drill[id] as number,
          level: labels.level[id] as number,
          begin: labels.begin[id] as number,
          span: labels.span[id] as number,
        });
      }
      return steps;
    },
  };
}
