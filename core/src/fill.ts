// Filling a warm-up from an approach: apart, because it is only loaded when it is used.
export {
  APPROACHES,
  type Approach,
  type ApproachSides,
  approachOf,
  suitedFirst,
} from "./approach/approaches";
export { type Filled, fillPlan } from "./approach/fillPlan";
