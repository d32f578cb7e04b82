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
 * Following a run and its start. What other phones press is asked for from the last press that is known on; where the start is,
 * the start itself says. Whoever hears of a move records nothing.
 */

/** The place of the last press that was read of each run. */
const read = new Map<string, number>();

/** Reads what came to a run since it was read last; of one that is not here all of it. @throws ApiFailure */
export async function readRun(ask: ClubAsk, id: string): Promise<void> {
  const kept = get(id);
  if (!kept) return adoptRun(await ask("run", "GET", `/runs/${id}`));
  // The server has nothing of it yet.
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
    // A server that does not know of it, while a new one takes over: the whole of it then.
    if (!(error instanceof ApiFailure) || error.code !== "not_found") throw error;
    adoptRun(await ask("run", "GET", `/runs/${id}`));
  }
}

const timeOf = ({ at }: Pick<RunEvent, "at">) => Date.parse(at);

/** The latest move in a run's log. */
export const lastMove = (events: readonly RunEvent[]): HeardMove | null =>
  events.reduce<HeardMove | null>(
    (last, e) => (e.kind === "start-moved" && (!last || timeOf(e) >= timeOf(last)) ? e : last),
    null,
  );

/**
 * Where a run's start is by now, as far as its log does not have it: as it is being moved on this device, or else as the start
 * itself was read, unless the log has learned of a move since.
 * @param start as it was read last; undefined where it was not
 * @param readAt when that was, milliseconds since the epoch by this device's clock; long ago for what was only kept
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
  // From when it was first heard of: what is pressed after it is pressed in the knowledge of it.
  if (heard && Date.parse(heard.startsAt) === Date.parse(start.startsAt)) return heard;
  return { id: uuid(), at: new Date(timeNow()).toISOString(), startsAt: start.startsAt, kind: "start-moved" };
}

/** Has a run go by where its start is, as `heardMove` says. */
export function followStart(id: string, start: Pick<Start, "startsAt"> | undefined, readAt: number): void {
  const kept = get(id);
  if (kept) hearMove(id, heardMove(kept, start, readAt));
}
