import {
  addDrill,
  canSplit,
  changeItem,
  duplicateItems,
  groupIntoCircuit,
  type LadderDose,
  moveItem,
  moveItems,
  nudgeDose,
  type PlanBody,
  type PlanItem,
  removeItems,
  replaceItem,
  splitItem,
  topOf,
} from "@tonodrome/core";
import type { Drill, ShelfDrill } from "@tonodrome/core/api";
import { useState } from "react";
import { v4 as uuid } from "uuid";
import type { PlanDraft } from "~/data/plan/usePlanDraft";
import { showStrip } from "~/features/stair/showStrip";
import { useStable } from "~/ui/hooks/useStable";
import type { useSelection } from "./useSelection";

/** What can be done with one drill or with several at once. */
export type Deed = "copy" | "circuit" | "split" | "earlier" | "later" | "remove";

/** Everything that changes the plan. */
export interface PlanEdits {
  /** What the last fill had to say. */
  news: readonly string[] | null;
  move: (itemId: string, toIndex: number) => void;
  /** Changes the selected drill. */
  change: (more: Partial<PlanItem>) => void;
  /** Takes any drill out. */
  removeDrill: (itemId: string) => void;
  /** More or less of the selected drill. */
  dose: (steps: 1 | -1) => void;
  add: (drill: Drill) => void;
  /** Adds a ladder that was made for this plan, and selects it. */
  addLadder: (dose: LadderDose, name: string) => void;
  remove: () => void;
  /** Puts another drill of the shelf in the place of the selected one. */
  swap: (drill: ShelfDrill) => void;
  fill: (body: PlanBody, news: readonly string[] | null) => void;
  forgetNews: () => void;
  /** Does something with the drills chosen, or with the selected one. */
  deed: (deed: Deed) => void;
}

const DEEDS: Record<Deed, (body: PlanBody, ids: readonly string[]) => PlanBody> = {
  copy: (body, ids) => duplicateItems(body, ids, uuid),
  circuit: (body, ids) => groupIntoCircuit(body, ids, uuid),
  split: (body, ids) =>
    body.items.reduce(
      (now, i) => (ids.includes(i.id) && canSplit(i) ? splitItem(now, i.id, uuid) : now),
      body,
    ),
  earlier: (body, ids) => moveItems(body, ids, -1),
  later: (body, ids) => moveItems(body, ids, 1),
  remove: removeItems,
};

/** Deeds after which what was chosen is no longer there. */
const ENDING: ReadonlySet<Deed> = new Set(["circuit", "split", "remove"]);

/** @param close closes whatever sheet is open */
export function usePlanEdits(
  { body, edit }: Pick<PlanDraft, "body" | "edit">,
  { selectedId, index, chosen, put, clear, leave }: ReturnType<typeof useSelection>,
  mayBuild: boolean,
  close: () => void,
): PlanEdits {
  const [news, setNews] = useState<readonly string[] | null>(null);
  const change = useStable((more: Partial<PlanItem>) => edit((b) => changeItem(b, selectedId ?? "", more)));
  return {
    news,
    change,
    move: useStable((itemId: string, toIndex: number) => {
      if (mayBuild) edit((b) => moveItem(b, itemId, toIndex));
    }),
    dose: useStable((steps: 1 | -1) => {
      const item = body.items[index];
      if (item && mayBuild) change({ dose: nudgeDose(item.dose, steps) });
    }),
    add: useStable((drill: Drill) => edit((b) => addDrill(b, drill, uuid).body)),
    addLadder: useStable((dose: LadderDose, name: string) => {
      const content = { phase: "technical", priority: "essential", focus: "", place: "" } as const;
      const { body: next, id } = addDrill(body, { ...content, name, dose, intensity: topOf(dose) }, uuid);
      edit(() => next);
      put(id);
      close();
      showStrip(id);
    }),
    removeDrill: useStable((itemId: string) => edit((b) => removeItems(b, [itemId]))),
    remove: useStable(() => {
      if (index < 0 || !mayBuild) return;
      edit((b) => removeItems(b, [selectedId ?? ""]));
      leave();
      close();
    }),
    swap: useStable((drill: ShelfDrill) => edit((b) => replaceItem(b, selectedId ?? "", drill))),
    fill: useStable((filled: PlanBody, said: readonly string[] | null) => {
      // What follows the start stays as somebody set it.
      edit(({ coolDown }) => (coolDown ? { ...filled, coolDown } : filled));
      setNews(said);
      put(null);
      close();
    }),
    forgetNews: useStable(() => setNews(null)),
    deed: useStable((deed: Deed) => {
      const ids = chosen ? [...chosen] : selectedId ? [selectedId] : [];
      if (!mayBuild || ids.length === 0) return;
      edit((b) => DEEDS[deed](b, ids));
      if (!ENDING.has(deed)) return;
      put(null);
      if (chosen) clear();
      else close();
    }),
  };
}
