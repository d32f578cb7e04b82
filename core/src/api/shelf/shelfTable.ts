import { z } from "zod";
import { drillShape } from "../../plan/plan";
import { prioritySchema } from "../../words/priority";
import { labelSchema } from "../../words/text";
import { MOST } from "../common/most";

const FIELDS = [
  "name",
  "phase",
  "priority",
  "intensity",
  "dose",
  "focus",
  "place",
  "details",
  "archived",
] as const;

/** A table of drills as it was read, to be compared with the shelf, or to be taken. */
export const shelfTableInputSchema = z.strictObject({
  drills: z
    .array(z.strictObject({ ...drillShape, priority: prioritySchema }))
    .min(1)
    .max(MOST.drills),
  /** The mark of the comparison that was agreed to; null only compares. */
  agreed: labelSchema(100, "Send the mark of the comparison.").nullable(),
});

/** What becomes of each drill, in the order of the table; the same mark as long as the same would become of all. */
export const shelfTableNewsSchema = z.strictObject({
  drills: z
    .array(
      z.strictObject({
        name: z.string(),
        state: z.enum(["new", "changed", "same", "fault"]),
        /** Which of its fields change. */
        changed: z.array(z.enum(FIELDS)).max(FIELDS.length),
        /** How many of the alternatives that it names are not on the shelf, and left out. */
        unlinked: z.number().int().min(0).max(3),
        /** What is wrong, with a fault. */
        message: z.string().nullable(),
      }),
    )
    .max(MOST.drills),
  mark: z.string(),
  /** Whether it was taken. */
  taken: z.boolean(),
});

export type ShelfTableInput = z.infer<typeof shelfTableInputSchema>;
export type ShelfTableNews = z.infer<typeof shelfTableNewsSchema>;
