import type { FastifyInstance } from "fastify";
import { Refusal } from "./errors/refusal";

/** A request's body has to be there so soon after its head, milliseconds: a slow one holds nothing up for longer. Custom. */
const PATIENCE = 30_000;

declare module "fastify" {
  interface FastifyContextConfig {
    /** Its body is long and read as it comes: only a pause is too long. */
    streamed?: boolean;
  }
}

/**
 * Limits what a body may cost besides their length: none is inflated, because a small one may become any size, and none is
 * waited for without end.
 * @throws Refusal `unsupported_media_type`
 */
export function guardBodies(app: FastifyInstance, patience = PATIENCE): void {
  app.addHook("onRequest", async (request) => {
    const encoding = request.headers["content-encoding"];
    if (encoding && encoding.toLowerCase() !== "identity") {
      throw new Refusal("unsupported_media_type", "Send it as it is, not compressed.");
    }
    const { raw } = request;
    if (raw.complete || raw.method === "GET" || raw.method === "HEAD") return;
    const tooSlow = () => {
      if (!raw.complete)
        raw.destroy(Object.assign(new Error("The body took too long."), { statusCode: 408 }));
    };
    if (request.routeOptions.config.streamed) {
      raw.socket?.setTimeout?.(patience, tooSlow);
      return;
    }
    const timer = setTimeout(tooSlow, patience).unref();
    raw.once("end", () => clearTimeout(timer));
    raw.once("close", () => clearTimeout(timer));
  });
}
