// The checks there are, with their figures: apart, because they are only loaded when somebody looks at them.

export { CHECKS } from "../checks/list";
export type { Check } from "../checks/terms/check";
