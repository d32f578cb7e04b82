import type { DosePart } from "../../dose/terms/part";

/** Where one is in a drill. */
export interface PartNow {
  part: DosePart;
  index: number;
  many: number;
  /** Seconds left of the part. */
  remaining: number;
  /** The repetition under way, from 1; null where none is counted. */
  rep: number | null;
  /** "down", "hold" or "up"; null without a tempo. */
  beat: "down" | "hold" | "up" | null;
}

/**
 * The part that a drill is in.
 * @param elapsed seconds into the drill
 * @returns the last part when it runs over; null when there are none
 */
export function partAt(parts: readonly DosePart[], elapsed: number): PartNow | null {
  let left = elapsed;
  let index = 0;
  while (index < parts.length - 1 && left >= (parts[index] as DosePart).seconds) {
    left -= (parts[index] as DosePart).seconds;
    index++;
  }
  const part = parts[index];
  if (!part) return null;
  const { reps, repSeconds, tempo } = part;
  const rep = reps && repSeconds ? Math.min(reps, Math.floor(left / repSeconds) + 1) : null;
  const within = rep && repSeconds ? left - (rep - 1) * repSeconds : 0;
  return {
    part,
    index,
    many: parts.length,
    remaining: part.seconds - left,
    rep,
    beat: tempo && rep ? beatAt(tempo, within) : null,
  };
}

function beatAt({ down, hold }: NonNullable<DosePart["tempo"]>, within: number): PartNow["beat"] {
  if (within < down) return "down";
  return within < down + hold ? "hold" : "up";
}
