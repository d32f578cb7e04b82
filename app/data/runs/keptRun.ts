import { isRunOver, lastTake } from "@tonodrome/core";
import { runEventSchema, runSchema } from "@tonodrome/core/api";
import { z } from "zod";
import { timeNow } from "~/data/client/clock";

/** What of a run does not change. */
export const aboutSchema = z.object({
  /** The club it belongs to. */
  clubId: z.string(),
  /** Whose it is; not known of one that was taken up from the server. */
  athleteId: z.string().nullish(),
  /** Whether it was begun on this device. */
  begunHere: z.boolean().default(true),
  run: runSchema.omit({ events: true }),
});

/** What is pressed, and how far the server knows it. Kept by itself, so that a press writes little. */
export const pressedSchema = z.object({
  events: z.array(runEventSchema),
  /** Whether the server has the run itself. */
  created: z.boolean(),
  /** Ids of the events that the server has confirmed. */
  recorded: z.array(z.string()),
  /** The server's words when it will never take this run; null while there is hope. */
  refused: z.string().nullable(),
  /** Presses that the server will never take, while it takes the others: kept, and not counted. */
  setAside: z.array(runEventSchema).default([]),
  /** The presses with which this device went on with a run of another. */
  took: z.array(z.string()).default([]),
});

/** What was pressed in a run, and what of it the server has. */
export type Pressed = z.infer<typeof pressedSchema>;

/** A run as this device has it. */
export type KeptRun = z.infer<typeof aboutSchema> & Pressed;

/** What two tabs know of one run: everything that was pressed in either. */
export function merged(here: Pressed | undefined, there: Pressed): Pressed {
  if (!here) return there;
  const known = new Set(here.events.map((e) => e.id));
  const news = there.events.filter((e) => !known.has(e.id) && !here.setAside.some((a) => a.id === e.id));
  const { created, recorded, refused } = here;
  const setAside = [...new Map([...here.setAside, ...there.setAside].map((e) => [e.id, e])).values()];
  const away = new Set(setAside.map((e) => e.id));
  const events = here.events.filter((e) => !away.has(e.id));
  return {
    setAside,
    took: [...new Set([...here.took, ...there.took])],
    events: news.length > 0 ? [...events, ...news] : events,
    created: created || there.created,
    recorded: [...new Set([...recorded, ...there.recorded])],
    refused: refused ?? there.refused,
  };
}

/**
 * Whether the server still lacks something of a run. One that was opened and never begun is nothing to log, whatever was noted
 * of its start or the clock meanwhile.
 */
export const isUnsent = ({ created, events, recorded }: KeptRun) =>
  created ? events.length > recorded.length : events.some((e) => e.kind === "begin");

/** Whether a run goes on: it was not ended, and something has been heard of it lately. */
export const isUnderWay = ({ run, events }: KeptRun): boolean => !isRunOver(run.startsAt, events, timeNow());

/** Whether another device runs it, and this one follows: it was begun there, or taken over there since. */
export function isFollowed({
  begunHere,
  took,
  events,
}: Pick<KeptRun, "begunHere" | "took" | "events">): boolean {
  const last = lastTake(events);
  return last ? !took.includes(last.id) : !begunHere;
}
