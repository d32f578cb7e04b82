import { z } from "zod";
import { MOST_ROWS } from "../../startList/listTable";
import { zoneSchema } from "../../time/zoneName";
import { LONGEST_NAME, labelSchema, lineSchema, nameSchema, noteSchema } from "../../words/text";
import { instantSchema } from "../common/common";
import { orderNumberSchema } from "./orders";

const lineNumber = z.number().int().min(1).max(10_000_000);

/** One row of a start list that was read. */
const listRowSchema = z.strictObject({
  line: lineNumber,
  athlete: lineSchema(LONGEST_NAME),
  title: nameSchema,
  venue: noteSchema,
  zone: zoneSchema,
  startsAt: instantSchema,
  number: orderNumberSchema.nullable(),
});

/** A start list as it was read, to be compared with what there is, or to be taken. */
export const startListInputSchema = z.strictObject({
  rows: z.array(listRowSchema).min(1).max(MOST_ROWS),
  /** Whether those who are not in the club come into it. */
  addAthletes: z.boolean(),
  /** The mark of the comparison that was agreed to; null only compares. */
  agreed: labelSchema(100, "Send the mark of the comparison.").nullable(),
});

/** What becomes of each row; the same mark as long as the same would become of all. */
export const startListNewsSchema = z.strictObject({
  rows: z
    .array(
      z.strictObject({
        line: lineNumber,
        athlete: z.string(),
        title: z.string(),
        state: z.enum(["new", "new-athlete", "changed", "same", "other", "fault"]),
        /** Which of its fields change. */
        changed: z.array(z.enum(["time", "venue", "zone", "number"])).max(4),
        /** What is wrong, with a fault. */
        message: z.string().nullable(),
      }),
    )
    .max(MOST_ROWS),
  mark: z.string(),
  /** Whether it was taken. */
  taken: z.boolean(),
});

export type StartListInput = z.infer<typeof startListInputSchema>;
export type StartListNews = z.infer<typeof startListNewsSchema>;
