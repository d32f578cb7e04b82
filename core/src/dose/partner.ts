import { z } from "zod";
import type { DoseLevel } from "./level";

/** Two athletes at one drill: at the same time, one after the other, or with roles swapped so that both get everything. */
export const partnerSchema = z.strictObject({
  mode: z.enum(["together", "alternating", "swapped"]),
  /** Seconds to swap roles; counted only with roles swapped. */
  changeoverSeconds: z.number().int().min(0).max(600),
});

export type Partner = z.infer<typeof partnerSchema>;

const WORDS: Record<Partner["mode"], string> = {
  together: "together",
  alternating: "in turn",
  swapped: "roles swapped",
};

/**
 * A level as it is with a partner. Together it takes as long as alone; alternating twice as long, since one waits while
 * the other works; with roles swapped twice as long and a changeover. The work of the one athlete stays the same.
 */
export function withPartner(level: DoseLevel, partner: Partner | undefined): DoseLevel {
  if (!partner) return level;
  const { mode, changeoverSeconds } = partner;
  const seconds =
    mode === "together" ? level.seconds : level.seconds * 2 + (mode === "swapped" ? changeoverSeconds : 0);
  return { ...level, seconds, words: `${level.words}, ${WORDS[mode]}` };
}
