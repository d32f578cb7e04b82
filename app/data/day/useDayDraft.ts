import { hashKey, useQueryClient } from "@tanstack/react-query";
import type { Day } from "@tonodrome/core/api";
import { useEffect, useRef, useState } from "react";
import { useStore } from "zustand";
import { useMembership } from "~/data/account/useAccount";
import { type EditHistory, edited, noHistory, redone, undone } from "~/data/plan/editHistory";
import { useStable } from "~/ui/hooks/useStable";
import { dayDrafts, type Steps } from "./dayDraft";

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
  save: () => Promise<boolean>;
  keepMine: () => Promise<boolean>;
  takeTheirs: () => void;
}

const isSame = (a: Steps, b: Steps) => hashKey([a]) === hashKey([b]);

/**
 * Edits the day of a start: saved by itself a moment after the last edit and at once when one leaves, and kept on this
 * device until the server has it. What somebody else saved meanwhile is never written over unasked.
 * @param read as it was read last
 */
export function useDayDraft(startId: string, read: Day): DayDraft {
  const client = useQueryClient();
  const { id: clubId } = useMembership();
  const draft = useStore(dayDrafts.box.store, () => dayDrafts.get(startId));
  const failure = useStore(dayDrafts.box.store, ({ failures }) => failures.get(startId)?.sentence ?? null);
  const saving = useStore(dayDrafts.box.store, ({ sending }) => sending.has(startId));
  const conflict = useStore(dayDrafts.standings, () => dayDrafts.standingOf(startId).conflict);
  const [history, setHistory] = useState<EditHistory<Steps>>(noHistory);
  /** What was saved here, before it has come round through the cache. */
  const landed = useRef<Day | null>(null);
  const day = landed.current && landed.current.version > read.version ? landed.current : read;
  const steps = draft ? draft.value : day.steps;
  // A day that was left is gone on with: there is nothing about it to be asked.
  const [isFirst, setFirst] = useState(true);
  if (isFirst) {
    setFirst(false);
    if (draft && dayDrafts.standingOf(startId).restored) dayDrafts.put(startId, draft);
  }
  // What others saved cannot be undone here.
  const ours = useRef(day.version);
  useEffect(() => {
    if (day.version === ours.current || dayDrafts.get(startId)) return;
    ours.current = day.version;
    setHistory(noHistory);
  }, [day.version, startId]);
  useEffect(
    () =>
      dayDrafts.whenLanded((answer, id, how) => {
        if (id !== startId || (how.kind === "theirs" && how.side === null)) return;
        landed.current = answer;
        ours.current = answer.version;
        client.setQueryData(["day", startId], answer);
        if (how.kind === "theirs" && how.side === "theirs") setHistory(noHistory);
      }),
    [client, startId],
  );
  useEffect(
    () => () => {
      if (!dayDrafts.standingOf(startId).conflict) void dayDrafts.box.sendNow(startId);
    },
    [startId],
  );

  const write = (value: Steps) => {
    const from = dayDrafts.get(startId) ?? { version: day.version, base: day.steps };
    dayDrafts.put(startId, { ...from, clubId, value: value && [...value] });
  };
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
    saving,
    failure,
    conflict: conflict && { theirs: conflict.theirs, by: conflict.by },
    edit: useStable((next: Steps) => {
      if (next === steps || isSame(next, steps)) return;
      setHistory((h) => edited(h, steps));
      write(next);
    }),
    undo: step(undone),
    redo: step(redone),
    save: () => dayDrafts.save(startId),
    keepMine: () => dayDrafts.decide(startId, "mine"),
    takeTheirs: () => void dayDrafts.decide(startId, "theirs"),
  };
}
