// What judges plans and runs needs: the worker of the application. Apart, because no screen needs it at once.

export { type FullJudgement, type JudgeInput, type Judgement, judge, judgeFully } from "../checks/judge";
export type { MendedDay } from "../checks/provenMends";
export type { ClubFigures } from "../checks/terms/figures";
export type { EarlierRun } from "../checks/terms/situation";
export { type CurvePoint, curvesOf, forecastOf } from "../forecast/forecast";
export { surroundingsOf, type Training } from "../forecast/model/surroundings";
export { piecesOf } from "../forecast/piecesOf";
export { type Glance, type GlanceOf, glanceOf, quickGlanceOf } from "../glance/glance";
export { stateLineOf } from "../glance/stateLineOf";
export type { ShelfContent } from "../plan/drillContent";
export type { DoneBefore } from "../rewarm/doneBefore";
export { doneIn } from "../rewarm/doneIn";
export { wholeDay } from "../rewarm/wholeDay";
export { type RunForecast, runForecast } from "../run/judge/runForecast";
export { runTopUp } from "../run/judge/runTopUp";
