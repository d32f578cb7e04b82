import { createHash } from "node:crypto";

/** By what a calendar knows a start's day again: always the same, and nothing by which the start itself is found. */
export function calendarIdOf(startId: string): string {
  const hex = createHash("sha256").update(`calendar ${startId}`).digest("hex");
  // As a UUID of version 8, the one for ids made by an own rule.
  return [
    hex.slice(0, 8),
    hex.slice(8, 12),
    `8${hex.slice(13, 16)}`,
    `8${hex.slice(17, 20)}`,
    hex.slice(20, 32),
  ].join("-");
}
