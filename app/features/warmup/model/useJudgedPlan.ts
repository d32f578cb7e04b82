import {
  type Edit,
  editedPlan,
  editedSetting,
  type Finding,
  type Fit,
  type FitContext,
  knownOf,
  type Setting,
} from "@tonodrome/core";
import type { Start } from "@tonodrome/core/api";
import type { JudgeInput, Judgement } from "@tonodrome/core/judge";
import { v4 as uuid } from "uuid";
import { useAccount } from "~/data/account/useAccount";
import { useKitThere } from "~/data/day/useKitThere";
import type { PlanDraft } from "~/data/plan/usePlanDraft";
import { useFigures } from "~/data/resources/figures";
import { useEarlierRuns } from "~/data/resources/log";
import { useStartsBefore } from "~/data/resources/starts";
import { useStartDraft } from "~/data/starts/useStartDraft";
import { useDoneBefore } from "~/features/judge/useDoneBefore";
import { useJudgeInput, useJudgement } from "~/features/judge/useJudgement";
import { useSame } from "~/ui/hooks/useSame";
import { useStable } from "~/ui/hooks/useStable";
import type { ClubKnowledge } from "./useClubKnowledge";

/** What is said of a plan, and what can be done about it. */
export interface JudgedPlan {
  judgeInput: JudgeInput;
  /** Whether it is known what is done earlier on the day. */
  isBeforeKnown: boolean;
  /** Null before the first answer. */
  judgement: Judgement | null;
  /** Findings that nobody has set aside; the same list as long as they are the same. */
  toLookAt: readonly Finding[];
  /** Applies what mends a finding. @returns what takes it back */
  applyEdits: (edits: readonly Edit[]) => () => void;
  setAside: (finding: Finding, reason?: string) => void;
  lookAgain: (finding: Finding) => void;
  /** Why what is there on the day could not be saved; null when it is. */
  settingFailure: string | null;
}

const settingOf = ({ setting }: Start) => ({ setting });
const NONE: readonly never[] = [];

interface Of {
  start: Start;
  draft: PlanDraft;
  fit: Fit;
  context: FitContext;
  untilStart: number;
  known: ClubKnowledge;
  mayBuild: boolean;
}

/** Judges a plan as it is edited. */
export function useJudgedPlan({ start, draft, fit, context, untilStart, known, mayBuild }: Of): JudgedPlan {
  const name = useAccount().me?.name ?? "";
  const day = useStartDraft(start, settingOf);
  const { setting } = day.draft;
  const kit = known.event?.kit ?? NONE;
  const kitThere = useKitThere({ id: start.id, setting }, kit);
  const starts = useStartsBefore(start.athlete.id, start.startsAt);
  // Where they cannot be read, as without a network, it is judged as a first start.
  const before = useDoneBefore(start, starts.data ?? (starts.isLoading ? undefined : NONE));
  const judgeInput = useJudgeInput({
    start: useSame(
      { ...start, setting: { ...setting, kitReady: [...kitThere.there] } },
      JSON.stringify([start.stamp, setting, kitThere.there]),
    ),
    plan: draft.body,
    fit,
    context,
    athlete: mayBuild ? known.athlete : undefined,
    event: known.event,
    figures: useFigures(),
    earlier: useEarlierRuns(start.athlete.id, mayBuild) ?? NONE,
    before: before.done,
    untilStart,
  });
  const judgement = useJudgement(judgeInput);
  const open = judgement?.findings.filter((f) => f.known === null).map((f) => f.finding) ?? NONE;
  const toLookAt = useSame<readonly Finding[]>(open, JSON.stringify(open));
  const changeSetting = (next: Setting) => {
    day.change({ setting: next });
    day.save();
  };
  const isOf = (finding: Finding) => (k: { code: string; itemId: string | null }) =>
    k.code === finding.code && k.itemId === finding.itemId;
  return {
    judgeInput,
    isBeforeKnown: before.isKnown,
    judgement,
    toLookAt,
    applyEdits: useStable((edits: readonly Edit[]) => {
      // What of the kit is there is a tick, of whichever phone.
      const { kitReady, ...change } = editedSetting<Partial<Setting>>({}, edits);
      const ticked = kitReady?.filter((piece) => !kitThere.there.includes(piece)) ?? [];
      const isOfDay = Object.keys(change).length > 0;
      const isOfPlan = edits.some((e) => e.kind !== "setting");
      const before = draft.body;
      if (isOfPlan) draft.edit((body) => editedPlan(body, edits, uuid));
      if (isOfDay) changeSetting({ ...setting, ...change });
      for (const piece of ticked) kitThere.press(piece, true);
      return () => {
        for (const piece of ticked) kitThere.press(piece, false);
        if (isOfPlan) draft.edit(() => before);
        if (isOfDay) changeSetting(setting);
      };
    }),
    setAside: useStable((finding: Finding, reason = "") => {
      const others = (setting.known ?? []).filter((k) => !isOf(finding)(k));
      const one = knownOf(finding, draft.body, { reason, by: name });
      changeSetting({ ...setting, known: [...others, one] });
    }),
    lookAgain: useStable((finding: Finding) => {
      changeSetting({ ...setting, known: (setting.known ?? []).filter((k) => !isOf(finding)(k)) });
    }),
    settingFailure: day.state.failed ? day.state.words : null,
  };
}
