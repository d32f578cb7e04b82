import { z } from "zod";
import { ladderDoseSchema } from "../ladder/ladderDose";
import { plainDoseSchema } from "./plainDose";

/** How much of a drill is done, and by how much that may shrink or grow. */
export const doseSchema = z.discriminatedUnion("kind", [plainDoseSchema, ladderDoseSchema]);

export type Dose = z.infer<typeof doseSchema>;
export type DoseKind = Dose["kind"];
