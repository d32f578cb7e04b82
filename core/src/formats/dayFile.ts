import { z } from "zod";
import { type DayStep, dayStepSchema, MOST_STEPS, travelSchema } from "../day/step";
import { eventTypeSchema } from "../event/eventType";
import { instantSchema } from "../time/instant";
import { isTimeZone } from "../time/zone";
import { LONGEST_DAY } from "../venue/context";
import { type Fault, faultsIn } from "../words/fault";
import { readJson } from "./readJson";

/** A day to be counted back away from the application. docs/schema has it as JSON Schema. */
export const dayFileSchema = z
  .strictObject({
    format: z.literal("tonodrome-day", { error: 'The format is "tonodrome-day".' }),
    version: z.literal(1, { error: "This reads version 1." }),
    startsAt: instantSchema,
    /** The venue's time zone, an IANA name. */
    zone: z
      .string()
      .max(64)
      .refine(isTimeZone, { error: "This time zone is not known: give an IANA name like Europe/Vienna." }),
    /** How long before the start the warm-up begins, whole seconds, as it is fitted. */
    warmUpSeconds: z
      .number({ error: "Give the warm-up's beginning in seconds before the start." })
      .int({ error: "Give whole seconds." })
      .min(0, { error: "0 s or more." })
      .max(LONGEST_DAY, { error: "At most a day, 86400 s." }),
    /** What is started, for the usual day. */
    event: eventTypeSchema.optional(),
    /** The way to the venue, minutes, for the usual day. */
    travel: z
      .strictObject({ usual: travelSchema, bad: travelSchema })
      .refine((t) => t.usual <= t.bad, { path: ["bad"], error: "If it goes badly it takes no less." })
      .default({ usual: 25, bad: 40 }),
    /** Left out, the usual day of the event. */
    steps: z
      .array(dayStepSchema)
      .min(1, { error: "A day has at least its start." })
      .max(MOST_STEPS, { error: `At most ${MOST_STEPS} steps.` })
      .optional(),
  })
  .check(faultsIn(dayFaults));
export type DayFile = z.infer<typeof dayFileSchema>;

/** What of a day does not hold by itself: one start, steps with ids of their own, rules of steps that are there. */
function dayFaults({ steps = [] }: { steps?: readonly DayStep[] }): Fault[] {
  if (steps.length === 0) return [];
  const faults: Fault[] = [];
  const places = new Map<string, number>();
  steps.forEach(({ id }, i) => {
    if (places.has(id)) faults.push({ path: ["steps", i, "id"], message: `Another step is called “${id}”.` });
    places.set(id, i);
  });
  for (const [kind, least] of [
    ["start", 1],
    ["warm-up", 0],
  ] as const) {
    const many = steps.filter((s) => s.kind === kind).length;
    if (many < least) faults.push({ path: ["steps"], message: `A day has a step of the kind ${kind}.` });
    if (many > 1)
      faults.push({ path: ["steps"], message: `A day has one step of the kind ${kind}, not ${many}.` });
  }
  steps.forEach(({ id, rules }, i) => {
    rules.forEach((rule, n) => {
      if (rule.kind === "clock") return;
      const path = ["steps", i, "rules", n, "of"];
      if (!places.has(rule.of)) faults.push({ path, message: `There is no step “${rule.of}”.` });
      if (rule.of === id) faults.push({ path, message: "A step has no rule to itself." });
    });
  });
  return faults;
}

/** Reads a file strictly: all of it, or what is wrong with it. */
export const readDayFile = (text: string): { file: DayFile } | { faults: Fault[] } =>
  readJson(text, dayFileSchema);
