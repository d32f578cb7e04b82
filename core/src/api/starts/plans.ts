import { z } from "zod";
import { planBodySchema } from "../../plan/plan";
import { versionSchema } from "../common/common";
import { MOST } from "../common/most";

/** A warm-up as the server answers. */
export const planSchema = z.strictObject({
  id: z.uuid(),
  version: versionSchema,
  body: planBodySchema,
});

/** What saving a warm-up sends, against the version that was read. */
export const planWriteSchema = z.strictObject({
  /** The version this edit was made against; an older one than the server's is refused. */
  version: versionSchema,
  body: planBodySchema,
});

/** One edit of a plan, whether it was saved or refused: nothing a coach sent is thrown away. */
export const planEditSchema = z.strictObject({
  /** Its place among all edits: later ones are higher. */
  id: z.string().max(20).regex(/^\d+$/),
  /** The version it became, or, when refused, the version it was made against. */
  version: versionSchema,
  outcome: z.enum(["saved", "refused"]),
  at: z.iso.datetime(),
  body: planBodySchema,
});
/** A page of earlier versions, newest first. */
export const planEditListSchema = z.strictObject({
  edits: z.array(planEditSchema).max(MOST.page),
  /** Pass as `before` for the next page; null at the end. */
  next: z.string().nullable(),
});
/** Which page of earlier versions. */
export const planEditQuerySchema = z.strictObject({
  /** Only edits before this one. */
  before: z.string().max(18).regex(/^\d+$/, { error: "This is not an edit's id." }).optional(),
  /** Only those that were saved, or only those that were refused. */
  outcome: z.enum(["saved", "refused"]).optional(),
});

export type Plan = z.infer<typeof planSchema>;
export type PlanEdit = z.infer<typeof planEditSchema>;
export type PlanWrite = z.infer<typeof planWriteSchema>;
