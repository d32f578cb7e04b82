import { type Fit, type FitContext, MINUTE_SECONDS, noProfile, type PlanBody } from "@tonodrome/core";
import type { Athlete, ClubEvent, ShelfDrill, Start } from "@tonodrome/core/api";
import type {
  ClubFigures,
  DoneBefore,
  EarlierRun,
  FullJudgement,
  JudgeInput,
  Judgement,
} from "@tonodrome/core/judge";
import { useMemo } from "react";
import { dayOf } from "~/data/resources/circumstances";
import { useLatestAnswer } from "~/features/fit/useLatestAnswer";

/** What a warm-up is judged by. */
export interface Judged {
  start: Start;
  plan: PlanBody;
  fit: Fit;
  context: FitContext;
  /** Undefined for whom what is known of athletes is not to be seen. */
  athlete: Athlete | undefined;
  event: ClubEvent | null;
  figures: ClubFigures;
  earlier: readonly EarlierRun[];
  before: readonly DoneBefore[];
  /** Seconds until the start. */
  untilStart: number;
}

/** What the worker is given to judge; the same object as long as nothing of it changes. */
export function useJudgeInput({
  start,
  plan,
  fit,
  context,
  athlete,
  event,
  figures,
  earlier,
  before,
  untilStart,
}: Judged): JudgeInput {
  // By the minute: nothing that is said of a plan turns on a second.
  const minutes = Math.ceil(untilStart / MINUTE_SECONDS) * MINUTE_SECONDS;
  return useMemo(
    () => ({
      plan,
      fit,
      context,
      setting: start.setting,
      athlete: athlete?.profile ?? (athlete === undefined ? null : noProfile()),
      event,
      day: dayOf(start),
      readySeconds: Math.max(0, Math.round((Date.parse(start.startsAt) - Date.parse(start.readyAt)) / 1000)),
      untilStart: minutes,
      shelf: [],
      earlier,
      before,
      culprit: fit.culprit,
      figures,
    }),
    [plan, fit, context, start, athlete, event, figures, earlier, before, minutes],
  );
}

/** What the forecast and the checks say, as fast as edits come; null before the first answer. */
export function useJudgement(input: JudgeInput | null): Judgement | null {
  const ask = useMemo(() => (input ? { kind: "judge" as const, input } : null), [input]);
  return useLatestAnswer(ask).answer;
}

/** The same with mends that were tried, and what would bring it back if the start slips: for a sheet that is open. */
export function useFullJudgement(
  input: JudgeInput,
  start: Start,
  shelf: readonly ShelfDrill[],
): { judgement: FullJudgement | null; failure: string | null } {
  const ask = useMemo(
    () => ({
      kind: "judge-fully" as const,
      input: { ...input, shelf: shelf.filter((d) => !d.archived).map(({ archived: _, ...drill }) => drill) },
      day: { startsAt: start.startsAt, facts: start.facts },
    }),
    [input, start, shelf],
  );
  const { answer, failure } = useLatestAnswer(ask);
  return { judgement: answer, failure };
}
