import { z } from "zod";

/** What a warm-up may not pass, whatever the time. Left out: no such limit. */
export const limitsSchema = z.strictObject({
  /** Continuous general work (raise, mobilise), minutes; a breather, kit or technical work ends it. */
  generalMinutes: z
    .number()
    .int()
    .min(1, { error: "General work is limited to 1 to 120 min." })
    .max(120)
    .optional(),
  /** Repetitions of the sport's own actions, per cent of the athlete's usual session. */
  volumePercent: z.number().int().min(1, { error: "The share is 1 to 100 %." }).max(100).optional(),
  /** Repetitions of explosive drills. */
  explosiveReps: z.number().int().min(0, { error: "0 repetitions or more." }).max(500).optional(),
  /** Least share of the work that is easy (at most 40 % of effort), per cent of its time. */
  easyPercent: z.number().int().min(1, { error: "The easy share is 1 to 90 %." }).max(90).optional(),
});

export type Limits = z.infer<typeof limitsSchema>;
