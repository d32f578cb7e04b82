/** What was edited before and what was taken back, newest last in both. */
export interface EditHistory<T> {
  past: readonly T[];
  future: readonly T[];
}

/** Most edits that can be taken back one by one. */
const MOST = 200;

/** Nothing to take back, and nothing to do again. */
export const noHistory = { past: [], future: [] } as const;

/** After an edit: what was before can come back, what had been taken back cannot. */
export function edited<T>({ past }: EditHistory<T>, before: T): EditHistory<T> {
  return { past: [...past.slice(1 - MOST), before], future: [] };
}

/** Takes one edit back. @returns what is then, and the history; null when there is nothing to take back */
export function undone<T>(
  { past, future }: EditHistory<T>,
  now: T,
): { now: T; history: EditHistory<T> } | null {
  const before = past.at(-1);
  if (before === undefined) return null;
  return { now: before, history: { past: past.slice(0, -1), future: [...future, now] } };
}

/** Does again what was taken back last. */
export function redone<T>(
  { past, future }: EditHistory<T>,
  now: T,
): { now: T; history: EditHistory<T> } | null {
  const after = future.at(-1);
  if (after === undefined) return null;
  return { now: after, history: { past: [...past, now], future: future.slice(0, -1) } };
}
