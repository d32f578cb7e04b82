import { tolerant } from "@tonodrome/core";
import { type Day, daySchema } from "@tonodrome/core/api";
import type { DayStep } from "@tonodrome/core/day";
import { ask, bodyOf } from "~/data/client/api";
import { makeDrafts } from "~/data/outbox/drafts";

/** How long after the last edit a day is saved by itself, and how long after no answer it is tried again, milliseconds. */
const PAUSE_MS = 1200;
const RETRY = 8000;

/** The steps of a day; null where it is the usual one. */
export type Steps = readonly DayStep[] | null;

const BOTH = [{ what: "The day", mine: "yours", theirs: "theirs" }];

/** Edits of the days of starts, by the start's id. Two edits of one day are not put together: somebody chooses. */
export const dayDrafts = makeDrafts<Steps, Day, (typeof BOTH)[number]>({
  prefix: "draft:day-",
  field: "steps",
  read: (kept) => tolerant(daySchema.shape.steps).safeParse(kept).data,
  valueOf: ({ steps }) => steps,
  answerIn: (current) => tolerant(daySchema).safeParse(current).data,
  write: async ({ clubId, version, value }, startId) => {
    const body = await bodyOf("day", { version, steps: value });
    return ask("day", "PUT", `/clubs/${clubId}/starts/${startId}/day`, body);
  },
  meet: ({ value }) => ({ together: value, meetings: BOTH }),
  upon: ({ value }, theirs, side) => (side === "mine" ? value : theirs.steps),
  pause: PAUSE_MS,
  retry: RETRY,
  words: (count) => (count === 1 ? "1 day" : `${count} days`),
});
