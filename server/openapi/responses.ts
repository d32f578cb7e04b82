import type { ErrorCode } from "@tonodrome/core/api";
import { STATUS } from "../src/errors/status";

/** When each refusal is answered, and what to do. */
const WHEN: Record<ErrorCode, string> = {
  invalid_input: "The field at `path` is wrong. Nothing was changed.",
  signed_out: "Nobody is signed in. Sign in again.",
  wrong_password: "The password is wrong.",
  forbidden: "The role does not allow it, or it was sent from another site's page.",
  not_found: "It is not in this club, or no longer.",
  version_conflict: "Someone saved in between: `current` is theirs.",
  taken: "It is taken already.",
  last_owner: "A club keeps at least one owner.",
  not_empty: "A club is imported into an empty one only.",
  full: "There are as many of these as there may be.",
  link_over: "The link was used or withdrawn, or it has expired.",
  too_large: "Send less.",
  unsupported_media_type: "Send `application/json`, not compressed.",
  too_many: "Wait as long as `retry-after` says.",
  unavailable: "The database is away or the server stops. Nothing was saved; ask again.",
  internal: "A fault of the server, noted in its log.",
};

/** The name of the answer that refuses with one of these codes. */
export function responseName(codes: readonly ErrorCode[]): string {
  return codes
    .map((code) => code.replace(/(?:^|_)(\w)/g, (_, letter: string) => letter.toUpperCase()))
    .join("Or");
}

/** The answer that refuses with one of these codes, all of one status. */
export function refusalResponse(codes: readonly ErrorCode[]): Record<string, unknown> {
  const [first] = codes as [ErrorCode];
  return {
    description: codes.map((code) => `\`${code}\`: ${WHEN[code]}`).join(" "),
    ...(STATUS[first] === STATUS.too_many
      ? {
          headers: {
            "retry-after": { description: "Seconds to wait.", schema: { type: "integer", minimum: 1 } },
          },
        }
      : {}),
    content: {
      "application/json": {
        schema: {
          allOf: [
            { $ref: "#/components/schemas/ApiError" },
            { type: "object", properties: { code: { type: "string", enum: codes } } },
          ],
        },
        example: {
          code: first,
          message: WHEN[first].replaceAll("`", ""),
          path: first === "invalid_input" ? "title" : null,
        },
      },
    },
  };
}
