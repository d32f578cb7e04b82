import type { Tick } from "@tonodrome/core/lists";
import type { TickRow } from "../db/models/rows";

/** A row as it is answered. */
export const toTick = ({ step, line, isOn, at, by }: TickRow): Tick => ({
  step,
  line,
  isOn,
  at: at.toISOString(),
  by,
});
