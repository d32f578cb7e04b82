import type { PlanItem } from "../../../src/plan/plan";
import type { Stretch } from "../play/playDose";

export type Term = readonly [number, string];

export const HARD = 85;
export const EASY = 40;

/** "+ 3 x - 2 y" */
export function sum(terms: readonly Term[]): string {
  const text = terms.filter(([c]) => c !== 0).map(([c, v]) => `${c < 0 ? "-" : "+"} ${Math.abs(c)} ${v}`);
  return text.join(" ") || "0 none";
}

export interface Line {
  item: PlanItem;
  ideal: number;
  levels: Stretch[][];
  /** Chosen levels; whether it is kept; when it begins and ends, seconds after the earliest beginning. */
  y: string[];
  kept: string;
  begin: string;
  end: string;
}

export const seconds = (level: readonly Stretch[]) => level.reduce((all, s) => all + s.clock + s.rest, 0);
export const worked = (level: readonly Stretch[], least = 0) =>
  level.reduce((all, s) => all + (s.effort >= least ? s.work : 0), 0);
export const actions = (level: readonly Stretch[]) => level.reduce((all, s) => all + s.actions, 0);
export const easy = (level: readonly Stretch[]) =>
  level.reduce((all, s) => all + (s.effort <= EASY ? s.clock + s.rest : 0), 0);

export const isKit = ({ phase }: PlanItem) => phase === "kit";
export const isWork = (i: PlanItem) => !isKit(i) && i.calm === undefined;
export const isFlagged = (i: PlanItem, flag: "explosive" | "breather" | "no-condition") =>
  i.details?.flags.includes(flag) === true;

/** Whether the climb goes on from it. */
export const leadsOrClimbs = (i: PlanItem) => {
  const purposes = i.details?.purposes ?? [];
  const forTheHead = purposes.length > 0 && !purposes.some((p) => p !== "mental");
  return isWork(i) && !isFlagged(i, "breather") && !forTheHead;
};

/** What a coefficient is of each level, as terms. */
export const each = (x: Line, of: (level: readonly Stretch[]) => number): Term[] =>
  x.levels.map((level, k) => [of(level), x.y[k] as string]);

export const minus = (terms: readonly Term[]): Term[] => terms.map(([c, v]) => [-c, v]);
