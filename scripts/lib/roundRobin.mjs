import { createServer } from "node:http";
import httpProxy from "http-proxy";

/**
 * A balancer in small: sends one request after the other to the next of several servers, and nobody twice to the same
 * one. For tests and benchmarks; a real one also asks /ready.
 * @returns a way to end it
 */
export async function roundRobin(port, targets) {
  const proxy = httpProxy.createProxyServer({ xfwd: true });
  proxy.on("error", (_error, _request, response) => {
    if (response.writeHead && !response.headersSent) response.writeHead(502);
    response.end?.();
  });
  let turn = 0;
  const server = createServer((request, response) => {
    turn = (turn + 1) % targets.length;
    proxy.web(request, response, { target: targets[turn] });
    // A stream that its reader has left is left by the balancer too.
    response.on("close", () => request.destroy());
  });
  await new Promise((resolve) => server.listen(port, "127.0.0.1", resolve));
  return () => {
    server.closeAllConnections();
    server.close();
    proxy.close();
  };
}
