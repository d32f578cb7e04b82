import { z } from "zod";
import { attemptsDoseSchema } from "./attemptsDose";
import { circuitDoseSchema } from "./circuitDose";
import { countsDoseSchema } from "./countsDose";
import { gateDoseSchema } from "./gateDose";
import { lengthsDoseSchema } from "./lengthsDose";
import { repsDoseSchema } from "./repsDose";
import { timeDoseSchema } from "./timeDose";

/** How much of a drill is done, and by how much that may shrink or grow. */
export const doseSchema = z.discriminatedUnion("kind", [
  timeDoseSchema,
  repsDoseSchema,
  lengthsDoseSchema,
  countsDoseSchema,
  attemptsDoseSchema,
  gateDoseSchema,
  circuitDoseSchema,
]);

export type Dose = z.infer<typeof doseSchema>;
export type DoseKind = Dose["kind"];
