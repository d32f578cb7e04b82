import { STATUS_CODES } from "node:http";
import type { Duplex } from "node:stream";
import type { ApiError } from "@tonodrome/core/api";

/** How what is no request at all is answered: in the shape that all errors have, by a connection that then ends. */
export function answerUnreadable(error: Error & { code?: string }, socket: Duplex): void {
  if (error.code === "ECONNRESET" || socket.destroyed || !socket.writable) return;
  const status =
    error.code === "ERR_HTTP_REQUEST_TIMEOUT" ? 408 : error.code === "HPE_HEADER_OVERFLOW" ? 431 : 400;
  const body = JSON.stringify({
    code: "invalid_input",
    message: "This is no request that the server can read. Nothing was changed.",
    path: null,
  } satisfies ApiError);
  socket.end(
    [
      `HTTP/1.1 ${status} ${STATUS_CODES[status]}`,
      "content-type: application/json; charset=utf-8",
      `content-length: ${Buffer.byteLength(body)}`,
      "connection: close",
      "",
      body,
    ].join("\r\n"),
  );
}
