// What a screen that shows a forecast needs: apart, because it is only loaded when it is looked at.

export { LANES, type Lane } from "../forecast/answers/laneWords";
export type { StateAt } from "../forecast/answers/stateAt";
export { topUpLine } from "../forecast/answers/topUpLine";
export type { CurvePoint, Forecast } from "../forecast/forecast";
export { PARAMETER_NAMES, PARAMETERS } from "../forecast/model/parameters";
export { stateSentence } from "../forecast/stateLine";
