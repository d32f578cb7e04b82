import type { Start } from "@tonodrome/core/api";
import { clockTime } from "~/ui/dates";

/** The time on the start list, where the start has moved since; null while it is the time it starts at. */
export function listedTime({ startsAt, listedAt, zone }: Start): string | null {
  if (Date.parse(listedAt) === Date.parse(startsAt)) return null;
  return clockTime(listedAt, zone);
}
