import type { ApiError, ErrorCode } from "@tonodrome/core/api";

/** A refusal, in the one shape that all errors have. */
export class Refusal extends Error {
  constructor(
    readonly code: ErrorCode,
    message: string,
    readonly more: Partial<Pick<ApiError, "path" | "problems" | "current" | "by">> = {},
    /** After how many seconds to ask again. */
    readonly retryAfter?: number,
  ) {
    super(message);
  }
}

/** Returns the refusal for a thing that is not in this club; also for one of another club. */
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
