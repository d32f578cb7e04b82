import type { z } from "zod";

/** Reads what this device kept under a key; null when there is nothing or it cannot be read. */
export function readKept<S extends z.ZodType>(key: string, schema: S): z.infer<S> | null {
  try {
    const text = localStorage.getItem(key);
    return text === null ? null : (schema.safeParse(JSON.parse(text)).data ?? null);
  } catch {
    return null;
  }
}

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
