/** So long no more than that share of them took. */
function share(times: number[], part: number): number {
  const sorted = times.toSorted((x, y) => x - y);
  return sorted[Math.min(sorted.length - 1, Math.floor(sorted.length * part))] ?? Number.NaN;
}

/** A line of the bench: how many there were, the middle one, and what 95 % stay below. */
export function row(name: string, times: number[]): string {
  const figures = [0.5, 0.95].map((part) => share(times, part).toFixed(1).padStart(8));
  return `  ${name.padEnd(44)}${String(times.length).padStart(7)}${figures.join("")}`;
}

/** How many times as long as others, in the middle and at 95 %. */
export const against = (times: number[], others: number[]): string =>
  [0.5, 0.95].map((part) => (share(times, part) / share(others, part)).toFixed(2)).join(", ");
