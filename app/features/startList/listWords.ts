import type { StartListNews } from "@tonodrome/core/api";

/** How many rows become what. */
interface Counts {
  fresh: number;
  changed: number;
  same: number;
  other: number;
  written: number;
}

/** Counts what becomes of rows; none while it is not known. */
export function countsOf(news: StartListNews | null): Counts {
  const count = (...states: string[]) => news?.rows.filter((row) => states.includes(row.state)).length ?? 0;
  const [fresh, changed] = [count("new", "new-athlete"), count("changed")];
  return { fresh, changed, same: count("same"), other: count("other"), written: fresh + changed };
}

/** What faults mean for all of a list. */
export const faultWords = (count: number) =>
  count === 1
    ? "1 line has a fault: nothing is imported until it is fixed or left out."
    : `${count} lines have faults: nothing is imported until they are fixed or left out.`;

/** What becomes of a list, in a line. */
export const summaryOf = ({ fresh, changed, same, other }: Counts, faults: number) =>
  [
    `${fresh} new`,
    `${changed} changed`,
    `${same} as they are`,
    other > 0 ? `${other} not of the club` : "",
    faults > 0 ? `${faults} with faults` : "",
  ]
    .filter(Boolean)
    .join(", ");
