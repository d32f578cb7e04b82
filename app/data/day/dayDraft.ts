import { hashKey } from "@tanstack/react-query";
import { type Day, daySchema } from "@tonodrome/core/api";
import type { DayStep } from "@tonodrome/core/day";
import { useEffect, useRef, useState } from "react";
import { ApiFailure } from "~/data/client/api";
import { forget, keep, readKept } from "~/data/device/storage";
import { type EditHistory, edited, noHistory, redone, undone } from "~/data/plan/editHistory";
import { useKnownDay, useSaveDay } from "~/data/resources/days";
import { useStable } from "~/ui/hooks/useStable";

/** How long after the last edit it is saved by itself, and how long after a failure it is tried again, milliseconds. */
const PAUSE = 1200;
const RETRY = 8000;

type Steps = readonly DayStep[] | null;

/** A start's day as it is being edited. */
export interface DayDraft {
  /** Null where it is the usual one. */
  steps: Steps;
  dirty: boolean;
  saving: boolean;
  /** Why it could not be saved, in a sentence. */
  failure: string | null;
  /** What somebody else saved meanwhile; null when nobody did. */
  conflict: { theirs: Day; by: string | null } | null;
  edit: (steps: Steps) => void;
  undo: (() => void) | null;
  redo: (() => void) | null;
  save: () => Promise<void>;
  keepMine: () => Promise<void>;
  takeTheirs: () => void;
}

const isSame = (a: Steps, b: Steps) => hashKey([a]) === hashKey([b]);

/**
 * Edits the day of a start: saved by itself a moment after the last edit and at once when one leaves, and kept on this
 * device until the server has it. What somebody else saved meanwhile is never written over unasked.
 * @param read as it was read last
 */
export function useDayDraft(startId: string, read: Day): DayDraft {
  const key = `draft:day-${startId}`;
  const [draft, setDraft] = useState<Day | null>(() =>
    readKept(key, (kept) => daySchema.safeParse(kept).data),
  );
  const [history, setHistory] = useState<EditHistory<Steps>>(noHistory);
  const [failure, setFailure] = useState<string | null>(null);
  const [conflict, setConflict] = useState<DayDraft["conflict"]>(null);
  const save = useSaveDay(startId);
  const known = useKnownDay(startId);
  const newest = useRef(draft);
  const isSending = useRef(false);
  /** What was saved here, before it has come round through the cache. */
  const landed = useRef<Day | null>(null);
  const day = landed.current && landed.current.version > read.version ? landed.current : read;
  const steps = draft ? draft.steps : day.steps;
  // What others saved is no edit of one's own to take back.
  const ours = useRef(day.version);
  useEffect(() => {
    if (day.version === ours.current || newest.current) return;
    ours.current = day.version;
    setHistory(noHistory);
  }, [day.version]);

  const put = (next: Day | null) => {
    newest.current = next;
    setDraft(next);
    if (next) keep(key, next);
    else forget(key);
  };
  const write = (next: Steps) =>
    put({ version: newest.current?.version ?? day.version, steps: next && [...next] });

  const send = useStable(async () => {
    const sent = newest.current;
    if (!sent || isSending.current) return;
    isSending.current = true;
    setFailure(null);
    try {
      settle(await save.mutateAsync(sent), sent.steps);
    } catch (error) {
      const theirs = error instanceof ApiFailure ? daySchema.safeParse(error.current).data : undefined;
      if (!theirs) setFailure((error as Error).message);
      // The answer to what was sent before was lost: what stands is one's own.
      else if (isSame(theirs.steps, sent.steps)) settle(theirs, sent.steps);
      else setConflict({ theirs, by: error instanceof ApiFailure ? error.by : null });
    } finally {
      isSending.current = false;
    }
  });
  /** The server has it. What was edited meanwhile is next. */
  function settle(saved: Day, sent: Steps): void {
    landed.current = saved;
    ours.current = saved.version;
    known(saved);
    const later = newest.current;
    put(later && !isSame(later.steps, sent) ? { version: saved.version, steps: later.steps } : null);
  }

  const waits = draft !== null && conflict === null && !save.isPending;
  // biome-ignore lint/correctness/useExhaustiveDependencies: every edit begins the pause anew
  useEffect(() => {
    if (!waits) return;
    const timer = setTimeout(() => void send(), failure === null ? PAUSE : RETRY);
    return () => clearTimeout(timer);
  }, [waits, draft, failure, send]);
  const mayFlush = useRef(false);
  mayFlush.current = conflict === null;
  useEffect(
    () => () => {
      if (mayFlush.current) void send();
    },
    [send],
  );

  const step = (way: typeof undone<Steps>) => {
    const moved = way(history, steps);
    if (!moved) return null;
    return () => {
      setHistory(moved.history);
      write(moved.now);
    };
  };

  return {
    steps,
    dirty: draft !== null,
    saving: save.isPending,
    failure,
    conflict,
    edit: useStable((next: Steps) => {
      if (next === steps) return;
      setHistory((h) => edited(h, steps));
      write(next);
    }),
    undo: step(undone),
    redo: step(redone),
    save: send,
    keepMine: async () => {
      if (!conflict || !newest.current) return;
      put({ version: conflict.theirs.version, steps: newest.current.steps });
      setConflict(null);
      await send();
    },
    takeTheirs: () => {
      if (!conflict) return;
      landed.current = conflict.theirs;
      known(conflict.theirs);
      put(null);
      setHistory(noHistory);
      setConflict(null);
    },
  };
}
