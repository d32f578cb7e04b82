/** Adds a field to every object in something, however deep: what a later release says more. */
export function withMore<T>(said: T): T {
  if (Array.isArray(said)) return said.map(withMore) as T;
  if (typeof said !== "object" || said === null) return said;
  const fields = Object.entries(said).map(([field, value]) => [field, withMore(value)]);
  return { ...Object.fromEntries(fields), later: 1 };
}
