// Filling a warm-up from an approach: for the worker.

export { type Filled, fillPlan } from "../fill/fillPlan";
export { type FillOrder, type FillPreview, fillOrdered, previewsOf } from "../fill/preview";
