// What answers programs about a plan: the command line and the server.

export { clubFiguresSchema } from "../checks/clubFigures";
export { CHECKS } from "../checks/list";
export type { Check } from "../checks/terms/check";
export { LANES } from "../forecast/answers/laneWords";
export {
  checkAnswer,
  type FindingAnswer,
  type ForecastAnswer,
  fixedFile,
  forecastAnswer,
} from "../formats/judgeAnswer";
