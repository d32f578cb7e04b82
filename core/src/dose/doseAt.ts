import type { Dose } from "./dose";
import { kindOf, type PlainDose } from "./kinds/plainDose";
import { idealLevel, levelsOf } from "./levelsOf";
import type { LevelCount } from "./terms/level";
import type { Range } from "./terms/range";

/**
 * The same dose with one of its levels as its ideal, and nothing beyond: less of it is as before.
 * @param index into `levelsOf(dose)`
 */
export function doseAt<D extends Dose>(dose: D, index: number): D {
  const level = levelsOf(dose)[index];
  if (!level) return dose;
  if (dose.kind !== "ladder") return plainAt(dose, level.counts) as D;
  const rungs = (level.rungs ?? []).map((climbed, i) => {
    const rung = dose.rungs[i] as (typeof dose.rungs)[number];
    return { ...rung, dose: plainAt(rung.dose, climbed.counts) };
  });
  return { ...dose, rungs, leastRungs: Math.min(dose.leastRungs, rungs.length) };
}

/** The longest level of a dose that takes no more than some seconds, or else its shortest. */
export function levelWithin(dose: Dose, seconds: number): number {
  return Math.max(
    0,
    levelsOf(dose).findLastIndex((level) => level.seconds <= seconds),
  );
}

/** A dose of no more than so many single actions, nor more than its ideal: what it is at its floor at the least. */
export function withActions<D extends Dose>(dose: D, most: number): D {
  const index = levelsOf(dose).findLastIndex((level) => level.actions <= most);
  return doseAt(dose, Math.min(idealLevel(dose), Math.max(0, index)));
}

/** A dose, and each rung of it, of no more than so many single actions, where it must be below its floor. */
export function fewerThan(dose: Dose, most: number): Dose {
  if (dose.kind === "ladder")
    return { ...dose, rungs: dose.rungs.map((r) => ({ ...r, dose: plainFewer(r.dose, most) })) };
  return plainFewer(dose, most);
}

function plainFewer<D extends PlainDose>(dose: D, most: number): D {
  const least = levelsOf(dose)[0]?.actions ?? 0;
  if (least <= most) return withActions(dose, most);
  const { main } = kindOf(dose) as { main: string };
  const { floor } = (dose as unknown as Record<string, Range>)[main] as Range;
  const amount = Math.max(1, Math.floor((floor * most) / least));
  return withActions({ ...dose, [main]: { floor: amount, ideal: amount, ceiling: amount } }, most);
}

function plainAt(dose: PlainDose, counts: readonly LevelCount[]): PlainDose {
  const { main, outer } = kindOf(dose) as { main: string; outer?: string };
  const names = outer ? [outer, main] : [main];
  const held = names.flatMap((name, i) => {
    const range = (dose as unknown as Record<string, Range | undefined>)[name];
    const amount = counts[i]?.amount;
    return range && amount !== undefined
      ? [[name, { floor: Math.min(range.floor, amount), ideal: amount, ceiling: amount }]]
      : [];
  });
  return { ...dose, ...Object.fromEntries(held) };
}
