import { LANES } from "./answers/laneWords";
import type { StateAt } from "./answers/stateAt";
import type { Forecast } from "./forecast";

/**
 * The state at the start in a line: all three words, or the warmth alone where that is what is wrong.
 * @example stateLine(forecast) // "warm, sharp, fresh", or "cooling by the start"
 */
export function stateLine({ atStart }: Pick<Forecast, "atStart">): string {
  const { warmth } = atStart.words;
  return warmth.grade > 0
    ? `${warmth.word} by the start`
    : LANES.map((lane) => atStart.words[lane].word).join(", ");
}

const LANE_NAMES = { warmth: "warmth", sharpness: "sharpness", tiredness: "freshness" } as const;

/**
 * The same in sentences, with what goes first when the start slips.
 * @example "Warm and sharp, fresh. If the start slips by 12 min, the warmth goes first."
 */
export function stateSentence({ atStart, first }: Pick<Forecast, "atStart" | "first">): string {
  const line = capital(wordsOf(atStart));
  if (!first) return `${line}.`;
  const minutes = Math.round(first.afterSeconds / 60);
  return `${line}. If the start slips by ${minutes} min, the ${LANE_NAMES[first.lane]} goes first.`;
}

function wordsOf({ words }: StateAt): string {
  return LANES.map((lane) => words[lane].word).join(", ");
}

const capital = (text: string) => text.charAt(0).toUpperCase() + text.slice(1);
