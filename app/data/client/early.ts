import type { Early } from "~/early/askEarly";

/** What was asked before the application was there is as good as new for so long, milliseconds. */
const FRESH = 20_000;

function fresh() {
  const early = globalThis.tonodromeEarly;
  return early && Date.now() - early.since < FRESH ? early : null;
}

/** The answer to what was asked early, once; null where it was not. */
export function takeEarly(path: string): Early | null {
  const early = fresh();
  const answer = early?.answers.get(path) ?? null;
  early?.answers.delete(path);
  return answer;
}

/** What stands in an answer that is there already; undefined where none is. */
export const earlyBody = (path: string): unknown => fresh()?.bodies.get(path);

/** Forgets what was asked early: it was for whoever was here. */
export function forgetEarly(): void {
  globalThis.tonodromeEarly?.answers.clear();
  globalThis.tonodromeEarly?.bodies.clear();
}
