// What follows the start: the usual cool-down after an event, a changed one, and its run.

export { coolDownRun } from "../coolDown/coolDownRun";
export {
  coolDownFor,
  coolDownStepOf,
  isForCoolDown,
  plainCoolDownStep,
  type Went,
} from "../coolDown/usualCoolDown";
export {
  COOL_DOWN_STEP,
  type CoolDownStep,
  coolDownSeconds,
  MOST_COOL_DOWN_STEPS,
} from "../plan/coolDown";
