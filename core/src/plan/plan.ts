import { z } from "zod";
import { doseSchema } from "../dose/dose";
import { drillDetailsSchema } from "../drill/details";
import { approachIdSchema } from "../words/approachId";
import { faultsIn } from "../words/fault";
import { intensitySchema } from "../words/intensity";
import { phaseSchema } from "../words/phase";
import { prioritySchema } from "../words/priority";
import { lineSchema, nameSchema, noteSchema } from "../words/text";
import { coolDownSchema } from "./coolDown";
import { limitsSchema } from "./limits";
import { orderFault } from "./order";
import { restAfterSchema } from "./rest";

/** Most drills one plan may hold. The worth of a fit is packed into exact numbers on the strength of this. */
export const MOST_DRILLS = 90;
/** Most sentences on what a fill could not give, and most letters of one. */
export const MOST_GAPS = 12;
export const MOST_GAP = 300;

/** What a drill is, whether on the shelf or in a plan. */
export const drillShape = {
  name: nameSchema,
  phase: phaseSchema,
  intensity: intensitySchema,
  dose: doseSchema,
  /** The one thing to attend to. */
  focus: noteSchema,
  /** Where it is done, in the coach's words. */
  place: noteSchema,
  /** What else is known of it. */
  details: drillDetailsSchema.optional(),
};

/** A drill as it stands in a plan: a copy, so that a later change on the shelf does not alter it. */
export const planItemSchema = z.strictObject({
  /** Unique within the plan; made by the client. */
  id: z.uuid({ error: "Each drill in a plan needs an id of its own (a UUID)." }),
  /** The shelf's drill it was copied from. */
  drillId: z.uuid().nullable(),
  /** The version of it that was copied: the shelf's is newer when it has a later one. */
  drillVersion: z.number().int().min(1).max(2_147_483_647).optional(),
  priority: prioritySchema,
  ...drillShape,
  /** Why it was chosen, when it was not the coach who chose it. */
  why: noteSchema.optional(),
  /** The rest owed after it, before the next drill that is work. */
  restAfter: restAfterSchema.optional(),
  /** It may stand anywhere among the neighbours of its own phase. */
  free: z.literal(true).optional(),
  /** The drill of this plan that it must come after, and not be done without. */
  after: z.uuid({ error: "Name a drill of this plan." }).optional(),
  /** Done in the wait, without tiring: quiet (still), or keeping warm. */
  calm: z.enum(["quiet", "keep-warm"]).optional(),
  /** It needs the whole of its place, not half of it. */
  wholePlace: z.literal(true).optional(),
  /** A change of kit that is done already: it takes no time, and nothing waits for it. */
  alreadyOn: z.literal(true).optional(),
});

export type PlanItem = z.infer<typeof planItemSchema>;

const waitSeconds = z
  .number()
  .int()
  .min(0, { error: "A wait is 0 s or more." })
  .max(14_400, { error: "A wait is at most 4 hours." });

/** Everything in a warm-up that does not depend on the clock. */
export const planBodySchema = z.strictObject({
  items: z
    .array(planItemSchema)
    .max(MOST_DRILLS, { error: `A plan holds at most ${MOST_DRILLS} drills.` })
    .refine((items) => new Set(items.map((i) => i.id)).size === items.length, {
      error: "Two drills in the plan share an id: give each its own.",
    })
    .check(
      faultsIn((items) => {
        const fault = orderFault(items);
        return fault ? [fault] : [];
      }),
    ),
  /** The wait between the last drill and the start, seconds. */
  wait: z
    .strictObject({
      leastSeconds: waitSeconds,
      longestSeconds: waitSeconds,
      /** How short the least wait may become before anything essential goes; left out, no shorter than the least. */
      shortestSeconds: waitSeconds.optional(),
      /** Rest owed from the end of a hard drill to the start, times its hard work; left out, none but the least. */
      times: z.number().int().min(1, { error: "The rest is 1 to 20 times the work." }).max(20).optional(),
    })
    .refine((w) => w.leastSeconds <= w.longestSeconds, {
      path: ["longestSeconds"],
      error: "The longest wait may not be shorter than the least.",
    })
    .refine((w) => (w.shortestSeconds ?? 0) <= w.leastSeconds, {
      path: ["shortestSeconds"],
      error: "The shortest wait may not be longer than the least.",
    }),
  /** The largest rise in intensity between consecutive technical drills, points of effort. */
  stepPoints: z
    .number()
    .int()
    .min(5, { error: "The largest step is 5 to 100 points." })
    .max(100, { error: "The largest step is 5 to 100 points." }),
  limits: limitsSchema.optional(),
  /** What is done after the start; left out, what is usual after its event. */
  coolDown: coolDownSchema.optional(),
  /** What it was filled from, the seed that decided between equals, and what the shelf or the time could not give. */
  origin: z
    .strictObject({
      approach: approachIdSchema,
      seed: z.number().int().min(0).max(2_147_483_647),
      gaps: z.array(lineSchema(MOST_GAP)).max(MOST_GAPS).optional(),
    })
    .optional(),
});

export type PlanBody = z.infer<typeof planBodySchema>;

/** A plan with nothing in it yet: five to fifteen minutes of wait, steps of at most 20 points. */
export function emptyPlan(): PlanBody {
  return { items: [], wait: { leastSeconds: 300, longestSeconds: 900 }, stepPoints: 20 };
}
