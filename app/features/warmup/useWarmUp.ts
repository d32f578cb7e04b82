import {
  addDrill,
  type Coverage,
  canSplit,
  changeItem,
  contextOf,
  duplicateItems,
  type Fit,
  type FitContext,
  groupIntoCircuit,
  moveItem,
  moveItems,
  type Placement,
  type PlanBody,
  type PlanItem,
  type Replacement,
  removeItems,
  replaceItem,
  splitItem,
} from "@tonodrome/core";
import {
  type Athlete,
  type ClubEvent,
  type Drill,
  LONGEST_AVAILABLE,
  type ShelfDrill,
  type Start,
} from "@tonodrome/core/api";
import type { Explanation } from "@tonodrome/core/fitting";
import { useRouter } from "expo-router";
import { useMemo, useState } from "react";
import { v4 as uuid } from "uuid";
import { useMay } from "~/data/account";
import { useEvents } from "~/data/building";
import { type PlanDraft, usePlanDraft } from "~/data/planDraft";
import { useAthletes, useDrills, useSaveStart } from "~/data/queries";
import { useOpenRun } from "~/data/runStore";
import { useNow } from "~/data/useNow";
import { nudgeDose } from "~/features/dose/nudgeDose";
import { useExplanation } from "~/features/fit/useExplanation";
import { SLIDER_MINUTES, useFit } from "~/features/fit/useFit";
import { useStartRun } from "~/features/run/useStartRun";
import { useStable } from "~/ui/useStable";
import { useWide } from "~/ui/useWide";
import { useCoverage } from "./useCoverage";
import { useSparing } from "./useSparing";
/** The sheet that lies over the warm-up, if any. */
export type OpenSheet =
  | "drill"
  | "shelf"
  | "given-up"
  | "more"
  | "settings"
  | "versions"
  | "share"
  | "keys"
  | "fill"
  | "template"
  | "start"
  | "day"
  | "coverage"
  | "spare"
  | null;

/** What can be done with one drill or with several at once. */
export type Deed = "copy" | "circuit" | "split" | "earlier" | "later" | "remove";

export interface WarmUpModel {
  start: Start;
  /** What the day allows. */
  context: FitContext;
  /** Whether one may change the warm-up, and whether one may run it. */
  mayBuild: boolean;
  mayRun: boolean;
  draft: PlanDraft;
  fit: Fit;
  /** False while limits on totals are still being reckoned with. */
  isBest: boolean;
  /** How far the worker is with it, or else with every other time, from 0 to 1; null while there is nothing to tell. */
  share: number | null;
  /** What it gave up and why; of the fit before until there is one of this, null before the first. */
  explanation: Explanation | null;
  now: number;
  untilStart: number;
  /** Time available, minutes, as the slider has it. */
  minutes: number;
  mostMinutes: number;
  isCapped: boolean;
  /** Whether the time available is another than the one that is saved. */
  newMinutes: boolean;
  saving: boolean;
  running: boolean;
  /** Why the time available could not be saved. */
  failure: string | null;
  selected: Placement | null;
  index: number;
  /** What the club knows of the athlete and the event; nothing before it is read, and for whom it is not. */
  athlete: Athlete | undefined;
  event: ClubEvent | null;
  drills: readonly ShelfDrill[];
  coverage: Coverage | null;
  /** For drills that load a part to be spared, what to do instead. */
  sparing: readonly Replacement<ShelfDrill>[];
  /** What the last fill had to say. */
  news: readonly string[] | null;
  /** Ids of several drills chosen at once; null when drills are opened by a press. */
  chosen: ReadonlySet<string> | null;
  sheet: OpenSheet;
  open: (sheet: OpenSheet) => void;
  setMinutes: (minutes: number) => void;
  select: (itemId: string) => void;
  /** Selects the drill this many places further down. */
  step: (by: number) => void;
  move: (itemId: string, toIndex: number) => void;
  change: (more: Partial<PlanItem>) => void;
  /** The same for any drill, and taking it out. */
  changeDrill: (itemId: string, more: Partial<PlanItem>) => void;
  removeDrill: (itemId: string) => void;
  /** More or less of the selected drill. */
  dose: (steps: 1 | -1) => void;
  add: (drill: Drill) => void;
  remove: () => void;
  /** Puts another drill of the shelf in the place of the selected one. */
  swap: (drill: ShelfDrill) => void;
  replace: (list: readonly Replacement<ShelfDrill>[]) => void;
  fill: (body: PlanBody, news: readonly string[]) => void;
  forgetNews: () => void;
  /** Begins or ends choosing several. */
  choose: (on: boolean) => void;
  /** Does something with the drills chosen, or with the selected one. */
  deed: (deed: Deed) => void;
  save: () => void;
  run: () => void;
}

/** What was replaced by what, the number first. */
function sparedWords(list: readonly Replacement<ShelfDrill>[]): string[] {
  const all = list.map(({ item, to }) => (to ? `${item.name} → ${to.name}.` : `${item.name} left out.`));
  return [`${list.length} ${list.length === 1 ? "drill" : "drills"} replaced or left out.`, ...all];
}

const NO_DRILLS: readonly ShelfDrill[] = [];

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

