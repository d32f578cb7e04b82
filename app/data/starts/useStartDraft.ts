import { useQueryClient } from "@tanstack/react-query";
import type { Start, StartInput } from "@tonodrome/core/api";
import { useEffect, useRef } from "react";
import { useStore } from "zustand";
import { useMembership } from "~/data/account/useAccount";
import type { Failure } from "~/data/outbox/outbox";
import { useStable } from "~/ui/hooks/useStable";
import { putStart } from "./startCache";
import { editStart, saveStartEdit, startEdits, whenSaved } from "./startEdits";

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
 * Edits some of a start: saved by itself a moment after the last change, and at once when one leaves. Only what was changed
 * is written, so that what others change of the same start stays; where both changed the same, it is said, and overwritten
 * only when that is asked for. What could not be saved stays on this device, in sight with the reason.
 * @param fieldsOf what of a start is edited
 */
export function useStartDraft<T extends Partial<StartInput>>(
  start: Start,
  fieldsOf: (start: Start) => T,
): StartDraft<T> {
  const client = useQueryClient();
  const { id: clubId } = useMembership();
  const { id } = start;
  const latest = useRef(start);
  if (start.version > latest.current.version) latest.current = start;
  const edit = useStore(startEdits.store, () => startEdits.get(id));
  const failure = useStore(startEdits.store, ({ failures }) => failures.get(id) ?? null);
  const link = useStore(startEdits.store, (box) => box.link);
  useEffect(
    () =>
      whenSaved((saved) => {
        if (saved.id === id && saved.version > latest.current.version) latest.current = saved;
        putStart(client, saved);
      }),
    [client, id],
  );
  useEffect(() => () => void startEdits.sendNow(id), [id]);
  return {
    draft: { ...fieldsOf(latest.current), ...(edit?.changes as Partial<T> | undefined) },
    change: useStable((more: Partial<T>) => editStart(clubId, latest.current, more)),
    state: stateOf(edit !== null, failure, link === "unreachable"),
    save: () => void saveStartEdit(id),
  };
}

/** What is said of an edit. Without a connection nothing has to be done about it. */
function stateOf(isEdited: boolean, failure: Failure | null, isAlone: boolean): StartDraft<never>["state"] {
  if (!failure) return { words: isEdited ? "Saving …" : "Saved", failed: false };
  if (isAlone && !failure.isFinal)
    return { words: "Kept on this device, and saved as soon as the server answers.", failed: false };
  return { words: `Not saved. ${failure.sentence}`, failed: true };
}
