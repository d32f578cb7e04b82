import { API_VERSION, HEADERS, LEAST_CLIENT } from "@tonodrome/core/api";
import type { FastifyInstance } from "fastify";

/** Says with every answer which version of the API is spoken here, and what time it is to the millisecond. */
export function saysVersion(app: FastifyInstance): void {
  app.addHook("onSend", async (_request, reply) => {
    reply.header(HEADERS.api, API_VERSION);
    reply.header(HEADERS.least, LEAST_CLIENT);
    reply.header(HEADERS.time, Date.now());
  });
}
