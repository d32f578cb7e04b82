import { isDeepStrictEqual } from "node:util";
import type { Start, StartWrite } from "@tonodrome/core/api";

/** Names of the fields that read differently. */
export function changedFields(before: Start, after: Start): string[] {
  const fields = ["title", "venue", "zone", "startsAt", "readyAt", "listedAt", "eventId"] as const;
  const changed: string[] = fields.filter((name) => before[name] !== after[name]);
  if (!isDeepStrictEqual(before.order, after.order)) changed.push("order");
  if (!isDeepStrictEqual(before.setting, after.setting)) changed.push("setting");
  return before.athlete.id === after.athlete.id ? changed : ["athlete", ...changed];
}

/** Whether a start reads as a write has it. */
export function saysTheSame(start: Start, input: Omit<StartWrite, "version">): boolean {
  const sameTime = (a: string, b: string) => Date.parse(a) === Date.parse(b);
  return (
    start.athlete.id === input.athleteId &&
    start.title === input.title &&
    start.venue === input.venue &&
    start.zone === input.zone &&
    sameTime(start.startsAt, input.startsAt) &&
    sameTime(start.readyAt, input.readyAt) &&
    (input.listedAt === undefined || sameTime(start.listedAt, input.listedAt)) &&
    start.eventId === input.eventId &&
    isDeepStrictEqual(start.setting, input.setting)
  );
}
