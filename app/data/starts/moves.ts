import { movedStart, type Start } from "@tonodrome/core/api";
import { v4 as uuid } from "uuid";
import { createStore } from "zustand/vanilla";
import { ApiFailure, ask } from "~/data/client/api";
import { timeNow } from "~/data/client/clock";
import { isRecord } from "~/data/device/storage";
import { makeListeners } from "~/data/listeners/listeners";
import { makeOutbox } from "~/data/outbox/outbox";

/*
 * Moves a start. The start's row is the truth, and a move is made in one place: here, on the device where it was pressed. It
 * counts at once on this device; presses add up and are sent as one. A device that hears of it records nothing: the log of a run
 * learns of it from the server, once.
 */

/** How long after the last press a move is sent, and how long after no answer it is sent again, milliseconds. */
const PAUSE_MS = 500;
const RETRY = 3_000;

/** How many tries without an answer are remembered. Custom. */
const MOST_TRIED = 20;

/** A start that is being moved. */
export interface Move {
  clubId: string;
  /** The id of the press, also in the log of a run. */
  id: string;
  /** When it was pressed, ISO 8601. */
  at: string;
  /** The version of the start that it was made from, null where it is unknown, and where the start was in that version. */
  version: number | null;
  from: string;
  startsAt: string;
  /** Where tries without an answer may have put the start. */
  tried?: string[];
  /** When the athlete is ready; given where a move is taken back. */
  readyAt?: string;
  /** Made by a simulated source. */
  simulated?: true;
}

function read(kept: unknown): Move | null {
  const isMove =
    isRecord(kept) &&
    [kept.clubId, kept.id, kept.at, kept.from, kept.startsAt].every((text) => typeof text === "string") &&
    (kept.tried === undefined || Array.isArray(kept.tried)) &&
    (kept.version === null || typeof kept.version === "number");
  return isMove ? (kept as unknown as Move) : null;
}

const landed = makeListeners<[start: Start]>();
const { tell } = landed;

/** Listens to starts as they are after a move by anybody. */
export const whenMoved = landed.add;

/** Why a move does not count, by start: somebody else moved it meanwhile. */
export const notMoved = createStore<ReadonlyMap<string, string>>(() => new Map());

function say(startId: string, sentence: string | null): void {
  const next = new Map(notMoved.getState());
  if (sentence === null && !next.has(startId)) return;
  if (sentence === null) next.delete(startId);
  else next.set(startId, sentence);
  notMoved.setState(next, true);
}

/** Refusals after which the start is where it was. */
const REFUSED: ReadonlySet<string> = new Set(["forbidden", "not_found", "invalid_input"]);

const sameTime = (a: string, b: string) => Date.parse(a) === Date.parse(b);

async function send(sent: Move, startId: string): Promise<unknown> {
  const { clubId, id, from, startsAt, readyAt, simulated } = sent;
  const path = `/clubs/${clubId}/starts/${startId}`;
  /** Sends next what was pressed meanwhile, from where the start is now. */
  const goOn = (start: Start) => {
    tell(start);
    moves.change(startId, (now) => {
      if (!now || sameTime(now.startsAt, start.startsAt)) return null;
      const next = { id: now.id === id ? uuid() : now.id, version: start.version, from: start.startsAt };
      return { ...now, ...next, tried: [] };
    });
  };
  const tried = [...new Set([...(sent.tried ?? []), startsAt])].slice(-MOST_TRIED);
  /** Returns whether the start is where none of these presses put it. */
  const isElsewhere = (start: Start) => ![from, ...tried].some((at) => sameTime(start.startsAt, at));
  /** Somebody else was quicker: their move counts. */
  const giveWay = (start: Start, by: string | null) => {
    tell(start);
    moves.change(startId, () => null);
    say(startId, `Not moved. ${by ?? "Somebody else"} moved it meanwhile.`);
  };
  let { version } = sent;
  if (version === null) {
    const start = await ask("start", "GET", path);
    if (isElsewhere(start)) return giveWay(start, null);
    version = start.version;
  }
  moves.change(startId, (now) => now && { ...now, tried }, { quietly: true });
  try {
    const more = { ...(readyAt ? { readyAt } : {}), ...(simulated ? { simulated } : {}) };
    goOn(await ask("start", "POST", `${path}/move`, { version, startsAt, id, ...more }));
  } catch (error) {
    if (!(error instanceof ApiFailure)) throw error;
    if (REFUSED.has(error.code)) {
      moves.change(startId, () => null);
      return say(startId, `Not moved. ${error.message}`);
    }
    if (error.code !== "version_conflict" || !isRecord(error.current)) throw error;
    const start = error.current as unknown as Start;
    // Something else of the start was changed: the move still counts.
    if (isElsewhere(start)) return giveWay(start, error.by);
    goOn(start);
    return "again";
  }
}

/** Moves that the server does not have, by start. */
export const moves = makeOutbox<Move>({
  prefix: "move:",
  read,
  merge: (here) => here,
  isUnsent: () => true,
  clubOf: ({ clubId }) => clubId,
  send,
  pause: PAUSE_MS,
  retry: RETRY,
  words: (count) => (count === 1 ? "1 moved start" : `${count} moved starts`),
});

/** Where a start is moved from. */
export type Movable = Pick<Start, "id" | "startsAt"> & { version: number | null };

/**
 * Moves a start. Presses that are not sent yet add up: each counts from where the start is on this device.
 * @param to ISO 8601
 */
export function moveStart(
  clubId: string,
  { id, version, startsAt }: Movable,
  to: string,
  more: Pick<Move, "readyAt" | "simulated"> = {},
): void {
  say(id, null);
  moves.change(id, (now) => {
    const from = now ?? { version, from: startsAt };
    // Without an answer the server may have the earlier press under its id.
    const isUnheard = now && !now.tried?.length && !moves.isSending(id);
    const { readyAt, simulated } = more;
    return {
      ...{ clubId, id: isUnheard ? now.id : uuid(), at: new Date(timeNow()).toISOString() },
      ...{ version: from.version, from: from.from, startsAt: to, tried: now?.tried ?? [] },
      ...(readyAt ? { readyAt } : {}),
      ...(simulated ? { simulated } : {}),
    };
  });
}

/** Returns a start with the moves made here that the server does not have yet. */
export function withMove<S extends Pick<Start, "id" | "startsAt" | "readyAt">>(start: S): S {
  const move = moves.get(start.id);
  if (!move || sameTime(move.startsAt, start.startsAt)) return start;
  const { readyAt } = move;
  return { ...start, ...movedStart({ readyAt: readyAt ?? start.readyAt }, Date.parse(move.startsAt)) };
}
