import { z } from "zod";
import { tagsSchema } from "../drill/details";
import { groupSchema } from "../group/group";
import { venueFaults, venueShape } from "../venue/venue";
import { type Fault, faultsIn } from "../words/fault";
import { LONGEST_NAME, noteSchema, verbatimSchema } from "../words/text";
import { SESSION_KINDS } from "./sessionKind";

/** What it is like on the day: what a run keeps of it, so that something can be learned from it later. */
const conditionsShape = {
  indoors: z.boolean(),
  /** Degrees Celsius; null where nobody looked. */
  temperature: z
    .number({ error: "The temperature is −30 to 50 °C." })
    .int({ error: "The temperature is in whole degrees." })
    .min(-30, { error: "The temperature is −30 to 50 °C." })
    .max(50, { error: "The temperature is −30 to 50 °C." })
    .nullable(),
  wind: z.enum(["calm", "breeze", "strong"]),
  wet: z.boolean(),
  /** Relative humidity of the air, per cent; left out or null where nobody looked. */
  humidity: z
    .number({ error: "Humidity is 0 to 100 %." })
    .int({ error: "Humidity is a whole per cent." })
    .min(0, { error: "Humidity is 0 to 100 %." })
    .max(100, { error: "Humidity is 0 to 100 %." })
    .nullable()
    .optional(),
  /** Whether the wait is in the sun or in shade, out of doors; left out where nobody said. */
  sun: z.enum(["sun", "shade"]).optional(),
  /** Whether warm layers are there, and kept on while nothing is done. */
  layers: z.boolean().optional(),
  /** What kind of start it is; left out, a competition. */
  session: z.enum(SESSION_KINDS).optional(),
  /** Day of the competition, the first being 1. */
  day: z.number().int().min(1).max(14),
  /** Place in the running order of the group; null where there is none. */
  order: z.number().int().min(1).max(99).nullable(),
  /** People at hand besides the athlete. */
  people: z.number().int().min(0).max(30),
};

/** What it is like on the day, by itself. */
export const conditionsSchema = z.strictObject(conditionsShape);

export type Conditions = z.infer<typeof conditionsSchema>;

/** What it is like, of all that is there on the day. */
export function conditionsOf({
  indoors,
  temperature,
  wind,
  wet,
  humidity,
  sun,
  layers,
  session,
  day,
  order,
  people,
}: Conditions): Conditions {
  return {
    indoors,
    temperature,
    wind,
    wet,
    ...(humidity === undefined ? {} : { humidity }),
    ...(sun === undefined ? {} : { sun }),
    ...(layers === undefined ? {} : { layers }),
    ...(session === undefined ? {} : { session }),
    day,
    order,
    people,
  };
}

/** What of a day's conditions is the weather: the same for everybody at one venue on one day. */
export function weatherOf({
  indoors,
  temperature,
  wind,
  wet,
  humidity,
  sun,
  layers,
}: Conditions): Partial<Setting> {
  return { indoors, temperature, wind, wet, humidity, sun, layers };
}

/** Humidity says nothing by itself: how much water the air can hold depends on how warm it is. */
function conditionFaults({ humidity, temperature }: Pick<Conditions, "humidity" | "temperature">): Fault[] {
  return typeof humidity === "number" && temperature === null
    ? [{ path: ["humidity"], message: "Give the temperature as well: humidity alone says nothing." }]
    : [];
}

/** Most findings that are set aside for one start. */
const MOST_KNOWN = 80;

/** A finding that a coach knows of and has set aside for this start, as long as what it is about stays as it is. */
export const knownSchema = z.strictObject({
  code: verbatimSchema(60),
  itemId: z.uuid().nullable(),
  /** What it was about: another one whenever that has changed. */
  mark: verbatimSchema(40),
  /** Why, in the coach's words; may be empty. */
  reason: noteSchema,
  /** Who set it aside. */
  by: verbatimSchema(LONGEST_NAME),
});

export type Known = z.infer<typeof knownSchema>;

/** What is there on the day: the weather, the people, the room and the equipment. */
export const settingSchema = z
  .strictObject({
    ...conditionsShape,
    /** Kinds of space and equipment that are there; empty when nothing is known to be missing. */
    spaces: tagsSchema("kinds of space"),
    equipment: tagsSchema("pieces of equipment", 24),
    /** What of the event's kit has been checked. */
    kitReady: tagsSchema("pieces of kit", 24),
    /** It takes place only if they are through the round before; left out where it is certain. */
    ifThrough: z.literal(true).optional(),
    /** Athletes who warm up with the one whose start it is; left out where they do so alone. */
    group: groupSchema.optional(),
    /** Findings set aside for this start. */
    known: z
      .array(knownSchema)
      .max(MOST_KNOWN, { error: `At most ${MOST_KNOWN} findings are set aside for one start.` })
      .optional(),
    ...venueShape,
  })
  .check(faultsIn((setting) => [...venueFaults(setting), ...conditionFaults(setting)]));

export type Setting = z.infer<typeof settingSchema>;

/** Indoors, first day, one person at hand, nothing known to be missing. */
export function usualSetting(): Setting {
  return {
    indoors: true,
    temperature: null,
    wind: "calm",
    wet: false,
    day: 1,
    order: null,
    people: 1,
    spaces: [],
    equipment: [],
    kitReady: [],
  };
}
