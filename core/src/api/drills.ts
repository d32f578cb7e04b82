import { z } from "zod";
import { drillShape } from "../plan/plan";
import { prioritySchema } from "../plan/priority";

/** A drill on the shelf; `priority` is the one it usually gets when it is added to a plan. */
export const drillInputSchema = z.strictObject({ ...drillShape, priority: prioritySchema });
export const drillSchema = z.strictObject({ id: z.uuid(), ...drillShape, priority: prioritySchema });
export const drillListSchema = z.strictObject({ drills: z.array(drillSchema) });

export type DrillInput = z.infer<typeof drillInputSchema>;
export type Drill = z.infer<typeof drillSchema>;
