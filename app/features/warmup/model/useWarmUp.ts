import type { Finding, Placement } from "@tonodrome/core";
import type { Start } from "@tonodrome/core/api";
import { useRouter } from "expo-router";
import { useEffect, useMemo, useRef, useState } from "react";
import { useMay } from "~/data/account/useAccount";
import { type PlanDraft, usePlanDraft } from "~/data/plan/usePlanDraft";
import { useRunElsewhere } from "~/data/resources/openRuns";
import { useOpenRun } from "~/data/runs/useRuns";
import type { FillFrom } from "~/features/fill/fillFor";
import { useStartRun } from "~/features/run/useStartRun";
import { useStable } from "~/ui/hooks/useStable";
import { useWide } from "~/ui/hooks/useWide";
import { type ClubKnowledge, useClubKnowledge } from "./useClubKnowledge";
import { type JudgedPlan, useJudgedPlan } from "./useJudgedPlan";
import { type PlanEdits, usePlanEdits } from "./usePlanEdits";
import { type Selection, useSelection } from "./useSelection";
import { type StartFit, useStartFit } from "./useStartFit";

/** The sheet that lies over the warm-up, if any. */
export type OpenSheet =
  | "drill"
  | "shelf"
  | "given-up"
  | "more"
  | "settings"
  | "cool-down"
  | "versions"
  | "share"
  | "keys"
  | "fill"
  | "template"
  | "start"
  | "day"
  | "coverage"
  | "forecast"
  | "findings"
  | "stops"
  | "conflict"
  | null;

/** Everything the warm-up's screen draws, and everything that can be done there. */
export interface WarmUpModel extends StartFit, Selection, PlanEdits, ClubKnowledge, JudgedPlan {
  start: Start;
  /** Whether one may change the warm-up, and whether one may run it. */
  mayBuild: boolean;
  mayRun: boolean;
  draft: PlanDraft;
  /** What filling begins from, and whether all of it has been read. */
  fillFrom: FillFrom;
  isFillReady: boolean;
  /** What concerns harm, and nobody has set aside. */
  stops: readonly Finding[];
  /** Whether a run of this start is under way, on this device or on another. */
  running: "here" | "elsewhere" | null;
  selected: Placement | null;
  /** What there is to look at about the selected drill. */
  findings: readonly Finding[];
  /** Why the selected drill was cut; null when it was not. */
  reason: string | null;
  select: (itemId: string) => void;
  /** Why the last key did nothing; null when it did something. */
  said: string | null;
  sheet: OpenSheet;
  open: (sheet: OpenSheet) => void;
  save: () => void;
  run: () => void;
}

/**
 * Everything that a warm-up is and that can be done with it, apart from how it looks.
 * @param first the sheet that is open to begin with
 */
export function useWarmUp(start: Start, first: OpenSheet = null): WarmUpModel {
  const router = useRouter();
  const { startRun, failure: runFailure } = useStartRun();
  const wide = useWide();
  const mayBuild = useMay("build");
  const mayRun = useMay("run");
  const draft = usePlanDraft(start);
  const own = useOpenRun(start);
  const elsewhere = useRunElsewhere(start.id);
  // One begun on another device is gone to as well: no second one comes about by chance.
  const openRun = own ?? elsewhere?.id ?? null;
  const [sheet, open] = useState<OpenSheet>(first);
  const { body, conflict } = draft;
  // In front of whatever is open: until it is decided nothing more is saved.
  useEffect(() => {
    if (conflict) open("conflict");
  }, [conflict]);
  const selection = useSelection(body.items, !wide);
  const close = useStable(() => open(null));
  const edits = usePlanEdits(draft, selection, mayBuild, close);
  const { saveMinutes, ...fitted } = useStartFit(start, body, mayBuild);
  const { fit, isBest, context } = fitted;
  const known = useClubKnowledge(start, fit);
  const judged = useJudgedPlan({
    start,
    draft,
    fit,
    context,
    untilStart: fitted.untilStart,
    known,
    mayBuild,
  });
  // Of what does not fit the dock speaks; what concerns harm is shown once before it is run.
  const stops = judged.toLookAt.filter((f) => f.severity === "stop" && f.code !== "essentials-short");
  const stopsKey = stops.map((f) => `${f.code} ${f.itemId}`).join();
  const shownStops = useRef("");
  const selected = fit.placements.find((p) => p.item.id === selection.selectedId) ?? null;
  const [said, say] = useState<{ of: string; words: string } | null>(null);
  const reason = fitted.explanation?.given.find((g) => g.itemId === selection.selectedId)?.reason ?? null;
  const { toLookAt } = judged;
  const findings = useMemo(
    () => toLookAt.filter((f) => f.itemId === selection.selectedId),
    [toLookAt, selection.selectedId],
  );
  return {
    ...fitted,
    failure: fitted.failure ?? fitted.fitFailure ?? runFailure,
    ...selection,
    ...edits,
    ...known,
    ...judged,
    start,
    mayBuild,
    mayRun,
    draft,
    fillFrom: {
      ...{ start, athlete: known.athlete, event: known.event, drills: known.drills },
      ...{ judgeInput: judged.judgeInput, isBeforeKnown: judged.isBeforeKnown },
      availableSeconds: fitted.minutes * 60,
    },
    isFillReady:
      judged.isBeforeKnown &&
      known.drills.length > 0 &&
      known.athlete !== undefined &&
      (start.eventId === null || known.event !== null),
    stops,
    running: own ? "here" : elsewhere ? "elsewhere" : null,
    selected,
    findings,
    reason,
    said: said !== null && said.of === selection.selectedId ? said.words : null,
    dose: useStable((steps: 1 | -1) => {
      say(null);
      if (steps < 0 || !selected || selected.level) edits.dose(steps);
      // It is not there: more of it would only make it harder to get in.
      else
        say({
          of: selected.item.id,
          words: `${selected.item.name} is left out. ${reason ?? "More of it would not bring it back."}`,
        });
    }),
    choose: useStable((on: boolean) => {
      selection.choose(on);
      open(null);
    }),
    sheet,
    open,
    save: useStable(async () => {
      if (await draft.save()) saveMinutes();
    }),
    run: useStable(() => {
      if (!mayRun) return;
      if (openRun) router.push(`/run/${openRun}`);
      else if (stops.length > 0 && shownStops.current !== stopsKey) {
        // Said once, and never in the way twice.
        shownStops.current = stopsKey;
        open("stops");
      } else if (fit.workSeconds === 0) open(body.items.length === 0 ? "shelf" : "given-up");
      else
        startRun({
          start,
          plan: body,
          context,
          fit: isBest ? fit : fit.availableSeconds,
          event: known.event,
        });
    }),
  };
}
