import { z } from "zod";
import { isPlainLines, isPlainText, isStorable, isVisible } from "./plainText";

/*
 * The one type of text: whatever a person or a program sends as words is one of these, and the test that walks every
 * schema of the API finds any string that is not.
 */

const ORDINARY = { error: "Write one line of ordinary characters." };

/** One line of text, possibly empty, trimmed, of at most so many characters. */
export const lineSchema = (most: number) =>
  z
    .string()
    .trim()
    .max(most, { error: `At most ${most} characters: shorten it.` })
    .refine(isPlainText, ORDINARY);

/** One line of text with something in it, trimmed. `missing` is said when there is nothing. */
export const labelSchema = (most: number, missing: string) =>
  z
    .string({ error: missing })
    .trim()
    .min(1, { error: missing })
    .max(most, { error: `At most ${most} characters: shorten it.` })
    .refine(isPlainText, ORDINARY)
    .refine(isVisible, { error: missing });

/** Text of several lines, possibly empty, trimmed, of at most so many characters. */
export const linesSchema = (most: number) =>
  z
    .string()
    .trim()
    .max(most, { error: `At most ${most} characters: shorten it.` })
    .refine(isPlainLines, { error: "Write ordinary characters." });

/** What a program named, or a person typed that is only compared: as it is, of at most so many characters. */
export const verbatimSchema = (most: number, error = `At most ${most} characters.`) =>
  z.string().max(most, { error }).refine(isStorable, { error: "This is not text." });

/** Most characters of a name. */
export const LONGEST_NAME = 120;

/** A name a person gives: trimmed, not empty. */
export const nameSchema = z
  .string({ error: "Give a name." })
  .trim()
  .min(1, { error: "Give a name." })
  .max(LONGEST_NAME, { error: `A name has at most ${LONGEST_NAME} characters: shorten it.` })
  .refine(isPlainText, { error: "A name is one line of ordinary characters." })
  .refine(isVisible, { error: "Give a name." });

/** Most characters of a short free text. */
export const LONGEST_NOTE = 200;

/** A short free text, possibly empty. */
export const noteSchema = lineSchema(LONGEST_NOTE);

/** A word or two by which things are found again: a piece of equipment, a kind of space, an action of the sport. */
export const tagSchema = labelSchema(40, "Give a word or two.");
