/** What judges a plan needs: a worker, a command line, the server. */

export { type ClubFigures, clubFiguresSchema, figuresOf } from "./checks/clubFigures";
export { type FullJudgement, type JudgeInput, type Judgement, judge, judgeFully } from "./checks/judge";
export { CHECKS } from "./checks/list";
export { type MendedDay, provenMends } from "./checks/provenMends";
export type { Noted } from "./checks/setAside";
export type { Check, Figure } from "./checks/terms/check";
export { type EarlierRun, type SituationInput, situationOf } from "./checks/terms/situation";
export { COOL_AIR, coldBandOf, windChill } from "./conditions/cold";
export { heatBandOf, wetBulbGlobe } from "./conditions/heat";
export type { TopUpDrill } from "./forecast/answers/topUp";
export { type CurvePoint, curvesOf, type Forecast, forecastOf } from "./forecast/forecast";
export { surroundingsOf, type Training } from "./forecast/model/surroundings";
export { piecesOf } from "./forecast/piecesOf";
export { stateLine } from "./forecast/stateLine";
export { type RunForecast, runForecast } from "./run/judge/runForecast";
export { runTopUp } from "./run/judge/runTopUp";
