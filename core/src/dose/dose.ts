import { z } from "zod";
import { plainDoseSchema } from "./kinds/plainDose";
import { ladderDoseSchema } from "./ladder/ladderDose";

/** How much of a drill is done, and by how much that may shrink or grow. */
export const doseSchema = z.discriminatedUnion("kind", [plainDoseSchema, ladderDoseSchema]);

export type Dose = z.infer<typeof doseSchema>;
/** What kinds of dose there are, ladders among them. */
export type DoseKind = Dose["kind"];
