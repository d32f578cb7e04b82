import type { RunEvent } from "@tonodrome/core";
import type { Start } from "@tonodrome/core/api";
import { v4 as uuid } from "uuid";
import { ApiFailure } from "~/data/client/api";
import { timeNow } from "~/data/client/clock";
import type { ClubAsk } from "~/data/queries/clubAsk";
import { moves } from "~/data/starts/moves";
import type { HeardMove, KeptRun } from "./keptRun";
import { adoptPresses, adoptRun } from "./press";
import { get, hearMove } from "./store";

/*
 * Follows a run and its start. Presses of other phones are read from the last known one on. The start's own row says when it is;
 * a device that hears of a move records nothing.
 */

/** Where the last press that was read stands in the log, by run. */
const read = new Map<string, number>();

/** Reads the new presses of a run; all of a run that is not here. @throws ApiFailure */
export async function readRun(ask: ClubAsk, id: string): Promise<void> {
  const kept = get(id);
  if (!kept) return adoptRun(await ask("run", "GET", `/runs/${id}`));
  // The server does not have the run yet.
  if (!kept.created) return;
  try {
    for (let isMore = true; isMore; ) {
      const { events, last, more } = await ask(
        "newPresses",
        "GET",
        `/runs/${id}/events?after=${read.get(id) ?? 0}`,
      );
      adoptPresses(id, events);
      read.set(id, last);
      isMore = more;
    }
  } catch (error) {
    // An old server, while a new one takes over, does not know the question: read the whole run.
    if (!(error instanceof ApiFailure) || error.code !== "not_found") throw error;
    adoptRun(await ask("run", "GET", `/runs/${id}`));
  }
}

const timeOf = ({ at }: Pick<RunEvent, "at">) => Date.parse(at);

/** Returns the latest move in a run's log. */
export const lastMove = (events: readonly RunEvent[]): HeardMove | null =>
  events.reduce<HeardMove | null>(
    (last, e) => (e.kind === "start-moved" && (!last || timeOf(e) >= timeOf(last)) ? e : last),
    null,
  );

/**
 * Returns where a run's start is now, if its log does not say so yet: as it is being moved on this device, or else as the start
 * was read, unless the log has a later move.
 * @param start as it was read last; undefined where it was not
 * @param readAt when it was read, milliseconds since the epoch by this device's clock; long ago for a stored one
 * @returns null where the log is right
 */
export function heardMove(
  { run, events, heard = null }: Pick<KeptRun, "run" | "events" | "heard">,
  start: Pick<Start, "startsAt"> | undefined,
  readAt: number,
): HeardMove | null {
  if (run.plan.kind === "cool-down") return null;
  const logged = lastMove(events);
  const move = run.startId ? moves.get(run.startId) : null;
  if (move) {
    if (events.some((e) => e.id === move.id)) return null;
    const { id, at, startsAt } = move;
    const isSame = heard?.id === id && heard.startsAt === startsAt;
    return isSame ? heard : { id, at, startsAt, kind: "start-moved" };
  }
  const known = logged?.startsAt ?? run.plan.startsAt;
  const isNews =
    start !== undefined &&
    Date.parse(start.startsAt) !== Date.parse(known) &&
    (logged === null || readAt > timeOf(logged));
  if (!isNews) return null;
  // Since it was first heard of: later presses were made in the knowledge of it.
  if (heard && Date.parse(heard.startsAt) === Date.parse(start.startsAt)) return heard;
  return { id: uuid(), at: new Date(timeNow()).toISOString(), startsAt: start.startsAt, kind: "start-moved" };
}

/** Makes a run go by where its start is, as `heardMove` says. */
export function followStart(id: string, start: Pick<Start, "startsAt"> | undefined, readAt: number): void {
  const kept = get(id);
  if (kept) hearMove(id, heardMove(kept, start, readAt));
}
