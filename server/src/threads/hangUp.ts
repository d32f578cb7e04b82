import type { FastifyReply } from "fastify";

/** Tells when whoever asked hangs up before they are answered. */
export function hangUpOf({ raw }: FastifyReply): AbortSignal {
  const controller = new AbortController();
  raw.once("close", () => {
    if (!raw.writableFinished) controller.abort();
  });
  return controller.signal;
}
