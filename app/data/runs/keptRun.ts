import { lastTake, type RunEvent, runOverFrom } from "@tonodrome/core";
import type { Run } from "@tonodrome/core/api";
import { timeNow } from "~/data/client/clock";
import { isRecord } from "~/data/device/storage";

/** What of a run does not change. */
export interface About {
  /** The club it belongs to. */
  clubId: string;
  /** Whose it is; not known of one that was taken up from the server. */
  athleteId?: string | null;
  /** Whether it was begun on this device. */
  begunHere: boolean;
  run: Omit<Run, "events">;
}

/** What is pressed, and how far the server knows it. Kept by itself, so that a press writes little. */
export interface Pressed {
  events: RunEvent[];
  /** Whether the server has the run itself. */
  created: boolean;
  /** Ids of the events that the server has confirmed. */
  recorded: string[];
  /** The server's words when it will never take this run; null while there is hope. */
  refused: string | null;
  /** Presses that the server will never take, while it takes the others: kept, and not counted. */
  setAside: RunEvent[];
  /** The presses with which this device went on with a run of another. */
  took: string[];
}

/** A run as this device has it. */
export type KeptRun = About &
  Pressed & {
    /** Where its start stands by now, as far as the log does not have it yet; null where the log is right. */
    heard?: HeardMove | null;
  };

/** A move of the start that a run goes by before its log has it. */
export type HeardMove = Extract<RunEvent, { kind: "start-moved" }>;

const isEvents = (kept: unknown): kept is RunEvent[] =>
  Array.isArray(kept) &&
  kept.every(
    (e) => isRecord(e) && typeof e.id === "string" && typeof e.kind === "string" && typeof e.at === "string",
  );
const isTexts = (kept: unknown): kept is string[] =>
  Array.isArray(kept) && kept.every((one) => typeof one === "string");

/** What of a run does not change, as it was kept: as far as a list has to know it. `checkKeptRuns` looks at all of it. */
export function aboutIn(kept: unknown): About | null {
  if (!isRecord(kept) || !isRecord(kept.run)) return null;
  const { id, startsAt, plan } = kept.run;
  const isRun = typeof id === "string" && typeof startsAt === "string" && isRecord(plan);
  if (!isRun || typeof kept.clubId !== "string") return null;
  // What was kept before it was known who began it was begun here.
  return { ...(kept as unknown as About), begunHere: kept.begunHere !== false };
}

/** What was pressed in it, as it was kept. */
export function pressedIn(kept: unknown): Pressed | null {
  if (!isRecord(kept)) return null;
  const { events, created, recorded, refused, setAside = [], took = [] } = kept;
  const isPressed =
    isEvents(events) &&
    typeof created === "boolean" &&
    isTexts(recorded) &&
    (refused === null || typeof refused === "string") &&
    isEvents(setAside) &&
    isTexts(took);
  return isPressed ? { events, created, recorded, refused, setAside, took } : null;
}

/** What two tabs know of one run: everything that was pressed in either. */
export function merged(here: Pressed | undefined, there: Pressed): Pressed {
  if (!here) return there;
  const known = new Set(here.events.map((e) => e.id));
  const news = there.events.filter((e) => !known.has(e.id) && !here.setAside.some((a) => a.id === e.id));
  const { created, recorded, refused } = here;
  const setAside = [...new Map([...here.setAside, ...there.setAside].map((e) => [e.id, e])).values()];
  const away = new Set(setAside.map((e) => e.id));
  // The same list where nothing is away: what is computed from it is not computed anew.
  const events = away.size > 0 ? here.events.filter((e) => !away.has(e.id)) : here.events;
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
export const isUnsent = ({ created, events, recorded }: Pressed) =>
  created ? events.length > recorded.length : events.some((e) => e.kind === "begin");

/** From when on a run that is here is over, milliseconds since the epoch: asked with every press and tick. */
const overFrom = new WeakMap<readonly RunEvent[], number>();

/** Whether a run goes on: it was not ended, and something has been heard of it lately. */
export function isUnderWay({ run, events }: Pick<KeptRun, "run" | "events">): boolean {
  const until = overFrom.get(events) ?? runOverFrom(run.startsAt, events);
  overFrom.set(events, until);
  return timeNow() < until;
}

/** Whether another device runs it, and this one follows: it was begun there, or taken over there since. */
export function isFollowed({
  begunHere,
  took,
  events,
}: Pick<KeptRun, "begunHere" | "took" | "events">): boolean {
  const last = lastTake(events);
  return last ? !took.includes(last.id) : !begunHere;
}
