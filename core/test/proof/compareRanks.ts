/** Compares two ranks, most important first: above 0 when the first is greater. */
export function compare(a: readonly number[], b: readonly number[]): number {
  const at = a.findIndex((v, i) => v !== b[i]);
  return at < 0 ? 0 : (a[at] as number) - (b[at] as number);
}
