import { existsSync } from "node:fs";
import path from "node:path";
import type { FastifyHelmetOptions } from "@fastify/helmet";
import fastifyStatic from "@fastify/static";
import type { FastifyInstance } from "fastify";

/** Files named by their content's hash never change under that name. */
const HASHED = /[\\/]_expo[\\/]static[\\/]|[.-][0-9a-f]{32}\./;

/** Serves the exported web application; every address it does not know as a file is one of the application's own. */
export async function serveWeb(app: FastifyInstance, webRoot: string): Promise<void> {
  if (!existsSync(path.join(webRoot, "index.html"))) return;
  await app.register(fastifyStatic, {
    root: webRoot,
    preCompressed: true,
    cacheControl: false,
    setHeaders(reply, file) {
      reply.setHeader(
        "cache-control",
        HASHED.test(file) ? "public, max-age=31536000, immutable" : "no-cache",
      );
    },
  });
}

/**
 * What the exported application may do: everything from its own address and nothing from elsewhere. Styles are written
 * into the page by the interface library, so they may be inline; scripts may not.
 * @param hstsDays for how many days browsers are told to come by TLS only; 0 tells them nothing
 */
export const contentPolicy = (hstsDays: number): FastifyHelmetOptions => ({
  // Who runs the server says whether everybody is to come by TLS from now on: it cannot be taken back soon.
  strictTransportSecurity: hstsDays > 0 ? { maxAge: hstsDays * 86_400 } : false,
  contentSecurityPolicy: {
    useDefaults: false,
    directives: {
      defaultSrc: ["'none'"],
      scriptSrc: ["'self'"],
      styleSrc: ["'self'", "'unsafe-inline'"],
      fontSrc: ["'self'"],
      imgSrc: ["'self'", "data:"],
      connectSrc: ["'self'"],
      workerSrc: ["'self'"],
      manifestSrc: ["'self'"],
      formAction: ["'self'"],
      frameAncestors: ["'none'"],
      baseUri: ["'none'"],
    },
  },
  // Links hold secrets: no other site is told where somebody came from.
  referrerPolicy: { policy: "no-referrer" },
});
