// The approaches that a warm-up is filled from: apart from the filling itself, which only a worker loads.

export { type Approach, type ApproachSides, approachOf, suitedFirst } from "../approach/approaches";
