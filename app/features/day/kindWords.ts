import type { DayStep } from "@tonodrome/core/day";
import { words } from "~/ui/words";

/** What each kind of step is called. */
export const KIND_WORDS: Record<DayStep["kind"], string> = {
  pack: "Packing",
  drink: "Drinking",
  eat: "Eating",
  rest: "Rest, sleep",
  wake: "Waking up",
  travel: "Travel",
  arrive: "Arriving",
  settle: "Settling in",
  "check-in": "Check-in",
  inspection: "Inspection",
  change: "Changing",
  "warm-up": "Warm-up",
  start: "Start",
  "ease-in": "Easing in",
  "cool-down": words.coolDown,
  shade: "Shade, cooling",
  call: "Call",
  other: "Something else",
};
