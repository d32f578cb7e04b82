import { randomUUID } from "node:crypto";
import type { Role } from "@tonodrome/core/api";
import type { FastifyReply, FastifyRequest } from "fastify";
import type { Transaction } from "sequelize";
import type { Database } from "../../db/connect";
import { askPrepared, type Prepared } from "../../db/prepared";
import { hashOf, newToken } from "./token";

const COOKIE = "tonodrome";

/** How long after its last use a session ends, seconds. */
const LIFE = 30 * 86_400;

/** The time by the database's clock, which all servers share. */
const END_OF_LIFE = `now() + interval '${LIFE} seconds'`;

/** Most sessions of one person. Custom. */
const MOST_SESSIONS = 50;

/** How often at most a session's end is put off, seconds: so that not every read writes. */
const RENEW_AFTER = 3_600;

/** Who is signed in, and their role where a club was asked about. */
export interface Session {
  id: string;
  userId: string;
  /** Null without a club, and when they do not belong to the one asked about. */
  role: Role | null;
  athleteId: string | null;
  isOld: boolean;
  /** A visitor of the demo. */
  isDemo: boolean;
  /** What the route's `along` read; null where there is none or nothing was found. */
  along: string | null;
}

/**
 * A question put together with the one for who asks, so that the answer costs one query: for what a phone in the hall asks
 * most.
 */
export interface Along {
  /** Names the prepared statement. */
  name: string;
  /** A subquery for one text. It may use `asker` (role, "athleteId"), the `steps`, $2, the club, and $3, the id in the address. */
  sql: string;
  /** Named steps before it, which may write. They have to ask for the role themselves: the guard judges afterwards. */
  steps?: string;
  /** What $4 and on stand for; it may refuse what it is given. With it all is asked once the request has been read and found valid, and not before. */
  values?: (body: unknown) => unknown[];
}

const FIND = `
  SELECT s.id, s.user_id AS "userId", m.role, m.athlete_id AS "athleteId",
    s.seen_at < now() - interval '${RENEW_AFTER} seconds' AS "isOld", u.demo AS "isDemo"
  FROM sessions s JOIN users u ON u.id = s.user_id LEFT JOIN members m ON m.user_id = s.user_id AND m.club_id = $2
  WHERE s.token_hash = $1 AND s.expires_at > now()`;

function statement(along: Along | null): Prepared {
  if (!along) return { name: "session", text: FIND };
  // Read nothing of a club for somebody who does not belong to it.
  const read = `CASE WHEN asker.role IS NOT NULL THEN (${along.sql}) END`;
  const steps = along.steps ? `, ${along.steps}` : "";
  return {
    name: `session and ${along.name}`,
    text: `WITH asker AS (${FIND})${steps} SELECT asker.*, ${read} AS along FROM asker`,
  };
}

/**
 * Returns the session of a request's cookie; null without a cookie, with a forged one, or when the session has ended. The
 * database is asked every time, so that a lowered role or an ended session counts from the next request on, on every server.
 */
export async function findSession(
  { sequelize }: Database,
  request: FastifyRequest,
  clubId: string | null,
  along: (Along & { id: string; more: unknown[] }) | null = null,
): Promise<Session | null> {
  const token = tokenOf(request);
  if (token === null) return null;
  const values = [hashOf(token), clubId, ...(along ? [along.id, ...along.more] : [])];
  const [session] = await askPrepared<Session>(sequelize, statement(along), values);
  return session ? { ...session, along: session.along ?? null } : null;
}

/** Puts off the end of a session that is in use. */
export async function renewSession(
  { sequelize }: Database,
  session: Session,
  request: FastifyRequest,
  reply: FastifyReply,
): Promise<void> {
  await sequelize.query(`UPDATE sessions SET seen_at = now(), expires_at = ${END_OF_LIFE} WHERE id = $1`, {
    bind: [session.id],
  });
  setCookie(reply, tokenOf(request) as string);
}

/** Signs somebody in. A session that the request already had ends, so that no cookie outlives a sign-in. */
export async function beginSession(
  database: Database,
  userId: string,
  request: FastifyRequest,
  reply: FastifyReply,
  transaction?: Transaction,
): Promise<void> {
  const { token, tokenHash } = newToken();
  const { sequelize } = database;
  const old = tokenOf(request);
  const ask = (sql: string, bind: unknown[]) =>
    sequelize.query(sql, { bind, ...(transaction ? { transaction } : {}) });
  if (old) await ask("DELETE FROM sessions WHERE token_hash = $1", [hashOf(old)]);
  await ask("DELETE FROM sessions WHERE user_id = $1 AND expires_at < now()", [userId]);
  // Beyond the most, the session that was not used for longest ends.
  await ask(
    `DELETE FROM sessions WHERE id IN (
      SELECT id FROM sessions WHERE user_id = $1 ORDER BY seen_at DESC OFFSET ${MOST_SESSIONS - 1})`,
    [userId],
  );
  await ask(
    `INSERT INTO sessions (id, user_id, token_hash, seen_at, expires_at) VALUES ($1, $2, $3, now(), ${END_OF_LIFE})`,
    [randomUUID(), userId, tokenHash],
  );
  setCookie(reply, token);
}

/** Signs out the session that a request brings, if it brings one. */
export async function endSession(
  { models }: Database,
  request: FastifyRequest,
  reply: FastifyReply,
): Promise<void> {
  const token = tokenOf(request);
  if (token) await models.Session.destroy({ where: { tokenHash: hashOf(token) } });
  reply.clearCookie(COOKIE, { path: "/" });
}

/** Signs somebody out everywhere. */
export async function endSessions(
  { models }: Database,
  userId: string,
  transaction?: Transaction,
): Promise<void> {
  await models.Session.destroy({ where: { userId }, transaction });
}

/** The secret in a request's cookie; null when it has none that this server signed. */
export function tokenOf(request: FastifyRequest): string | null {
  const cookie = request.cookies[COOKIE];
  if (!cookie) return null;
  // The signature turns a forged cookie away without asking the database.
  return request.unsignCookie(cookie).value;
}

function setCookie(reply: FastifyReply, token: string): void {
  reply.setCookie(COOKIE, token, {
    path: "/",
    httpOnly: true,
    sameSite: "strict",
    secure: reply.request.protocol === "https",
    signed: true,
    maxAge: LIFE,
  });
}
