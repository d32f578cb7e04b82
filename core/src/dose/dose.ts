import { z } from "zod";
import { attemptsDoseSchema } from "./attemptsDose";
import { repsDoseSchema } from "./repsDose";
import { timeDoseSchema } from "./timeDose";

/** How much of a drill is done, and by how much that may shrink or grow. */
export const doseSchema = z.discriminatedUnion("kind", [timeDoseSchema, repsDoseSchema, attemptsDoseSchema]);

export type Dose = z.infer<typeof doseSchema>;
export type DoseKind = Dose["kind"];
