import { z } from "zod";
import { athleteProfileSchema, noProfile } from "../athlete/profile";
import { clubFiguresSchema } from "../checks/clubFigures";
import type { JudgeInput } from "../checks/judge";
import { settingSchema, usualSetting } from "../conditions/setting";
import { eventTypeSchema } from "../event/eventType";
import type { NamedCulprit } from "../fit/culprit";
import type { Fit } from "../fit/fit";
import { drillShape, MOST_DRILLS, planBodySchema } from "../plan/plan";
import { allDoneSchema, remembered } from "../rewarm/doneBefore";
import { daySchema } from "../time/instant";
import { fitContextSchema, LONGEST_DAY, openDay } from "../venue/context";
import type { Fault } from "../words/fault";
import { prioritySchema } from "../words/priority";
import { readJson } from "./readJson";

/** Most drills of a shelf in a file, and most warm-ups before. */
const MOST_ON_SHELF = 500;
const MOST_EARLIER = 60;

/** A warm-up of the athlete before. */
const earlierRunSchema = z.strictObject({
  day: daySchema,
  drillIds: z.array(z.uuid()).max(MOST_DRILLS),
  seconds: z.number().int().min(0).max(LONGEST_DAY),
});

/** One plan with its day, to be fitted away from the application. docs/schema has it as JSON Schema. */
export const fitFileSchema = z.strictObject({
  format: z.literal("tonodrome-fit", { error: 'The format is "tonodrome-fit".' }),
  /** The version of the file's format. */
  version: z.literal(1, { error: "This reads version 1." }),
  /** Whole seconds between the earliest beginning and the start. */
  availableSeconds: z
    .number({ error: "Give the time available in seconds." })
    .int({ error: "The time available is in whole seconds." })
    .min(0, { error: "The time available is 0 s or more." })
    .max(LONGEST_DAY, { error: "The time available is at most a day, 86400 s." }),
  plan: planBodySchema,
  /** What the day allows; left out, every place is open and nothing is fixed but the start. */
  context: fitContextSchema.default(openDay),
  /** What it is judged by besides; each part may be left out, and is then not known. */
  setting: settingSchema.default(usualSetting),
  athlete: z.strictObject(athleteProfileSchema.partial().shape).optional(),
  event: eventTypeSchema.optional(),
  /** The calendar's day at the venue. */
  day: daySchema.optional(),
  /** Drills that may be put in or taken instead. */
  shelf: z
    .array(z.strictObject({ id: z.uuid(), priority: prioritySchema, ...drillShape }))
    .max(MOST_ON_SHELF, { error: `At most ${MOST_ON_SHELF} drills on the shelf.` })
    .default([]),
  /** The athlete's warm-ups before, the latest first. */
  earlier: z
    .array(earlierRunSchema)
    .max(MOST_EARLIER, { error: `At most ${MOST_EARLIER} warm-ups before.` })
    .default([]),
  /** What the athlete did earlier on the day, warm-ups and starts. */
  before: allDoneSchema.default([]),
  /** Figures of checks that are other than usual. */
  figures: clubFiguresSchema.default([]),
});

export type FitFile = z.infer<typeof fitFileSchema>;

/** Reads a file strictly: all of it, or what is wrong with it. */
export const readFitFile = (text: string): { file: FitFile } | { faults: Fault[] } =>
  readJson(text, fitFileSchema);

/** What a file's plan is judged by. @param fit of it; @param culprit what keeps its essentials apart, where that is known */
export function judgedFile(file: FitFile, fit: Fit, culprit: NamedCulprit | null): JudgeInput {
  const { plan, context, setting, athlete, event, day, shelf, earlier, before, figures } = file;
  return {
    plan,
    fit,
    context,
    setting,
    athlete: athlete ? { ...noProfile(), ...given(athlete) } : null,
    event: event ?? null,
    day: day ?? null,
    readySeconds: file.availableSeconds,
    untilStart: null,
    shelf,
    earlier,
    before: remembered(before),
    culprit,
    figures,
  };
}

/** The fields that are given: one that is undefined is as if it were left out. */
function given<T extends object>(fields: T): { [K in keyof T]: NonNullable<T[K]> } {
  return Object.fromEntries(Object.entries(fields).filter(([, v]) => v !== undefined)) as never;
}
