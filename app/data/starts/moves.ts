import { movedStart, type Start } from "@tonodrome/core/api";
import { v4 as uuid } from "uuid";
import { createStore } from "zustand/vanilla";
import { ApiFailure, ask } from "~/data/client/api";
import { timeNow } from "~/data/client/clock";
import { isRecord } from "~/data/device/storage";
import { makeListeners } from "~/data/listeners/listeners";
import { makeOutbox } from "~/data/outbox/outbox";

/*
 * Moving a start. Its own row is the truth of when it is, and a move is made in one place: here, by whoever pressed. It counts
 * on this device at once, presses add up, and they are sent as one. Whoever hears of it records nothing: the log of a run
 * learns of it from the server, once.
 */

/** So long after the last press a move is sent, and after no answer again, milliseconds. */
const PAUSE_MS = 500;
const RETRY = 3_000;

/** Sent without an answer, so many are remembered. Custom. */
const MOST_TRIED = 20;

/** A start that is being moved. */
export interface Move {
  clubId: string;
  /** The press: under this id it stands in the log of a run. */
  id: string;
  /** When it was pressed, ISO 8601. */
  at: string;
  /** The version of the start that it was made from, null where that is not known, and where the start was by it. */
  version: number | null;
  from: string;
  startsAt: string;
  /** Where sending it put the start, perhaps: no answer came. */
  tried?: string[];
  /** When the athlete is ready, where a move is taken back. */
  readyAt?: string;
  /** Told by a stand-in. */
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

/** Tells how a start stands after a move, whoever moved it. */
export const whenMoved = landed.add;

/** Why a move does not count, by start: somebody else had moved it meanwhile. */
export const notMoved = createStore<ReadonlyMap<string, string>>(() => new Map());

function say(startId: string, sentence: string | null): void {
  const next = new Map(notMoved.getState());
  if (sentence === null && !next.has(startId)) return;
  if (sentence === null) next.delete(startId);
  else next.set(startId, sentence);
  notMoved.setState(next, true);
}

/** Refusals by which a move is none: it is where it was. */
const REFUSED: ReadonlySet<string> = new Set(["forbidden", "not_found", "invalid_input"]);

const sameTime = (a: string, b: string) => Date.parse(a) === Date.parse(b);

async function send(sent: Move, startId: string): Promise<unknown> {
  const { clubId, id, from, startsAt, readyAt, simulated } = sent;
  const path = `/clubs/${clubId}/starts/${startId}`;
  /** What was pressed meanwhile is next, from where it stands now. */
  const goOn = (start: Start) => {
    tell(start);
    moves.change(startId, (now) => {
      if (!now || sameTime(now.startsAt, start.startsAt)) return null;
      const next = { id: now.id === id ? uuid() : now.id, version: start.version, from: start.startsAt };
      return { ...now, ...next, tried: [] };
    });
  };
  const tried = [...new Set([...(sent.tried ?? []), startsAt])].slice(-MOST_TRIED);
  /** Where none of its presses put it. */
  const isElsewhere = (start: Start) => ![from, ...tried].some((at) => sameTime(start.startsAt, at));
  /** Somebody else was quicker: where they moved it is where it is. */
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
    // Something else of it was changed: it is where it was, and the move holds.
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
 * Moves a start. Presses that are not sent yet add up: each is made from where the start stands here.
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
    // The server may have the earlier press by its id, where no answer came.
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

/** A start where it stands by what was moved here and is not on the server yet. */
export function withMove<S extends Pick<Start, "id" | "startsAt" | "readyAt">>(start: S): S {
  const move = moves.get(start.id);
  if (!move || sameTime(move.startsAt, start.startsAt)) return start;
  const { readyAt } = move;
  return { ...start, ...movedStart({ readyAt: readyAt ?? start.readyAt }, Date.parse(move.startsAt)) };
}
