import { type Action, may } from "@tonodrome/core/api";
import type { FastifyInstance, FastifyReply, FastifyRequest } from "fastify";
import type { Database } from "../db/connect";
import { notFound, Refusal } from "../errors/refusal";
import { machineOf } from "./machine";
import { checkOrigin } from "./origin";
import type { RateLimits } from "./rateLimits";
import { type Along, findSession, renewSession, type Session, tokenOf } from "./session/session";

/** Who may use a route: anybody, anybody signed in, or the members of its club whose role allows an action. */
export type Access = "anybody" | "signed-in" | Action;

declare module "fastify" {
  interface FastifyContextConfig {
    access?: Access;
    /** Closed to visitors of the demo. */
    notInDemo?: boolean;
    /** A question put together with the one for who asks. Only for a thing of a club, by its id. */
    along?: Along;
  }
  interface FastifyRequest {
    session: Session | null;
  }
}

/** Who asks about a club: which club, who they are, and whose things they may see. */
export interface Asker {
  clubId: string;
  userId: string;
  /** For an account in the role athlete, the one athlete whose things these are (nobody's, when that one was deleted); otherwise null. */
  onlyAthlete: string | null;
}

const NOBODY = "00000000-0000-0000-0000-000000000000";
const UUID = /^[0-9a-f]{8}(-[0-9a-f]{4}){3}-[0-9a-f]{12}$/i;

/**
 * Guards every route of the instance by its rule, before the body is read (after it, where a route's `along` needs the body).
 * The server does not start with a route that has no rule.
 */
export function guard(app: FastifyInstance, database: Database, rateLimits: RateLimits): void {
  app.decorateRequest("session", null);
  // An answer is for whoever asked: no cache on the way may keep it.
  app.addHook("onSend", async (_request, reply) => {
    if (!reply.hasHeader("cache-control")) reply.header("cache-control", "no-store");
  });
  app.addHook("onRoute", (route) => {
    const { method, url, config } = route;
    const access = config?.access;
    if (!access) throw new Error(`${method} ${url} has no rule who may use it: give it config.access.`);
    if (isAction(access) !== url.includes("/clubs/:clubId"))
      throw new Error(`${method} ${url}: a club's route has an action as its rule, others have none.`);
    if (config.along?.values) route.attachValidation = true;
  });
  app.addHook("onRequest", async (request, reply) => {
    const { access, along } = request.routeOptions.config;
    // No such route: answer so.
    if (!access) return;
    if (isWrite(request)) checkOrigin(request);
    if (access === "anybody") {
      const machine = machineOf(request.ip);
      await (isWrite(request) ? rateLimits.write(machine) : rateLimits.read(machine));
    } else if (!along?.values) {
      await letIn(request, reply, access, along, []);
    } else if (tokenOf(request) === null) {
      throw signedOut();
    }
  });
  app.addHook("preHandler", async (request, reply) => {
    const { access, along } = request.routeOptions.config;
    if (!access || !along?.values) return;
    // A refusal of who asks comes before a refusal of what they sent.
    if (request.validationError) await letIn(request, reply, access, undefined, []);
    if (request.validationError) throw request.validationError;
    let values: unknown[];
    try {
      values = along.values(request.body);
    } catch (error) {
      await letIn(request, reply, access, undefined, []);
      throw error;
    }
    await letIn(request, reply, access, along, values);
  });

  /** Finds out who asks and whether they may. @throws Refusal `signed_out`, `not_found`, `forbidden`, `too_many` */
  async function letIn(
    request: FastifyRequest,
    reply: FastifyReply,
    access: Access,
    along: Along | undefined,
    more: unknown[],
  ): Promise<void> {
    const clubId = isAction(access) ? clubIdOf(request) : null;
    const { id } = request.params as { id?: string };
    const asked = along && clubId && id && UUID.test(id) ? { ...along, id, more } : null;
    // A question that writes is counted before it is known who asks.
    if (asked?.steps) await rateLimits.write(tokenOf(request) as string);
    const session = await findSession(database, request, clubId, asked);
    if (!session) throw signedOut();
    request.session = session;
    if (!asked?.steps)
      await (isWrite(request) ? rateLimits.write(session.userId) : rateLimits.read(session.userId));
    if (session.isDemo && request.routeOptions.config.notInDemo) throw notInDemo();
    if (isAction(access)) checkRole(session, access);
    if (session.isOld) await renewSession(database, session, request, reply);
  }
}

function isWrite({ method }: FastifyRequest): boolean {
  return method !== "GET" && method !== "HEAD";
}

/** Whoever is signed in. @throws Refusal `signed_out` */
export function sessionOf(request: FastifyRequest): Session {
  if (!request.session) throw signedOut();
  return request.session;
}

/** Who asks, and about which club. */
export function askerOf(request: FastifyRequest): Asker {
  const { userId, role, athleteId } = sessionOf(request);
  return {
    clubId: clubIdOf(request) as string,
    userId,
    onlyAthlete: role === "athlete" ? (athleteId ?? NOBODY) : null,
  };
}

function checkRole(session: Session, action: Action): void {
  // One answer for "not a member" and "no such club": it does not tell that a club exists.
  if (!session.role) throw notFound("club");
  if (may(session.role, action)) return;
  throw new Refusal(
    "forbidden",
    `In this club you are ${session.role === "coach" ? "a" : "an"} ${session.role}, who may not do this. Ask an owner of the club.`,
  );
}

function isAction(access: Access): access is Action {
  return access !== "anybody" && access !== "signed-in";
}

function clubIdOf(request: FastifyRequest): string | null {
  const { clubId } = request.params as { clubId?: string };
  return clubId && UUID.test(clubId) ? clubId : null;
}

function notInDemo(): Refusal {
  return new Refusal(
    "forbidden",
    "The demo is for looking and trying, and is cleared after a day: this needs an account. Sign out and make one.",
  );
}

function signedOut(): Refusal {
  return new Refusal(
    "signed_out",
    "You are not signed in, or no longer. What you have here is kept; sign in again.",
  );
}
