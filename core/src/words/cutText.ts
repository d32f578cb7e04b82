/**
 * A text of at most so many characters (UTF-16 code units, as a schema counts them), never cut through one that people
 * see as one: a letter with its marks, an emoji.
 * @example cutText("Ada 🤸🏽", 6) // "Ada"
 */
export function cutText(text: string, most: number): string {
  if (text.length <= most) return text;
  let cut = "";
  for (const { segment } of new Intl.Segmenter("en", { granularity: "grapheme" }).segment(text)) {
    if (cut.length + segment.length > most) break;
    cut += segment;
  }
  return cut.trimEnd();
}
