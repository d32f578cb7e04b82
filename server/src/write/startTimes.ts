import type { StartInput } from "@tonodrome/core/api";

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
