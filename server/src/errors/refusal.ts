import type { ApiError, ErrorCode } from "@tonodrome/core/api";

/** An answer other than what was asked for, in the one shape all errors have. */
export class Refusal extends Error {
  constructor(
    readonly code: ErrorCode,
    message: string,
    readonly more: Partial<Pick<ApiError, "path" | "problems" | "current" | "by">> = {},
    /** After how many seconds asking again makes sense. */
    readonly retryAfter?: number,
  ) {
    super(message);
  }
}

/** Nothing of that kind in this club. Also said of what another club has. */
export function notFound(what: string): Refusal {
  return new Refusal("not_found", `There is no such ${what}. It may have been deleted.`);
}

/** Someone saved in between. @param by their name, where it is known */
export function versionConflict(what: string, current: { version: number }, by?: string): Refusal {
  return new Refusal(
    "version_conflict",
    `${by ?? "Someone else"} saved this ${what} in the meantime (it is now version ${current.version}). Nothing was overwritten.`,
    { path: "version", current, ...(by ? { by } : {}) },
  );
}

/** A refusal in the one documented shape. */
export function apiErrorOf({ code, message, more }: Refusal): ApiError {
  return { code, message, path: null, ...more };
}
