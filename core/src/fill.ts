// Filling a warm-up from an approach: the approaches for the sheet, the filling itself for the worker.

export {
  APPROACHES,
  type Approach,
  type ApproachSides,
  approachOf,
  suitedFirst,
} from "./approach/approaches";
export { type Filled, fillPlan } from "./fill/fillPlan";
export { type FillOrder, type FillPreview, fillOrdered, previewsOf } from "./fill/preview";
