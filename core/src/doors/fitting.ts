/** What computes fits away from the interface needs: a worker, a command line. */

export { whyNot } from "../checks/terms/whyNot";
export { type Explanation, explanationOf } from "../fit/explain/explanation";
export { type Trade, tradeFor } from "../fit/explain/trade";
export { type Fit, fitAt } from "../fit/fit";
export { idleLine } from "../fit/idle";
export { type FitProfile, type ProfileTable, profileAt, profileTable, tableAt } from "../fit/profile";
export { type FitFile, fitFileSchema, judgedFile, readFitFile } from "../formats/fitFile";
export { type Refit, refitRun } from "../run/refit/refit";
export { fitTimeline } from "../timeline/fitTimeline";
