import { z } from "zod";
import { bodyAreasSchema } from "../words/bodyArea";
import { intensitySchema } from "../words/intensity";
import { purposeSchema } from "../words/purpose";
import { wordKey } from "../words/sameWord";
import { labelSchema, noteSchema, tagSchema } from "../words/text";
import { calledSchema } from "./called";

/** How near a drill comes to the real thing. */
export const realismSchema = z.enum(["alone", "approach", "feed", "competition"]);
export type Realism = z.infer<typeof realismSchema>;

/** Where on the way from the closest to the furthest a drill stands. */
export const distanceSchema = z.enum(["near", "middle", "far"]);
export type Distance = z.infer<typeof distanceSchema>;

/**
 * What the fit, the plan checks and the fill have to know of a drill. "no-condition": kit that nothing depends on;
 * "venue-temperature": kit that must come to the venue's temperature before it is used.
 */
export const drillFlagSchema = z.enum([
  "static-hold",
  "explosive",
  "breather",
  "no-condition",
  "venue-temperature",
]);
export type DrillFlag = z.infer<typeof drillFlagSchema>;

const once = <T extends z.ZodType>(of: T, most: number, what: string) =>
  z
    .array(of)
    .max(most, { error: `At most ${most} ${what}.` })
    .refine((list) => new Set(list.map((v) => wordKey(String(v)))).size === list.length, {
      error: `One of the ${what} is named twice.`,
    });

/** A line of text with something in it. */
const remarkSchema = labelSchema(200, "Write something, or take the line out.");

/** Several words to find things by. */
export const tagsSchema = (what: string, most = 12) => once(tagSchema, most, what);

const linkSchema = z.uuid({ error: "Name a drill of the shelf." }).nullable();

/** The fields of what is known of a drill. */
export const drillDetailsShape = {
  purposes: once(purposeSchema, 4, "purposes"),
  /** Parts of the body it warms. */
  areas: bodyAreasSchema,
  /** Parts of the body it loads. */
  loads: bodyAreasSchema,
  /** The kind of space it needs; empty when anywhere does. */
  space: z.union([z.literal(""), tagSchema]),
  /** All that is needed for it. */
  equipment: tagsSchema("pieces of equipment"),
  /** How many people it takes, the athlete among them. */
  people: z.number().int().min(1, { error: "It takes at least one." }).max(12),
  /** Actions of the competition that it prepares. */
  actions: tagsSchema("actions"),
  /** Lowest effort it makes sense at, per cent. */
  intensityFrom: intensitySchema,
  /** Highest effort it makes sense at, per cent. */
  intensityTo: intensitySchema,
  realism: realismSchema.nullable(),
  distance: distanceSchema.nullable(),
  /** What to see, feel and listen for. */
  cues: z.strictObject({ see: noteSchema, feel: noteSchema, listen: noteSchema }),
  /** What usually goes wrong. */
  faults: once(remarkSchema, 6, "faults"),
  cautions: once(remarkSchema, 4, "cautions"),
  /** Youngest age it is for, years; 0 for any. */
  leastAge: z.number().int().min(0).max(99),
  /** Movements that are called during it; left out, none are. */
  called: calledSchema.optional(),
  /** What the fit, the checks and the fill have to know of it. */
  flags: once(drillFlagSchema, 5, "flags"),
  /** An easier drill of the shelf, by its id. */
  easier: linkSchema,
  /** A harder drill of the shelf. */
  harder: linkSchema,
  /** Another drill of the shelf with the same purpose. */
  instead: linkSchema,
};

/** What a coach knows of a drill besides its dose. */
export const drillDetailsSchema = z
  .strictObject(drillDetailsShape)
  .refine((d) => d.intensityFrom <= d.intensityTo, {
    path: ["intensityTo"],
    error: "The highest intensity may not be below the lowest.",
  });

export type DrillDetails = z.infer<typeof drillDetailsSchema>;

/** Whether a drill is for the head alone: every purpose of it is. */
export function isForHead(details: Pick<DrillDetails, "purposes"> | undefined): boolean {
  const purposes = details?.purposes ?? [];
  return purposes.length > 0 && purposes.every((p) => p === "mental");
}

/** Nothing known yet. */
export function noDetails(): DrillDetails {
  return {
    purposes: [],
    areas: [],
    loads: [],
    space: "",
    equipment: [],
    people: 1,
    actions: [],
    intensityFrom: 0,
    intensityTo: 100,
    realism: null,
    distance: null,
    cues: { see: "", feel: "", listen: "" },
    faults: [],
    cautions: [],
    leastAge: 0,
    flags: [],
    easier: null,
    harder: null,
    instead: null,
  };
}
