import type { PlanBody } from "@tonodrome/core";
import { planBodySchema } from "@tonodrome/core";
import type { Plan, Start } from "@tonodrome/core/api";
import { useCallback, useState } from "react";
import { z } from "zod";
import { ApiFailure } from "./api";
import { useSavePlan } from "./queries";
import { forget, keep, keptKeys, readKept } from "./storage";

const draftSchema = z.object({
  /** The version it was begun from. */
  version: z.number(),
  body: planBodySchema,
});

type Draft = z.infer<typeof draftSchema>;

const PREFIX = "draft:";

/** How many warm-ups have edits that only this device knows. */
export function unsavedDrafts(): number {
  return keptKeys(PREFIX).length;
}

/** Most edits that can be taken back one by one. */
const MOST_UNDO = 50;

export interface PlanDraft {
  body: PlanBody;
  dirty: boolean;
  /** True when the edits were found on this device from an earlier visit. */
  restored: boolean;
  /** The newer plan that a save ran into; null when there is none. */
  conflict: Plan | null;
  saving: boolean;
  failure: string | null;
  edit: (change: (body: PlanBody) => PlanBody) => void;
  undo: (() => void) | null;
  /** Resolves to whether it was saved. */
  save: () => Promise<boolean>;
  keepMine: () => Promise<boolean>;
  takeTheirs: () => void;
}

/**
 * A start's plan as it is being edited. Edits are kept on this device until the server has them, so that neither a
 * closed tab nor a lost connection costs anything.
 */
export function usePlanDraft(start: Start): PlanDraft {
  const { plan } = start;
  const key = `${PREFIX}${plan.id}`;
  const [draft, setDraft] = useState<Draft | null>(() => readKept(key, draftSchema));
  const [restored] = useState(draft !== null);
  const [past, setPast] = useState<PlanBody[]>([]);
  const [conflict, setConflict] = useState<Plan | null>(null);
  const [failure, setFailure] = useState<string | null>(null);
  const saver = useSavePlan(start.id);
  const body = draft?.body ?? plan.body;

  const put = (next: Draft | null) => {
    setDraft(next);
    if (next) keep(key, next);
    else forget(key);
  };

  const edit = useCallback(
    (change: (body: PlanBody) => PlanBody) => {
      const next = { version: draft?.version ?? plan.version, body: change(body) };
      setPast((p) => [...p.slice(1 - MOST_UNDO), body]);
      setDraft(next);
      keep(key, next);
    },
    [draft, plan.version, body, key],
  );

  const undo =
    past.length > 0
      ? () => {
          put({ version: draft?.version ?? plan.version, body: past.at(-1) as PlanBody });
          setPast(past.slice(0, -1));
        }
      : null;

  async function send(version: number): Promise<boolean> {
    setFailure(null);
    try {
      await saver.mutateAsync({ planId: plan.id, write: { version, body } });
      put(null);
      setPast([]);
      setConflict(null);
      return true;
    } catch (error) {
      if (error instanceof ApiFailure && error.code === "version_conflict")
        setConflict(error.current as Plan);
      else setFailure((error as Error).message);
      return false;
    }
  }

  return {
    body,
    dirty: draft !== null,
    restored: restored && draft !== null,
    conflict,
    saving: saver.isPending,
    failure,
    edit,
    undo,
    save: () => (draft ? send(draft.version) : Promise.resolve(true)),
    keepMine: () => send(conflict?.version ?? plan.version),
    takeTheirs: () => {
      put(null);
      setPast([]);
      setConflict(null);
    },
  };
}
