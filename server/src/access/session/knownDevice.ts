import { createHash } from "node:crypto";
import type { FastifyReply, FastifyRequest } from "fastify";

const COOKIE = "tonodrome-known";

/** A device that is not used for this long is a stranger again, seconds. */
const LIFE = 365 * 86_400;

/** Most people that one device knows: a hall's tablet has several. */
const MOST = 8;

/*
 * A device on which somebody has signed in before keeps a signed mark of it, by which their tries at a password are not
 * counted with those of strangers. It says nothing else and lets nobody in.
 */

const markOf = (userId: string) => createHash("sha256").update(userId).digest("base64url").slice(0, 16);

function marksOf(request: FastifyRequest): string[] {
  const cookie = request.cookies[COOKIE];
  const value = cookie ? request.unsignCookie(cookie).value : null;
  return value ? value.split("-and-") : [];
}

/** Whether somebody has signed in on the device that a request comes from. */
export function isKnownDevice(request: FastifyRequest, userId: string | undefined): boolean {
  return userId !== undefined && marksOf(request).includes(markOf(userId));
}

/** Marks the device that a request comes from as one of somebody's. */
export function knowDevice(request: FastifyRequest, reply: FastifyReply, userId: string): void {
  const mark = markOf(userId);
  const marks = [mark, ...marksOf(request).filter((m) => m !== mark)].slice(0, MOST);
  reply.setCookie(COOKIE, marks.join("-and-"), {
    path: "/api",
    httpOnly: true,
    sameSite: "strict",
    secure: request.protocol === "https",
    signed: true,
    maxAge: LIFE,
  });
}
