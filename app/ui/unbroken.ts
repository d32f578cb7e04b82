/** A space that no line ends at. */
const BOUND = "\u00a0";

/** Units, and what else is read together with the number before it. */
const UNIT =
  /(\d) (?=(?:%|min|h|s|m|°C|km\/h|drills?|sets?|reps?|rungs?|tries|hits?|points?|windows?|places?)(?!\p{L}))/gu;

/** The same words with no number parted from its unit at a line's end. */
export const unbroken = (text: string): string => text.replace(UNIT, `$1${BOUND}`);
