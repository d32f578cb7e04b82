import { z } from "zod";
import { attemptsDoseSchema } from "./attemptsDose";
import { circuitDoseSchema } from "./circuitDose";
import { countsDoseSchema } from "./countsDose";
import { gateDoseSchema } from "./gateDose";
import { lengthsDoseSchema } from "./lengthsDose";
import { repsDoseSchema } from "./repsDose";
import { timeDoseSchema } from "./timeDose";

/** How much of one thing is done, at one intensity. */
export const plainDoseSchema = z.discriminatedUnion("kind", [
  timeDoseSchema,
  repsDoseSchema,
  lengthsDoseSchema,
  countsDoseSchema,
  attemptsDoseSchema,
  gateDoseSchema,
  circuitDoseSchema,
]);

export type PlainDose = z.infer<typeof plainDoseSchema>;
