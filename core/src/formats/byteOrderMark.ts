/** Some editors and spreadsheets put it before everything; without it some take UTF-8 for something else. */
export const BYTE_ORDER_MARK = "\ufeff";

/** Returns a text without the mark before it. */
export const withoutMark = (text: string): string =>
  text.startsWith(BYTE_ORDER_MARK) ? text.slice(BYTE_ORDER_MARK.length) : text;
