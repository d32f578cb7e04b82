/** The one of greatest score; the first of equals. Null where there is none, or none above the threshold. */
export function best<T>(list: readonly T[], score: (one: T) => number, above = -Infinity): T | null {
  let found: T | null = null;
  let most = above;
  for (const one of list) {
    const s = score(one);
    if (s > most) {
      found = one;
      most = s;
    }
  }
  return found;
}
