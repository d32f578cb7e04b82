import { z } from "zod";
import { MOST } from "../common/most";

/** One deed: who did what to what, and when. */
export const auditEntrySchema = z.strictObject({
  id: z.string(),
  at: z.iso.datetime(),
  /** Who did it, as they are called now; null when their account is gone or a program did it. */
  who: z.string().nullable(),
  /** What was done, kind and deed: "start.change". */
  action: z.string(),
  /** What it was done to, as it is called now; null when it is gone. */
  what: z.string().nullable(),
  /** Roles from and to, versions, names of changed fields: never their contents. */
  detail: z.record(z.string(), z.unknown()).nullable(),
});
/** Which page of deeds. */
export const auditQuerySchema = z.strictObject({
  /** Only entries before this one. */
  before: z
    .string()
    .regex(/^\d{1,18}$/, { error: "This is not an entry's id." })
    .optional(),
});
/** A page of deeds, newest first. */
export const auditListSchema = z.strictObject({
  entries: z.array(auditEntrySchema).max(MOST.page),
  /** Pass as `before` for the next page; null at the end. */
  next: z.string().nullable(),
});

export type AuditEntry = z.infer<typeof auditEntrySchema>;
