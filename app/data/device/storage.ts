/**
 * Reads what this device kept under a key; null when there is nothing or it cannot be read.
 * @param read what it makes of what was kept; nothing where that is not what it should be
 */
export function readKept<T>(key: string, read: (kept: unknown) => T | null | undefined): T | null {
  try {
    const text = localStorage.getItem(key);
    return text === null ? null : (read(JSON.parse(text)) ?? null);
  } catch {
    return null;
  }
}

/** Whether something kept has fields. */
export const isRecord = (kept: unknown): kept is Record<string, unknown> =>
  typeof kept === "object" && kept !== null;

/** What is kept under a key as it was written; null when there is nothing. */
export function keptText(key: string): string | null {
  try {
    return localStorage.getItem(key);
  } catch {
    return null;
  }
}

/** Keeps a value on this device; returns whether it could (a full or forbidden store cannot). */
export function keep(key: string, value: unknown): boolean {
  try {
    localStorage.setItem(key, JSON.stringify(value));
    return true;
  } catch {
    return false;
  }
}

/** Forgets a value. */
export function forget(key: string): void {
  try {
    localStorage.removeItem(key);
  } catch {
    // A store that cannot be reached holds nothing to forget.
  }
}

/** Every key with this beginning. */
export function keptKeys(prefix: string): string[] {
  try {
    return Object.keys(localStorage).filter((key) => key.startsWith(prefix));
  } catch {
    return [];
  }
}
