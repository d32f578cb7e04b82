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
export type { Band } from "./forecast/answers/band";
export { LANES, type Lane } from "./forecast/answers/laneWords";
export type { StateAt } from "./forecast/answers/stateAt";
export { type TopUp, type TopUpDrill, topUpLine } from "./forecast/answers/topUp";
export { type CurvePoint, curvesOf, type Forecast, forecastOf } from "./forecast/forecast";
export { PARAMETER_NAMES, PARAMETERS } from "./forecast/model/parameters";
export { surroundingsOf, type Training } from "./forecast/model/surroundings";
export { piecesOf } from "./forecast/piecesOf";
export { stateLine, stateSentence } from "./forecast/stateLine";
export {
  checkAnswer,
  type FindingAnswer,
  type ForecastAnswer,
  fixedFile,
  forecastAnswer,
} from "./formats/judgeAnswer";
export { type RunForecast, runForecast } from "./run/judge/runForecast";
export { runTopUp } from "./run/judge/runTopUp";
