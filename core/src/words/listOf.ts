/** Made when it is first used: it takes longer than all its uses on a screen. */
let list: Intl.ListFormat | null = null;

/**
 * Several things in a sentence.
 * @example listOf(["hip", "knee", "ankle"]) // "hip, knee and ankle"
 */
export function listOf(words: readonly string[]): string {
  list ??= new Intl.ListFormat("en-GB", { type: "conjunction" });
  return list.format(words);
}
