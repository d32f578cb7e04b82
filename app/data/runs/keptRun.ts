import { lastTake, type RunEvent, runOverFrom } from "@tonodrome/core";
import type { Run } from "@tonodrome/core/api";
import { timeNow } from "~/data/client/clock";
import { isRecord } from "~/data/device/storage";

/** The part of a run that does not change. */
export interface About {
  /** The club it belongs to. */
  clubId: string;
  /** Its owner; unknown for a run that was read from the server. */
  athleteId?: string | null;
  /** Whether it was begun on this device. */
  begunHere: boolean;
  run: Omit<Run, "events">;
}

/** The presses, and which of them the server has. Stored apart, so that a press writes little. */
export interface Pressed {
  events: RunEvent[];
  /** Whether the server has the run itself. */
  created: boolean;
  /** Ids of the events that the server has confirmed. */
  recorded: string[];
  /** The server's words when it refused this run for good; null otherwise. */
  refused: string | null;
  /** Presses that the server refused for good: kept, and not counted. */
  setAside: RunEvent[];
  /** The presses by which this device took the run over. */
  took: string[];
}

/** A run as it is on this device. */
export type KeptRun = About &
  Pressed & {
    /** Where its start is now, if the log does not say so yet; null where the log is right. */
    heard?: HeardMove | null;
  };

/** A move of the start that a run goes by before it is in the log. */
export type HeardMove = Extract<RunEvent, { kind: "start-moved" }>;

const isEvents = (kept: unknown): kept is RunEvent[] =>
  Array.isArray(kept) &&
  kept.every(
    (e) => isRecord(e) && typeof e.id === "string" && typeof e.kind === "string" && typeof e.at === "string",
  );
const isTexts = (kept: unknown): kept is string[] =>
  Array.isArray(kept) && kept.every((one) => typeof one === "string");

/** Reads the part that does not change, as far as a list needs it. `checkKeptRuns` checks all of it. */
export function aboutIn(kept: unknown): About | null {
  if (!isRecord(kept) || !isRecord(kept.run)) return null;
  const { id, startsAt, plan } = kept.run;
  const isRun = typeof id === "string" && typeof startsAt === "string" && isRecord(plan);
  if (!isRun || typeof kept.clubId !== "string") return null;
  // Stored by a version that did not note who began it: it was begun here.
  return { ...(kept as unknown as About), begunHere: kept.begunHere !== false };
}

/** Reads its stored presses. */
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

/** Merges what two tabs know of one run: every press of either. */
export function merged(here: Pressed | undefined, there: Pressed): Pressed {
  if (!here) return there;
  const known = new Set(here.events.map((e) => e.id));
  const news = there.events.filter((e) => !known.has(e.id) && !here.setAside.some((a) => a.id === e.id));
  const { created, recorded, refused } = here;
  const setAside = [...new Map([...here.setAside, ...there.setAside].map((e) => [e.id, e])).values()];
  const away = new Set(setAside.map((e) => e.id));
  // The same list if nothing is missing: what is computed from it is not computed again.
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
 * Returns whether the server lacks part of a run. A run that was opened and never begun is not sent, whatever was noted of its
 * start or the clock.
 */
export const isUnsent = ({ created, events, recorded }: Pressed) =>
  created ? events.length > recorded.length : events.some((e) => e.kind === "begin");

/** Returns when a run on this device is over, milliseconds since the epoch. Asked with every press and tick. */
const overFrom = new WeakMap<readonly RunEvent[], number>();

/** Returns whether a run goes on: it was not ended, and there was a press lately. */
export function isUnderWay({ run, events }: Pick<KeptRun, "run" | "events">): boolean {
  const until = overFrom.get(events) ?? runOverFrom(run.startsAt, events);
  overFrom.set(events, until);
  return timeNow() < until;
}

/** Returns whether this device follows: another one began the run or took it over. */
export function isFollowed({
  begunHere,
  took,
  events,
}: Pick<KeptRun, "begunHere" | "took" | "events">): boolean {
  const last = lastTake(events);
  return last ? !took.includes(last.id) : !begunHere;
}
