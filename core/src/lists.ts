// Lists that are ticked off, wherever they are shown.

export { type ListStand, lineKey, listStands, mergeTicks, type Tick, tickSchema } from "./lists/tick";
