import net from "node:net";

/** A port on loopback that nobody has at this moment. */
export function freePort() {
  return new Promise((resolve, reject) => {
    const server = net.createServer();
    server.on("error", reject);
    server.listen(0, "127.0.0.1", () => {
      const { port } = server.address();
      server.close(() => resolve(port));
    });
  });
}

/** Whether a port on loopback can be listened on; the error's code when it cannot. */
export function portFault(port, host = "127.0.0.1") {
  return new Promise((resolve) => {
    const server = net.createServer();
    server.on("error", (error) => resolve(error.code));
    server.listen(port, host, () => server.close(() => resolve(null)));
  });
}
