/**
 * True for one line of text that every part of the system can hold: no control characters, which vanish on screen
 * (and PostgreSQL refuses the null character), and no half of a surrogate pair, which is not text at all.
 */
export function isPlainText(text: string): boolean {
  return !/[\p{Cc}\p{Cs}]/u.test(text);
}
