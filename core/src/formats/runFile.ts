import { z } from "zod";
import { runEventSchema } from "../run/log/runEvent";
import { runSummary } from "../run/log/runSummary";
import { runPlanSchema } from "../run/steps/runPlan";
import { instantSchema } from "../time/instant";
import { zoneSchema } from "../time/zoneName";
import type { Fault } from "../words/fault";
import { nameSchema, noteSchema } from "../words/text";
import type { RunInTable } from "./logTable";
import { readJson } from "./readJson";

/** Most presses of a run in a file: as many as a run may have. */
const MOST_PRESSES = 10_000;

/** A run by itself: what was to be done, and every press of it. docs/schema has it as JSON Schema. */
export const runFileSchema = z.strictObject({
  format: z.literal("tonodrome-run", { error: 'The format is "tonodrome-run".' }),
  /** The version of the file's format. */
  version: z.literal(1, { error: "This reads version 1." }),
  athlete: nameSchema,
  title: nameSchema,
  venue: noteSchema,
  zone: zoneSchema,
  startsAt: instantSchema,
  plan: runPlanSchema,
  events: z
    .array(runEventSchema)
    .max(MOST_PRESSES)
    .refine((events) => new Set(events.map((e) => e.id)).size === events.length, {
      error: "A press is in the file twice.",
    }),
});
export type RunFile = z.infer<typeof runFileSchema>;

/** Reads a file strictly: all of it, or what is wrong with it. */
export const readRunFile = (text: string): { file: RunFile } | { faults: Fault[] } =>
  readJson(text, runFileSchema);

/** A run as a file, whole: what is read from it is what was written. */
export const runFileText = (run: Omit<RunFile, "format" | "version">): string =>
  `${JSON.stringify({ format: "tonodrome-run", version: 1, ...run }, null, 2)}\n`;

/** What the log's table has of a run with its presses. */
export function runInTableOf(run: Omit<RunFile, "format" | "version">): RunInTable {
  const { athlete, title, venue, zone, startsAt, plan, events } = run;
  return { ...runSummary(plan, events), athlete, title, venue, zone, startsAt };
}
