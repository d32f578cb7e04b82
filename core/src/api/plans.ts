import { z } from "zod";
import { planBodySchema } from "../plan/plan";
import { versionSchema } from "./common";

export const planSchema = z.strictObject({
  id: z.uuid(),
  version: versionSchema,
  body: planBodySchema,
});

export const planWriteSchema = z.strictObject({
  /** The version this edit was made against; an older one than the server's is refused. */
  version: versionSchema,
  body: planBodySchema,
});

/** One edit of a plan, whether it was saved or refused: nothing a coach sent is thrown away. */
export const planEditSchema = z.strictObject({
  /** The version it became, or, when refused, the version it was made against. */
  version: versionSchema,
  outcome: z.enum(["saved", "refused"]),
  at: z.iso.datetime(),
  body: planBodySchema,
});
export const planEditListSchema = z.strictObject({ edits: z.array(planEditSchema) });

export type Plan = z.infer<typeof planSchema>;
export type PlanWrite = z.infer<typeof planWriteSchema>;
