import { z } from "zod";
import { fixedPointSchema } from "../event/eventType";
import { instantSchema } from "../time/instant";
import type { Fault } from "../words/fault";
import { tagSchema } from "../words/text";
import { OVERLAP, placeFaults, travelSchema } from "./context";

/** When a place of the venue can be used, by the clock: it stays where it is when the start moves. */
export const venueWindowSchema = z
  .strictObject({
    opens: instantSchema,
    closes: instantSchema,
    /** Whether all of the place can be used, or half of it. */
    room: z.enum(["all", "half"]),
    /** Shared by so many who take turns. */
    turns: z.number().int().min(1, { error: "1 to 6 take turns." }).max(6, { error: "1 to 6 take turns." }),
  })
  .refine((w) => Date.parse(w.opens) < Date.parse(w.closes), {
    path: ["closes"],
    error: "The window closes before it opens: change one of the two.",
  });

export type VenueWindow = z.infer<typeof venueWindowSchema>;

/** A place of the venue and when it can be used, by the clock. */
export const venuePlaceSchema = z.strictObject({
  name: tagSchema,
  /** Open all day when there is none. */
  windows: z.array(venueWindowSchema).max(24, { error: "At most 24 windows of one place." }),
  /** What is over it: a roof and walls, or shade; left out where it lies open, or nobody has said. */
  cover: z.enum(["indoors", "shade"]).optional(),
});

export type VenuePlace = z.infer<typeof venuePlaceSchema>;

/** What is known of the venue on the day. Each part that is left out is as the event has it, or open. */
export const venueShape = {
  places: z.array(venuePlaceSchema).max(12, { error: "At most 12 places." }).optional(),
  travel: z.array(travelSchema).max(66, { error: "At most 66 ways between places." }).optional(),
  /** Fixed points of this start, instead of those of its event. */
  points: z
    .array(fixedPointSchema)
    .max(16, { error: "At most 16 fixed points." })
    .refine((points) => points.every((p) => p.minutesLong <= p.minutesBefore), {
      error: "A fixed point may not last beyond the start.",
    })
    .optional(),
  /** Where the start is, when the way there counts. */
  startPlace: tagSchema.optional(),
};

const venueSchema = z.strictObject(venueShape);

export type Venue = z.infer<typeof venueSchema>;

/** What in a venue cannot hold: places unknown or named twice, windows of one place that overlap. */
export function venueFaults({ places = [], travel = [], points = [], startPlace }: Venue): Fault[] {
  const overlaps = places.flatMap(({ windows }, i) =>
    windows.flatMap((w, k) => {
      const over = windows.some(
        (o, m) =>
          m !== k &&
          Date.parse(o.opens) <= Date.parse(w.opens) &&
          Date.parse(w.opens) < Date.parse(o.closes) &&
          (m < k || Date.parse(o.opens) < Date.parse(w.opens)),
      );
      return over ? [{ path: ["places", i, "windows", k, "opens"], message: OVERLAP }] : [];
    }),
  );
  return [...placeFaults({ places, travel, points, startPlace }), ...overlaps];
}
