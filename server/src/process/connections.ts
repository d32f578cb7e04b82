import type { Socket } from "node:net";
import type { FastifyInstance } from "fastify";

/**
 * Lets connections end when the server stops. Node closes those that are idle at that moment by itself; two kinds it
 * would wait for a minute and more: those on which nothing was ever asked, which browsers open in advance, and those on
 * which an answer was still under way and which would be kept for a next request that never comes.
 */
export function endConnections(app: FastifyInstance): void {
  const unused = new Set<Socket>();
  let isStopping = false;
  app.server.on("connection", (socket: Socket) => {
    unused.add(socket);
    socket.once("close", () => unused.delete(socket));
  });
  app.server.on("request", ({ socket }) => unused.delete(socket));
  app.addHook("preClose", async () => {
    isStopping = true;
    for (const socket of unused) socket.destroy();
  });
  app.addHook("onSend", async (_request, reply) => {
    if (isStopping) reply.header("connection", "close");
  });
}
