import { z } from "zod";
import { groupMarkSchema } from "../../group/groupMark";
import { instantSchema } from "../../time/instant";
import { DAY_SECONDS } from "../../time/units";
import { lineSchema, verbatimSchema } from "../../words/text";
import { refitStepsSchema, runDrillSchema } from "../steps/runPlan";

/** Most characters of the line in which a re-fit says what it changes. */
export const LONGEST_CHANGE = 300;

const base = {
  /** Made by the client, so that sending twice records once. */
  id: z.uuid({ error: "Each event needs an id of its own (a UUID)." }),
  /** When it was pressed, by the server's clock as far as the client knows it. */
  at: instantSchema,
};

/** The key of the step that a press is meant for: pressed on two phones, it counts once. Earlier versions did not say. */
const of = verbatimSchema(40).optional();

/** Told by a stand-in: what is made up is never taken for a record of what was. */
const simulated = z.boolean().optional();

/** One press during a run. A run is the list of its events; nothing else is stored about its course. */
export const runEventSchema = z.discriminatedUnion("kind", [
  z.strictObject({ ...base, kind: z.literal("begin") }),
  z.strictObject({ ...base, kind: z.literal("done"), of }),
  z.strictObject({ ...base, kind: z.literal("skip"), of }),
  z.strictObject({
    ...base,
    kind: z.literal("extend"),
    of,
    /** Seconds added to the drill under way. */
    seconds: z.number().int().min(1).max(3600),
  }),
  z.strictObject({ ...base, kind: z.literal("hold") }),
  z.strictObject({ ...base, kind: z.literal("release") }),
  /** Back to the drill before, which goes on where it was. */
  z.strictObject({ ...base, kind: z.literal("back"), of }),
  /** To any step: what lies between is skipped; one that is over goes on where it was. */
  z.strictObject({
    ...base,
    kind: z.literal("jump"),
    /** The key of the step. */
    to: verbatimSchema(40),
  }),
  /** A drill that the plan did not have, straight after the one under way. */
  z.strictObject({ ...base, kind: z.literal("insert"), drill: runDrillSchema }),
  /** A try at a gate. */
  z.strictObject({ ...base, kind: z.literal("hit"), of }),
  z.strictObject({ ...base, kind: z.literal("miss"), of }),
  /** The steps still to come are replaced by these. */
  z.strictObject({
    ...base,
    kind: z.literal("refit"),
    /** The steps still to come. */
    drills: refitStepsSchema,
    waitSeconds: z.number().int().min(0).max(DAY_SECONDS),
    /** A wait that is under way goes on until then. */
    until: instantSchema.optional(),
    /** What it changes, in a line. */
    line: lineSchema(LONGEST_CHANGE),
  }),
  z.strictObject({
    ...base,
    kind: z.literal("undo"),
    /** The id of the event taken back. */
    undoes: z.uuid(),
  }),
  z.strictObject({
    ...base,
    kind: z.literal("start-moved"),
    /** The start as it now stands. */
    startsAt: instantSchema,
    simulated,
  }),
  /** The device's clock was found to be wrong by so much; times are corrected from here on. */
  z.strictObject({
    ...base,
    kind: z.literal("clock"),
    /** Seconds that the device was ahead of the server (negative: behind). */
    aheadSeconds: z.number().min(-1e9).max(1e9),
  }),
  /** Heart rate, in beats per minute, every so many seconds up to `at`; null where there was none. */
  z.strictObject({
    ...base,
    kind: z.literal("pulse"),
    /** Seconds from one measurement to the next. */
    everySeconds: z.number().int().min(1).max(60),
    /** Beats per minute, the last one at `at`; null where there was none. */
    rates: z.array(z.number().int().min(20).max(250).nullable()).min(1).max(60),
    simulated,
  }),
  /** Three questions after the start; the latest answers count. */
  z.strictObject({
    ...base,
    kind: z.literal("rating"),
    /** How ready, from 1 (not at all) to 5 (fully). */
    ready: z.number().int().min(1).max(5).nullable(),
    /** What happened first. */
    first: lineSchema(200),
    /** Anything else. */
    note: lineSchema(500),
  }),
  /** Of a group, whether one of them is there. */
  z.strictObject({ ...base, kind: z.literal("there"), who: z.uuid(), isThere: z.boolean() }),
  /** Of a group, what one of them made of a step; null takes a mark away. */
  z.strictObject({
    ...base,
    kind: z.literal("mark"),
    who: z.uuid(),
    /** The key of the step. */
    step: verbatimSchema(40),
    /** What they made of it; null takes a mark away. */
    mark: groupMarkSchema.nullable(),
  }),
  /** Somebody goes on with it on another device: whoever had it follows from then on. */
  z.strictObject({
    ...base,
    kind: z.literal("take"),
    /** The person who goes on with it. */
    who: z.uuid(),
  }),
  z.strictObject({ ...base, kind: z.literal("end") }),
]);

export type RunEvent = z.infer<typeof runEventSchema>;
