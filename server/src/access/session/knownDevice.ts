import { createHash } from "node:crypto";
import type { FastifyReply, FastifyRequest } from "fastify";

const COOKIE = "tonodrome-known";

/** How long a device is known after its last use, seconds. */
const LIFE = 365 * 86_400;

/** Most people that are known on one device: the tablet of a hall has several. */
const MOST = 8;

/*
 * A device on which somebody has signed in keeps a signed mark of it. With it their tries at a password are counted apart from
 * those of strangers. The mark says nothing else and lets nobody in.
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
