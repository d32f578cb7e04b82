import { hashKey, type QueryClient, useQueryClient } from "@tanstack/react-query";
import { type Start, type StartInput, startSchema } from "@tonodrome/core/api";
import { useEffect, useReducer, useRef } from "react";
import { ApiFailure } from "~/data/client/api";
import { useStable } from "~/ui/hooks/useStable";
import { useSaveStart } from "./starts";

/** How long after the last change it is saved by itself, and how long after no answer it is tried again, milliseconds. */
const PAUSE = 800;
const RETRY = 8000;

/** Some of a start as it is being edited. */
export interface StartDraft<T> {
  draft: T;
  change: (more: Partial<T>) => void;
  /** Whether what is seen is what the server has, in a word; or why not, in a sentence. */
  state: { words: string; failed: boolean };
  /** Saves at once what is not saved yet. */
  save: () => void;
}

/**
 * What was changed of each start and is not saved yet: a sheet that is closed and opened again goes on from it. Of one club
 * and person alone, as its cache is.
 */
const unsavedOf = new WeakMap<QueryClient, Map<string, Partial<StartInput>>>();

const isSame = (a: unknown, b: unknown) => hashKey([a]) === hashKey([b]);

/**
 * Edits some of a start: saved by itself a moment after the last change, and at once when one leaves. Only what was changed
 * is written, so that what others change of the same start stays; where both changed the same, it is said, and overwritten
 * only when that is asked for. What could not be saved stays in sight with the reason.
 * @param fieldsOf what of a start is edited
 */
export function useStartDraft<T extends Partial<StartInput>>(
  start: Start,
  fieldsOf: (start: Start) => T,
): StartDraft<T> {
  const save = useSaveStart();
  const client = useQueryClient();
  const unsaved = unsavedOf.get(client) ?? new Map<string, Partial<StartInput>>();
  unsavedOf.set(client, unsaved);
  const { id } = start;
  // What is unsaved is read where it is kept: another editor of this start may have saved it.
  const [, redraw] = useReducer((n: number) => n + 1, 0);
  const latest = useRef(start);
  if (start.version > latest.current.version) latest.current = start;
  const timer = useRef<ReturnType<typeof setTimeout>>(undefined);
  const isSending = useRef(false);

  const send = useStable(async () => {
    clearTimeout(timer.current);
    const changes = unsaved.get(id);
    if (!changes || isSending.current) return;
    isSending.current = true;
    const base = latest.current;
    try {
      latest.current = await save.mutateAsync({ start: base, changes });
      // What was changed meanwhile is next.
      if (unsaved.get(id) === changes) {
        unsaved.delete(id);
        redraw();
      }
    } catch (error) {
      // Tried again also when the sheet is closed by then.
      if (error instanceof ApiFailure && error.code === "unreachable")
        timer.current = setTimeout(() => void send(), RETRY);
      const theirs = error instanceof ApiFailure ? startSchema.safeParse(error.current).data : undefined;
      if (!theirs) return;
      latest.current = theirs;
      const mine = Object.keys(changes) as (keyof T)[];
      if (!mine.every((key) => isSame(fieldsOf(theirs)[key], fieldsOf(base)[key]))) return;
    } finally {
      isSending.current = false;
    }
    void send();
  });
  useEffect(() => () => void send(), [send]);

  return {
    draft: { ...fieldsOf(latest.current), ...(unsaved.get(id) as Partial<T> | undefined) },
    change: useStable((more: Partial<T>) => {
      const changes = { ...unsaved.get(id), ...more };
      unsaved.set(id, changes);
      redraw();
      clearTimeout(timer.current);
      timer.current = setTimeout(() => void send(), PAUSE);
    }),
    state: save.error
      ? { words: `Not saved. ${save.error.message}`, failed: true }
      : { words: unsaved.has(id) ? "Saving …" : "Saved", failed: false },
    save: () => void send(),
  };
}
