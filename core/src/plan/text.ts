import { z } from "zod";
import { isPlainText } from "./plainText";

/** A name a person gives: trimmed, not empty, at most 120 characters. */
export const nameSchema = z
  .string({ error: "Give a name." })
  .trim()
  .min(1, { error: "Give a name." })
  .max(120, { error: "A name has at most 120 characters: shorten it." })
  .refine(isPlainText, { error: "A name is one line of ordinary characters." });

/** A short free text, possibly empty. */
export const noteSchema = z
  .string()
  .trim()
  .max(200, { error: "At most 200 characters: shorten it." })
  .refine(isPlainText, { error: "Write one line of ordinary characters." });

/** A word or two by which things are found again: a piece of equipment, a kind of space, an action of the sport. */
export const tagSchema = z
  .string({ error: "Give a word or two." })
  .trim()
  .min(1, { error: "Give a word or two." })
  .max(40, { error: "At most 40 characters: shorten it." })
  .refine(isPlainText, { error: "Write one line of ordinary characters." });