/** Everything that a warm-up is and that can be done with it, apart from how it looks. */
export function useWarmUp(start: Start): WarmUpModel {
  const router = useRouter();
  const startRun = useStartRun();
  const wide = useWide();
  const mayBuild = useMay("build");
  const mayRun = useMay("run");
  const now = useNow();
  const draft = usePlanDraft(start);
  const saveStart = useSaveStart();
  const openRun = useOpenRun(start);
  const [selectedId, setSelectedId] = useState<string | null>(null);
  const [sheet, open] = useState<OpenSheet>(null);
  const [wanted, setMinutes] = useState<number | null>(null);
  const [news, setNews] = useState<readonly string[] | null>(null);
  const [chosen, setChosen] = useState<ReadonlySet<string> | null>(null);
  const mayRead = useMay("read");
  const athletes = useAthletes();
  const events = useEvents();
  const shelf = useDrills(mayRead);
  const athlete = athletes.data?.find((a) => a.id === start.athlete.id);
  const event = events.data?.find((e) => e.id === start.eventId) ?? null;
  const drills = shelf.data ?? NO_DRILLS;

  const { body, edit } = draft;
  const startsAt = Date.parse(start.startsAt);
  const saved = Math.round((startsAt - Date.parse(start.readyAt)) / 60_000);
  const minutes = wanted ?? saved;
  const mostMinutes = Math.max(SLIDER_MINUTES, saved);
  const untilStart = Math.floor((startsAt - now) / 1000);
  const isCapped = untilStart > 0 && untilStart < minutes * 60;
  const context = useMemo(() => contextOf(start), [start]);
  const { fit, isBest, share } = useFit({
    plan: body,
    context,
    availableSeconds: isCapped ? untilStart : minutes * 60,
    horizonSeconds: mostMinutes * 60 + 300,
  });

  const explanation = useExplanation(body, context, fit.availableSeconds);

  const index = body.items.findIndex((i) => i.id === selectedId);
  const sparing = useSparing(start, body, mayBuild ? athlete : undefined, shelf.data);
  const coverage = useCoverage(fit, event);
  const change = useStable((more: Partial<PlanItem>) => edit((b) => changeItem(b, selectedId ?? "", more)));

  return {
    start,
    context,
    mayBuild,
    mayRun,
    draft,
    fit,
    isBest,
    share,
    explanation,
    now,
    untilStart,
    minutes,
    mostMinutes,
    isCapped,
    newMinutes: mayBuild && wanted !== null && wanted !== saved,
    saving: saveStart.isPending,
    running: openRun !== null,
    failure: saveStart.error?.message ?? null,
    selected: fit.placements.find((p) => p.item.id === selectedId) ?? null,
    index,
    athlete,
    event,
    drills,
    coverage,
    sparing,
    news,
    chosen,
    sheet,
    open,
    setMinutes,
    change,
    select: useStable((itemId: string) => {
      if (chosen) {
        const next = new Set(chosen);
        if (!next.delete(itemId)) next.add(itemId);
        setChosen(next);
        return;
      }
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
      if (item && mayBuild) change({ dose: nudgeDose(item.dose, steps) });
    }),
    add: useStable((drill: Drill) => edit((b) => addDrill(b, drill, uuid).body)),
    changeDrill: useStable((itemId: string, more: Partial<PlanItem>) =>
      edit((b) => changeItem(b, itemId, more)),
    ),
    removeDrill: useStable((itemId: string) => edit((b) => removeItems(b, [itemId]))),
    remove: useStable(() => {
      if (index < 0 || !mayBuild) return;
      edit((b) => removeItems(b, [selectedId ?? ""]));
      setSelectedId(body.items[index + 1]?.id ?? body.items[index - 1]?.id ?? null);
      open(null);
    }),
    swap: useStable((drill: ShelfDrill) => edit((b) => replaceItem(b, selectedId ?? "", drill))),
    replace: useStable((list: readonly Replacement<ShelfDrill>[]) => {
      edit((b) =>
        list.reduce(
          (now, { item, to }) => (to ? replaceItem(now, item.id, to) : removeItems(now, [item.id])),
          b,
        ),
      );
      setNews(sparedWords(list));
      open(null);
    }),
    fill: useStable((filled: PlanBody, said: readonly string[]) => {
      edit(() => filled);
      setNews(said);
      setSelectedId(null);
      open(null);
    }),
    forgetNews: useStable(() => setNews(null)),
    choose: useStable((on: boolean) => {
      setChosen(on ? new Set() : null);
      open(null);
    }),
    deed: useStable((deed: Deed) => {
      const ids = chosen ? [...chosen] : selectedId ? [selectedId] : [];
      if (!mayBuild || ids.length === 0) return;
      edit((b) => DEEDS[deed](b, ids));
      if (deed === "circuit" || deed === "split" || deed === "remove") {
        setSelectedId(null);
        if (chosen) setChosen(new Set());
        else open(null);
      }
    }),
    save: useStable(async () => {
      const planSaved = await draft.save();
      if (!planSaved || wanted === null || wanted === saved) return;
      const readyAt = new Date(startsAt - Math.min(wanted * 60, LONGEST_AVAILABLE) * 1000).toISOString();
      saveStart.mutate({ start, changes: { readyAt } }, { onSuccess: () => setMinutes(null) });
    }),
    run: useStable(() => {
      if (!mayRun) return;
      if (openRun) router.push(`/run/${openRun}`);
      else if (fit.workSeconds === 0) open(body.items.length === 0 ? "shelf" : "given-up");
      else startRun({ start, plan: body, context, fit, isBest, event });
    }),
  };
}
