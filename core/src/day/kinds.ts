/** What a step of a day may be. */
export const DAY_KINDS = [
  "pack",
  "drink",
  "eat",
  "rest",
  "wake",
  "travel",
  "arrive",
  "settle",
  "check-in",
  "inspection",
  "change",
  "warm-up",
  "start",
  "ease-in",
  "cool-down",
  "shade",
  "call",
  "other",
] as const;
export type DayKind = (typeof DAY_KINDS)[number];
