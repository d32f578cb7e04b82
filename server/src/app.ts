import fastifyCompress from "@fastify/compress";
import fastifyCookie from "@fastify/cookie";
import fastifyHelmet from "@fastify/helmet";
import Fastify, { type FastifyInstance, type RouteOptions } from "fastify";
import { serializerCompiler } from "fastify-type-provider-zod";
import openapi from "../../docs/openapi.json";
import { guard } from "./access/access";
import { checkHost } from "./access/host";
import { makeRateLimits } from "./access/rateLimits";
import { guardBodies } from "./bodies";
import type { Database } from "./db/connect";
import { answerError } from "./errors/answerError";
import { notFound } from "./errors/refusal";
import { makeChanges } from "./live/changes";
import { endStreams } from "./live/eventStream";
import type { LeastRate } from "./live/slowReader";
import type { Config } from "./process/config";
import { endConnections } from "./process/connections";
import { type LogOptions, logAnswers, logOptions } from "./process/log";
import { saysVersion } from "./process/saysVersion";
import type { Context } from "./resources/context";
import { health } from "./resources/health";
import { resources } from "./routes";
import { makeThreads } from "./threads/threads";
import { answerUnreadable } from "./unreadable";
import { validatorCompiler } from "./validation/validate";
import { contentPolicy, serveWeb } from "./web";

/** What the server is built from, apart from its database. */
export type AppOptions = Omit<Config, "poolSize" | "port" | "host" | "logLevel" | "webRoot"> & {
  /** Folder of the exported web application, if it is to be served. */
  webRoot?: string;
  log: LogOptions;
  /** The built file that reads an import in a thread of its own. */
  importWorker: string;
  /** The built file of the threads in which plans are judged and files compared. */
  worker: string;
  /** The least that has to come of a long body, or be read of a long answer, if another than usual. */
  leastRate?: LeastRate;
  /** How long a request's body may take, milliseconds, if another time than usual. */
  bodyPatience?: number;
};

declare module "fastify" {
  interface FastifyInstance {
    /** Every route that came up, for whoever checks them all. */
    routeTable: readonly RouteOptions[];
  }
}

/** A whole request, the largest import included, has to be there by then, milliseconds. */
const REQUEST_PATIENCE = 600_000;

/** The whole server, ready to listen or to be asked by a test. */
export async function buildApp(database: Database, options: AppOptions): Promise<FastifyInstance> {
  const app = Fastify({
    ...logOptions(options.log),
    bodyLimit: 1_048_576,
    requestTimeout: REQUEST_PATIENCE,
    forceCloseConnections: "idle",
    trustProxy: trusted(options.trustProxy),
    // What cannot even be routed is answered as every other error is.
    frameworkErrors: answerError,
    clientErrorHandler: answerUnreadable,
  });
  const routeTable: RouteOptions[] = [];
  app.addHook("onRoute", (route) => void routeTable.push(route));
  app.decorate("routeTable", routeTable);
  app.setValidatorCompiler(validatorCompiler);
  app.setSerializerCompiler(serializerCompiler);
  app.setErrorHandler(answerError);
  logAnswers(app);
  saysVersion(app);
  app.addHook("onRequest", async (request) => checkHost(request, options.hosts));
  guardBodies(app, options.bodyPatience, options.leastRate);
  await app.register(fastifyCookie, { secret: options.secrets });
  await app.register(fastifyHelmet, contentPolicy(options.hstsDays));
  // Answers are pressed; what is asked is never inflated.
  await app.register(fastifyCompress, { threshold: 1024, globalDecompression: false });

  const threads = makeThreads(options.worker);
  app.addHook("onClose", () => threads.close());
  const context: Context = {
    ...database,
    ...options,
    threads,
    changes: makeChanges(database, options.listenUrl),
    rateLimits: makeRateLimits(database, options.secrets[0] as string, options),
  };
  // Streams never end by themselves, so they are ended first; what is being answered then finishes.
  app.addHook("preClose", async () => endStreams());
  endConnections(app);
  app.addHook("onClose", () => context.changes.close());
  await app.register(health(context));
  await app.register(
    async (api) => {
      guard(api, database, context.rateLimits);
      for (const resource of resources) await api.register(resource(context));
      api.get("/openapi.json", { config: { access: "anybody" } }, () => openapi);
    },
    { prefix: "/api" },
  );

  if (options.webRoot) await serveWeb(app, options.webRoot);
  app.setNotFoundHandler((request, reply) => {
    const isPage =
      request.method === "GET" && !request.url.startsWith("/api/") && !/\.\w+($|\?)/.test(request.url);
    if (isPage && reply.sendFile && options.webRoot) return reply.sendFile("index.html");
    throw notFound("address");
  });
  return app;
}

/** Whose word on addresses is taken, as Fastify asks for it: hops are counted from the nearest. */
function trusted(trust: Config["trustProxy"]) {
  if (typeof trust !== "number") return trust;
  return (_address: string, hop: number) => hop < trust;
}
