import { z } from "zod";
import { tagsSchema } from "../drill/details";
import { daySchema } from "../time/instant";
import { approachIdSchema } from "../words/approachId";
import { bodyAreaSchema } from "../words/bodyArea";
import { linesSchema } from "../words/text";
import { scaleSchema } from "./scale";

/** Ages in bands, as governing bodies have them; custom. */
export const ageBandSchema = z.enum(["under-10", "10-12", "13-15", "16-18", "adult", "masters"]);
export type AgeBand = z.infer<typeof ageBandSchema>;

const YOUNGEST: Record<AgeBand, number> = {
  "under-10": 5,
  "10-12": 10,
  "13-15": 13,
  "16-18": 16,
  adult: 19,
  masters: 40,
};

/** The youngest age of a band, years. */
export function youngestOf(band: AgeBand): number {
  return YOUNGEST[band];
}

/** An athlete's age, years: as it is known, or the youngest of the band; null when neither is known. */
export function ageOf({ ageYears, ageBand }: Pick<AthleteProfile, "ageYears" | "ageBand">): number | null {
  return ageYears ?? (ageBand ? youngestOf(ageBand) : null);
}

/** A part of the body that is protected, until a day if one is known. */
export const protectedAreaSchema = z.strictObject({
  area: bodyAreaSchema,
  /** The last day of it, as the calendar says it; null until it is taken out. */
  until: daySchema.nullable(),
});

export type ProtectedArea = z.infer<typeof protectedAreaSchema>;

/** What a coach knows of an athlete. What is said of health is as little as planning needs. */
export const athleteProfileSchema = z.strictObject({
  ageBand: ageBandSchema.nullable(),
  /** Age in years, where it is known: it says more than the band. */
  ageYears: z
    .number({ error: "An age is 3 to 99 years." })
    .int({ error: "An age is in whole years." })
    .min(3, { error: "An age is 3 to 99 years." })
    .max(99, { error: "An age is 3 to 99 years." })
    .nullable()
    .optional(),
  dominantSide: z.enum(["left", "right"]).nullable(),
  /** Events of the club that the athlete starts in. */
  eventIds: z.array(z.uuid()).max(24),
  scales: z
    .array(scaleSchema)
    .max(8, { error: "At most 8 scales." })
    .refine((scales) => new Set(scales.map((s) => s.id)).size === scales.length, {
      error: "Two scales share an id: give each its own.",
    }),
  /** What an ordinary session comes to: minutes, and repetitions of the sport's own actions. */
  usualMinutes: z.number().int().min(0).max(600),
  usualReps: z.number().int().min(0).max(2000),
  /** How much has been trained lately, against the usual. */
  recentLoad: z.enum(["little", "usual", "much"]),
  protectedAreas: z
    .array(protectedAreaSchema)
    .max(15)
    .refine((list) => new Set(list.map((p) => p.area)).size === list.length, {
      error: "A part of the body is named twice.",
    }),
  /** Equipment of their own. */
  equipment: tagsSchema("pieces of equipment", 24),
  /** How they like to warm up. */
  approach: approachIdSchema.nullable(),
  notes: linesSchema(1000),
});

export type AthleteProfile = z.infer<typeof athleteProfileSchema>;

/** Nothing known yet. */
export function noProfile(): AthleteProfile {
  return {
    ageBand: null,
    dominantSide: null,
    eventIds: [],
    scales: [],
    usualMinutes: 0,
    usualReps: 0,
    recentLoad: "usual",
    protectedAreas: [],
    equipment: [],
    approach: null,
    notes: "",
  };
}
