// Filling a warm-up from an approach: apart, because it is only loaded when it is used.

export { coldBandOf } from "./conditions/cold";
export { heatBandOf } from "./conditions/heat";
export { type Filled, fillPlan } from "./fill/fillPlan";
export {
  APPROACHES,
  type Approach,
  type ApproachSides,
  approachOf,
  suitedFirst,
} from "./fill/input/approaches";
