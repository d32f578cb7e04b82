import type { StartRow } from "../db/models/rows";

/** The time on the start list, ISO 8601. */
export const listedTime = ({ startsAt, listedAt }: Pick<StartRow, "startsAt" | "listedAt">): string =>
  (listedAt ?? startsAt).toISOString();
