import { zxcvbn, zxcvbnOptions } from "@zxcvbn-ts/core";
import { adjacencyGraphs, dictionary } from "@zxcvbn-ts/language-common";
import { Refusal } from "../../errors/refusal";

/** Least score taken, of 0 to 4: some million guesses, which the limits on guessing put out of reach. */
const LEAST = 2;

/** Judging takes longer for longer passwords: of longer ones only the beginning is judged. */
const LOOKED_AT = 40;

let isReady = false;

/**
 * Refuses a password that is easy to guess: a common one, a sequence, a repetition, the person's own name or address.
 * @throws Refusal `invalid_input`
 */
export function checkStrength(password: string, about: readonly string[], path: string): void {
  if (!isReady) zxcvbnOptions.setOptions({ dictionary, graphs: adjacencyGraphs });
  isReady = true;
  const words = about.flatMap((text) => [text, ...text.split(/[^\p{L}\p{N}]+/u)]).filter((w) => w.length > 2);
  const { score } = zxcvbn(password.normalize("NFC").trim().slice(0, LOOKED_AT), [...words, "tonodrome"]);
  if (score >= LEAST) return;
  throw new Refusal(
    "invalid_input",
    "This password would be among the first to be guessed. Take several words that do not belong together.",
    { path },
  );
}
