import { z } from "zod";
import { drillShape } from "../../plan/plan";
import { prioritySchema } from "../../words/priority";
import { instantSchema, newIdSchema, versionSchema } from "../common/common";
import { MOST } from "../common/most";

/** A drill on the shelf; `priority` is the one it usually gets when it is added to a plan. */
export const drillInputSchema = z.strictObject({ id: newIdSchema, ...drillShape, priority: prioritySchema });

/** A drill of the shelf as the server answers. */
export const drillSchema = z.strictObject({
  id: z.uuid(),
  version: versionSchema,
  /** Taken off the shelf; warm-ups that have it keep it. */
  archived: z.boolean(),
  changedAt: instantSchema,
  ...drillShape,
  priority: prioritySchema,
});

/** What writing a drill over sends, against the version that was read. */
export const drillWriteSchema = z.strictObject({
  /** The version this edit was made against; an older one than the server's is refused. */
  version: versionSchema,
  archived: z.boolean(),
  ...drillShape,
  priority: prioritySchema,
});

/** A club's shelf, each drill with how often it is used. */
export const drillListSchema = z.strictObject({
  drills: z
    .array(
      z.strictObject({
        ...drillSchema.shape,
        /** In how many of the club's latest warm-ups it is. */
        uses: z.number().int(),
      }),
    )
    .max(MOST.drills),
});

export type DrillInput = z.infer<typeof drillInputSchema>;
export type DrillWrite = z.infer<typeof drillWriteSchema>;
export type Drill = z.infer<typeof drillSchema>;
export type ShelfDrill = z.infer<typeof drillListSchema>["drills"][number];
