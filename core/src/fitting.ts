/** What reckons fits away from the interface needs: a worker, a command line. */
export { idleLine } from "./fit/explain";
export { type Explanation, explanationOf } from "./fit/explanation";
export { type Fit, fitAt } from "./fit/fit";
export { type FitFile, fitFileSchema, readFitFile } from "./fit/fitFile";
export { type FitProfile, type ProfileTable, profileAt, profileTable, tableAt } from "./fit/profile";
export { type Trade, tradeFor } from "./fit/trade";
export { type Refit, refitRun } from "./run/refit";
