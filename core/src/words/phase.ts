import { z } from "zod";

/** The parts of a warm-up in the order they are done. */
export const phaseSchema = z.enum(["kit", "raise", "mobilise", "technical", "prime"]);
export type Phase = z.infer<typeof phaseSchema>;

/** All of them, in the order of a warm-up. */
export const PHASES: readonly Phase[] = phaseSchema.options;

const NAMES: Record<Phase, string> = {
  kit: "Kit",
  raise: "Raise",
  mobilise: "Mobilise and activate",
  technical: "Technical",
  prime: "Prime",
};

/** The phase's name as a coach says it. */
export function phaseName(phase: Phase): string {
  return NAMES[phase];
}
