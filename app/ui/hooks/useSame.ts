import { useRef } from "react";

/** The value as it first was for as long as its key stays the same, so that what is equal draws nothing anew. */
export function useSame<T>(value: T, key: unknown): T {
  const kept = useRef({ value, key });
  if (kept.current.key !== key) kept.current = { value, key };
  return kept.current.value;
}
