import type { Socket } from "node:net";
import type { FastifyInstance } from "fastify";

/**
 * Ends connections on which nothing was ever asked when the server stops. Browsers open some in advance, and Node,
 * which closes idle ones by itself, does not count these as idle: stopping would wait for them a minute.
 */
export function endUnusedConnections(app: FastifyInstance): void {
  const unused = new Set<Socket>();
  app.server.on("connection", (socket: Socket) => {
    unused.add(socket);
    socket.once("close", () => unused.delete(socket));
  });
  app.server.on("request", ({ socket }) => unused.delete(socket));
  app.addHook("preClose", async () => {
    for (const socket of unused) socket.destroy();
  });
}
