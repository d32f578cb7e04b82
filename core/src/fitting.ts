/** What reckons fits away from the interface needs: a worker, a command line. */
export { culpritLine } from "./fit/culprit";
export { type GivenUp, givenUp, idleLine } from "./fit/explain";
export { type Fit, fitAt } from "./fit/fit";
export { type FitFile, fitFileSchema, readFitFile } from "./fit/fitFile";
export { type FitProfile, type ProfileTable, profileAt, profileTable } from "./fit/profile";
