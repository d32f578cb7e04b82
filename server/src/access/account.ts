import { randomUUID } from "node:crypto";
import type { Join } from "@tonodrome/core/api";
import { QueryTypes, type Transaction, UniqueConstraintError } from "sequelize";
import type { Database } from "../db/connect";
import { Refusal } from "../errors/refusal";
import { hashPassword } from "./password/password";
import { endRights } from "./rights";

/**
 * Makes an account.
 * @returns its id
 * @throws Refusal `taken` when the address has one already
 */
export async function makeAccount(
  { models }: Database,
  { name, email, password }: Join,
  transaction: Transaction,
): Promise<string> {
  const id = randomUUID();
  const passwordHash = await hashPassword(password);
  try {
    await models.User.create({ id, email, name, passwordHash }, { transaction });
  } catch (error) {
    if (!(error instanceof UniqueConstraintError)) throw error;
    throw new Refusal("taken", "This address has an account already. Sign in with it instead.", {
      path: "email",
    });
  }
  return id;
}

/**
 * Deletes an account, its sessions and its memberships. What the person made in clubs stays theirs; a club that they are
 * alone in goes with them.
 * @returns the clubs they left
 * @throws Refusal `last_owner` while others depend on them
 */
export async function deleteAccount(
  database: Database,
  userId: string,
  transaction: Transaction,
): Promise<string[]> {
  const { sequelize, models } = database;
  const own = await sequelize.query<{ id: string; name: string; owners: number; members: number }>(
    `SELECT c.id, c.name,
       (SELECT count(*)::int FROM members o WHERE o.club_id = c.id AND o.role = 'owner' AND o.user_id <> $1) AS owners,
       (SELECT count(*)::int FROM members o WHERE o.club_id = c.id AND o.user_id <> $1) AS members
     FROM clubs c JOIN members m ON m.club_id = c.id WHERE m.user_id = $1 ORDER BY c.id FOR UPDATE OF c`,
    { bind: [userId], type: QueryTypes.SELECT, transaction },
  );
  const needed = own.filter((club) => club.owners === 0 && club.members > 0);
  if (needed.length > 0) {
    const names = needed.map((club) => club.name).join(", ");
    throw new Refusal(
      "last_owner",
      `You are the only owner of ${names}. Make somebody else an owner first, or delete the club.`,
    );
  }
  const alone = own.filter((club) => club.members === 0).map((club) => club.id);
  await models.Club.destroy({ where: { id: alone }, transaction });
  await models.Member.destroy({ where: { userId }, transaction });
  for (const { id } of own) await endRights(database, id, userId, transaction);
  await models.User.destroy({ where: { id: userId }, transaction });
  return own.map((club) => club.id);
}
