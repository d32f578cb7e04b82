import { z } from "zod";
import type { Glance } from "../../glance/glance";
import { MOST_DRILLS } from "../../plan/plan";
import { PHASES } from "../../words/phase";

/** Rungs and idle time besides: several to a drill. */
const MOST_SEGMENTS = MOST_DRILLS * 8;

const seconds = z.number().int();

/** How a start stands, as it is sent with it: fitted by the server, so that a list that opens need not. */
export const glanceSchema = z.strictObject({
  beginSeconds: seconds,
  workSeconds: seconds,
  word: z.string(),
  fits: z.boolean(),
  givenUp: z.string(),
  segments: z
    .array(
      z.strictObject({
        kind: z.enum(["drill", "idle"]),
        key: z.string(),
        itemId: z.string(),
        phase: z.enum(PHASES),
        intensity: z.number(),
        fromSeconds: seconds,
        toSeconds: seconds,
      }),
    )
    .max(MOST_SEGMENTS),
  needs: z.strictObject({ full: seconds.nullable(), essentials: seconds.nullable() }),
  /** The state at the start, in a line; null where it is not known yet. */
  state: z.string().nullable(),
}) satisfies z.ZodType<Glance>;

/** The glance at a start for a time available. */
export const startGlanceSchema = z.strictObject({
  id: z.uuid(),
  /** For which reading of the start. */
  stamp: z.string(),
  glance: glanceSchema,
});
