import {
  doseSchema,
  type Fit,
  type FitTable,
  mainRange,
  moveEnd,
  type Placement,
  type PlanItem,
  runPlanOf,
  withMainRange,
} from "@tonodrome/core";
import { type Drill, LONGEST_AVAILABLE, type Start } from "@tonodrome/core/api";
import { useRouter } from "expo-router";
import { useState } from "react";
import { useMay } from "~/data/account";
import { type PlanDraft, usePlanDraft } from "~/data/planDraft";
import { useSaveStart } from "~/data/queries";
import { createRun, useOpenRun } from "~/data/runStore";
import { useNow } from "~/ui/useNow";
import { useStable } from "~/ui/useStable";
import { useWide } from "~/ui/useWide";
import { addDrill, changeItem, moveItem, removeItem } from "./editPlan";
import { SLIDER_MINUTES, useFit, useFitTable } from "./useFit";

/** The sheet that lies over the warm-up, if any. */
export type OpenSheet = "drill" | "shelf" | "given-up" | "settings" | "versions" | "share" | "keys" | null;

export interface WarmUpModel {
  start: Start;
  /** Whether one may change the warm-up, and whether one may run it. */
  mayBuild: boolean;
  mayRun: boolean;
  draft: PlanDraft;
  table: FitTable;
  fit: Fit;
  now: number;
  untilStart: number;
  /** Time available, minutes, as the slider has it. */
  minutes: number;
  mostMinutes: number;
  isCapped: boolean;
  dirty: boolean;
  saving: boolean;
  running: boolean;
  /** Why the time available could not be saved. */
  failure: string | null;
  selected: Placement | null;
  index: number;
  sheet: OpenSheet;
  open: (sheet: OpenSheet) => void;
  setMinutes: (minutes: number) => void;
  select: (itemId: string) => void;
  /** Selects the drill this many places further down. */
  step: (by: number) => void;
  move: (itemId: string, toIndex: number) => void;
  change: (more: Partial<PlanItem>) => void;
  /** More or less of the selected drill. */
  dose: (steps: 1 | -1) => void;
  add: (drill: Drill) => void;
  remove: () => void;
  save: () => void;
  run: () => void;
}

/** Everything that a warm-up is and that can be done with it, apart from how it looks. */
export function useWarmUp(start: Start): WarmUpModel {
  const router = useRouter();
  const wide = useWide();
  const mayBuild = useMay("build");
  const mayRun = useMay("run");
  const now = useNow();
  const draft = usePlanDraft(start);
  const saveStart = useSaveStart();
  const openRun = useOpenRun(start.id);
  const [selectedId, setSelectedId] = useState<string | null>(null);
  const [sheet, open] = useState<OpenSheet>(null);
  const [chosen, setMinutes] = useState<number | null>(null);

  const { body, edit } = draft;
  const startsAt = Date.parse(start.startsAt);
  const saved = Math.round((startsAt - Date.parse(start.readyAt)) / 60_000);
  const minutes = chosen ?? saved;
  const mostMinutes = Math.max(SLIDER_MINUTES, saved);
  const untilStart = Math.floor((startsAt - now) / 1000);
  const isCapped = untilStart > 0 && untilStart < minutes * 60;
  const table = useFitTable(body, mostMinutes * 60 + 300);
  const fit = useFit(table, isCapped ? untilStart : minutes * 60);

  const index = body.items.findIndex((i) => i.id === selectedId);
  const change = useStable((more: Partial<PlanItem>) => edit((b) => changeItem(b, selectedId ?? "", more)));

  return {
    start,
    mayBuild,
    mayRun,
    draft,
    table,
    fit,
    now,
    untilStart,
    minutes,
    mostMinutes,
    isCapped,
    dirty: mayBuild && (draft.dirty || (chosen !== null && chosen !== saved)),
    saving: draft.saving || saveStart.isPending,
    running: openRun !== null,
    failure: saveStart.error?.message ?? null,
    selected: fit.placements[index] ?? null,
    index,
    sheet,
    open,
    setMinutes,
    change,
    select: useStable((itemId: string) => {
      setSelectedId(itemId);
      open(wide ? null : "drill");
    }),
    step: useStable((by: number) => {
      const to = Math.min(Math.max(0, index + by), body.items.length - 1);
      setSelectedId(body.items[to]?.id ?? null);
    }),
    move: useStable((itemId: string, toIndex: number) => {
      if (mayBuild) edit((b) => moveItem(b, itemId, toIndex));
    }),
    dose: useStable((steps: 1 | -1) => {
      const item = body.items[index];
      if (!item || !mayBuild) return;
      const step = item.dose.kind === "time" ? item.dose.step : 1;
      const range = moveEnd(mainRange(item.dose), "ideal", steps, { step, least: step, most: step * 40 });
      const dose = withMainRange(item.dose, range);
      if (doseSchema.safeParse(dose).success) change({ dose });
    }),
    add: useStable((drill: Drill) => edit((b) => addDrill(b, drill).body)),
    remove: useStable(() => {
      if (index < 0 || !mayBuild) return;
      edit((b) => removeItem(b, selectedId ?? ""));
      setSelectedId(body.items[index + 1]?.id ?? body.items[index - 1]?.id ?? null);
      open(null);
    }),
    save: useStable(async () => {
      const planSaved = await draft.save();
      if (!planSaved || chosen === null || chosen === saved) return;
      const readyAt = new Date(startsAt - Math.min(chosen * 60, LONGEST_AVAILABLE) * 1000).toISOString();
      saveStart.mutate({ start, changes: { readyAt } }, { onSuccess: () => setMinutes(null) });
    }),
    run: useStable(() => {
      if (!mayRun) return;
      if (openRun) router.push(`/run/${openRun}`);
      else if (fit.workSeconds === 0) open(body.items.length === 0 ? "shelf" : "given-up");
      else router.push(`/run/${createRun(start, runPlanOf(fit, start.startsAt))}`);
    }),
  };
}
