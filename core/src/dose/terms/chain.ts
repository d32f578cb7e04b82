import { type Range, stepsOf } from "./range";

/**
 * The ways in which a dose of bouts (sets, rounds) of something (reps, lengths) shrinks and grows. On the way down whole
 * bouts go before what is in them, because a bout fewer is the easier instruction and gives back its rest as well; on the
 * way up what is in them grows before bouts.
 * @returns pairs of bouts and amount, least first
 */
export function chainOf(bouts: Range, amount: Range): [bouts: number, amount: number][] {
  const chain: [number, number][] = [];
  for (const a of stepsOf({ ...amount, ceiling: amount.ideal }, 1)) chain.push([bouts.floor, a]);
  for (let b = bouts.floor + 1; b <= bouts.ideal; b++) chain.push([b, amount.ideal]);
  for (let a = amount.ideal + 1; a <= amount.ceiling; a++) chain.push([bouts.ideal, a]);
  for (let b = bouts.ideal + 1; b <= bouts.ceiling; b++) chain.push([b, amount.ceiling]);
  return chain;
}

/** The index of the ideal in the chain. */
export function idealInChain(bouts: Range, amount: Range): number {
  return amount.ideal - amount.floor + bouts.ideal - bouts.floor;
}

/** Whether a chain has at most sixty links. */
export function isShortChain(bouts: Range, amount: Range): boolean {
  return bouts.ceiling - bouts.floor + amount.ceiling - amount.floor <= 58;
}
