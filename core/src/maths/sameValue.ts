/** Whether two plain values (as JSON has them) are the same, whatever order their fields stand in; a field left out is undefined. */
export function sameValue(a: unknown, b: unknown): boolean {
  if (a === b) return true;
  if (typeof a !== "object" || typeof b !== "object" || a === null || b === null) return false;
  if (Array.isArray(a) !== Array.isArray(b)) return false;
  const [one, other] = [a as Record<string, unknown>, b as Record<string, unknown>];
  return [...new Set([...Object.keys(one), ...Object.keys(other)])].every((k) => sameValue(one[k], other[k]));
}
