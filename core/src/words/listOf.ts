const LIST = new Intl.ListFormat("en-GB", { type: "conjunction" });

/**
 * Several things in a sentence.
 * @example listOf(["hip", "knee", "ankle"]) // "hip, knee and ankle"
 */
export const listOf = (words: readonly string[]): string => LIST.format(words);
