import type { ServerResponse } from "node:http";
import type { Readable } from "node:stream";

/** How long a reader or sender is watched before it is judged, milliseconds, and the least that has to pass in that time, bytes. */
export interface LeastRate {
  every: number;
  bytes: number;
}

/** 2 kB/s. Custom: a poor phone network has several times as much. */
export const USUAL_RATE: LeastRate = { every: 15_000, bytes: 30_000 };

/**
 * Ends an answer whose reader takes it too slowly, or not at all: what it holds is free again. Time in which there was
 * nothing to read does not count against the reader.
 * @param lines what is sent
 * @param taken how many bytes have been taken from it so far
 */
export function endSlowReader(
  lines: Readable,
  response: ServerResponse,
  taken: () => number,
  { every, bytes }: LeastRate = USUAL_RATE,
): void {
  let before = 0;
  const timer = setInterval(() => {
    const now = taken();
    // Its buffer is full: it is the reader that is waited for.
    const isWaiting = lines.readableLength >= lines.readableHighWaterMark;
    if (isWaiting && now - before < bytes) {
      lines.destroy();
      response.destroy();
    }
    before = now;
  }, every).unref();
  const over = () => clearInterval(timer);
  lines.once("close", over);
  response.once("close", over);
}
