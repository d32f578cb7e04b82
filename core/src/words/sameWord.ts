/**
 * What two spellings of one word have in common: case, outer and doubled spaces, and whether a letter is one character or
 * a letter and its marks (Unicode normalization form C) make no difference.
 * @example wordKey(" Eis  Halle ") === wordKey("eis halle") // true
 */
export function wordKey(text: string): string {
  return text.trim().replace(/\s+/g, " ").toLocaleLowerCase("en").normalize("NFC");
}
