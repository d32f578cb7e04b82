import { z } from "zod";

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

/** ", in turn" or nothing, to follow an instruction. */
export function partnerWords(partner: Partner | undefined): string {
  return partner ? `, ${WORDS[partner.mode]}` : "";
}
