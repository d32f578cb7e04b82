import { z } from "zod";

const base = {
  /** Made by the client, so that sending twice records once. */
  id: z.uuid({ error: "Each event needs an id of its own (a UUID)." }),
  /** When it was pressed. */
  at: z.iso.datetime({ error: "Give the time as an ISO 8601 instant in UTC." }),
};

/** One press during a run. A run is the list of its events; nothing else is stored about its course. */
export const runEventSchema = z.discriminatedUnion("kind", [
  z.strictObject({ ...base, kind: z.literal("begin") }),
  z.strictObject({ ...base, kind: z.literal("done") }),
  z.strictObject({ ...base, kind: z.literal("skip") }),
  z.strictObject({
    ...base,
    kind: z.literal("extend"),
    /** Seconds added to the drill under way. */
    seconds: z.number().int().min(1).max(3600),
  }),
  z.strictObject({ ...base, kind: z.literal("hold") }),
  z.strictObject({ ...base, kind: z.literal("release") }),
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
    startsAt: z.iso.datetime(),
  }),
  z.strictObject({ ...base, kind: z.literal("end") }),
]);

export type RunEvent = z.infer<typeof runEventSchema>;
