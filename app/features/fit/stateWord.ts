import type { Fit } from "@tonodrome/core";

const WORDS: Record<Fit["state"], string> = {
  fits: "fits",
  tight: "tight",
  short: "does not fit",
};

/** The one word for how a fit stands, everywhere the same. */
export function stateWord(state: Fit["state"], isBest: boolean): string {
  return isBest ? WORDS[state] : "fitting …";
}
