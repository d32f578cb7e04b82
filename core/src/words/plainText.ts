/** Invisible, and yet needed: joiners in scripts and emoji, variation selectors, the tags of some flags. */
const NEEDED = "\\u200c\\u200d\\ufe00-\\ufe0f\\u{e0020}-\\u{e007f}\\u{e0100}-\\u{e01ef}";

/**
 * What no text of this system holds: control characters; halves of surrogate pairs, which are no text at all; line and
 * paragraph separators; and everything that cannot be seen or turns the direction of what follows (Unicode's
 * Default_Ignorable_Code_Point, UAX 44), by which one name can be made to look like another.
 */
const FORBIDDEN = new RegExp(
  `[\\p{Cc}\\p{Cs}\\p{Zl}\\p{Zp}]|(?![${NEEDED}])\\p{Default_Ignorable_Code_Point}`,
  "u",
);

/** True for one line of text that every part of the system can hold and everybody sees as it is. */
export function isPlainText(text: string): boolean {
  return !FORBIDDEN.test(text);
}

/** True for text of several lines that is plain otherwise. */
export function isPlainLines(text: string): boolean {
  return isPlainText(text.replace(/\r?\n|\t/g, " "));
}

/** True for text that a database holds: no null character and no half of a surrogate pair. */
export function isStorable(text: string): boolean {
  return !/[\0\p{Cs}]/u.test(text);
}

/** Whether there is anything to see: a name of blanks, joiners and marks alone is none. */
export function isVisible(text: string): boolean {
  // The blank of Braille is a symbol by its class.
  return /[\p{L}\p{N}\p{P}\p{S}]/u.test(text.replace(/\u2800|\p{Default_Ignorable_Code_Point}/gu, ""));
}
