import { z } from "zod";
import { tempoSchema } from "../../dose/kinds/repsDose";
import { lineSchema } from "../../words/text";

/** A stretch of a drill that is counted through while it is run: a set, a rest, a change of sides. */
export const runPartSchema = z.strictObject({
  kind: z.enum(["work", "rest", "change"]),
  /** @example "Set 2 of 3, left" */
  words: lineSchema(120),
  /** Seconds. */
  seconds: z.number().int().min(0).max(86_400),
  /** What is counted within it, one after the other. */
  reps: z.number().int().min(1).max(400).optional(),
  /** Seconds of each of them. */
  repSeconds: z.number().min(0.05).max(1800).optional(),
  /** How each is divided, seconds. */
  tempo: tempoSchema.optional(),
});

export type RunPart = z.infer<typeof runPartSchema>;

/** Where one is in a drill. */
export interface PartNow {
  part: RunPart;
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
export function partAt(parts: readonly RunPart[], elapsed: number): PartNow | null {
  let left = elapsed;
  let index = 0;
  while (index < parts.length - 1 && left >= (parts[index] as RunPart).seconds) {
    left -= (parts[index] as RunPart).seconds;
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

function beatAt({ down, hold }: NonNullable<RunPart["tempo"]>, within: number): PartNow["beat"] {
  if (within < down) return "down";
  return within < down + hold ? "hold" : "up";
}
