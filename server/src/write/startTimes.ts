import type { StartInput } from "@tonodrome/core/api";
import type { StartRow } from "../db/models/rows";

/** The times of a start as they are kept: that on the start list only where it is another than the start's own. */
export function startTimes({
  startsAt,
  readyAt,
  listedAt,
}: Pick<StartInput, "startsAt" | "readyAt" | "listedAt">) {
  return {
    startsAt: new Date(startsAt),
    readyAt: new Date(readyAt),
    listedAt: listedAt && Date.parse(listedAt) !== Date.parse(startsAt) ? new Date(listedAt) : null,
  };
}

/** The time on the start list, ISO 8601. */
export const listedTime = ({ startsAt, listedAt }: Pick<StartRow, "startsAt" | "listedAt">): string =>
  (listedAt ?? startsAt).toISOString();
