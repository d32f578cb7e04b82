/** Every way the server refuses, in one list. docs/openapi.json says what each asks of the caller. */
export const ERROR_CODES = [
  "invalid_input",
  "signed_out",
  "wrong_password",
  "forbidden",
  "not_found",
  "version_conflict",
  "taken",
  "last_owner",
  "not_empty",
  "full",
  "link_over",
  "too_large",
  "unsupported_media_type",
  "too_many",
  "unavailable",
  "internal",
] as const;

export type ErrorCode = (typeof ERROR_CODES)[number];
