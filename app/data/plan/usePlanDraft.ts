import { useQueryClient } from "@tanstack/react-query";
import type { PlanBody } from "@tonodrome/core";
import type { Plan, Start } from "@tonodrome/core/api";
import { useCallback, useEffect, useRef, useState } from "react";
import { useStore } from "zustand";
import { useMembership } from "~/data/account/useAccount";
import { putPlan } from "~/data/starts/startCache";
import { useStable } from "~/ui/hooks/useStable";
import { type EditHistory, edited, noHistory, redone, undone } from "./editHistory";
import { editedPlan, type PlanConflict, planDrafts, planUpon } from "./planDraft";
import { type RememberedEdits, rememberedOf } from "./rememberedEdits";

/** What is edited, how it stands with the server, and what can be done about it. */
export interface PlanDraft {
  body: PlanBody;
  dirty: boolean;
  /** True when the edits were found on this device from an earlier visit and nothing was done about them yet. */
  restored: boolean;
  /** The newer plan that a save ran into and that does not go together with this one; null when there is none. */
  conflict: PlanConflict | null;
  /** Whose changes were merged with the user's, until that is dismissed; an empty name where nobody knows. */
  merged: string | null;
  forgetMerged: () => void;
  saving: boolean;
  failure: string | null;
  edit: (change: (body: PlanBody) => PlanBody) => void;
  undo: (() => void) | null;
  redo: (() => void) | null;
  /** Saves at once. Resolves to whether it was saved. */
  save: () => Promise<boolean>;
  /** Merges both; where both changed one thing the user's count. */
  keepMine: () => Promise<boolean>;
  /** Puts both together, theirs where they meet. */
  takeTheirs: () => Promise<boolean>;
  /** Gives up what was edited here. */
  drop: () => void;
}

/** What hears of a save, by plan: also after its page was left in the middle of one, until that is open again. */
const hearing = new Map<string, () => void>();

/** What was saved here, unless what was read since is newer. */
const newerOf = (landed: Plan | null, read: Plan): Plan =>
  landed && landed.version > read.version ? landed : read;

/**
 * A start's plan as it is being edited. Edits are kept on this device until the server has them, so that neither a
 * closed tab nor a lost connection costs anything, and saved by themselves a moment after the last of them. What was
 * found from an earlier visit is not saved before somebody has seen it.
 */
export function usePlanDraft(start: Start): PlanDraft {
  const client = useQueryClient();
  const { id: clubId } = useMembership();
  // What was saved is what there is, before it has come round through the cache: nothing is to flash up in between.
  const landed = useRef<Plan | null>(null);
  const plan = newerOf(landed.current, start.plan);
  const key = plan.id;
  const draft = useStore(planDrafts.box.store, () => planDrafts.get(key));
  const failure = useStore(planDrafts.box.store, ({ failures }) => failures.get(key)?.sentence ?? null);
  const saving = useStore(planDrafts.box.store, ({ sending }) => sending.has(key));
  const standing = useStore(planDrafts.standings, () => planDrafts.standingOf(key));
  const mind = useRef<RememberedEdits | null>(null);
  mind.current ??= rememberedOf(client, plan);
  const [history, setOwnHistory] = useState(mind.current.history);
  const setHistory = useCallback((change: (history: EditHistory<PlanBody>) => EditHistory<PlanBody>) => {
    const kept = mind.current as RememberedEdits;
    kept.history = change(kept.history);
    setOwnHistory(kept.history);
  }, []);
  const body = draft?.value ?? plan.body;

  // What is found when one comes is looked at first.
  const [isFirst, setFirst] = useState(true);
  if (isFirst) {
    setFirst(false);
    if (draft && !planDrafts.standingOf(key).restored) planDrafts.found(key);
  }

  const from = useStable(() => newerOf(landed.current, start.plan));
  useEffect(() => {
    hearing.get(key)?.();
    const end = planDrafts.whenLanded((answer, id, how) => {
      if (id !== key) return;
      putPlan(client, start.id, answer);
      if (how.kind === "saved" || how.side !== null) {
        landed.current = answer;
        mind.current?.ours.add(answer.version);
      }
      if (how.kind !== "theirs" || how.side === null) return;
      const { side, before } = how;
      // Their edits cannot be undone here either.
      const upon = (own: PlanBody) => planUpon(before.base, own, answer, side);
      setHistory(({ past, future }) => ({ past: past.map(upon), future: future.map(upon) }));
    });
    hearing.set(key, end);
    return () => {
      if (!planDrafts.get(key)) end();
    };
  }, [client, key, start.id, setHistory]);

  const edit = useStable((change: (body: PlanBody) => PlanBody) => {
    const now = planDrafts.get(key);
    const next = editedPlan(now, from(), clubId, change);
    if (!next) return;
    setHistory((h) => edited(h, now?.value ?? from().body));
    planDrafts.put(key, next);
  });
  const write = (value: PlanBody) => {
    const next = editedPlan(planDrafts.get(key), from(), clubId, () => value);
    if (next) planDrafts.put(key, next);
  };
  const step = (way: typeof undone<PlanBody>) => {
    const moved = way(history, body);
    if (!moved) return null;
    return () => {
      setHistory(() => moved.history);
      write(moved.now);
    };
  };

  // What others saved cannot be undone here.
  useEffect(() => {
    const { ours } = mind.current as RememberedEdits;
    if (ours.has(plan.version) || planDrafts.get(key)) return;
    ours.add(plan.version);
    setHistory(() => noHistory);
  }, [plan.version, key, setHistory]);

  // Leaving the page does not wait for the pause.
  useEffect(
    () => () => {
      const { restored, conflict } = planDrafts.standingOf(key);
      if (!restored && !conflict && planDrafts.get(key)) void planDrafts.box.sendNow(key);
    },
    [key],
  );

  return {
    body,
    dirty: draft !== null,
    restored: standing.restored && draft !== null,
    conflict: standing.conflict,
    saving,
    failure,
    edit,
    undo: step(undone),
    redo: step(redone),
    save: () => planDrafts.save(key),
    merged: standing.merged,
    forgetMerged: () => planDrafts.forgetMerged(key),
    keepMine: () => planDrafts.decide(key, "mine"),
    takeTheirs: () => planDrafts.decide(key, "theirs"),
    drop: () => {
      planDrafts.drop(key);
      setHistory(() => noHistory);
    },
  };
}
