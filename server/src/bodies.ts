import { Socket } from "node:net";
import type { FastifyInstance, FastifyRequest } from "fastify";
import { Refusal } from "./errors/refusal";
import { type LeastRate, USUAL_RATE } from "./live/slowReader";

/** A request's body has to be there so soon after its head, milliseconds: a slow one holds nothing up for longer. Custom. */
const PATIENCE_MS = 30_000;

/** What was answered before its body had come is not waited for longer than this, milliseconds. Custom. */
const LINGER = 3_000;

declare module "fastify" {
  interface FastifyContextConfig {
    /** Its body is long and read as it comes: it has to come at a least rate. */
    streamed?: boolean;
  }
}

/**
 * Limits what a body may cost besides their length: none is inflated, because a small one may become any size, none is
 * waited for without end, and what was refused before it was read keeps no connection.
 * @throws Refusal `unsupported_media_type`
 */
export function guardBodies(
  app: FastifyInstance,
  patience = PATIENCE_MS,
  rate: LeastRate = USUAL_RATE,
): void {
  app.addHook("onRequest", async (request) => {
    const encoding = request.headers["content-encoding"];
    if (encoding && encoding.toLowerCase() !== "identity") {
      throw new Refusal("unsupported_media_type", "Send it as it is, not compressed.");
    }
    if (isMissing(request)) watch(request, patience, rate);
  });
  app.addHook("onSend", async (request, reply) => {
    if (isMissing(request)) reply.header("connection", "close");
  });
  app.addHook("onResponse", async (request) => {
    const { socket } = request.raw;
    if (isMissing(request) && socket instanceof Socket) setTimeout(() => socket.destroy(), LINGER).unref();
  });
}

/** Whether a request has a body that has not all come yet. */
function isMissing({ raw }: FastifyRequest): boolean {
  const { "content-length": length, "transfer-encoding": coding } = raw.headers;
  return !raw.complete && ((length !== undefined && length !== "0") || coding !== undefined);
}

/** Gives a body up that comes too slowly. */
function watch({ raw, routeOptions }: FastifyRequest, patience: number, { every, bytes }: LeastRate): void {
  const give = () => {
    if (!raw.complete) raw.destroy(Object.assign(new Error("The body took too long."), { statusCode: 408 }));
  };
  let before = raw.socket?.bytesRead ?? 0;
  const look = () => {
    const now = raw.socket?.bytesRead ?? before;
    // What is there and not read yet is not the sender's delay.
    const isWaiting = raw.readableLength < raw.readableHighWaterMark;
    if (isWaiting && now - before < bytes) give();
    before = now;
  };
  const timer = routeOptions.config.streamed ? setInterval(look, every) : setTimeout(give, patience);
  timer.unref();
  raw.once("end", () => clearTimeout(timer));
  raw.once("close", () => clearTimeout(timer));
}
