import type { Start, StartInput } from "@tonodrome/core/api";
import { useEffect, useRef, useState } from "react";
import { useStable } from "~/ui/hooks/useStable";
import { useSaveStart } from "./starts";

/** How long after the last change it is saved by itself, milliseconds. */
const PAUSE = 800;

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
 * Edits some of a start: saved by itself a moment after the last change, and at once when one leaves. What could not be
 * saved stays in sight with the reason, and is saved with the next change, or when that is asked for.
 * @param first what is edited, as it is when it is opened
 */
export function useStartDraft<T extends Partial<StartInput>>(start: Start, first: T): StartDraft<T> {
  const save = useSaveStart();
  const [draft, setDraft] = useState(first);
  /** What the server does not have yet; null for nothing. */
  const unsaved = useRef<T | null>(null);
  const latest = useRef(start);
  if (start.version > latest.current.version) latest.current = start;
  const timer = useRef<ReturnType<typeof setTimeout>>(undefined);
  const isSending = useRef(false);

  const send = useStable(() => {
    clearTimeout(timer.current);
    const changes = unsaved.current;
    if (changes === null || isSending.current) return;
    unsaved.current = null;
    isSending.current = true;
    save
      .mutateAsync({ start: latest.current, changes })
      .then((saved) => {
        latest.current = saved;
        isSending.current = false;
        // What was changed meanwhile is next.
        if (unsaved.current !== null) send();
      })
      .catch(() => {
        unsaved.current ??= changes;
        isSending.current = false;
      });
  });
  useEffect(() => () => send(), [send]);

  return {
    draft,
    change: useStable((more: Partial<T>) => {
      const next = { ...draft, ...more };
      setDraft(next);
      unsaved.current = next;
      clearTimeout(timer.current);
      timer.current = setTimeout(send, PAUSE);
    }),
    state: save.error
      ? { words: `Not saved. ${save.error.message}`, failed: true }
      : { words: unsaved.current !== null || save.isPending ? "Saving …" : "Saved", failed: false },
    save: send,
  };
}
