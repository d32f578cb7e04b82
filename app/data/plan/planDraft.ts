import { hashKey, useQueryClient } from "@tanstack/react-query";
import type { Meeting, PlanBody, Side } from "@tonodrome/core";
import { mergePlans, planBodySchema, withoutBrokenPairs } from "@tonodrome/core";
import type { Plan, Start } from "@tonodrome/core/api";
import { useCallback, useEffect, useRef, useState } from "react";
import { z } from "zod";
import { ApiFailure } from "~/data/client/api";
import { forget, keep, keptKeys, readKept } from "~/data/device/storage";
import { useSavePlan } from "~/data/resources/plans";
import { type EditHistory, edited, noHistory, redone, undone } from "./editHistory";
import { type RememberedEdits, rememberedOf } from "./rememberedEdits";

const draftSchema = z.object({
  /** The version it was begun from, and what that was. */
  version: z.number(),
  base: planBodySchema.optional(),
  body: planBodySchema,
});

type Draft = z.infer<typeof draftSchema>;

const PREFIX = "draft:";

/** How long after the last edit it is saved by itself, and how long after a failure it is tried again, milliseconds. */
const PAUSE = 1200;
const RETRY = 8000;

/** What this page sent last for each plan: a conflict with that is none, its answer was only lost. */
const lastSent = new Map<string, string>();

/** A newer plan that a save ran into, where what both changed cannot both be. */
export interface PlanConflict {
  theirs: Plan;
  /** Who saved it; null where that is not known. */
  by: string | null;
  meetings: readonly Meeting[];
}

/** How many warm-ups have edits that only this device knows. */
export function unsavedDrafts(): number {
  return keptKeys(PREFIX).length;
}

/** What is edited, how it stands with the server, and what can be done about it. */
export interface PlanDraft {
  body: PlanBody;
  dirty: boolean;
  /** True when the edits were found on this device from an earlier visit and nothing was done about them yet. */
  restored: boolean;
  /** The newer plan that a save ran into and that does not go together with this one; null when there is none. */
  conflict: PlanConflict | null;
  /** Whose changes were put together with one's own, until that is forgotten; an empty name where nobody knows. */
  merged: string | null;
  forgetMerged: () => void;
  saving: boolean;
  failure: string | null;
  edit: (change: (body: PlanBody) => PlanBody) => void;
  undo: (() => void) | null;
  redo: (() => void) | null;
  /** Saves at once. Resolves to whether it was saved. */
  save: () => Promise<boolean>;
  /** Puts both together, one's own where they meet. */
  keepMine: () => Promise<boolean>;
  /** Puts both together, theirs where they meet. */
  takeTheirs: () => Promise<boolean>;
  /** Gives up what was edited here. */
  drop: () => void;
}

/** What was saved here, unless what was read since is newer. */
const newerOf = (landed: Plan | null, read: Plan): Plan =>
  landed && landed.version > read.version ? landed : read;

/** What is said where nobody knows what both began from. */
const WHOLE: readonly Meeting[] = [{ what: "The warm-up as a whole", mine: "yours", theirs: "theirs" }];

/**
 * A start's plan as it is being edited. Edits are kept on this device until the server has them, so that neither a
 * closed tab nor a lost connection costs anything, and saved by themselves a moment after the last of them. What was
 * found from an earlier visit is not saved before somebody has seen it.
 */
