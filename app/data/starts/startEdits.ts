import { hashKey } from "@tanstack/query-core";
import type { Start, StartInput } from "@tonodrome/core/api";
import { ApiFailure, ask, bodyOf } from "~/data/client/api";
import { isRecord } from "~/data/device/storage";
import { makeListeners } from "~/data/listeners/listeners";
import { makeOutbox } from "~/data/outbox/outbox";

/*
 * What is edited of a start: kept on this device until the server has it. Only what was changed is written, so that what
 * others change of the same start stays.
 */

/** How long after the last change a start is saved by itself, and how long after no answer it is tried again, milliseconds. */
const PAUSE_MS = 800;
const RETRY = 8_000;

/** What was changed of a start and is not on the server. */
export interface StartEdit {
  clubId: string;
  /** The start as it was when that was begun. */
  base: Start;
  changes: Partial<StartInput>;
  /** What somebody else made of the same meanwhile; it is written over only when that is asked for. */
  theirs?: Start;
}

const isSame = (a: unknown, b: unknown) => hashKey([a]) === hashKey([b]);

/** Everything of a start that is edited. */
function fieldsOf({ athlete, ...start }: Start): Partial<StartInput> {
  const { title, venue, zone, startsAt, readyAt, listedAt, eventId, setting } = start;
  return { title, venue, zone, startsAt, readyAt, listedAt, eventId, setting, athleteId: athlete.id };
}

/** The body that changes some of a start and leaves the rest as it was read. */
export const startBody = (start: Start, changes: Partial<StartInput>) =>
  bodyOf("startWrite", { ...start, athleteId: start.athlete.id, ...changes });

function read(kept: unknown): StartEdit | null {
  const isEdit =
    isRecord(kept) && typeof kept.clubId === "string" && isRecord(kept.base) && isRecord(kept.changes);
  return isEdit ? (kept as unknown as StartEdit) : null;
}

const landed = makeListeners<[start: Start]>();
const { tell } = landed;

/** Tells how a start stands, whoever saved it. */
export const whenSaved = landed.add;

async function send(sent: StartEdit, id: string): Promise<unknown> {
  const { clubId, base, changes } = sent;
  const mine = Object.keys(changes) as (keyof StartInput)[];
  /** What was changed meanwhile is next, upon what there is now. */
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

/** Edits of starts that the server does not have, by the start's id. */
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

/** Changes some of a start: with the next edit what somebody else made of the same is written over. */
export function editStart(clubId: string, start: Start, more: Partial<StartInput>): void {
  startEdits.change(start.id, (now) => {
    const edit = now ? upon(now) : { clubId, base: start, changes: {} };
    const base = start.version > edit.base.version && !now ? start : edit.base;
    return { ...edit, base, changes: { ...edit.changes, ...more } };
  });
}

/** Saves what was changed of a start at once, also over what somebody else made of the same. */
export async function saveStartEdit(id: string): Promise<void> {
  startEdits.change(id, (now) => now && upon(now), { quietly: true });
  await startEdits.again(id);
}
