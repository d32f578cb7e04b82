import { EFFORT_PROFILES, type EffortProfile } from "@tonodrome/core";

const WORDS: Record<EffortProfile, string> = {
  "short-explosive": "Short, explosive",
  "short-hard": "Short, hard",
  "long-sustained": "Long, sustained",
  precision: "Precision",
  "repeated-bouts": "Repeated bouts",
};

/** What kind of effort it is, as a coach says it. */
export const effortProfileWords = (profile: EffortProfile): string => WORDS[profile];

/** Kinds of effort of an event, to choose from. */
export const EFFORT_PROFILE_OPTIONS = EFFORT_PROFILES.map((value) => ({ value, label: WORDS[value] }));