export function usePlanDraft(start: Start): PlanDraft {
  // What was saved is what there is, before it has come round through the cache: nothing is to flash up in between. At
  // once, not with the next drawing: an edit may come before that.
  const landed = useRef<Plan | null>(null);
  const plan = newerOf(landed.current, start.plan);
  const key = `${PREFIX}${plan.id}`;
  const [draft, setDraft] = useState<Draft | null>(() =>
    readKept(key, (kept) => draftSchema.safeParse(kept).data),
  );
  const [restored, setRestored] = useState(draft !== null);
  const client = useQueryClient();
  const mind = useRef<RememberedEdits | null>(null);
  mind.current ??= rememberedOf(client, plan);
  const [history, setOwnHistory] = useState(mind.current.history);
  const setHistory = useCallback((change: (history: EditHistory<PlanBody>) => EditHistory<PlanBody>) => {
    const kept = mind.current as RememberedEdits;
    kept.history = change(kept.history);
    setOwnHistory(kept.history);
  }, []);
  const [conflict, setConflict] = useState<PlanConflict | null>(null);
  const [merged, setMerged] = useState<string | null>(null);
  const [failure, setFailure] = useState<string | null>(null);
  const saver = useSavePlan(start.id);
  const body = draft?.body ?? plan.body;
  /** The newest draft, for what goes on while a save is under way. */
  const newest = useRef(draft);
  const isSending = useRef(false);

  const put = useCallback(
    (next: Draft | null) => {
      newest.current = next;
      setDraft(next);
      if (next) keep(key, next);
      else forget(key);
    },
    [key],
  );

  const write = useCallback(
    (next: PlanBody) => {
      setRestored(false);
      const from = newerOf(landed.current, start.plan);
      const { version, base } = newest.current ?? { version: from.version, base: from.body };
      put({ version, ...(base ? { base } : {}), body: next });
    },
    [put, start.plan],
  );

  const edit = useCallback(
    (change: (body: PlanBody) => PlanBody) => {
      const now = newest.current?.body ?? newerOf(landed.current, start.plan).body;
      const changed = change(now);
      // A pair whose drills were moved apart, or of which one is gone, is no pair any more.
      const items = withoutBrokenPairs(changed.items);
      const next = items === changed.items ? changed : { ...changed, items };
      if (next === now) return;
      setHistory((h) => edited(h, now));
      write(next);
    },
    [write, setHistory, start.plan],
  );

  const step = (way: typeof undone<PlanBody>) => {
    const moved = way(history, body);
    if (!moved) return null;
    return () => {
      setHistory(() => moved.history);
      write(moved.now);
    };
  };

  async function send(version: number): Promise<boolean> {
    const sent = newest.current?.body ?? body;
    if (isSending.current) return false;
    isSending.current = true;
    setFailure(null);
    setRestored(false);
    lastSent.set(plan.id, hashKey([sent]));
    try {
      const saved = await saver.mutateAsync({ planId: plan.id, write: { version, body: sent } });
      // What was edited meanwhile is next, against the version that has just come to be.
      const later = newest.current;
      landed.current = saved;
      const isLater = later !== null && later.body !== sent;
      put(isLater ? { version: saved.version, base: saved.body, body: later.body } : null);
      mind.current?.ours.add(saved.version);
      setConflict(null);
      return true;
    } catch (error) {
      if (error instanceof ApiFailure && error.code === "version_conflict") {
        const current = error.current as Plan;
        if (hashKey([current.body]) === lastSent.get(plan.id) && newest.current) {
          put({ version: current.version, base: current.body, body: newest.current.body });
        } else meet(current, error.by);
      } else setFailure((error as Error).message);
      return false;
    } finally {
      isSending.current = false;
    }
  }

  /** Somebody else saved: what both changed is put together; where they met, somebody has to decide. */
  function meet(theirs: Plan, by: string | null): void {
    const { base, body: mine } = newest.current ?? { base: undefined, body };
    const together = mergePlans(base ?? theirs.body, mine, theirs.body, "mine");
    const { meetings } = base ? together : { meetings: WHOLE };
    if (meetings.length > 0) setConflict({ theirs, by, meetings });
    else {
      settle(theirs, "mine");
      setMerged(by ?? "");
    }
  }

  /** The edits upon what somebody else saved, and what can be taken back likewise: theirs is nobody's here to take back. */
  function settle(theirs: Plan, side: Side): void {
    const { base, body: mine } = newest.current ?? { base: undefined, body };
    const upon = (own: PlanBody) => {
      if (base) return mergePlans(base, own, theirs.body, side).body;
      return side === "mine" ? own : theirs.body;
    };
    const together = upon(mine);
    const isTheirs = hashKey([together]) === hashKey([theirs.body]);
    put(isTheirs ? null : { version: theirs.version, base: theirs.body, body: together });
    setHistory(({ past, future }) => ({ past: past.map(upon), future: future.map(upon) }));
    mind.current?.ours.add(theirs.version);
    setConflict(null);
  }

  // What others saved is no edit of one's own to take back.
  useEffect(() => {
    const { ours } = mind.current as RememberedEdits;
    if (ours.has(plan.version) || newest.current) return;
    ours.add(plan.version);
    setHistory(() => noHistory);
  }, [plan.version, setHistory]);

  const latestSend = useRef(send);
  latestSend.current = send;
  const waits = draft !== null && !restored && conflict === null;
  // biome-ignore lint/correctness/useExhaustiveDependencies: every edit begins the pause anew
  useEffect(() => {
    if (!waits || saver.isPending) return;
    const timer = setTimeout(
      () => {
        if (newest.current) void latestSend.current(newest.current.version);
      },
      failure === null ? PAUSE : RETRY,
    );
    return () => clearTimeout(timer);
  }, [waits, draft, failure, saver.isPending]);

  // Leaving the page does not wait for the pause.
  const mayFlush = useRef(waits);
  mayFlush.current = waits;
  useEffect(
    () => () => {
      if (mayFlush.current && newest.current) void latestSend.current(newest.current.version);
    },
    [],
  );

  async function decide(side: Side): Promise<boolean> {
    if (!conflict) return false;
    settle(conflict.theirs, side);
    return newest.current ? send(conflict.theirs.version) : true;
  }

  return {
    body,
    dirty: draft !== null,
    restored: restored && draft !== null,
    conflict,
    saving: saver.isPending,
    failure,
    edit,
    undo: step(undone),
    redo: step(redone),
    save: () => (draft ? send(draft.version) : Promise.resolve(true)),
    merged,
    forgetMerged: () => setMerged(null),
    keepMine: () => decide("mine"),
    takeTheirs: () => decide("theirs"),
    drop: () => {
      put(null);
      setHistory(() => noHistory);
      setConflict(null);
    },
  };
}
