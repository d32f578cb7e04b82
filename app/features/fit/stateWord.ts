import type { Fit } from "@tonodrome/core";

const WORDS: Record<Fit["state"], string> = {
  fits: "fits",
  tight: "tight",
  short: "does not fit",
};

/**
 * The one word for how a fit stands, everywhere the same.
 * @param progress how far the best one is, from 0 to 1, while it is still being reckoned and that is known
 * @param failed whether the best one will not be known
 */
export function stateWord(
  state: Fit["state"],
  isBest: boolean,
  progress: number | null = null,
  failed = false,
): string {
  if (isBest) return WORDS[state];
  if (failed) return "not fitted";
  return progress === null ? "fitting …" : `fitting ${Math.round(progress * 100)} %`;
}
