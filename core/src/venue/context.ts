import { z } from "zod";
import { DAY_SECONDS } from "../time/units";
import { type Fault, faultsIn } from "../words/fault";
import { intensitySchema } from "../words/intensity";
import { wordKey } from "../words/sameWord";
import { tagSchema } from "../words/text";

/** Longest time before a start that anything is planned for, seconds. */
export const LONGEST_DAY = DAY_SECONDS;

const seconds = (least: number, most: number, what: string) =>
  z
    .number({ error: `${what} is a number of seconds.` })
    .int({ error: `${what} is in whole seconds.` })
    .min(least, { error: `${what} is at least ${least} s.` })
    .max(most, { error: `${what} is at most ${most} s.` });

/** When a place can be used, seconds from the start (negative before it). */
export const openWindowSchema = z
  .strictObject({
    fromSeconds: seconds(-LONGEST_DAY, LONGEST_DAY, "A window's opening"),
    toSeconds: seconds(-LONGEST_DAY, LONGEST_DAY, "A window's closing"),
    /** Whether all of the place can be used, or half of it. */
    room: z.enum(["all", "half"]).default("all"),
    /** Shared by so many who take turns: what is done there takes so many times as long. */
    turns: z
      .number()
      .int()
      .min(1, { error: "1 to 6 take turns." })
      .max(6, { error: "1 to 6 take turns." })
      .default(1),
  })
  .refine((w) => w.fromSeconds < w.toSeconds, {
    path: ["toSeconds"],
    error: "The window closes before it opens: change one of the two.",
  });

export type OpenWindow = z.infer<typeof openWindowSchema>;

/** What is said of two windows of one place that overlap. */
export const OVERLAP = "Two windows of one place overlap: let one end before the other, or make them one.";

/** A place and when it is open; open all day when no window is given. */
export const placeSchema = z.strictObject({
  name: tagSchema,
  windows: z
    .array(openWindowSchema)
    .max(24, { error: "At most 24 windows of one place." })
    .default([])
    .check(
      faultsIn((windows) => {
        const sorted = windows.map((w, i) => ({ ...w, i })).sort((a, b) => a.fromSeconds - b.fromSeconds);
        return sorted.flatMap((w, k) => {
          const before = sorted[k - 1];
          return before && w.fromSeconds < before.toSeconds
            ? [{ path: [w.i, "fromSeconds"], message: OVERLAP }]
            : [];
        });
      }),
    ),
});

export type FitPlace = z.infer<typeof placeSchema>;

/** Something at a fixed time before the start. */
export const fitPointSchema = z
  .strictObject({
    name: tagSchema,
    fromSeconds: seconds(-LONGEST_DAY, LONGEST_DAY, "A fixed point's beginning"),
    toSeconds: seconds(-LONGEST_DAY, LONGEST_DAY, "A fixed point's end"),
    place: tagSchema.nullable().default(null),
    /** Nothing but quiet and keep-warm items may follow it. */
    closesPractice: z.boolean().default(false),
  })
  .refine((p) => p.fromSeconds <= p.toSeconds, {
    path: ["toSeconds"],
    error: "The fixed point ends before it begins: change one of the two.",
  })
  .refine((p) => p.toSeconds <= 0, {
    path: ["toSeconds"],
    error: "The fixed point lies after the start: it has to end by then.",
  });

/** The time it takes to go from one place to another, either way, changing of clothes included. */
export const travelSchema = z.strictObject({
  from: tagSchema,
  to: tagSchema,
  seconds: seconds(0, 14_400, "A way"),
});

export type Travel = z.infer<typeof travelSchema>;

/** What the day allows, relative to the start: everything the fit has to know besides the plan. */
export const fitContextSchema = z
  .strictObject({
    places: z.array(placeSchema).max(12, { error: "At most 12 places." }).default([]),
    travel: z.array(travelSchema).max(66, { error: "At most 66 ways between places." }).default([]),
    points: z.array(fitPointSchema).max(16, { error: "At most 16 fixed points." }).default([]),
    /** Where the start is, when the way there counts. */
    startPlace: tagSchema.nullable().default(null),
    /** Repetitions of the sport's own actions in the athlete's ordinary session; 0 when not known. */
    usualReps: z.number().int().min(0).max(2000).default(0),
    /** Effort that the climb has reached already, per cent, when a warm-up is under way: it goes on from there. */
    reached: intensitySchema.optional(),
    /** Repetitions that a warm-up under way has used of its limits: the sport's own, and explosive ones. */
    spent: z
      .strictObject({
        /** Repetitions of the sport's own actions. */
        volume: z.number().int().min(0).max(1_000_000),
        /** Explosive repetitions. */
        explosive: z.number().int().min(0).max(1_000_000),
      })
      .optional(),
  })
  .check(faultsIn(placeFaults));

export type FitContext = z.infer<typeof fitContextSchema>;

/** Names of places that are used but not known, or known twice. */
export function placeFaults(day: {
  places: readonly { name: string }[];
  travel: readonly Pick<Travel, "from" | "to">[];
  points: readonly { place?: string | null | undefined }[];
  startPlace?: string | null | undefined;
}): Fault[] {
  const known = new Set<string>();
  const faults: Fault[] = [];
  day.places.forEach(({ name }, i) => {
    if (known.has(wordKey(name)))
      faults.push({ path: ["places", i, "name"], message: "Two places have this name: give each its own." });
    known.add(wordKey(name));
  });
  const check = (name: string | null | undefined, path: (string | number)[]) => {
    if (name && !known.has(wordKey(name)))
      faults.push({ path, message: `There is no place “${name}”: add it, or choose another.` });
  };
  const pairs = new Set<string>();
  day.travel.forEach(({ from, to }, i) => {
    check(from, ["travel", i, "from"]);
    check(to, ["travel", i, "to"]);
    const pair = [wordKey(from), wordKey(to)].sort().join("\n");
    if (wordKey(from) === wordKey(to))
      faults.push({ path: ["travel", i, "to"], message: "A way leads from one place to another." });
    else if (pairs.has(pair))
      faults.push({ path: ["travel", i], message: "This way is given twice: keep one of the two." });
    pairs.add(pair);
  });
  day.points.forEach(({ place }, i) => {
    check(place, ["points", i, "place"]);
  });
  check(day.startPlace, ["startPlace"]);
  return faults;
}

/** A day on which every place is open all day and next door, and nothing is fixed but the start. */
export function openDay(): FitContext {
  return { places: [], travel: [], points: [], startPlace: null, usualReps: 0 };
}
