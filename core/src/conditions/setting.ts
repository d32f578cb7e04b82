import { z } from "zod";
import { tagsSchema } from "../drill/details";
import { venueFaults, venueShape } from "../venue/venue";
import { faultsIn } from "../words/fault";

/** What it is like on the day: what a run keeps of it, so that something can be learned from it later. */
const conditionsShape = {
  indoors: z.boolean(),
  /** Degrees Celsius; null where nobody looked. */
  temperature: z.number().int().min(-30).max(50).nullable(),
  wind: z.enum(["calm", "breeze", "strong"]),
  wet: z.boolean(),
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
  day,
  order,
  people,
}: Conditions): Conditions {
  return { indoors, temperature, wind, wet, day, order, people };
}

/** What is there on the day: the weather, the people, the room and the equipment. */
export const settingSchema = z
  .strictObject({
    ...conditionsShape,
    /** Kinds of space and equipment that are there; empty when nothing is known to be missing. */
    spaces: tagsSchema("kinds of space"),
    equipment: tagsSchema("pieces of equipment", 24),
    /** What of the event's kit has been checked. */
    kitReady: tagsSchema("pieces of kit", 24),
    ...venueShape,
  })
  .check(faultsIn(venueFaults));

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
