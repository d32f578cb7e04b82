import fastifyCompress from "@fastify/compress";
import fastifySwagger from "@fastify/swagger";
import Fastify, { type FastifyInstance } from "fastify";
import { jsonSchemaTransform, serializerCompiler, validatorCompiler } from "fastify-type-provider-zod";
import type { Database } from "./db/connect";
import { answerError, notFound } from "./errors";
import { athletes } from "./resources/athletes";
import { club } from "./resources/club";
import type { Context } from "./resources/context";
import { drills } from "./resources/drills";
import { health } from "./resources/health";
import { plans } from "./resources/plans";
import { runs } from "./resources/runs";
import { starts } from "./resources/starts";
import { serveWeb } from "./web";

export interface AppOptions {
  /** Folder of the exported web application, if it is to be served. */
  webRoot?: string;
  logLevel?: string;
}

/** The whole server, ready to listen or to be asked by a test. */
export async function buildApp(database: Database, options: AppOptions = {}): Promise<FastifyInstance> {
  const app = Fastify({
    logger: { level: options.logLevel ?? "silent" },
    bodyLimit: 1_048_576,
    forceCloseConnections: "idle",
  });
  app.setValidatorCompiler(validatorCompiler);
  app.setSerializerCompiler(serializerCompiler);
  app.setErrorHandler(answerError);
  await app.register(fastifyCompress, { threshold: 1024 });
  await app.register(fastifySwagger, {
    openapi: { info: { title: "Tonodrome", version: "0.1.0", description: "See docs/api.md." } },
    transform: jsonSchemaTransform,
  });

  const context: Context = { ...database, clubOf: localClub(database) };
  await app.register(health(context));
  await app.register(
    async (api) => {
      for (const resource of [club, athletes, drills, starts, plans, runs]) {
        await api.register(resource(context));
      }
      api.get("/openapi.json", { schema: { hide: true } }, () => app.swagger());
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

/** Until there are accounts, everybody acts for the one local club. */
function localClub({ models }: Database): () => Promise<string> {
  let known: string | undefined;
  return async () => {
    known ??= (await models.Club.findOne({ order: ["id"] }))?.id;
    if (!known) throw notFound("club");
    return known;
  };
}
