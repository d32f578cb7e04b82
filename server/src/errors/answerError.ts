import type { FastifyError, FastifyReply, FastifyRequest } from "fastify";
import { ConnectionError, DatabaseError } from "sequelize";
import { apiErrorOf, notFound, Refusal } from "./refusal";
import { STATUS } from "./status";

/** Answers an error that was thrown during a request in the one documented shape. */
export function answerError(error: FastifyError | Error, request: FastifyRequest, reply: FastifyReply): void {
  const refusal = refusalOf(error);
  if (refusal.code === "internal") request.log.error({ err: error }, "unexpected error");
  if (refusal.retryAfter !== undefined) void reply.header("retry-after", refusal.retryAfter);
  void reply
    .code(STATUS[refusal.code])
    .type("application/json")
    .send(JSON.stringify(apiErrorOf(refusal)));
}

function refusalOf(error: FastifyError | Error): Refusal {
  if (error instanceof Refusal) return error;
  if (isOutage(error)) {
    return new Refusal(
      "unavailable",
      "The database cannot be reached just now. Nothing was saved; try again in a moment.",
    );
  }
  const state = sqlState(error);
  if (state === HUNG_UP) return new Refusal("unavailable", "The connection ended before the answer did.");
  if (state === FOREIGN_KEY_VIOLATION) return notFound("thing any more");
  if (BUSY.has(state))
    return new Refusal(
      "unavailable",
      "Someone else is changing the same thing. Nothing was saved; try again.",
    );
  const status = "statusCode" in error ? error.statusCode : undefined;
  if (status === 413)
    return new Refusal("too_large", "This is larger than the server takes here. Nothing was changed.");
  if (status === 408)
    return new Refusal("unavailable", "The request took too long to come. Nothing was changed; try again.");
  if (status === 415) return new Refusal("unsupported_media_type", "Send JSON, as application/json.");
  if (status !== undefined && status >= 400 && status < 500) {
    return new Refusal("invalid_input", `The request cannot be read: ${error.message.slice(0, 200)}`);
  }
  return new Refusal(
    "internal",
    "Something went wrong on the server. Nothing was saved; the fault has been noted.",
  );
}

/** Something that a write refers to was deleted meanwhile. */
const FOREIGN_KEY_VIOLATION = "23503";
/** Deadlock, a lock that came too late, a statement that took too long, a serialisation failure. */
const BUSY = new Set(["40P01", "55P03", "57014", "40001"]);

/** Returns whether a transaction was broken off because of another one. */
export const isDeadlock = (error: unknown): boolean => error instanceof Error && sqlState(error) === "40P01";

/** PostgreSQL's SQLSTATE of an error, or the system's code; empty when it has neither. */
function sqlState(error: Error): string {
  const parent = error instanceof DatabaseError ? error.parent : error;
  return "code" in parent ? String(parent.code) : "";
}

/** The client went away in the middle of the answer. */
const HUNG_UP = "ERR_STREAM_PREMATURE_CLOSE";

/** SQLSTATE class 57P: the server is shutting down or starting; 08: the connection broke; 53: it has no room; 25P03: it gave up waiting. */
function isOutage(error: Error): boolean {
  if (error instanceof ConnectionError) return true;
  return (
    /^(57P0\d|08\w{3}|25P03|53\w{3}|ECONNRESET|ECONNREFUSED|EPIPE)$/.test(sqlState(error)) ||
    /Connection terminated|not queryable/.test(error.message)
  );
}
