import { BACK_WITHIN, type TopUp } from "../forecast/answers/topUp";
import type { Forecast } from "../forecast/forecast";
import { stateLine } from "../forecast/stateLine";
import type { Finding } from "../plan/finding";
import type { MakeId } from "../words/makeId";
import { checkPlan } from "./checkPlan";
import { topUpOf } from "./mends/topUp";
import { type MendedDay, withProvenMends } from "./provenMends";
import { type Noted, noted } from "./setAside";
import type { ClubFigures } from "./terms/figures";
import { type Situation, type SituationInput, situationOf } from "./terms/situation";

/** What is judged besides the plan and its day. */
export interface JudgeInput extends SituationInput {
  /** Figures that the club has of its own. */
  figures: ClubFigures;
}

/** What the forecast and the checks say of a plan. */
export interface Judgement {
  /** The state at the start in a line; null where nothing is done. */
  line: string | null;
  forecast: Forecast;
  findings: Noted[];
}

/** The same with everything that takes a while: mends that were tried, and what a late start would need. */
export interface FullJudgement extends Judgement {
  /** For every slip that the forecast answers: null where nothing is needed, or worth it. */
  topUps: { delaySeconds: number; isNeeded: boolean; topUp: TopUp | null }[];
}

/** Judges a plan: fast enough for every edit. Its findings have no mends; `judgeFully` tries those. */
export function judge(input: JudgeInput): Judgement {
  const situation = situationOf({ ...input, shelf: [] });
  return judgementOf(
    situation,
    checkPlan(situation, input.figures).map((f) => ({ ...f, mends: [] })),
  );
}

/** Judges a plan and tries what mends each finding. @param day where a mend may change what is there on the day */
export function judgeFully(input: JudgeInput, makeId: MakeId, day: MendedDay | null = null): FullJudgement {
  const { figures } = input;
  const situation = situationOf(input);
  const found = withProvenMends(situation, checkPlan(situation, figures), { figures, makeId, day });
  const { delays, atStart } = situation.forecast;
  return {
    ...judgementOf(situation, found),
    topUps: delays
      .filter((d) => d.delaySeconds > 0)
      .map(({ delaySeconds, state }) => ({
        delaySeconds,
        isNeeded: state.readiness.middle < atStart.readiness.middle - BACK_WITHIN,
        topUp: topUpOf(situation, delaySeconds),
      })),
  };
}

function judgementOf({ plan, setting, doings, forecast }: Situation, found: readonly Finding[]): Judgement {
  return {
    line: doings.length > 0 ? stateLine(forecast) : null,
    forecast,
    findings: noted(found, plan, setting.known),
  };
}
