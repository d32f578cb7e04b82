import type { ErrorCode } from "@tonodrome/core/api";

/** The HTTP status of each refusal. */
export const STATUS: Record<ErrorCode, number> = {
  invalid_input: 400,
  signed_out: 401,
  wrong_password: 401,
  forbidden: 403,
  not_found: 404,
  version_conflict: 409,
  taken: 409,
  last_owner: 409,
  not_empty: 409,
  full: 409,
  link_over: 410,
  too_large: 413,
  unsupported_media_type: 415,
  too_many: 429,
  unavailable: 503,
  internal: 500,
};
