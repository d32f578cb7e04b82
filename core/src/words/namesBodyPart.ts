import { BODY_AREAS } from "./bodyArea";

/** Parts that people name besides the areas, and what they say of something wrong with them. Custom. */
const MORE = [
  "achilles",
  "heel",
  "shin",
  "arm",
  "leg",
  "finger",
  "thumb",
  "toe",
  "rib",
  "chest",
  "spine",
  "head",
  "muscle",
  "tendon",
  "joint",
  "sore",
  "pain",
  "painful",
  "injury",
  "injured",
  "hurt",
];
const WORDS = [...BODY_AREAS, ...MORE].join("|");
const NAMED = new RegExp(`(?<!\\p{L})(?:${WORDS})(?:s|es)?(?!\\p{L})`, "iu");

/**
 * Whether a text names a part of the body, or something wrong with one: what is not told of an athlete to whoever has a link.
 * @example namesBodyPart("Stop when the left knee hurts") // true
 */
export const namesBodyPart = (text: string): boolean => NAMED.test(text);
