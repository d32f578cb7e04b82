import { randomUUID } from "node:crypto";
import { HEADERS } from "@tonodrome/core/api";
import { type FastifyInstance, type FastifyRequest, type FastifyServerOptions, LogController } from "fastify";

/** Where the log goes, and how much of it. */
export interface LogOptions {
  level: string;
  /** Where lines go instead of standard output. */
  stream?: { write(line: string): void };
}

/**
 * A structured log with one line a request, free of personal data by construction: routes by their pattern (an address
 * holds secrets and ids), people and clubs by id, and of an error its kind and where it came from, never its message,
 * in which a database quotes what people typed.
 */
export function logOptions({ level, stream }: LogOptions): FastifyServerOptions {
  return {
    logger: { level, serializers: { err: describeFault }, ...(stream ? { stream } : {}) },
    // One line of our own for each request, below.
    logController: new LogController({ disableRequestLogging: true }),
    requestIdHeader: false,
    genReqId: (request) => {
      const given = request.headers["x-request-id"];
      return typeof given === "string" && /^[\w-]{8,64}$/.test(given) ? given : randomUUID();
    },
  };
}

/** Logs every answer and gives it its request's id. */
export function logAnswers(app: FastifyInstance): void {
  app.addHook("onRequest", async (request, reply) => {
    reply.header("x-request-id", request.id);
  });
  app.addHook("onResponse", async (request, reply) => {
    request.log.info(
      {
        method: request.method,
        route: request.routeOptions.url ?? null,
        status: reply.statusCode,
        ms: Math.round(reply.elapsedTime * 10) / 10,
        // Which build asked, where it says so.
        client: Number(request.headers[HEADERS.client]) || undefined,
        ...whoAsked(request),
      },
      "answered",
    );
  });
}

function whoAsked({ session, params }: FastifyRequest) {
  const { clubId } = (params ?? {}) as { clubId?: string };
  return session ? { user: session.userId, ...(session.role ? { club: clubId } : {}) } : {};
}

/** What an error may say of itself: its kind, the database's code and constraint, and the places in the code. */
function describeFault(error: Error & { code?: unknown; parent?: { code?: unknown; constraint?: unknown } }) {
  const places = (error.stack ?? "").split("\n").filter((line) => /^\s+at /.test(line));
  return {
    type: error.name,
    message: "(not logged)",
    stack: places.join("\n"),
    code: error.parent?.code ?? error.code,
    constraint: error.parent?.constraint,
  };
}
