// Lists that are ticked off, wherever they are shown.

export { KIT_STEP } from "../day/step";
export {
  kitThere,
  type ListStand,
  lineKey,
  listStands,
  mergeTicks,
  type Tick,
  tickSchema,
} from "../lists/tick";
