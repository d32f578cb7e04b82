import { hashKey } from "@tanstack/query-core";
import type { Start, StartInput } from "@tonodrome/core/api";
import { ApiFailure, ask, bodyOf } from "~/data/client/api";
import { isRecord } from "~/data/device/storage";
import { makeListeners } from "~/data/listeners/listeners";
import { makeOutbox } from "~/data/outbox/outbox";

/*
 * Edits of starts, stored on this device until the server has them. Only the changed fields are written, so that changes of
 * others stay.
 */

/** How long after the last change a start is saved by itself, and how long after no answer it is tried again, milliseconds. */
const PAUSE_MS = 800;
const RETRY = 8_000;

/** The fields of a start that were changed and are not on the server. */
export interface StartEdit {
  clubId: string;
  /** The start as it was when the edit began. */
  base: Start;
  changes: Partial<StartInput>;
  /** What somebody else made of the same fields; it is written over only when the user says so. */
  theirs?: Start;
}

const isSame = (a: unknown, b: unknown) => hashKey([a]) === hashKey([b]);

/** Every field of a start that can be edited. */
function fieldsOf({ athlete, ...start }: Start): Partial<StartInput> {
  const { title, venue, zone, startsAt, readyAt, listedAt, eventId, setting } = start;
  return { title, venue, zone, startsAt, readyAt, listedAt, eventId, setting, athleteId: athlete.id };
}

/** Returns the body of a write that changes some fields of a start and leaves the others as they were read. */
export const startBody = (start: Start, changes: Partial<StartInput>) =>
  bodyOf("startWrite", { ...start, athleteId: start.athlete.id, ...changes });

function read(kept: unknown): StartEdit | null {
  const isEdit =
    isRecord(kept) && typeof kept.clubId === "string" && isRecord(kept.base) && isRecord(kept.changes);
  return isEdit ? (kept as unknown as StartEdit) : null;
}

const landed = makeListeners<[start: Start]>();
const { tell } = landed;

/** Listens to starts as they are after a save by anybody. */
export const whenSaved = landed.add;

async function send(sent: StartEdit, id: string): Promise<unknown> {
  const { clubId, base, changes } = sent;
  const mine = Object.keys(changes) as (keyof StartInput)[];
  /** Sends next what was changed meanwhile, upon the start as it is now. */
  const next = (now: StartEdit | null, start: Start): StartEdit | null => {
    const left = Object.entries(now?.changes ?? {}).filter(
      ([field, value]) => !(field in changes) || !isSame(value, changes[field as keyof StartInput]),
    );
    return left.length > 0 ? { clubId, base: start, changes: Object.fromEntries(left) } : null;
  };
  try {
    const start = await ask("start", "PUT", `/clubs/${clubId}/starts/${id}`, await startBody(base, changes));
    tell(start);
    startEdits.change(id, (now) => next(now, start));
  } catch (error) {
    const isLate =
      error instanceof ApiFailure && error.code === "version_conflict" && isRecord(error.current);
    if (!isLate) throw error;
    const theirs = error.current as unknown as Start;
    tell(theirs);
    const [now, before] = [fieldsOf(theirs), fieldsOf(base)];
    const isApart = mine.every((field) => isSame(now[field], before[field]));
    startEdits.change(id, (edit) => edit && (isApart ? { ...edit, base: theirs } : { ...edit, theirs }), {
      quietly: !isApart,
    });
    if (!isApart) throw error;
    return "again";
  }
}

/** Edits that the server does not have, by the start's id. */
export const startEdits = makeOutbox<StartEdit>({
  prefix: "draft:start-",
  read,
  merge: (here, there) => ({ ...there, changes: { ...there.changes, ...here.changes } }),
  isUnsent: () => true,
  mayGo: ({ theirs }) => theirs === undefined,
  clubOf: ({ clubId }) => clubId,
  send,
  pause: PAUSE_MS,
  retry: RETRY,
  words: (count) => (count === 1 ? "1 edited start" : `${count} edited starts`),
});

const upon = ({ theirs, ...edit }: StartEdit): StartEdit => ({ ...edit, base: theirs ?? edit.base });

/** Changes some fields of a start. The next edit writes over what somebody else made of the same fields. */
export function editStart(clubId: string, start: Start, more: Partial<StartInput>): void {
  startEdits.change(start.id, (now) => {
    const edit = now ? upon(now) : { clubId, base: start, changes: {} };
    const base = start.version > edit.base.version && !now ? start : edit.base;
    return { ...edit, base, changes: { ...edit.changes, ...more } };
  });
}

/** Saves the changes of a start at once, also over what somebody else made of the same fields. */
export async function saveStartEdit(id: string): Promise<void> {
  startEdits.change(id, (now) => now && upon(now), { quietly: true });
  await startEdits.again(id);
}
