import { randomUUID } from "node:crypto";
import { QueryTypes } from "sequelize";
import type { Database } from "../../db/connect";
import { newToken } from "./token";

/** How long such a link can be used, milliseconds. */
const LIFE = 86_400_000;

/** Clubs that nobody owns, other than the demo: a database from before there were accounts has one. */
export function ownerlessClubs({ sequelize }: Database): Promise<{ id: string; name: string }[]> {
  return sequelize.query(
    `SELECT id, name FROM clubs c WHERE NOT demo
     AND NOT EXISTS (SELECT 1 FROM members m WHERE m.club_id = c.id AND m.role = 'owner') ORDER BY id`,
    { type: QueryTypes.SELECT },
  );
}

/** Makes an invitation as an owner, for whoever runs the server. @returns the path of the link */
export async function makeOwnerLink({ models }: Database, clubId: string): Promise<string> {
  const { token, tokenHash } = newToken();
  const expiresAt = new Date(Date.now() + LIFE);
  await models.Invite.create({
    id: randomUUID(),
    clubId,
    role: "owner",
    athleteId: null,
    madeBy: null,
    byOperator: true,
    tokenHash,
    expiresAt,
  });
  return `/join/${token}`;
}
